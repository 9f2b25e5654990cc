import { capital, counted, formatLeft, inWords } from '../units/format';
import { toMetres, type UnitSystem } from '../units/length';
import { phasesOf } from './phases';
import type { RingPoints } from './scoring/ring-points';
import { sayRadius } from './sizes';
import type { GameSpec } from './spec';

/**
 * What a goal means, exactly: "17 over seven stations: four in two, three in three."
 * @returns null where the game has no goal
 */
export function goalInWords(game: GameSpec, system: UnitSystem): string | null {
  const { goal, scoring, stations } = game;
  if (goal === null || stations.length === 0) return null;
  const { turns } = phasesOf(game).at(-1)!;
  switch (scoring.scheme) {
    case 'ring_points':
      return ringGoal(goal, turns, scoring, (radiusM) => sayRadius(radiusM, game.sizes, system));
    case 'total_left':
    case 'club_trial':
      return `${formatLeft(goal, system)} over ${counted(turns, 'ball')}: ${formatLeft(toMetres(goal / turns, 'm'), system)} each on average.`;
    case 'hits':
    case 'landing_zone':
      return `${whole(goal)} of ${counted(turns, 'ball')}.`;
    case 'shot_matrix':
      return `${whole(goal)} of ${counted(turns, 'shot')} as asked.`;
    case 'hole_out':
      return strokesGoal(Math.floor(goal), turns, turns === stations.length ? 'station' : 'ball');
    case 'ladder': {
      if (scoring.counts === 'rungs') return `${capital(inWords(whole(goal)))} of ${inWords(stations.length)} rungs passed.`;
      const misses = Math.floor((Math.floor(goal) - stations.length) / (1 + scoring.drop));
      const more = scoring.bottom === 'floor' && scoring.drop > 0 ? ', more only on the lowest rung' : '';
      return `${Math.floor(goal)} balls over ${inWords(stations.length)} rungs: ${misses === 0 ? 'no miss' : `at most ${inWords(misses)} ${misses === 1 ? 'miss' : 'misses'}`}${more}.`;
    }
    case 'nearest_wins':
      return `${capital(inWords(whole(goal)))} ${goal === 1 ? 'point' : 'points'}: nearest ${whole(goal) === 1 ? 'once' : `${inWords(whole(goal))} times`}${scoring.callPoints === null ? '' : ', or fewer with calls kept'}.`;
    case 'streak':
      return scoring.counts === 'run'
        ? `${capital(inWords(whole(goal)))} in a row.`
        : `${capital(inWords(scoring.until ?? 0))} in a row within ${counted(Math.floor(goal), 'ball')}.`;
  }
}

const whole = Math.ceil;

/** The evenest way to so many strokes: each in one figure, the rest in one more. */
function strokesGoal(goal: number, balls: number, what: string): string {
  const low = Math.floor(goal / balls);
  const high = goal - low * balls;
  const all = `${goal} over ${inWords(balls)} ${what}${balls === 1 ? '' : 's'}`;
  if (high === 0) return `${all}: each in ${inWords(low)}.`;
  return `${all}: ${inWords(balls - high)} in ${inWords(low)}, ${inWords(high)} in ${inWords(low + 1)}.`;
}

/** The evenest way to so many points: balls in two neighbouring rings, and one between where it does not come out even. */
function ringGoal(goal: number, balls: number, { rings, holedPoints }: RingPoints, say: (radiusM: number) => string): string {
  const places = [
    { points: holedPoints, say: 'holed' },
    ...rings.map((ring) => ({ points: ring.points, say: `inside ${say(ring.radiusM)}` })),
    { points: 0, say: 'outside' },
  ].filter(({ points }, i, all) => all.findIndex((other) => other.points === points) === i);
  const needed = whole(goal);
  const low = places.find(({ points }) => points * balls <= needed)!;
  const head = `${needed} over ${counted(balls, 'ball')}: `;
  const high = places[places.indexOf(low) - 1];
  if (!high) return `${head}each ${low.say}.`;
  const many = Math.floor((needed - low.points * balls) / (high.points - low.points));
  const rest = needed - low.points * (balls - many) - high.points * many;
  const last = rest === 0 ? null : places.findLast(({ points }) => points >= low.points + rest)!;
  const total = low.points * (balls - many - (last ? 1 : 0)) + high.points * many + (last?.points ?? 0);
  const groups = [
    { n: many + (last === high ? 1 : 0), say: high.say },
    { n: last && last !== high ? 1 : 0, say: last?.say ?? '' },
    { n: balls - many - (last ? 1 : 0), say: low.say },
  ].filter(({ n }) => n > 0);
  const said = groups.map(({ n, say: where }) => `${inWords(n)} ${where}`).join(', ');
  return `${head}${said}${total > needed ? ` (which makes ${total})` : ''}.`;
}
