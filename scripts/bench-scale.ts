import { randomUUID } from 'node:crypto';
import { gzipSync } from 'node:zlib';
import { sql } from 'drizzle-orm';
import { Pool } from 'pg';
import { DEMO_GAMES } from '@/core/demo/games';
import { DEMO_COACH, DEMO_PLAYERS } from '@/core/demo/people';
import { demoSeason, DEMO_WEEKS, type DemoSession } from '@/core/demo/season';
import { plainEntrant } from '@/core/game/entrant';
import { shippedReference } from '@/core/golf/reference';
import type { Member } from '@/db/actor';
import { openDb } from '@/db/client';
import { withCopy } from '@/db/copy';
import { saveGame } from '@/db/queries/games';
import { savePlayer } from '@/db/queries/players';
import { rebuildShots } from '@/db/queries/projection';
import { authMember, session, sessionPlayer, shotEvent } from '@/db/schema';
import { addAcademy } from './demo-data';
import { makeCalls, ms, p50, p95, timed, times, type Answer } from './lib/load';
import { PAGES, placeOf, type Place } from './lib/pages';
import { insertsOf, makeRecorder, together } from './lib/recording';

/**
 * What a page costs in an academy of a million balls beside the same page in one of ten thousand, in one database and one run:
 * `npm run bench:scale`. It takes about half an hour and wants an idle machine; `BENCH_BALLS` makes the large academy
 * smaller, `BENCH_KEEP` names a folder in which what was filled stays for the next time.
 */
const [url, databaseUrl, part] = [process.env.BENCH_URL!, process.env.DATABASE_URL!, process.argv[2]];
const { db, pool } = openDb(databaseUrl, { patient: true });
const BALLS = Number(process.env.BENCH_BALLS ?? 1_000_000);
const EACH = 2500;
/** Players come as the demo's squad does. */
const SQUAD = DEMO_PLAYERS.length;
const SIZES = [
  { slug: 'small-field', players: SQUAD, each: 1250 },
  { slug: 'large-field', players: SQUAD * Math.max(1, Math.round(BALLS / EACH / SQUAD)), each: EACH },
] as const;
const SEASON_MS = DEMO_WEEKS * 7 * 86_400_000;
const count = (n: number) => n.toLocaleString('en');
const memory = () => `${(process.memoryUsage().rss / 1e6).toFixed(0)} MB`;

/** So many of the last balls of each of a squad, from as many seasons as it takes. */
function recordsOf(seed: number, now: Date, playerIds: readonly string[], each: number): DemoSession[] {
  const left = playerIds.map(() => each);
  const kept: DemoSession[] = [];
  for (let season = 0; left.some((balls) => balls > 0); season++) {
    const until = new Date(now.getTime() - season * SEASON_MS);
    const played = demoSeason(seed * 100 + season, until, playerIds, shippedReference);
    for (const one of played.toSorted((a, b) => b.startedAt.getTime() - a.startedAt.getTime())) {
      if (left[one.player]! <= 0) continue;
      left[one.player]! -= one.events.length;
      kept.push(one);
    }
  }
  return kept;
}

