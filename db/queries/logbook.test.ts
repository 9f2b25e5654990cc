import { and, eq, sql } from 'drizzle-orm';
import type { LogbookFilter, LogbookPlace, LogbookSort } from '@/core/logbook/asked';
import { newPlayer } from '@/core/people/player';
import { game, holed, idOf, left, record, station, voidOf } from '@/core/testing/make';
import type { Member } from '../actor';
import { session, sessionPlayer } from '../schema';
import { lookAfter } from '../statistics';
import { withCopy } from '../copy';
import { academies, own } from '../testing/academy';
import { saveAcademy } from './academies';
import { saveGame } from './games';
import { listTags, logbookCount, logbookPage, logbookScores, saveTags } from './logbook';
import { savePlayer } from './players';
import { saveConditions, startSession, stopSession } from './sessions';
import { takeIn } from './take-in';

const { db, pool, academy } = academies('logbook', 21_000);
afterAll(() => pool.end());

/** Sessions of two players and two games, an hour apart, newest last; each stopped after a ball. */
async function played(count: number) {
  const at = await academy();
  const other = idOf(at.n * 100_000 + 9);
  const second = idOf(at.n * 100_000 + 8);
  await savePlayer(db, at.actor, other, newPlayer('Édith 100%', 'imperial'));
  await saveGame(
    db,
    at.actor,
    second,
    game({ title: 'Low Road', stations: [station('a', { shotType: 'chip', surface: 'fringe', balls: 2 })] }),
  );
  const sessions: string[] = [];
  for (let i = 0; i < count; i++) {
    const sessionId = idOf(at.n * 100_000 + 100 + i);
    const [gameId, playerId] = [i % 3 === 0 ? second : at.gameId, i % 2 === 0 ? at.playerId : other];
    await startSession(db, at.actor, sessionId, gameId, [{ playerId, allowance: 0 }]);
    await stopSession(db, at.actor, sessionId);
    // Two of them at the same moment: the id tells them apart.
    const startedAt = new Date(Date.UTC(2026, 4, 1, 10 + Math.floor(i / 2) * 2));
    await db
      .update(session)
      .set({ startedAt })
      .where(and(eq(session.academyId, at.actor.academyId), eq(session.sessionId, sessionId)));
    sessions.push(sessionId);
  }
  return { ...at, other, second, sessions };
}

async function pages(actor: Member, filter: LogbookFilter, sort: LogbookSort, limit: number): Promise<string[][]> {
  const all: string[][] = [];
  let after: LogbookPlace | null = null;
  do {
    const page: Awaited<ReturnType<typeof logbookPage>> = await logbookPage(db, actor, filter, { sort, after, limit });
    all.push(page.lines.map(({ session: { sessionId } }) => sessionId));
    after = page.next;
  } while (after);
  return all;
}

test.each(['newest', 'oldest', 'game'] as const)('page by page, %s: every session once, in one order', async (sort) => {
  const { actor, sessions } = await played(11);
  const one = (await pages(actor, {}, sort, 100)).flat();
  const cut = await pages(actor, {}, sort, 4);
  expect(cut.map(({ length }) => length)).toEqual([4, 4, 3]);
  expect(cut.flat()).toEqual(one);
  expect(one.toSorted()).toEqual(sessions.toSorted());
  if (sort === 'oldest') expect((await pages(actor, {}, 'newest', 100)).flat()).toEqual(one.toReversed());
});

