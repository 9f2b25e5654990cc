import { randomUUID } from 'node:crypto';
import { Pool } from 'pg';
import { DEMO_COACH } from '@/core/demo/people';
import { newPlayer } from '@/core/people/player';
import type { ShotEvent } from '@/core/shot/shot';
import type { Member } from '@/db/actor';
import { openDb } from '@/db/client';
import { savePlayer } from '@/db/queries/players';
import { rebuildShots } from '@/db/queries/projection';
import { takeIn } from '@/db/queries/take-in';
import { authMember, shot } from '@/db/schema';
import { eq } from 'drizzle-orm';
import { addAcademy } from './demo-data';
import { makeCalls, ms, p50, p95, timed, times } from './lib/load';
import { follow, insertsOf, makeRecorder, rest, together } from './lib/recording';

/**
 * What a ball costs the program, alone and among many, beside a bare insert into the same database: `npm run bench:load`. It takes about
 * two minutes and wants an idle machine; what it says of others are ratios.
 */
const [url, databaseUrl] = [process.env.BENCH_URL!, process.env.DATABASE_URL!];
const DEVICES = 60;
const { db, pool } = openDb(databaseUrl);
const { call, signIn, end } = makeCalls(url);

const coach: Member = await addAcademy(db, new Date(), { name: 'Long Field', slug: 'long-field', email: 'long@field.example' });
/** The demo's coach works in both: one sign-in sees the page of the one while balls go into the other. */
const [member] = await db.select().from(authMember).limit(1);
await db
  .insert(authMember)
  .values({ id: randomUUID(), organizationId: coach.academyId, userId: member!.userId, role: 'owner', createdAt: new Date() });
const cookie = await signIn(DEMO_COACH);

const players = Array.from({ length: 24 }, () => randomUUID() as string);
for (const [i, playerId] of players.entries()) await savePlayer(db, coach, playerId, newPlayer(`Player ${i + 1}`, 'imperial'));

const { begin, ball } = await makeRecorder(db, coach);
async function post(sessionId: string, events: ShotEvent[]): Promise<void> {
  const answer = await call('POST', '/api/v1/shot-events', cookie, { sessionId, events });
  if (answer.status !== 200) throw new Error(`a ball was answered ${answer.status}: ${answer.text.slice(0, 200)}`);
}
async function page(path: string): Promise<void> {
  const answer = await call('GET', path, cookie);
  if (answer.status !== 200) throw new Error(`${path} was answered ${answer.status}`);
}

const bare = new Pool({ connectionString: databaseUrl, max: 20 });
const bareSession = await begin([players[0]!]);
const bareInsert = insertsOf(bare, coach, () => ball(bareSession, players[0]!, 0));

const PAGE = '/a/lantern-hollow/games';

