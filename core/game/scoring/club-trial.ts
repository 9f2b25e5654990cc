import { z } from 'zod';
import { snap } from '../../units/length';
import { clubLabel, MOST_BALLS } from '../station';
import { edgeSchema, round } from './fields';
import { cappedM, farKey, holedKey, NO_RULES, PLAIN, type Lot, type Scheme } from './scheme';

export const clubTrialSchema = z
  .strictObject({
    scheme: z.literal('club_trial'),
    /** From the longest to the shortest: clubs that follow each other here are neighbours. */
    clubs: z.array(clubLabel).min(2, 'At least two clubs.').max(14, 'At most 14 clubs.'),
    /** A ball farther away than this is not measured and counts as so much. */
    farM: edgeSchema,
  })
  .superRefine(({ clubs }, ctx) => {
    clubs.forEach((club, i) => {
      if (clubs.findIndex((other) => other.toLowerCase() === club.toLowerCase()) < i)
        ctx.addIssue({ code: 'custom', path: ['clubs', i], message: 'This club is already in.' });
    });
  });
export type ClubTrial = z.infer<typeof clubTrialSchema>;

/** What one club did, in metres. */
export type ClubResult = { club: string; balls: number; totalM: number };
type State = { total: number; clubs: readonly ClubResult[] };

/** The clubs of a trial, the nearest on average first; those not played last. */
export function ranking(clubs: readonly ClubResult[]): ClubResult[] {
  const mean = ({ balls, totalM }: ClubResult) => (balls === 0 ? Infinity : totalM / balls);
  return [...clubs].sort((a, b) => mean(a) - mean(b) || 0);
}

/** One ball or more with each of several clubs from one lie; the result is a ranking of the clubs. */
export const clubTrial: Scheme<ClubTrial, State> = {
  ...PLAIN,
  kind: 'club_trial',
  label: 'club trial',
  about: 'The same shot with each of several clubs. The score is all that was left; the result is a ranking of the clubs.',
  allows: () => NO_RULES,
  takesDistance: () => true,
  unit: () => 'length',
  better: () => 'lower',
  fresh: (system) => ({ scheme: 'club_trial', clubs: ['8 iron', 'PW', '54°', '58°'], farM: round(system, 30, 10) }),
  fitted: (scoring) => scoring,
  lots: ({ clubs }, stations) =>
    stations.flatMap((station, at) =>
      clubs.flatMap((club, i) =>
        Array.from({ length: Math.min(station.balls, MOST_BALLS) }, (_, ball): Lot => ({
          at,
          ballNo: i * station.balls + ball + 1,
          asked: { club },
        })),
      ),
    ),
  asks: ({ scoring }) => [holedKey(), farKey(scoring.farM)],
  start: ({ scoring }) => ({ total: 0, clubs: scoring.clubs.map((club) => ({ club, balls: 0, totalM: 0 })) }),
  step(state, ball, { asked }, { scoring }) {
    const left = cappedM(ball, scoring.farM);
    return {
      total: snap(state.total + left),
      clubs: state.clubs.map((entry) =>
        entry.club === asked.club ? { ...entry, balls: entry.balls + 1, totalM: snap(entry.totalM + left) } : entry,
      ),
    };
  },
  score: ({ total }) => total,
  best: () => 0,
  notes: ({ clubs }) =>
    ranking(clubs).map(({ club, balls }, i) => ({ label: `${i + 1}. ${club}`, value: `${balls} ${balls === 1 ? 'ball' : 'balls'}` })),
  compile({ scoring }) {
    let total = 0;
    return {
      reset: () => void (total = 0),
      take: (_at, ball) => void (total = snap(total + (ball.holed ? 0 : Math.min(ball.leftM, scoring.farM)))),
      score: () => total,
    };
  },
};
