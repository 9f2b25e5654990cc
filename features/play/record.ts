import type { Turn } from '@/core/game/order';
import { play } from '@/core/game/play';
import type { Result } from '@/core/game/scoring/scheme';
import { recordOf, type Who } from '@/core/game/record';
import type { GameSpec } from '@/core/game/spec';
import { now } from './device/ids';
import { sayAboutShot } from './device/store';
import { sendWaiting } from './device/sync';

/**
 * Records a ball on the device, for the turn that the player saw when pressing; a press that comes late, twice or in
 * another tab, when that turn is taken already, records nothing. Sending follows by itself.
 * @returns whether the ball was recorded
 */
export async function recordBall(game: GameSpec, turn: Turn, result: Result, who: Who): Promise<boolean> {
  const stored = await sayAboutShot(who.sessionId, (shots) => {
    const { next } = play(
      game,
      shots.filter((shot) => shot.playerId === who.playerId),
    );
    return next?.turnNo === turn.turnNo ? { kind: 'record', payload: recordOf(turn, result, who, new Date(now())) } : null;
  });
  void sendWaiting();
  return stored;
}

/** Takes the player's last ball back; with none, nothing happens. The removal is a fact like any other. */
export async function undoBall(game: GameSpec, who: Who): Promise<boolean> {
  const stored = await sayAboutShot(who.sessionId, (shots) => {
    const last = play(
      game,
      shots.filter((shot) => shot.playerId === who.playerId),
    ).played.at(-1);
    return last ? { kind: 'void', shotId: last.shotId } : null;
  });
  void sendWaiting();
  return stored;
}
