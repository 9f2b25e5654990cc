import { EVENT_VERSION } from '../shot/read-event';
import type { ShotEvent, ShotRecord } from '../shot/shot';

/** In which session and on which device a demo ball is said, and ids for a moment. */
export type Said = { sessionId: string; deviceId: string; idAt: (ms: number) => string };

/** A demo ball as its device says it. */
export function recorded({ sessionId, deviceId, idAt }: Said, deviceSeq: number, playedAt: Date, payload: ShotRecord): ShotEvent {
  return {
    version: EVENT_VERSION,
    eventId: idAt(playedAt.getTime()),
    shotId: idAt(playedAt.getTime()),
    sessionId,
    deviceId,
    deviceSeq,
    deviceAt: playedAt.toISOString(),
    kind: 'record',
    payload,
  };
}