/** Makes an academy with the records that the simulator makes of players like the demo's: the events by COPY, all else from these. */
async function fill({ slug, players, each }: (typeof SIZES)[number], coach: string): Promise<void> {
  const now = new Date();
  const actor: Member = await addAcademy(db, now, { name: slug, slug, email: `${slug}@field.example` });
  const { academyId } = actor;
  await db.insert(authMember).values({ id: randomUUID(), organizationId: academyId, userId: coach, role: 'owner', createdAt: now });
  const games = DEMO_GAMES.map((spec) => ({ gameId: randomUUID() as string, spec }));
  for (const { gameId, spec } of games) await saveGame(db, actor, gameId, spec);
  let balls = 0;
  const made = await timed(async () => {
    for (let from = 0; from < players; from += SQUAD) {
      const ids = DEMO_PLAYERS.map(() => randomUUID() as string);
      for (const [i, { form }] of DEMO_PLAYERS.entries()) {
        const clubs = form.clubs.map(([label, loftDeg]) => ({ clubId: randomUUID(), label, loftDeg }));
        await savePlayer(db, actor, ids[i]!, { ...form, name: `${form.name} ${1 + from / SQUAD}`, clubs });
      }
      const records = recordsOf(1 + from, now, ids, each);
      balls += records.reduce((sum, { events }) => sum + events.length, 0);
      await withCopy(db, async (_, copy) => {
        await copy(
          session,
          records.map(({ sessionId, game, startedAt }) => ({
            ...{ academyId, sessionId, startedAt },
            ...{ gameId: games[game]!.gameId, gameVersion: 1, spec: games[game]!.spec },
          })),
        );
        await copy(
          sessionPlayer,
          records.map(({ sessionId, player }) => ({
            ...{ academyId, sessionId, position: 0 },
            ...plainEntrant(ids[player]!, DEMO_PLAYERS[player]!.form.level),
          })),
        );
        await copy(
          shotEvent,
          records.flatMap(({ events }) =>
            events.map(({ deviceAt, ...event }) => ({
              ...event,
              ...{ academyId, actor: `user:${coach}`, deviceAt: new Date(deviceAt), receivedAt: new Date(deviceAt) },
            })),
          ),
        );
      });
    }
  });
  const before = process.memoryUsage().rss;
  const rebuilt = await timed(() =>
    rebuildShots(db, actor, ({ sessions, balls: done }) => {
      if (sessions % 5000 === 0) console.log(`  ${count(sessions)} sessions, ${count(done)} balls, memory ${memory()}`);
    }),
  );
  const grown = (process.memoryUsage().rss - before) / 1e6;
  console.log(
    `${slug}: ${count(balls)} balls of ${players} players made in ${(made / 1000).toFixed(0)} s; ` +
      `all balls worked out from what was said in ${(rebuilt / 1000).toFixed(0)} s (${count(Math.round((1000 * balls) / rebuilt))} a second, ` +
      `memory ${memory()}, ${grown.toFixed(0)} MB more)${players > SQUAD ? `, ${wanted(rebuilt / 1000, WANTED.rebuildS * (balls / 1e6), 's')}` : ''}`,
  );
}

async function fillBoth(): Promise<void> {
  const [coach] = (await db.execute<{ id: string }>(sql`select id from auth_user where email = ${DEMO_COACH.email}`)).rows;
  for (const size of SIZES) {
    const there = await db.execute(sql`select 1 from auth_organization where slug = ${size.slug}`);
    if (there.rows.length > 0) console.log(`${size.slug}: there from before`);
    else await fill(size, coach!.id);
  }
  await db.execute(sql`vacuum analyze`);
  const { rows } = await db.execute<{ name: string; bytes: string }>(
    sql`select relname as name, pg_total_relation_size(oid)::text as bytes from pg_class
      where relnamespace = 'public'::regnamespace and relkind = 'r' order by pg_total_relation_size(oid) desc limit 4`,
  );
  const of = SIZES.reduce((sum, { players, each }) => sum + players * each, 0);
  console.log(
    `on disk with keys, for each 1,000 balls: ${rows.map(({ name, bytes }) => `${name} ${(Number(bytes) / of).toFixed(0)} kB`).join(', ')}`,
  );
}

const calls = makeCalls(url);
const WARM = 10;
const LOOKS = 11;
/** What is wanted: a page of the large academy costs at most so many times that of the small one, and is so large; the rest in seconds, or times. */
const WANTED = {
  ratio: 1.5,
  kB: 60,
  rebuildS: 600,
  /** All of a page, or what is drawn first of it. */
  startedS: { 'squad board': { all: 3 }, 'over time': { first: 0.3 } } as Record<string, { all?: number; first?: number }>,
  inserts: 10,
};
const wanted = (figure: number, most: number, unit: string) =>
  `wanted: ${Number(most.toFixed(1))} ${unit}${figure > most ? ', falls short' : ''}`;