test('each filter finds what it should, and together what all of them should', async () => {
  const { actor, playerId, other, gameId, second, sessions } = await played(6);
  const found = async (filter: LogbookFilter) => (await pages(actor, filter, 'oldest', 3)).flat().map((id) => sessions.indexOf(id));
  expect(await found({ playerId })).toEqual([0, 2, 4]);
  expect(await found({ gameId: second })).toEqual([0, 3]);
  expect(await found({ playerId: other, gameId })).toEqual([1, 5]);
  expect(await found({ find: 'low ro' })).toEqual([0, 3]);
  expect(await found({ find: 'ÉDITH' })).toEqual([1, 3, 5]);
  // What a pattern takes for more than itself is a sign like any other.
  expect(await found({ find: '100%' })).toEqual([1, 3, 5]);
  expect(await found({ find: '%' })).toEqual([1, 3, 5]);
  expect(await found({ find: '_' })).toEqual([]);
  expect(await found({ from: '2026-05-01', to: '2026-05-01' })).toEqual([0, 1, 2, 3, 4, 5]);
  expect(await found({ from: '2026-05-02' })).toEqual([]);
  expect(await found({ several: 'yes' })).toEqual([]);
  await saveConditions(db, actor, sessions[1]!, { firmness: 'firm', wet: true });
  expect([await found({ ground: 'firm' }), await found({ ground: 'wet' }), await found({ ground: 'soft' })]).toEqual([[1], [1], []]);
  await saveTags(db, actor, sessions[2]!, ['League']);
  await saveTags(db, actor, sessions[4]!, ['League', 'night']);
  expect([await found({ tag: 'League' }), await found({ tag: 'league' }), await found({ find: 'nigh' })]).toEqual([[2, 4], [], [4]]);
  expect(await listTags(db, actor)).toEqual(['League', 'night']);
  expect([
    await logbookCount(db, actor, {}, 100),
    await logbookCount(db, actor, {}, 4),
    await logbookCount(db, actor, { playerId }, 100),
  ]).toEqual([6, 4, 3]);
  const stranger = await academy();
  expect((await pages(stranger.actor, { find: 'low' }, 'newest', 9)).flat()).toEqual([]);
  expect(await listTags(db, stranger.actor)).toEqual([]);
});

test('a day is a day of the academy', async () => {
  const { actor, sessions } = await played(2);
  // 10:00 in UTC is 20:00 there; so is the day, until 14:00 in UTC.
  await saveAcademy(db, actor, { units: 'imperial', timeZone: 'Australia/Brisbane' });
  const late = new Date(Date.UTC(2026, 4, 1, 14, 30));
  await db
    .update(session)
    .set({ startedAt: late })
    .where(and(eq(session.academyId, actor.academyId), eq(session.sessionId, sessions[1]!)));
  const on = async (day: string) => (await pages(actor, { from: day, to: day }, 'newest', 9)).flat();
  expect([await on('2026-05-01'), await on('2026-05-02')]).toEqual([[sessions[0]], [sessions[1]]]);
});

test('by what was played: a shot and a lie of one ball; the goal, met, missed, and open again after a correction', async () => {
  const at = await academy();
  const spec = game();
  await saveGame(db, at.actor, at.gameId, { ...spec, goal: 6 });
  const met = idOf(at.n * 100_000 + 50);
  await startSession(db, at.actor, met, at.gameId, [{ playerId: at.playerId, allowance: 0 }]);
  const [first, ...rest] = [holed, left(1), left(40)].map((result, turn) => own(at, record(spec, turn, result), met));
  await takeIn(db, at.actor, met, [first!, ...rest]);
  await stopSession(db, at.actor, met);
  const found = async (filter: LogbookFilter) => (await pages(at.actor, filter, 'newest', 9)).flat();
  const { shotType, surface } = spec.stations[0]!;
  expect(await found({ shotType })).toEqual([met]);
  expect(await found({ shotType, surface })).toEqual([met]);
  expect(await found({ shotType, surface: 'sand' })).toEqual([]);
  expect([await found({ goal: 'met' }), await found({ goal: 'missed' })]).toEqual([[met], []]);
  expect([await found({ goal: 'met', playerId: at.playerId }), await found({ goal: 'met', playerId: idOf(1) })]).toEqual([[met], []]);
  // Played to its end and short of the goal: missed.
  const missed = idOf(at.n * 100_000 + 51);
  await startSession(db, at.actor, missed, at.gameId, [{ playerId: at.playerId, allowance: 0 }]);
  const far = spec.stations.flatMap(({ balls }) => Array.from({ length: balls }, () => left(40)));
  await takeIn(
    db,
    at.actor,
    missed,
    far.map((result, turn) => {
      const event = own(at, record(spec, turn, result), missed);
      return { ...event, eventId: idOf(at.n * 100_000 + 200 + turn), shotId: idOf(at.n * 100_000 + 300 + turn) };
    }),
  );
  expect([await found({ goal: 'met' }), await found({ goal: 'missed' })]).toEqual([[met], [missed]]);
  // Without its holed ball the one that was stopped has not met it, and could have.
  await takeIn(db, at.actor, met, [own(at, voidOf(record(spec, 0, holed), 1), met)]);
  expect([await found({ goal: 'met' }), await found({ goal: 'missed' })]).toEqual([[], [missed]]);
});

