import type { GamePhase } from '../game/phases';
import { ballsPlanned } from '../game/calls';
import type { GameSpec } from '../game/spec';
import type { Shot } from '../shot/shot';

/**
 * Balls that were hit and wait to be putted out, where that comes after all were hit: those of one station where it is played out at a stretch,
 * else of the whole phase.
 * @param played one player's balls of the phase, in the order of play
 * @returns none before the last of them is hit
 */
export function toPuttOut({ open, calls }: Pick<GameSpec, 'open' | 'calls'>, phase: GamePhase, played: readonly Shot[]): Shot[] {
  if (phase.rules.puttOut !== 'after_all') return [];
  const set = phase.stations
    .map(({ key }, at) => {
      const balls = open ? calls.balls : (phase.lots?.filter((lot) => lot.at === at).length ?? null);
      return { balls, here: played.filter((shot) => shot.stationKey === key) };
    })
    .filter(({ balls, here }) => here.length > 0 || balls !== null);
  const atOnce = open ? calls.balls !== null : phase.order === 'blocked' && phase.lots !== null;
  const complete = atOnce
    ? set.filter(({ balls, here }) => balls !== null && here.length >= balls).flatMap(({ here }) => here)
    : played.length >= (open ? (ballsPlanned(calls) ?? Infinity) : phase.turns)
      ? played
      : [];
  return complete.filter(waits);
}

/** Whether it is not known yet how a ball was finished. */
const waits = ({ holed, strokes }: Pick<Shot, 'holed' | 'strokes'>) => !holed && strokes === null;

/**
 * The ball whose putts were said last, of the set that a ball belongs to; undefined where none of it was putted out.
 * @param shots of the session, in the order in which they were recorded
 */
export function lastPuttedOut(game: GameSpec, shots: readonly Shot[], last: Shot): Shot | undefined {
  if (game.rules.puttOut !== 'after_all' || last.phase < game.leadIn.length) return undefined;
  const together = game.order === 'blocked' || game.open;
  return shots
    .filter(
      ({ playerId, phase, stationKey }) =>
        playerId === last.playerId && phase === last.phase && (!together || stationKey === last.stationKey),
    )
    .findLast(({ holed, strokes }) => !holed && strokes !== null);
}