const parts: Record<string, () => Promise<void>> = {
  async alone() {
    const sessionId = await begin([players[0]!]);
    await times(300, (n) => post(sessionId, [ball(sessionId, players[0]!, n)]));
    const insert = await times(300, bareInsert);
    const posts = await times(300, (n) => post(sessionId, [ball(sessionId, players[0]!, 300 + n)]));
    console.log(`a bare insert alone: p50 ${ms(p50(insert))}, p95 ${ms(p95(insert))}`);
    console.log(`a ball alone:        p50 ${ms(p50(posts))}, p95 ${ms(p95(posts))}: ${(p95(posts) / p95(insert)).toFixed(1)} x at p95`);
  },
  async length() {
    const who = players.slice(0, 2);
    const costs: number[] = [];
    const filled = await begin(who);
    let next = 0;
    const some = (count: number) => Array.from({ length: count }, () => ball(filled, who[next % 2]!, Math.floor(next++ / 2)));
    for (const balls of [50, 500, 1900]) {
      while (next < balls) await post(filled, some(Math.min(50, balls - next)));
      const took = await times(60, () => post(filled, some(1)));
      costs.push(p50(took));
      console.log(`a ball in a session of ${balls}: p50 ${ms(p50(took))}, p95 ${ms(p95(took))}`);
    }
    console.log(`1,900 balls against 50: ${(costs[2]! / costs[0]!).toFixed(2)} x`);
  },
  async devices() {
    await bare.query('select 1');
    const insert = await together(50, 6000, bareInsert);
    const sessions = await Promise.all(Array.from({ length: 50 }, (_, i) => begin([players[i % 24]!])));
    const send = (who: number, n: number) => post(sessions[who]!, [ball(sessions[who]!, players[who % 24]!, n % 1000)]);
    await together(50, 4000, send);
    const posts = await together(50, 8000, send);
    console.log(`bare inserts, 50 at once: ${Math.round(insert.length / 6)}/s, p50 ${ms(p50(insert))}, p95 ${ms(p95(insert))}`);
    console.log(
      `balls, 50 devices at once: ${Math.round(posts.length / 8)}/s, p50 ${ms(p50(posts))}, p95 ${ms(p95(posts))}: ` +
        `${(p95(posts) / p95(insert)).toFixed(1)} x at p95`,
    );
  },
  async others() {
    await times(20, () => page(PAGE));
    const idle = await times(100, () => page(PAGE));
    console.log(`a page of another academy, idle: p50 ${ms(p50(idle))}, p95 ${ms(p95(idle))}`);
    for (const [name, pauseMs, shared] of [
      ['one session, a ball a second each', 1000, true],
      ['60 sessions, a ball a second each', 1000, false],
      ['one session, as fast as they are answered', 0, true],
      ['60 sessions, as fast as they are answered', 0, false],
    ] as const) {
      const one = await begin(players);
      const sessions = shared ? [one] : await Promise.all(Array.from({ length: DEVICES }, (_, i) => begin([players[i % 24]!])));
      const where = (who: number) => sessions[who % sessions.length]!;
      const late: number[] = [];
      const board = follow(url, cookie, where(0), (took) => late.push(took));
      const pages: number[] = [];
      const looking = (async () => {
        await rest(1500);
        while (!board.over) pages.push(await timed(() => page(PAGE)));
      })();
      const posts = await together(
        DEVICES,
        12_000,
        async (who, n) => {
          const event = ball(where(who), players[who % 24]!, n % 1000);
          if (who === 0) board.expects(event.eventId);
          await post(where(who), [event]);
        },
        pauseMs,
      );
      board.end();
      await looking;
      console.log(
        `${name}: ${Math.round(posts.length / 12)} balls/s, p50 ${ms(p50(posts))}, p95 ${ms(p95(posts))}; ` +
          `page p50 ${ms(p50(pages))}, p95 ${ms(p95(pages))} (${pages.length}): ${(p95(pages) / p95(idle)).toFixed(1)} x; ` +
          `live board p50 ${ms(p50(late))}, p95 ${ms(p95(late))}, most ${ms(Math.max(...late))} (${late.length})`,
      );
    }
  },
  async sums() {
    const ids = await demoPlayers();
    const cells = ['chip|fairway|20', 'pitch|fairway|40', 'chip|light_rough|10', 'pitch|light_rough|30'];
    const days = ['2026-10-01', '2026-10-15', '2026-11-01'];
    const time = (n: number) => `${DEMO}/players/${ids[n % ids.length]!}/time?since=${days[Math.floor(n / ids.length) % days.length]!}`;
    const cell = (n: number) =>
      `${DEMO}/players/${ids[n % ids.length]!}?cell=${encodeURIComponent(cells[Math.floor(n / ids.length) % 4]!)}`;
    const health = () => page('/api/health');
    await times(5, () => page(PAGE));
    const first = await times(ids.length, (n) => page(time(n)));
    const later = await times(24, (n) => page(time(n)));
    const cellFirst = await times(32, (n) => page(cell(n)));
    const cellAgain = await times(32, (n) => page(cell(n)));
    console.log(`over time, seen first: p50 ${ms(p50(first))}; again, other days too: p50 ${ms(p50(later))}, p95 ${ms(p95(later))}`);
    console.log(`a cell, seen first: p50 ${ms(p50(cellFirst))}; again: p50 ${ms(p50(cellAgain))}, p95 ${ms(p95(cellAgain))}`);
    const idle = { page: await times(60, () => page(PAGE)), health: await times(60, health) };
    // Days of which nothing is kept, so that the sums have to be done.
    const asked = Array.from({ length: 12 }, (_, n) => page(`${DEMO}/players/${ids[n % ids.length]!}/time?since=2026-10-${10 + n}`));
    let over = false;
    const all = Promise.all(asked).then(() => (over = true));
    const beside = { page: [] as number[], health: [] as number[] };
    const started = performance.now();
    while (!over) {
      beside.health.push(await timed(health));
      beside.page.push(await timed(() => page(PAGE)));
    }
    await all;
    const say = (what: 'page' | 'health') =>
      `${what} p50 ${ms(p50(beside[what]))} against ${ms(p50(idle[what]))} idle: ${(p50(beside[what]) / p50(idle[what])).toFixed(1)} x, ` +
      `most ${ms(Math.max(...beside[what]))} (${beside[what].length})`;
    console.log(`twelve over-time pages at once took ${ms(performance.now() - started)}; meanwhile ${say('page')}; ${say('health')}`);
  },
  async rebuild() {
    const sessions = await Promise.all(Array.from({ length: 250 }, (_, i) => begin([players[i % 24]!])));
    for (const [i, sessionId] of sessions.entries())
      await takeIn(
        db,
        coach,
        sessionId,
        Array.from({ length: 80 }, (_, n) => ball(sessionId, players[i % 24]!, n)),
      );
    const before = process.memoryUsage().rss;
    const took = await timed(() => rebuildShots(db, coach));
    const balls = await db.$count(shot, eq(shot.academyId, coach.academyId));
    const grown = (process.memoryUsage().rss - before) / 2 ** 20;
    console.log(
      `a rebuild of ${balls} balls: ${ms(took)}, ${Math.round((1000 * balls) / took)} balls/s, ${grown.toFixed(0)} MB more at its end`,
    );
  },
};

const DEMO = '/a/lantern-hollow';
async function demoPlayers(): Promise<string[]> {
  const { rows } = await pool.query<{ id: string }>(
    "select player_id as id from player p join auth_organization o on o.id = p.academy_id where o.slug = 'lantern-hollow' order by 1",
  );
  return rows.map(({ id }) => id);
}

const asked = process.argv.slice(2);
for (const [name, part] of Object.entries(parts)) if (asked.length === 0 || asked.includes(name)) await part();
end();
await Promise.all([pool.end(), bare.end()]);
