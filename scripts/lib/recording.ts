import { randomUUID } from 'node:crypto';
import { request } from 'node:http';
import type { Pool } from 'pg';
import { LIBRARY } from '@/core/game/library';
import { UNKNOWN } from '@/core/game/scoring/ball';
import { gameSpecSchema, type GameSpec } from '@/core/game/spec';
import { turnsOf } from '@/core/game/turn';
import { recordOf } from '@/core/play/record';
import { EVENT_VERSION } from '@/core/shot/read-event';
import type { ShotEvent } from '@/core/shot/shot';
import type { Member } from '@/db/actor';
import type { Db } from '@/db/client';
import { saveGame } from '@/db/queries/games';
import { startSession } from '@/db/queries/sessions';
import { timed } from './load';

/** What benches and trials of recording share: a game without end, sessions of it, and balls that are said as phones say them. */

/** A ring game so long that nobody gets to its end. */
const rings = LIBRARY.find(({ key }) => key === 'three-hoops')!.spec;
const LONG: GameSpec = gameSpecSchema.parse({
  ...rings,
  goal: null,
  stations: Array.from({ length: 20 }, (_, i) => ({ ...rings.stations[0]!, key: `s${i}`, balls: 50 })),
});
const TURNS = turnsOf(LONG);

export type Recorder = {
  /** Begins a session of these players. @returns its id */
  begin: (who: readonly string[]) => Promise<string>;
  /** A ball of somebody's at a turn of theirs. */
  ball: (sessionId: string, playerId: string, turn: number) => ShotEvent;
};

/** Keeps the long game in an academy, and says balls of it. */
export async function makeRecorder(db: Db, coach: Member): Promise<Recorder> {
  const gameId = randomUUID();
  await saveGame(db, coach, gameId, LONG);
  const deviceId = randomUUID();
  let said = 0;
  return {
    async begin(who) {
      const sessionId = randomUUID();
      await startSession(
        db,
        coach,
        sessionId,
        gameId,
        who.map((playerId) => ({ playerId, allowance: 0 })),
      );
      return sessionId;
    },
    ball(sessionId, playerId, turn) {
      const result = { ...UNKNOWN, leftM: 0.2 + ((said * 37) % 300) / 100, measured: 'tape' as const };
      return {
        version: EVENT_VERSION,
        eventId: randomUUID(),
        shotId: randomUUID(),
        sessionId,
        deviceId,
        deviceSeq: said++,
        deviceAt: new Date().toISOString(),
        kind: 'record',
        payload: recordOf(TURNS[turn % TURNS.length]!, result, { playerId, sessionId }, new Date()),
      };
    },
  };
}

/** Bare inserts of balls, to compare with: what a ball costs the database and nothing else. */
export function insertsOf(pool: Pool, { academyId }: Member, next: () => ShotEvent): () => Promise<unknown> {
  return () => {
    const one = next();
    return pool.query(
      `insert into shot_event (academy_id, event_id, shot_id, session_id, kind, payload, actor, device_id, device_seq, device_at)
       values ($1, $2, $3, $4, $5, $6, 'bench', $7, $8, $9)`,
      [academyId, one.eventId, one.shotId, one.sessionId, one.kind, one.payload, one.deviceId, one.deviceSeq, one.deviceAt],
    );
  };
}

export const rest = (forMs: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, forMs));

/** Many at once, each going on as soon as it was answered, or after a pause from one to the next, until a moment has passed. @returns how long each took, in ms */
export async function together(
  count: number,
  forMs: number,
  run: (who: number, n: number) => Promise<unknown>,
  pauseMs = 0,
): Promise<number[]> {
  const until = performance.now() + forMs;
  const took: number[] = [];
  await Promise.all(
    Array.from({ length: count }, async (_, who) => {
      if (pauseMs) await rest(Math.random() * pauseMs);
      for (let n = 0; performance.now() < until; n++) {
        const one = await timed(() => run(who, n));
        took.push(one);
        if (pauseMs) await rest(Math.max(0, pauseMs - one));
      }
    }),
  );
  return took;
}

/** Follows a session as a live board does, and says how long after it was sent each expected ball is there. @param url of the instance that is asked */
export function follow(url: string, cookie: string, sessionId: string, there: (tookMs: number) => void) {
  const sent = new Map<string, number>();
  const path = `/api/v1/sessions/${sessionId}/live?after=0`;
  const stream = request(url + path, { headers: { cookie } }, (response) => {
    response.setEncoding('utf8').on('data', (part: string) => {
      for (const [eventId, since] of sent)
        if (part.includes(eventId)) {
          sent.delete(eventId);
          there(performance.now() - since);
        }
    });
    response.on('error', () => undefined);
  });
  stream.on('error', () => undefined);
  stream.end();
  const board = {
    over: false,
    expects: (eventId: string) => sent.set(eventId, performance.now()),
    end() {
      board.over = true;
      stream.destroy();
    },
  };
  return board;
}
