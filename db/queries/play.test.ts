import { eq } from 'drizzle-orm';
import { newPlayer } from '@/core/people/player';
import type { ShotEvent } from '@/core/shot/shot';
import { between, game, idOf, left, record, voidOf } from '@/core/testing/make';
import type { Actor, Member, PlayerByLink } from '../actor';
import { authUser, reading, shot } from '../schema';
import { academies, own } from '../testing/academy';
import { plainEntrant } from '@/core/game/entrant';
import { bestOfGames } from './bests';
import { erasePlayer } from './erase';
import { saveGame } from './games';
import { kitOf } from './kit';
import { holderOfLink, keepLink, keepReaderKey, linksOf, playsIn, revokeLink, sessionOfReader } from './links';
import { addNote, notesAbout, notesOfSessions, removeNote, saveNote } from './notes';
import { listPlayers, savePlayer } from './players';
import { newestReading, takeReading } from './readings';
import {
  lastOfGames,
  conditionsToday,
  getSession,
  hasPlayed,
  saveConditions,
  saveConditionsToday,
  saveStationDistance,
  startSession,
  takeStart,
} from './sessions';
import { rebuildShots } from './projection';
import { eventsOfSession, sessionLog, shotsOfSessions } from './shots';
import { takeIn } from './take-in';

const { db, pool, academy } = academies('play', 1000);
afterAll(() => pool.end());

const NOW = new Date('2026-05-01T18:00:00Z');
const LATER = new Date('2026-05-31T18:00:00Z');
const hash = (text: string) => Buffer.from(text.padEnd(32, '.'));

/** An academy with a second player and a session of both. */
async function pair() {
  const at = await academy();
  const [mia, both] = [idOf(at.n * 100_000 + 11), idOf(at.n * 100_000 + 12)];
  await savePlayer(db, at.actor, mia, newPlayer('Mia', 'metric'));
  await startSession(
    db,
    at.actor,
    both,
    at.gameId,
    [at.playerId, mia].map((playerId) => ({ playerId, allowance: 0 })),
  );
  const link: PlayerByLink = { kind: 'player', academyId: at.actor.academyId, playerId: mia, linkId: idOf(at.n * 100_000 + 13) };
  await keepLink(db, at.actor, mia, { linkId: link.linkId, tokenHash: hash(`mia-${at.n}`), expiresAt: LATER });
  return { ...at, mia, both, link };
}
/** A second coach of an academy. */
async function anotherCoach({ academyId }: Member): Promise<Member> {
  const userId = `rob-${academyId}`;
  await db.insert(authUser).values({ id: userId, name: 'Rob', email: `${userId}@test.example` });
  return { kind: 'coach', academyId, userId };
}
type Pair = Awaited<ReturnType<typeof pair>>;
const ball = (at: Pair, playerId: string, turn: number, n: number): ShotEvent =>
  own({ n: at.n, playerId, sessionId: at.both }, record(game(), turn, left(5), n));

