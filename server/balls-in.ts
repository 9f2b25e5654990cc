import 'server-only';
import type { ShotEvent, Taken } from '@/core/shot/shot';
import type { Actor } from '@/db/actor';
import { takeInAll, type Post } from '@/db/queries/take-in';
import { LRUCache } from 'lru-cache';
import { database, WRITERS } from './db';
import { makeGatherer } from './gather';
import { makeTurns } from './turns';

/** So many posts and changes may wait; more are asked to come again. */
const WAITING = 1000;
/** So many posts of one session are taken in by one transaction. */
const POSTS_AT_ONCE = 40;
/** Of so many sessions it is remembered what is known of them. */
const REMEMBERED = 2000;

const turns = makeTurns({ most: WRITERS, waiting: WAITING });

/**
 * Runs what changes the balls of a session when it is that session's turn: before it takes a connection, so that a busy session holds one
 * at most, and connections are left for whoever reads.
 */
export function inTurn<T>({ academyId }: Actor, sessionId: string, job: () => Promise<T>): Promise<T> {
  return turns(`${academyId}/${sessionId}`, job);
}

const memory = new LRUCache<string, object>({ max: REMEMBERED });

type AskedPost = { sessionId: string; post: Post };

const gathered = makeGatherer<AskedPost, Taken>(
  turns,
  (all) => {
    const { sessionId, post } = all[0]!;
    const program = { kind: 'program', academyId: post.actor.academyId } as const;
    return takeInAll(
      database(),
      program,
      sessionId,
      all.map((one) => one.post),
      memory,
    );
  },
  { most: POSTS_AT_ONCE, waiting: WAITING },
);

/** Takes in what a device says about a session, together with what others say about it in the same moment. */
export function takeInTogether(
  actor: Actor,
  sessionId: string,
  events: readonly ShotEvent[],
  clockBehindMs: number | null = null,
): Promise<Taken> {
  return gathered(`${actor.academyId}/${sessionId}`, { sessionId, post: { actor, events, clockBehindMs } });
}
