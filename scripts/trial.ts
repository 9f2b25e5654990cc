import { request } from 'node:http';
import { eq, sql } from 'drizzle-orm';
import { DEMO_COACH } from '@/core/demo/people';
import type { Member } from '@/db/actor';
import { openDb } from '@/db/client';
import { authMember, authOrganization } from '@/db/schema';
import { makeCalls, ms, p50, p95 } from './lib/load';
import { PAGES, placeOf } from './lib/pages';
import { follow, makeRecorder, rest, together } from './lib/recording';

/**
 * What has to hold of the running program however it is set up, on one instance or several, behind a pooler or beside a replica: each check says what
 * it found, or fails. `scripts/try-*.mjs` set things up and name the checks.
 */
const [url, urls, databaseUrl, replicaUrl] = [
  process.env.BENCH_URL!,
  process.env.BENCH_URLS!.split(','),
  process.env.DATABASE_URL!,
  process.env.REPLICA_URL,
];
const [DEVICES, RECORD_MS] = [50, 20_000];
const { db, pool } = openDb(databaseUrl, { patient: true });
const all = makeCalls(url);
const each = urls.map((one) => makeCalls(one, url));
const SLUG = 'lantern-hollow';

function must(holds: boolean, sentence: string): asserts holds {
  if (!holds) throw new Error(sentence);
}

const [academy] = await db.select().from(authOrganization).where(eq(authOrganization.slug, SLUG));
const [owner] = await db.select().from(authMember).where(eq(authMember.organizationId, academy!.id));
const coach: Member = { kind: 'owner', academyId: academy!.id, userId: owner!.userId };
const { rows: people } = await db.execute<{ id: string }>(
  sql`select player_id as id from player where academy_id = ${academy!.id} order by name`,
);
const players = people.map(({ id }) => id);
const recorder = await makeRecorder(db, coach);
const cookie = await all.signIn(DEMO_COACH);

/** Balls that were said again, since an instance that is just ending gave no answer: as a phone does, which knows that the same ball twice is one. */
let again = 0;
async function send(calls: ReturnType<typeof makeCalls>, sessionId: string, turn: number, who = players[0]!): Promise<string> {
  const event = recorder.ball(sessionId, who, turn);
  for (let tries = 0; ; tries++) {
    const { status, text } = await calls.call('POST', '/api/v1/shot-events', cookie, { sessionId, events: [event] });
    if (status === 200) return event.eventId;
    must(status === 502 && tries < 5, `a ball was answered ${status}: ${text.slice(0, 200)}`);
    again++;
    await rest(200);
  }
}

