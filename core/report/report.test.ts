import { believe, diagnose } from '../skill/diagnose';
import { gather, talliesOf } from '../skill/evidence';
import { modelOf } from '../skill/model';
import { shippedReference as reference } from '../golf/reference';
import { ft, game, left, shot, yd } from '../testing/make';
import { makeReport, type ReportParts } from './make-report';
import { reportSchema } from './report';

const model = modelOf(reference);
const LEVEL = 14;
const at = (day: number) => new Date(Date.UTC(2026, 9, day, 17));

/** Chips left far, from two clubs, and putts from 6 ft. */
const shots = [
  ...Array.from({ length: 60 }, (_, i) => ({
    ...shot({ shotType: 'chip', surface: 'fairway', distanceM: yd(15), stationKey: `c${i}` }, left(12 + (i % 9))),
    clubLabel: i % 2 === 0 ? 'PW' : 'SW',
    sessionId: `s${i % 4}`,
  })),
  ...Array.from({ length: 30 }, (_, i) => ({
    ...shot({ shotType: 'putt', surface: 'green', distanceM: ft(6), stationKey: `p${i}` }, left(0.5)),
    holed: i % 4 !== 0,
    leftM: i % 4 !== 0 ? null : ft(1),
    sessionId: `s${i % 4}`,
  })),
];
const evidence = gather(talliesOf(shots, new Date('2027-01-01'), null));
const diagnosis = diagnose(model, believe(evidence, model, LEVEL), evidence, { level: LEVEL, mix: model.mix(LEVEL) });
const score = (points: number, day: number, version = 1) => ({ gameId: 'g', version, spec: game(), score: points, at: at(day) });

const PARTS: ReportParts = {
  player: 'Otto',
  level: LEVEL,
  academy: 'Here',
  period: '10 to 20 Oct 2026',
  made: '20 Oct 2026',
  system: 'imperial',
  strokes: 'lost',
  against: 'level 14',
  model,
  diagnosis,
  shots,
  sessions: 4,
  days: 3,
  scores: [],
  from: at(10),
  changes: [],
  plan: { planned: 0, done: 0 },
  words: '',
  sayWhen: (when) => `${when.getUTCDate()} Oct`,
};
const made = (change: Partial<ReportParts> = {}) => reportSchema.parse(makeReport({ ...PARTS, ...change }));

test('the weakest and the strongest, with their ranges and their balls', () => {
  const { weakest, strongest, says, played, tape } = made();
  expect(played).toEqual({ sessions: 4, balls: 90, days: 3 });
  expect(weakest[0]).toMatchObject({ shot: '10–20 yd chips from the fairway', balls: 60 });
  for (const { mean, low, high } of [...weakest, ...strongest]) expect([low < mean, mean < high]).toEqual([true, true]);
  expect(weakest[0]!.mean).toBeGreaterThan(0);
  expect(says[0]).toMatch(/^Weakest: 10–20 yd chips from the fairway/);
  expect(tape).toMatchObject({ label: '10–20 yd chips from the fairway: 60 balls', medianM: expect.any(Number) });
});

test('the last result stands beside the three before it, of the same version only', () => {
  const scores = [score(99, 1, 2), score(10, 2), score(12, 5), score(11, 11), score(13, 14), score(9, 15)];
  expect(made({ scores }).test).toEqual({
    title: 'Two spots',
    last: '9 points',
    when: '15 Oct',
    before: ['12 points', '11 points', '13 points'],
    says: 'Not as good as the 3 before. One result says little on its own.',
  });
  expect(made({ scores: scores.slice(0, 5) }).test!.says).toMatch(/^Better than the 3 before\./);
  expect(made({ scores: [score(10, 2), score(9, 11)] }).test!.says).toBe('Not as good as the one before. It takes more results to tell.');
  expect(made({ scores: [score(10, 11)] }).test).toBeNull();
  // One of the period before is no last test of this one.
  expect(made({ scores: [score(10, 2), score(12, 5)] }).test).toBeNull();
});

test('the games of the period, with the last and the best of each version', () => {
  const scores = [score(40, 2), score(10, 11), score(12, 12), score(11, 14), score(5, 15, 2)];
  expect(made({ scores }).games).toEqual([
    { title: 'Two spots', times: 3, last: '11 points', best: '12 points' },
    { title: 'Two spots', times: 1, last: '5 points', best: '5 points' },
  ]);
});

test('what changed is said of the shots with most balls on both sides, whatever came out, or that nothing can be compared', () => {
  expect(made().change).toEqual(['Nothing to compare yet: it takes 10 balls of a shot before this period and as many in it.']);
  const [chips, putts] = [
    diagnosis.findings.find(({ balls }) => balls === 60)!.key,
    diagnosis.findings.find(({ balls }) => balls === 30)!.key,
  ];
  const one = { before: 0.32, since: 0.2, chanceBetter: 0.98 };
  expect(
    made({
      changes: [
        { key: putts, ...one, of: [12, 30], chanceBetter: 0.6 },
        { key: chips, ...one, of: [40, 60] },
        { key: chips, ...one, of: [9, 500] },
      ],
    }).change,
  ).toEqual([
    '10–20 yd chips from the fairway: better (98% sure), a real change. 0.32 lost a shot before (40 balls), 0.20 in this period (60 balls).',
    expect.stringMatching(/^6–10 ft putts: too close to call\. /),
  ]);
});

test('clubs are told apart only where balls tell them apart; the plan is counted', () => {
  expect(made().clubs).toEqual([
    expect.stringMatching(/^10–20 yd chips from the fairway: (PW before SW|SW before PW), \d\d% sure\. .*30 balls/),
  ]);
  expect(made({ plan: { planned: 3, done: 2 } }).plan).toBe('2 of 3 planned sessions were done.');
  expect(made({ plan: { planned: 1, done: 0 } }).plan).toBe('0 of 1 planned session was done.');
});

test('a player without a ball has a report too, and it claims nothing', () => {
  const none = gather([]);
  const report = made({
    shots: [],
    sessions: 0,
    days: 0,
    diagnosis: diagnose(model, believe(none, model, LEVEL), none, { level: LEVEL, mix: model.mix(LEVEL) }),
  });
  expect(report).toMatchObject({ weakest: [], strongest: [], clubs: [], tape: null, games: [], test: null });
  expect(report.says).toEqual(['No ball yet: the figures are what is usual at this level.']);
});