describe('personal links', () => {
  test('a link is found by its hash in its own academy, until it expires or is revoked', async () => {
    const [at, other] = [await pair(), await academy()];
    const { academyId } = at.actor;
    const find = (moment: Date, where = academyId) => holderOfLink(db, where, hash(`mia-${at.n}`), moment);
    expect(await find(NOW)).toMatchObject({ actor: at.link, academy: { slug: `play-${at.n}` }, expiresAt: LATER });
    expect(await find(NOW, other.actor.academyId)).toBeNull();
    expect(await holderOfLink(db, academyId, hash('another'), NOW)).toBeNull();
    expect(await find(LATER)).toBeNull();
    expect(await linksOf(db, at.actor, at.mia, NOW)).toMatchObject([{ linkId: at.link.linkId, lastUsedAt: NOW }]);
    await revokeLink(db, other.actor, at.link.linkId);
    expect(await find(NOW)).not.toBeNull();
    await revokeLink(db, at.actor, at.link.linkId);
    expect(await find(NOW)).toBeNull();
    expect(await linksOf(db, at.actor, at.mia, NOW)).toEqual([]);
  });

  test('no link is made for a player of another academy', async () => {
    const [at, other] = [await pair(), await academy()];
    const link = { linkId: idOf(at.n * 100_000 + 14), tokenHash: hash('foreign'), expiresAt: LATER };
    expect(await keepLink(db, other.actor, at.mia, link)).toBe(false);
  });

  test('by a link one records, corrects and removes one’s own balls, and nobody else’s', async () => {
    const at = await pair();
    const [ottos, mias] = [ball(at, at.playerId, 0, 1), ball(at, at.mia, 0, 2)];
    await takeIn(db, at.actor, at.both, [ottos]);
    expect(await takeIn(db, at.link, at.both, [mias])).toEqual({ stored: 1, known: 0, refused: [] });
    const refused = [
      [ball(at, at.playerId, 1, 3)],
      [{ ...voidOf(ottos, at.n * 1000 + 1), sessionId: at.both }],
      [{ ...voidOf(ottos, at.n * 1000 + 2), sessionId: at.both, kind: 'amend', payload: { leftM: 0.1 } } as ShotEvent],
    ];
    for (const events of refused)
      expect(await takeIn(db, at.link, at.both, events)).toEqual({
        stored: 0,
        known: 0,
        refused: [{ eventId: events[0]!.eventId, why: 'This ball is another player’s.' }],
      });
    expect(await shotsOfSessions(db, at.actor, [at.both])).toHaveLength(2);
    // A foreign ball in a batch keeps one's own from nothing.
    const [own, foreign] = [ball(at, at.mia, 1, 4), ball(at, at.playerId, 1, 5)];
    expect(await takeIn(db, at.link, at.both, [foreign, own])).toMatchObject({ stored: 1, refused: [{ eventId: foreign.eventId }] });
    await takeIn(db, at.link, at.both, [{ ...voidOf(own, at.n * 1000 + 6), sessionId: at.both }]);
    await takeIn(db, at.link, at.both, [{ ...voidOf(mias, at.n * 1000 + 3), sessionId: at.both }]);
    expect((await shotsOfSessions(db, at.actor, [at.both])).map((one) => one.playerId)).toEqual([at.playerId]);
  });

  test('a session that is there takes nobody in who starts it again', async () => {
    const at = await pair();
    expect(await hasPlayed(db, at.link, at.mia, at.gameId)).toBe(true);
    expect(await startSession(db, at.link, at.sessionId, at.gameId, [{ playerId: at.mia, allowance: 0 }])).toBe(false);
    expect([await playsIn(db, at.link, at.sessionId, at.mia), await playsIn(db, at.link, at.both, at.mia)]).toEqual([false, true]);
    const own = idOf(at.n * 100_000 + 20);
    const again = () => startSession(db, at.link, own, at.gameId, [{ playerId: at.mia, allowance: 0 }]);
    expect([await again(), await again()]).toEqual([true, true]);
    expect((await getSession(db, at.actor, own))!.players).toHaveLength(1);
  });
});

