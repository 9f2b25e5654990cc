import * as z from 'zod';
import { capital, counted, inWords, nounOf } from '../../units/format';
import { ORDERS } from '../rules';
import { countSchema, edgeSchema, pointsSchema, round } from './fields';
import { farKey, holedKey, ringKey } from './answer-keys';
import { farM, type ScoredBall } from './ball';
import { NO_RULES, PLAIN, type Scheme } from './scheme';
import { measuredZone } from './zone';

export const nearestWinsSchema = z.strictObject({
  scheme: z.literal('nearest_wins'),
  /** Over when somebody has so many points, after equal turns; null to play all balls. */
  firstTo: countSchema(1, 100, 'Points to win').nullable(),
  /** When two are equally near: nobody takes the point, or each does. */
  ties: z.enum(['nobody', 'each']),
  /** Players call the shot before they play it; a kept call earns so many points by itself. Null where nothing is called. */
  callPoints: pointsSchema.min(1, 'A kept call earns at least one point.').nullable(),
  /** A ball farther away than this is not measured and does not win. */
  farM: edgeSchema,
});
export type NearestWins = z.infer<typeof nearestWinsSchema>;
type State = { points: number; won: number; kept: number };

/** In play, and nobody measures it: whoever comes after says who is nearer. */
const unmeasuredKey = (edgeM: number) => ({ ...ringKey('unmeasured', 0, edgeM), kind: 'word' as const, text: 'in play' });

/**
 * Who is nearest: by what somebody said (the last ball that lies nearer than those before it), else by distance. A ball that is not nearer
 * than those before it, and of which no figure is known, is not nearest. @returns places, several where they are level
 */
function nearestOf(balls: readonly ScoredBall[]): number[] {
  const said = balls.findLastIndex(({ nearer }) => nearer === true);
  if (said >= 0) return [said];
  const inIt = balls.flatMap((ball, i) => (ball.nearer === false && ball.leftM === null && !ball.holed ? [] : [i]));
  const least = Math.min(...inIt.map((i) => farM(balls[i]!)));
  return inIt.filter((i) => farM(balls[i]!) === least);
}

/** Two or more players, the same shot: the nearest to the hole takes the point. */
export const nearestWins: Scheme<NearestWins, State> = {
  ...PLAIN,
  kind: 'nearest_wins',
  label: 'nearest wins',
  inShort: 'Two or more: the nearest takes it.',
  about: 'Two or more players, the same shot: the nearest to the hole takes the point.',
  players: 2,
  orders: ORDERS.filter((order) => order !== 'choice'),
  whyOrder: 'All play the same shot in a round: a common order is needed.',
  leadsIn: false,
  allows: () => ({ ...NO_RULES, allowances: true }),
  sees: ({ callPoints }) => (callPoints === null ? [] : ['executed']),
  calls: ({ callPoints }) => callPoints !== null,
  takesDistance: () => true,
  unit: () => 'points',
  better: () => 'higher',
  fresh: (system) => ({ scheme: 'nearest_wins', firstTo: 5, ties: 'nobody', callPoints: null, farM: round(system, 30, 10) }),
  shorter: (scoring, share) =>
    scoring.firstTo === null ? scoring : { ...scoring, firstTo: Math.max(1, Math.round(scoring.firstTo * share)) },
  zones: ({ farM: edgeM }) => [measuredZone(edgeM)],
  fitted: (scoring) => scoring,
  says({ firstTo, ties, callPoints }) {
    const end = firstTo === null ? 'All balls are played.' : `First to ${inWords(firstTo)}.`;
    const level = ties === 'each' ? 'Equally near: each takes it.' : 'Equally near: nobody takes it.';
    const call = callPoints === null ? '' : ` The shot is called first; a kept call earns ${callPoints}.`;
    return `The nearest to the hole takes the point. ${level} ${end}${call}`;
  },
  saysGoal(goal, { scoring: { callPoints } }) {
    const points = Math.ceil(goal);
    const times = points === 1 ? 'once' : `${inWords(points)} times`;
    return `${capital(inWords(points))} ${nounOf(points, 'point')}: nearest ${times}${callPoints === null ? '' : ', or fewer with calls kept'}.`;
  },
  asks: ({ scoring }) => [holedKey(), unmeasuredKey(scoring.farM), farKey(scoring.farM)],
  start: () => ({ points: 0, won: 0, kept: 0 }),
  step(state, ball, _lot, { scoring }, won) {
    const kept = scoring.callPoints !== null && ball.executed === true;
    return {
      points: state.points + won + (kept ? scoring.callPoints! : 0),
      won: state.won + won,
      kept: state.kept + (kept ? 1 : 0),
    };
  },
  round(balls, { scoring }) {
    const nearest = nearestOf(balls);
    const counts = nearest.length === 1 || scoring.ties === 'each';
    return balls.map((ball, i) => (counts && nearest.includes(i) && farM(ball) <= scoring.farM ? 1 : 0));
  },
  roundInto(balls, { scoring }, won) {
    let nearest = Infinity;
    let winners = 0;
    for (const ball of balls) {
      const left = ball.holed ? 0 : ball.leftM;
      if (left < nearest) winners = 0;
      if (left <= nearest) winners += 1;
      nearest = Math.min(nearest, left);
    }
    const counts = nearest <= scoring.farM && (winners === 1 || scoring.ties === 'each');
    for (let i = 0; i < balls.length; i++) won[i] = counts && (balls[i]!.holed ? 0 : balls[i]!.leftM) === nearest ? 1 : 0;
  },
  score: ({ points }) => points,
  over: ({ points }, { scoring }) => scoring.firstTo !== null && points >= scoring.firstTo,
  race: () => true,
  best: ({ scoring, turns }) => {
    const each = 1 + (scoring.callPoints ?? 0);
    return scoring.firstTo === null ? turns * each : Math.min(turns * each, scoring.firstTo + each - 1);
  },
  notes: ({ won, kept }, { scoring }) => [
    { label: 'nearest', value: counted(won, 'time') },
    ...(scoring.callPoints === null ? [] : [{ label: 'calls kept', value: String(kept) }]),
  ],
  compile({ scoring }) {
    let points = 0;
    return {
      reset: () => void (points = 0),
      take: (_at, ball, won) => void (points += won + (scoring.callPoints !== null && ball.executed ? scoring.callPoints : 0)),
      score: () => points,
      ...(scoring.firstTo === null ? {} : { over: () => points >= scoring.firstTo! }),
    };
  },
};
