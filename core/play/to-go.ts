import { ballsPlanned } from '../game/calls';
import { phasesOf } from '../game/phases';
import type { Standing, Table } from './play';
import { schemeOf } from '../game/scoring';

/**
 * The fewest balls that must still be recorded before a session can be over: with fewer nobody need look whether it is.
 * @returns 0 where it is over; Infinity where no number of balls ends it
 */
export function leastBallsToGo({ standings, over }: Table): number {
  if (over) return 0;
  if (standings.some((standing) => isRace(standing) && canEndEarly(standing))) return 1;
  const each = standings.map(leastOf);
  return Math.max(1, sum(each));
}

function leastOf(standing: Standing): number {
  const { game, phases } = standing;
  if (standing.over) return 0;
  if (canEndEarly(standing)) return 1;
  return game.open && ballsPlanned(game.calls) === null ? Infinity : sum(phases.map(({ turns, balls }) => Math.max(0, turns - balls)));
}

const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0);

/** Whether the ball of one can end the game for all. */
function isRace({ game }: Standing): boolean {
  return phasesOf(game).some(({ scoring }) => schemeOf(scoring).race(scoring));
}

/** Whether a game can end before all its balls are played: by its rules, or by how it is scored. */
function canEndEarly({ game }: Standing): boolean {
  const { timeLimitS, endOnPerfectRound } = game.rules;
  if (timeLimitS !== null || endOnPerfectRound) return true;
  return phasesOf(game).some((phase) => schemeOf(phase.scoring).compile(phase).over !== undefined);
}