describe('what a session says about all its balls', () => {
  test('a corrected distance of a station moves its balls, and only those; a rebuild says the same', async () => {
    const at = await academy();
    const events = Array.from({ length: 6 }, (_, turn) => own(at, record(game(), turn, left(5))));
    await takeIn(db, at.actor, at.sessionId, events.slice(0, 4));
    await saveStationDistance(db, at.actor, at.sessionId, { key: 'a', distanceM: 12, source: 'tape' });
    await takeIn(db, at.actor, at.sessionId, events.slice(4));
    const distances = async () => (await shotsOfSessions(db, at.actor, [at.sessionId])).map((one) => one.distanceM);
    expect(await distances()).toEqual([12, 12, 12, 22.86, 22.86, 22.86]);
    await db.delete(shot).where(eq(shot.academyId, at.actor.academyId));
    await rebuildShots(db, at.actor);
    expect(await distances()).toEqual([12, 12, 12, 22.86, 22.86, 22.86]);
    await saveStationDistance(db, at.actor, at.sessionId, { key: 'a', distanceM: 13, source: 'laser' });
    expect((await distances())[0]).toBe(13);
    expect((await getSession(db, at.actor, at.sessionId))!.stations).toEqual([{ key: 'a', distanceM: 13, source: 'laser' }]);
  });

  test('the day said once holds for sessions before and after it; a session can differ', async () => {
    const at = await academy();
    await takeIn(db, at.actor, at.sessionId, [own(at, record(game(), 0, left(5)))]);
    await saveConditionsToday(db, at.actor, { stimpFt: 9, firmness: 'firm' });
    const next = idOf(at.n * 100_000 + 30);
    await startSession(db, at.actor, next, at.gameId, [{ playerId: at.playerId, allowance: 0 }]);
    expect((await getSession(db, at.actor, next))!.session.conditions).toEqual({ version: 1, stimpFt: 9, firmness: 'firm' });
    expect(await shotsOfSessions(db, at.actor, [at.sessionId])).toMatchObject([{ stimpFt: 9, firmness: 'firm', wind: null }]);
    await saveConditions(db, at.actor, at.sessionId, { stimpFt: 10, wind: 'behind' });
    expect(await shotsOfSessions(db, at.actor, [at.sessionId])).toMatchObject([{ stimpFt: 10, firmness: null, wind: 'behind' }]);
    expect(await conditionsToday(db, at.actor)).toEqual({ version: 1, stimpFt: 9, firmness: 'firm' });
    expect(await conditionsToday(db, (await academy()).actor)).toEqual({});
  });

  test('a player’s note and the coach’s stand side by side', async () => {
    const at = await pair();
    await saveNote(db, at.actor, at.both, at.mia, 'own', 'too quick');
    await saveNote(db, at.actor, at.both, at.mia, 'coach', 'good tempo');
    expect((await getSession(db, at.actor, at.both))!.notes).toEqual([
      { own: '', coach: '', coaches: [] },
      { own: 'too quick', coach: 'good tempo', coaches: [] },
    ]);
  });

  test('each coach has a note of their own, with name and time; a player reads them all', async () => {
    const at = await pair();
    const rob = await anotherCoach(at.actor);
    await saveNote(db, at.actor, at.both, at.mia, 'coach', 'good tempo');
    await saveNote(db, rob, at.both, at.mia, 'coach', 'watch the lie');
    await saveNote(db, rob, at.both, at.mia, 'coach', 'watch the lie first');
    const seen = async (actor: Actor) => (await getSession(db, actor, at.both))!.notes[1]!;
    expect(await seen(rob)).toMatchObject({ coach: 'watch the lie first', coaches: [{ by: 'Coach', text: 'good tempo' }] });
    expect(await seen(at.link)).toMatchObject({
      coach: 'watch the lie first',
      coaches: [
        { by: 'Coach', text: 'good tempo', at: expect.any(String) },
        { by: 'Rob', text: 'watch the lie first' },
      ],
    });
    expect(await notesOfSessions(db, at.actor, [at.both])).toMatchObject([
      { by: 'Coach', text: 'good tempo' },
      { by: 'Rob', text: 'watch the lie first' },
    ]);
    await saveNote(db, rob, at.both, at.mia, 'coach', '');
    expect(await seen(at.link)).toMatchObject({ coach: 'good tempo', coaches: [{ by: 'Coach' }] });
    // Nobody writes about somebody who does not play in it.
    await saveNote(db, rob, at.both, idOf(at.n * 100_000 + 77), 'coach', 'who?');
    expect(await notesOfSessions(db, at.actor, [at.both])).toHaveLength(1);
  });

  test('notes about a player are for coaches; each takes away what they wrote themselves', async () => {
    const at = await pair();
    const rob = await anotherCoach(at.actor);
    const [first, second] = [idOf(at.n * 100_000 + 80), idOf(at.n * 100_000 + 81)] as const;
    expect(await addNote(db, at.actor, at.mia, first, 'left wrist')).toBe(true);
    expect(await addNote(db, at.actor, at.mia, first, 'left wrist')).toBe(true);
    await addNote(db, rob, at.mia, second, 'exams until June');
    expect(await addNote(db, rob, idOf(at.n * 100_000 + 77), idOf(at.n * 100_000 + 82), 'who?')).toBe(false);
    expect(await notesAbout(db, rob, at.mia)).toMatchObject([
      { by: 'Rob', text: 'exams until June', mine: true },
      { by: 'Coach', text: 'left wrist', mine: false },
    ]);
    await removeNote(db, rob, first);
    await removeNote(db, rob, second);
    expect((await notesAbout(db, rob, at.mia)).map(({ noteId }) => noteId)).toEqual([first]);
    expect(await notesAbout(db, (await academy()).actor, at.mia)).toEqual([]);
    // They are none of the session's.
    expect((await getSession(db, at.link, at.both))!.notes[1]).toEqual({ own: '', coach: '', coaches: [] });
  });

  test('the log says who corrected what, and what came after a number', async () => {
    const at = await pair();
    const mias = ball(at, at.mia, 0, 1);
    await takeIn(db, at.actor, at.both, [mias]);
    const [first] = await eventsOfSession(db, at.actor, at.both);
    const amend: ShotEvent = { ...voidOf(mias, at.n * 1000 + 9), sessionId: at.both, kind: 'amend', payload: { mishit: 'thin' } };
    await takeIn(db, at.link, at.both, [amend]);
    expect((await eventsOfSession(db, at.actor, at.both, first!.seq)).map(({ event }) => event)).toEqual([amend]);
    expect((await sessionLog(db, at.actor, at.both)).map(({ by }) => by)).toEqual(['Coach', 'Mia, by link']);
  });
});