const CHECKS: Readonly<Record<string, () => Promise<string>>> = {
  /** One sign-in, every page of the desk, as often as there are instances. */
  async pages() {
    const at = await placeOf(db, SLUG);
    for (const [name, path] of Object.entries(PAGES))
      for (const calls of each) {
        const { status } = await calls.call('GET', path(at), cookie);
        must(status === 200, `${name} was answered ${status}`);
      }
    return `${Object.keys(PAGES).length} pages of the desk, of each of ${urls.length} instances with one sign-in`;
  },

  /** Many record at once: nothing is refused, and afterwards everything is there once. */
  async record() {
    const sessions = await Promise.all(Array.from({ length: DEVICES }, (_, i) => recorder.begin([players[i % players.length]!])));
    const sent = new Set<string>();
    const took = await together(
      DEVICES,
      RECORD_MS,
      async (who, n) => sent.add(await send(all, sessions[who]!, n, players[who % players.length]!)),
      1000,
    );
    const kept = async (table: 'shot_event' | 'shot') => {
      const { rows } = await db.execute<{ n: number }>(
        sql`select count(*)::int as n from ${sql.identifier(table)} where academy_id = ${coach.academyId} and session_id in ${sessions}`,
      );
      return rows[0]!.n;
    };
    const [events, balls] = [await kept('shot_event'), await kept('shot')];
    must(events === sent.size && balls === sent.size, `${sent.size} balls were sent, ${events} said and ${balls} are there`);
    return `${DEVICES} devices, a ball a second each, ${RECORD_MS / 1000} s: ${sent.size} balls, each there once, ${again} said again; p50 ${ms(p50(took))}, p95 ${ms(p95(took))}`;
  },

  /** A ball that one instance takes is on the live boards of all. */
  async live() {
    const sessionId = await recorder.begin([players[0]!]);
    const late: number[] = [];
    const boards = urls.map((one) => follow(one, cookie, sessionId, (tookMs) => late.push(tookMs)));
    await rest(1500);
    let turn = 0;
    for (const calls of each) {
      for (let n = 0; n < 5; n++) {
        const event = recorder.ball(sessionId, players[0]!, turn++);
        for (const board of boards) board.expects(event.eventId);
        const { status } = await calls.call('POST', '/api/v1/shot-events', cookie, { sessionId, events: [event] });
        must(status === 200, `a ball was answered ${status}`);
      }
      await rest(1000);
    }
    for (const board of boards) board.end();
    must(late.length === turn * boards.length, `of ${turn} balls on ${boards.length} boards only ${late.length} appeared`);
    return `${turn} balls through each instance, on a live board of each: all there, most ${ms(Math.max(...late))}`;
  },

  /** Wrong passwords are counted together, whichever instance hears them, by who sends them. */
  async limits() {
    const guess = async (from: string, n: number) => (await guessed(from, { ...DEMO_COACH, password: `wrong guess ${from} ${n}` })).status;
    const mine: number[] = [];
    for (let n = 0; n < 7; n++) mine.push(await guess('127.0.0.2', n));
    const free = mine.findIndex((status) => status === 429);
    must(free === 6 || free === 5, `of one sender ${free} guesses cost nothing: ${mine.join(' ')}`);
    const other = await guess('127.0.0.3', 0);
    must(other !== 429, 'another sender has to wait too');
    return `wrong passwords over ${urls.length} instances: from the ${free + 1}th on one sender waits, another does not`;
  },

  /** Who signs out at one instance is out at all. */
  async rights() {
    const own = await all.signIn(DEMO_COACH);
    const path = `/api/v1/home?academy=${SLUG}`;
    for (const calls of each) must((await calls.call('GET', path, own)).status === 200, 'a sign-in does not hold everywhere');
    const { status } = await each[0]!.call('POST', '/api/auth/sign-out', own, {});
    must(status === 200, `signing out was answered ${status}`);
    await rest(100);
    for (const calls of each) {
      const after = (await calls.call('GET', path, own)).status;
      must(after !== 200, 'somebody who signed out is still let in');
    }
    return 'who signs out at one instance is let in by none';
  },

  /** Whoever just recorded reads it, whichever instance they ask. */
  async reading() {
    const sessionId = await recorder.begin([players[0]!]);
    const rounds = 200;
    for (let n = 0; n < rounds; n++) {
      const eventId = await send(each[n % each.length]!, sessionId, n);
      const { status, text } = await each[(n + 1) % each.length]!.call('GET', `/api/v1/sessions/${sessionId}/bundle`, cookie);
      must(status === 200 && text.includes(eventId), `ball ${n + 1} was taken, and is not in what was read then (${status})`);
    }
    return `${rounds} balls, each read at once by the next instance`;
  },

  /** What one instance works out the others read, and nobody works it out again. */
  async kept() {
    const at = await placeOf(db, SLUG);
    const path = `${at.base}/players`;
    const versions = async () =>
      JSON.stringify(
        (await db.execute(sql`select player_id, xmin::text from posterior where academy_id = ${coach.academyId} order by 1`)).rows,
      );
    const settle = async (calls: ReturnType<typeof makeCalls>) => {
      while ((await calls.call('GET', path, cookie)).text.includes('being worked out')) await rest(500);
    };
    await settle(each[0]!);
    await rest(1000);
    const before = await versions();
    for (const calls of each) {
      await settle(calls);
      for (const page of ['board', 'squad board', 'report']) await calls.call('GET', PAGES[page]!(at), cookie);
    }
    must((await versions()) === before, 'what was believed was worked out again');
    return 'what is believed was worked out by one instance and read by the others';
  },

  /** The replica answers, and what it is asked for is no less new. */
  async replica() {
    const scans = await scansOf(() => CHECKS.reading!());
    must(scans > 0, 'nothing was read from the replica');
    return `200 balls, each read at once by the next instance; the replica's tables were read ${scans} times`;
  },

  /** While the replica stands still what is read is read elsewhere. */
  async still() {
    const scans = await onReplica(async (other) => {
      await other.execute(sql`select pg_wal_replay_pause()`);
      try {
        return await scansOf(() => CHECKS.reading!());
      } finally {
        await other.execute(sql`select pg_wal_replay_resume()`);
      }
    });
    return `200 balls, each read at once by the next instance; the replica's tables were read ${scans} times`;
  },
};

async function onReplica<T>(run: (other: typeof db) => Promise<T>): Promise<T> {
  must(!!replicaUrl, 'there is no replica');
  const other = openDb(replicaUrl);
  try {
    return await run(other.db);
  } finally {
    await other.pool.end();
  }
}

/** How often tables of the replica are read while something is done. */
const scansOf = (run: () => Promise<unknown>) =>
  onReplica(async (other) => {
    const count = async () => {
      // A connection tells what it read once it is idle, at most a second later.
      await rest(1500);
      const { rows } = await other.execute<{ n: string }>(sql`select sum(idx_scan + seq_scan)::text as n from pg_stat_user_tables`);
      return Number(rows[0]!.n);
    };
    const before = await count();
    await run();
    return (await count()) - before;
  });

/** A guess of a password from another address of this machine. */
function guessed(from: string, account: { email: string; password: string }): Promise<{ status: number }> {
  const { hostname, port } = new URL(url);
  return new Promise((resolve, reject) => {
    const headers = { 'content-type': 'application/json', origin: url };
    const sent = request(
      { hostname, port, method: 'POST', path: '/api/auth/sign-in/email', headers, localAddress: from, agent: false },
      (answer) => {
        answer.resume();
        answer.on('end', () => resolve({ status: answer.statusCode! }));
      },
    );
    sent.on('error', reject);
    sent.end(JSON.stringify(account));
  });
}

try {
  for (const name of process.argv.slice(2)) console.log(`  ✓ ${await CHECKS[name]!()}`);
} catch (error) {
  console.error(`  ✘ ${(error as Error).message}`);
  process.exitCode = 1;
}
for (const calls of [all, ...each]) calls.end();
await pool.end();
