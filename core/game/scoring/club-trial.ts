import * as z from 'zod';
import { say } from '../../golf/words';
import { counted } from '../../units/format';
import { snap } from '../../units/length';
import { apart } from '../order';
import { clubLabel, MOST_BALLS } from '../station';
import { edgeSchema, round } from './fields';
import { farKey, holedKey } from './answer-keys';
import { cappedM } from './ball';
import { NO_RULES, PLAIN, type Lot, type Scheme } from './scheme';
import { measuredZone } from './zone';

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
        ctx.addIssue({ code: 'custom', path: ['clubs', i], message: 'This club is already listed.' });
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

function listOf(clubs: readonly string[]): string {
  return `${clubs.slice(0, -1).join(', ')} and ${say(clubs.at(-1)!)}`;
}

/** One ball or more with each of several clubs from one lie; the result is a ranking of the clubs. */
export const clubTrial: Scheme<ClubTrial, State> = {
  ...PLAIN,
  kind: 'club_trial',
  label: 'club trial',
  inShort: 'One lie, several clubs.',
  about: 'The same shot with each of several clubs. The score is all that was left; the result is a ranking of the clubs.',
  leadsIn: false,
  opens: false,
  allows: () => NO_RULES,
  without: ['clubOnce', 'favouriteBanned', 'shotOnce'],
  clubs: ({ clubs }) => clubs,
  compares: () => ({ what: 'club', wayOf: ({ clubLabel }) => clubLabel }),
  refuses: ({ scoring: { clubs }, stations, rules }) => [
    ...stations.flatMap(({ club }, i) =>
      club === null ? [] : [{ path: ['stations', i, 'club'], message: 'A club trial changes the club: leave it free here.' }],
    ),
    ...(rules.clubOnce ? [{ path: ['rules', 'clubOnce'], message: 'A club trial already says how often each club is played.' }] : []),
    ...(rules.clubsApart && apart(clubs.length) === null
      ? [{ path: ['rules', 'clubsApart'], message: 'With fewer than four clubs two neighbours always follow each other.' }]
      : []),
  ],
  takesDistance: () => true,
  unit: () => 'length',
  better: () => 'lower',
  fresh: (system) => ({ scheme: 'club_trial', clubs: ['8 iron', 'PW', '54°', '58°'], farM: round(system, 30, 10) }),
  zones: ({ farM }) => [measuredZone(farM)],
  fitted: (scoring) => scoring,
  says: ({ clubs }) => `The same shot with ${listOf(clubs)}. What is left is added up, and the clubs are ranked.`,
  saysGoal: (goal, { turns }, { left, each }) => `${left(goal)} over ${counted(turns, 'ball')}: ${each(goal, turns)} each on average.`,
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
  notes: ({ clubs }) => ranking(clubs).map(({ club, balls }, i) => ({ label: `${i + 1}. ${club}`, value: counted(balls, 'ball') })),
  compile({ scoring }) {
    let total = 0;
    return {
      reset: () => void (total = 0),
      take: (_at, ball) => void (total = snap(total + (ball.holed ? 0 : Math.min(ball.leftM, scoring.farM)))),
      score: () => total,
    };
  },
};