describe('readings', () => {
  async function reader() {
    const at = await academy();
    const keyId = idOf(at.n * 100_000 + 40);
    await keepReaderKey(db, at.actor, at.sessionId, { keyId, tokenHash: hash(`reader-${at.n}`), expiresAt: LATER });
    const one = (seq: number, n = seq) => ({ readingId: idOf(at.n * 100_000 + 60 + n), seq, distanceM: seq, ageMs: 0 });
    return { ...at, keyId, one, key: { keyId, sessionId: at.sessionId } };
  }

  test('a reading is taken once; one that comes after a newer one of its device changes nothing', async () => {
    const at = await reader();
    const take = (seq: number, n = seq) => takeReading(db, at.actor, at.key, at.one(seq, n));
    expect([await take(1), await take(1), await take(3), await take(2), await take(4, 3)]).toEqual([true, false, true, false, false]);
    expect((await newestReading(db, at.actor, at.sessionId, new Date(0)))?.distanceM).toBe(3);
    expect(await newestReading(db, at.actor, at.sessionId, new Date(Date.now() + 60_000))).toBeNull();
    expect(await db.$count(reading, eq(reading.academyId, at.actor.academyId))).toBe(2);
  });

  test('a key reads for its own session only, until it expires or another takes its place', async () => {
    const [at, other] = [await reader(), await reader()];
    const find = (moment: Date, academyId = at.actor.academyId) => sessionOfReader(db, academyId, hash(`reader-${at.n}`), moment);
    expect(await find(NOW)).toEqual(at.key);
    expect([await find(NOW, other.actor.academyId), await find(LATER)]).toEqual([null, null]);
    const next = { keyId: idOf(at.n * 100_000 + 41), tokenHash: hash('next'), expiresAt: LATER };
    await keepReaderKey(db, at.actor, at.sessionId, next);
    expect(await find(NOW)).toBeNull();
  });
});