async function signedIn() {
  const cookie = await calls.signIn(DEMO_COACH);
  return async (path: string) => {
    const answer = await calls.call('GET', path, cookie);
    if (answer.status !== 200) throw new Error(`${path} was answered ${answer.status}`);
    return answer;
  };
}

/** Looks at the squad, which also says that of older balls something is shown, until nothing of it is being worked out. */
async function settled(look: (path: string) => Promise<Answer>, base: string): Promise<void> {
  while ((await look(`${base}/players/squad`)).text.includes('being worked out')) await new Promise((later) => setTimeout(later, 2000));
}

async function pages(): Promise<void> {
  const look = await signedIn();
  const places = await Promise.all(SIZES.map(({ slug }) => placeOf(db, slug)));
  for (const [i, { base }] of places.entries())
    console.log(`${SIZES[i]!.slug}: every player summed up in ${((await timed(() => settled(look, base))) / 1000).toFixed(0)} s`);
  console.log(`\nwanted of every page: ${WANTED.ratio} x at most, ${WANTED.kB} kB at most`);
  console.log(`${'page, warm'.padEnd(22)} ${'small'.padStart(10)} ${'large'.padStart(10)}  ratio    first of  kB compressed (large)`);
  for (const [name, path] of Object.entries(PAGES)) {
    const [small, large] = places.map(path) as [string, string];
    let size = 0;
    for (let n = 0; n < WARM; n++) {
      await look(small);
      size = gzipSync((await look(large)).text).length / 1000;
    }
    const took: [number[], number[]] = [[], []];
    const drawn: number[] = [];
    // By turns, so that whatever else the machine does meets both.
    await times(LOOKS, async () => {
      took[0].push(await timed(() => look(small)));
      took[1].push(await timed(async () => drawn.push((await look(large)).firstMs)));
    });
    const ratio = p50(took[1]) / p50(took[0]);
    console.log(
      `${name.padEnd(22)} ${ms(p50(took[0])).padStart(10)} ${ms(p50(took[1])).padStart(10)} ${ratio.toFixed(2).padStart(6)} ${ms(p50(drawn)).padStart(10)}  ${size.toFixed(0).padStart(4)}` +
        `${ratio > WANTED.ratio || size > WANTED.kB ? '   falls short' : ''}`,
    );
  }
}

/** What is slow once, after the program was started. */
async function started(): Promise<void> {
  const look = await signedIn();
  const { base, player } = await placeOf(db, 'large-field');
  const first = {
    'squad board': `${base}/players/squad`,
    today: base,
    players: `${base}/players`,
    board: `${base}/players/${player}`,
    'over time': `${base}/players/${player}/time`,
  };
  console.log(`\n${'just started, large academy'.padEnd(22)}      all  first of`);
  for (const [name, path] of Object.entries(first)) {
    let firstMs = 0;
    const all = await timed(async () => ({ firstMs } = await look(path)));
    const most = WANTED.startedS[name] ?? {};
    const says = [
      most.all && `all, ${wanted(all / 1000, most.all, 's')}`,
      most.first && `first of, ${wanted(firstMs / 1000, most.first, 's')}`,
    ];
    console.log([name.padEnd(22), ms(all).padStart(10), ms(firstMs).padStart(10), ...says.filter(Boolean)].join(' '));
  }
}