test('what is added while somebody looks through the pages moves nothing', async () => {
  const { actor, playerId, gameId, n, sessions } = await played(8);
  const first = await logbookPage(db, actor, {}, { sort: 'newest', after: null, limit: 4 });
  const added = idOf(n * 100_000 + 400);
  await startSession(db, actor, added, gameId, [{ playerId, allowance: 0 }]);
  await stopSession(db, actor, added);
  const second = await logbookPage(db, actor, {}, { sort: 'newest', after: first.next, limit: 4 });
  const ids = [...first.lines, ...second.lines].map(({ session: { sessionId } }) => sessionId);
  expect(ids.toSorted()).toEqual(sessions.toSorted());
});

test('scores of one game, of those who are looked for; and only sessions of two together', async () => {
  const at = await played(4);
  const { actor, playerId, other, gameId, sessions } = at;
  const both = idOf(at.n * 100_000 + 77);
  await startSession(db, actor, both, gameId, [
    { playerId, allowance: 0 },
    { playerId: other, allowance: 0 },
  ]);
  await stopSession(db, actor, both);
  const [page] = await pages(actor, { playerId, against: other }, 'newest', 9);
  expect(page).toEqual([both]);
  expect((await pages(actor, { playerId: other, against: playerId }, 'newest', 9))[0]).toEqual([both]);
  expect(await logbookScores(db, actor, { gameId })).toBeNull();
  const scored = (sessionId: string, score: number) =>
    db
      .update(sessionPlayer)
      .set({ score })
      .where(and(eq(sessionPlayer.academyId, actor.academyId), eq(sessionPlayer.sessionId, sessionId)));
  await scored(sessions[1]!, 7);
  await scored(sessions[2]!, 9);
  const found = await logbookScores(db, actor, { gameId });
  expect(found!.scores.map(({ name, version, score }) => [name, version, score])).toEqual([
    ['Otto', 1, 9],
    ['Édith 100%', 1, 7],
  ]);
  expect((await logbookScores(db, actor, { gameId, playerId }))!.scores.map(({ score }) => score)).toEqual([9]);
});

test('a page of ten thousand sessions that came just now is there', async () => {
  const at = await academy();
  // As whatever brings in so many does.
  await withCopy(db, async (tx) => {
    await tx.execute(sql`insert into session (academy_id, session_id, game_id, game_version, spec, started_at, completed_at)
      select s.academy_id, gen_random_uuid(), s.game_id, s.game_version, s.spec, moment, moment
      from session s, generate_series(1, 10000) n, lateral (select '2026-06-01T12:00:00Z'::timestamptz - n * interval '3 hours' as moment) t
      where s.academy_id = ${at.actor.academyId} and s.session_id = ${at.sessionId}`);
    await tx.execute(sql`insert into session_player (academy_id, session_id, player_id, position, level, score)
      select academy_id, session_id, ${at.playerId}::uuid, 0, 18, 21 from session
      where academy_id = ${at.actor.academyId} and session_id <> ${at.sessionId}`);
  });
  await lookAfter(db, 10_000);
  const { lines, next } = await logbookPage(db, at.actor, {}, { sort: 'newest', after: null, limit: 50 });
  expect([lines.length, next === null]).toEqual([50, false]);
  expect(lines[0]!.before).toEqual({ score: 21, last: 21, best: 21 });
  expect(await logbookCount(db, at.actor, {}, 20_000)).toBe(10_000);
}, 60_000);