test('balls that lie between two rings stay so when the day changes', async () => {
  const at = await academy();
  await takeIn(db, at.actor, at.sessionId, [own(at, record(game(), 0, between(3, 6)))]);
  await saveConditions(db, at.actor, at.sessionId, { wet: true });
  expect(await shotsOfSessions(db, at.actor, [at.sessionId])).toMatchObject([{ leftM: null, leftMinM: 0.9144, leftMaxM: 1.8288 }]);
});

describe('a session that a device began', () => {
  const begunAt = new Date('2026-04-20T16:00:00Z');
  const begin = (at: { n: number; gameId: string }, players: string[], more: object = {}) => ({
    sessionId: idOf(at.n * 100_000 + 70),
    academy: 'any',
    gameId: at.gameId,
    gameVersion: 1,
    startedAt: begunAt.toISOString(),
    entrants: players.map((playerId) => ({ ...plainEntrant(playerId, 7), allowance: 2 })),
    ...more,
  });

  test('it is taken in once, as it was begun: then, with the game and the level of then', async () => {
    const { mia, ...at } = await pair();
    const start = begin(at, [mia, at.playerId]);
    // Since it was begun the game was changed, and so was a level.
    await saveGame(db, at.actor, at.gameId, game({ title: 'Changed since' }));
    expect(await takeStart(db, at.actor, start, begunAt)).toBe(true);
    expect(await takeStart(db, at.actor, start, begunAt)).toBe(true);
    const found = (await getSession(db, at.actor, start.sessionId))!;
    expect(found.session).toMatchObject({ gameVersion: 1, startedAt: begunAt, spec: { title: game().title } });
    expect(found.entrants).toEqual(start.entrants);
    // Its balls come afterwards, and were played then.
    const [event] = [own(at, record(game(), 0, left(2), 30), start.sessionId)];
    await takeIn(db, at.actor, start.sessionId, [{ ...event!, deviceAt: '2026-04-20T16:05:00.000Z' } as ShotEvent]);
    expect((await getSession(db, at.actor, start.sessionId))!.shots).toHaveLength(1);
  });

  test('it begins with the day on which it was begun, not with the one on which it came', async () => {
    const at = await academy();
    await saveConditionsToday(db, at.actor, { wind: 'gusts' });
    const [then, today] = [begin(at, [at.playerId]), begin(at, [at.playerId], { sessionId: idOf(at.n * 100_000 + 71) })];
    await takeStart(db, at.actor, then, begunAt);
    await takeStart(db, at.actor, today, new Date());
    const day = async (id: string) => (await getSession(db, at.actor, id))!.session.conditions.wind;
    expect([await day(then.sessionId), await day(today.sessionId)]).toEqual([undefined, 'gusts']);
  });

  test('what is no more is said: the game, or everybody; of several who are left the others play', async () => {
    const { mia, ...at } = await pair();
    expect(await takeStart(db, at.actor, begin(at, [at.playerId], { gameId: idOf(1) }), begunAt)).toBe('no game');
    expect(await takeStart(db, at.actor, begin(at, [at.playerId], { gameVersion: 9 }), begunAt)).toBe('no game');
    expect(
      await takeStart(db, at.actor, begin(at, [at.playerId], { sessionId: at.sessionId, entrants: [plainEntrant(mia)] }), begunAt),
    ).toBe('another session');
    await erasePlayer(db, at.actor, mia);
    expect(await takeStart(db, at.actor, begin(at, [mia]), begunAt)).toBe('no player');
    expect(await takeStart(db, at.actor, begin(at, [mia, at.playerId]), begunAt)).toBe(true);
    expect((await getSession(db, at.actor, begin(at, []).sessionId))!.entrants.map(({ playerId }) => playerId)).toEqual([at.playerId]);
  });

  test('a guest is a player of no list; their balls are their own', async () => {
    const at = await academy();
    const guest = { playerId: idOf(at.n * 100_000 + 90), name: 'Coach' };
    const start = { ...begin(at, [at.playerId, guest.playerId]), guests: [guest, { playerId: idOf(1), name: 'Nobody here' }] };
    expect([await takeStart(db, at.actor, start, begunAt), await takeStart(db, at.actor, start, begunAt)]).toEqual([true, true]);
    expect((await getSession(db, at.actor, start.sessionId))!.players.map(({ name }) => name)).toEqual(['Otto', 'Coach']);
    expect((await listPlayers(db, at.actor)).map(({ player }) => player.name)).toEqual(['Otto']);
    expect((await listPlayers(db, at.actor, true)).map(({ player }) => player.name)).toEqual(['Coach']);
    // From the desk likewise.
    const [deskId, mia] = [idOf(at.n * 100_000 + 72), idOf(at.n * 100_000 + 91)];
    const entrants = [
      { playerId: at.playerId, allowance: 0 },
      { playerId: mia, allowance: 0, guest: 'Mia' },
    ];
    expect(await startSession(db, at.actor, deskId, at.gameId, entrants)).toBe(true);
    expect((await getSession(db, at.actor, deskId))!.players.map(({ name }) => name)).toEqual(['Otto', 'Mia']);
  });

  test('of each game the last session that is over, and the best of anybody; nothing of another academy', async () => {
    const { mia, ...at } = await pair();
    const other = await academy();
    await takeIn(
      db,
      at.actor,
      at.sessionId,
      Array.from({ length: 6 }, (_, turn) => own(at, record(game(), turn, left(2)))),
    );
    // Mia plays it later and less well, and stops a third one before it is over.
    const [second, third] = [idOf(at.n * 100_000 + 61), idOf(at.n * 100_000 + 62)];
    for (const [sessionId, playerId] of [
      [second, mia],
      [third, at.playerId],
    ] as const)
      expect(await startSession(db, at.actor, sessionId, at.gameId, [{ playerId, allowance: 0 }])).toBe(true);
    const hers = { ...at, sessionId: second, playerId: mia };
    const events = Array.from({ length: 6 }, (_, turn) => own(hers, record(game(), turn, left(5), 40 + turn)));
    await takeIn(db, at.actor, second, events);
    const last = await lastOfGames(db, at.actor);
    expect(last.map(({ session, outcome }) => [session.sessionId, outcome.scores[0]!.score])).toEqual([[second, 12]]);
    expect(await bestOfGames(db, at.actor)).toEqual([
      { gameId: at.gameId, least: { score: 12, name: 'Mia' }, most: { score: 24, name: 'Otto' } },
    ]);
    expect([await lastOfGames(db, other.actor), await bestOfGames(db, other.actor)]).toEqual([[], []]);
  });

  test('the kit has the present games, who plays with which clubs, and the best; a link’s has its own player’s', async () => {
    const { mia, ...at } = await pair();
    const other = await academy();
    await takeIn(
      db,
      at.actor,
      at.sessionId,
      Array.from({ length: 6 }, (_, turn) => own(at, record(game(), turn, left(2)))),
    );
    const all = await kitOf(db, at.actor);
    expect(all.games.map(({ gameId, version }) => [gameId, version])).toEqual([[at.gameId, 1]]);
    expect(all.players.map(({ name }) => name)).toEqual(['Mia', 'Otto']);
    expect(all.bests).toEqual([{ playerId: at.playerId, gameId: at.gameId, score: 24, sessions: 1 }]);
    const fresh = idOf(at.n * 100_000 + 80);
    await saveGame(db, at.actor, fresh, game({ title: 'Never played' }));
    expect((await kitOf(db, at.actor)).games).toHaveLength(2);
    const theirs = await kitOf(db, at.actor, { playerIds: [mia], games: 'played alone' });
    expect([theirs.games.map(({ gameId }) => gameId), theirs.players.map(({ name }) => name), theirs.bests]).toEqual([
      [at.gameId],
      ['Mia'],
      [],
    ]);
    expect((await kitOf(db, other.actor)).players.map(({ playerId }) => playerId)).toEqual([other.playerId]);
  });
});
