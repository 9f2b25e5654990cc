import { reportSchema, type Report } from '../report/report';

/** A report that says little. */
export const PLAIN_REPORT: Report = reportSchema.parse({
  version: 1,
  player: 'Otto',
  academy: 'Here',
  period: '1 Oct to 29 Nov 2026',
  made: '29 Nov 2026',
  system: 'imperial',
  strokes: 'lost',
  against: 'level 18',
  played: { sessions: 2, balls: 24, days: 2 },
  games: [{ title: 'Two spots', times: 2, last: '12 points', best: '14 points' }],
  test: { title: 'Two spots', last: '12 points', when: '20 Nov', before: ['14 points'], says: 'Not as good as the one before.' },
  change: ['10–20 yd chips from the fairway: too close to call. 0.32 lost a shot before (40 balls), 0.30 in this period (20 balls).'],
  weakest: [{ shot: '10–20 yd chips from the fairway', mean: 0.32, low: 0.1, high: 0.5, balls: 20 }],
  strongest: [{ shot: '6–10 ft putts', mean: -0.1, low: -0.2, high: 0.1, balls: 4 }],
  says: ['Too early to name one weakness.'],
  clubs: [],
  plan: 'No practice was planned in this period.',
  next: 'Hit 20 chips.',
  words: 'Well done.',
  tape: {
    label: '10–20 yd chips from the fairway: 3 balls',
    balls: [
      { from: 1, to: 1 },
      { from: 2, to: 2 },
      { from: 3, to: null },
    ],
    medianM: 2,
  },
});