/** How long another academy's page takes while all 400 players are summed up anew, beside an idle program. */
async function summing(): Promise<void> {
  const look = await signedIn();
  const [small, large] = (await Promise.all(SIZES.map(({ slug }) => placeOf(db, slug)))) as [Place, Place];
  const page = () => look(PAGES.games!(small));
  await times(20, page);
  const idle = await times(100, page);
  for (const table of ['brief', 'posterior'])
    await db.execute(
      sql`delete from ${sql.identifier(table)} where academy_id = (select id from auth_organization where slug = 'large-field')`,
    );
  let over = false;
  const begun = performance.now();
  const all = settled(look, large.base).then(() => (over = true));
  const beside: number[] = [];
  while (!over) beside.push(await timed(page));
  await all;
  console.log(
    `all players of the large academy summed up anew in ${((performance.now() - begun) / 1000).toFixed(0)} s; meanwhile a page of the other academy: ` +
      `p50 ${ms(p50(beside))}, p95 ${ms(p95(beside))} (${beside.length}), idle p50 ${ms(p50(idle))}, p95 ${ms(p95(idle))}: ` +
      `${(p50(beside) / p50(idle)).toFixed(1)} x and ${(p95(beside) / p95(idle)).toFixed(1)} x (67 x when this was begun)`,
  );
}

const DEVICES = 50;
const RECORD_MS = 60_000;
const FIRST_MS = 5000;

/** Fifty devices record in the large academy, a ball a second each, first of a program just started, then for a minute: without an error, beside as many bare inserts. */
async function record(): Promise<void> {
  const cookie = await calls.signIn(DEMO_COACH);
  const [{ academyId, userId }] = (
    await db.execute<{ academyId: string; userId: string }>(
      sql`select o.id as "academyId", m.user_id as "userId" from auth_organization o join auth_member m on m.organization_id = o.id where o.slug = 'large-field' limit 1`,
    )
  ).rows as [{ academyId: string; userId: string }];
  const coach: Member = { kind: 'owner', academyId, userId };
  const { rows: people } = await db.execute<{ id: string }>(
    sql`select player_id as id from player where academy_id = ${academyId} limit ${DEVICES}`,
  );
  const recorder = await makeRecorder(db, coach);
  const sessions = await Promise.all(people.map(({ id }) => recorder.begin([id])));
  const bareSession = await recorder.begin([people[0]!.id]);
  const bare = new Pool({ connectionString: databaseUrl, max: 20 });
  const bareInsert = insertsOf(bare, coach, () => recorder.ball(bareSession, people[0]!.id, 0));
  const inserts = await together(people.length, 10_000, bareInsert, 1000);
  await bare.end();
  const said = people.map(() => 0);
  const send = async (who: number) => {
    const events = [recorder.ball(sessions[who]!, people[who]!.id, said[who]!++)];
    const answer = await calls.call('POST', '/api/v1/shot-events', cookie, { sessionId: sessions[who], events });
    if (answer.status !== 200) throw new Error(`a ball was answered ${answer.status}: ${answer.text.slice(0, 200)}`);
  };
  const first = await together(people.length, FIRST_MS, send, 1000);
  const took = await together(people.length, RECORD_MS, send, 1000);
  const { rows } = await db.execute<{ n: number }>(
    sql`select count(*)::int as n from shot where academy_id = ${academyId} and session_id in ${sessions}`,
  );
  const sent = first.length + took.length;
  if (rows[0]!.n !== sent) throw new Error(`${sent} balls were sent, and ${rows[0]!.n} are there`);
  console.log(`bare inserts, 50 devices, one a second each: p50 ${ms(p50(inserts))}, p95 ${ms(p95(inserts))}`);
  console.log(
    `balls in the first ${FIRST_MS / 1000} s of a program just started: ${first.length}, p50 ${ms(p50(first))}, p95 ${ms(p95(first))}`,
  );
  console.log(
    `balls, 50 devices, one a second each, for ${RECORD_MS / 1000} s: ${count(took.length)} without an error, each there once; ` +
      `p50 ${ms(p50(took))}, p95 ${ms(p95(took))}: ${(p95(took) / p95(inserts)).toFixed(1)} x at p95, ${wanted(p95(took) / p95(inserts), WANTED.inserts, 'x')}`,
  );
}

const PARTS: Readonly<Record<string, () => Promise<void>>> = { fill: fillBoth, pages, summing, record, started };
await PARTS[part!]!();
calls.end();
await pool.end();
