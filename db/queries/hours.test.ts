import { game, idOf } from '@/core/testing/make';
import { hourOf } from '@/core/testing/make-hour';
import { beginRun, nextPart, stopRun } from '@/core/hour/run';
import type { PlayerByLink } from '../actor';
import { academies } from '../testing/academy';
import { getGame, listGames, saveGame } from './games';
import { archiveHour, getHour, isPlannedFor, listHours, listSchools, saveHour, saveSchool, takeRun } from './hours';
import { PRESETS } from '@/core/hour/school';
import { mondayOf, plusDays } from '@/core/units/plain-day';
import { kitOf } from './kit';
import { savePlayer } from './players';
import { newPlayer } from '@/core/people/player';

const { db, pool, academy } = academies('hours', 11_000);
afterAll(() => pool.end());

type At = Awaited<ReturnType<typeof academy>>;
const ids = ({ n }: At) => ({ hourId: idOf(n * 100_000 + 40), gameId: idOf(n * 100_000 + 41), runId: idOf(n * 100_000 + 42) });
const made = (at: At) => hourOf({}, { gameId: ids(at).gameId, spec: game({ title: 'Made for Otto' }) });
const save = (at: At, hour = made(at), basedOn: Date | null = null) => saveHour(db, at.actor, ids(at).hourId, hour, [at.playerId], basedOn);
const byLink = (at: At, playerId = at.playerId): PlayerByLink => ({ kind: 'player', academyId: at.actor.academyId, playerId, linkId: 'l' });
const run = (at: At) => beginRun(made(at), { runId: ids(at).runId, hourId: ids(at).hourId }, '2027-05-01T18:00:00.000Z');

describe('planned hours', () => {
  test('an hour is read as it was saved, with whom it is for; in no other academy', async () => {
    const [at, other] = [await academy(), await academy()];
    expect(await save(at)).toEqual(made(at));
    const { hourId } = ids(at);
    expect(await getHour(db, at.actor, hourId)).toMatchObject({
      hour: made(at),
      players: [{ playerId: at.playerId, name: 'Otto' }],
      run: null,
    });
    expect((await listHours(db, at.actor)).map((row) => row.hourId)).toEqual([hourId]);
    expect([await getHour(db, other.actor, hourId), await listHours(db, other.actor)]).toEqual([null, []]);
  });

  test('what was changed elsewhere meanwhile is not written over; the same once more is no change', async () => {
    const at = await academy();
    await save(at);
    expect(await save(at)).toEqual(made(at));
    const changed = { ...made(at), title: 'Another title' };
    expect(await save(at, changed)).toBeNull();
    const { savedAt } = (await getHour(db, at.actor, ids(at).hourId))!;
    expect(await save(at, changed, savedAt)).toEqual(changed);
  });

  test('a game that is new is kept with it and stands in no list until it is saved as a game; one that is there already is that one', async () => {
    const at = await academy();
    await save(at);
    const { gameId, hourId } = ids(at);
    const listed = async () => (await listGames(db, at.actor)).map((row) => row.gameId);
    expect([(await getGame(db, at.actor, gameId))?.spec.title, (await listed()).includes(gameId)]).toEqual(['Made for Otto', false]);
    await saveGame(db, at.actor, gameId, game({ title: 'Made for Otto' }));
    expect(await listed()).toContain(gameId);
    // The academy's own game under an id of the page's.
    const own = hourOf({}, { gameId: idOf(at.n * 100_000 + 50), spec: game() });
    const { savedAt } = (await getHour(db, at.actor, hourId))!;
    expect((await save(at, own, savedAt))!.parts[1]!.game!.gameId).toBe(at.gameId);
    expect(await getGame(db, at.actor, idOf(at.n * 100_000 + 50))).toBeNull();
    // An id that another game has stays that game's.
    const stolen = hourOf({}, { gameId: at.gameId, spec: game({ title: 'Something else' }) });
    const again = await saveHour(db, at.actor, idOf(at.n * 100_000 + 43), stolen, [at.playerId], null);
    expect(again!.parts[1]!.game!.gameId).not.toBe(at.gameId);
    expect((await getGame(db, at.actor, at.gameId))!.spec.title).toBe(game().title);
  });

  test('a phone gets what it takes to run it: all at the desk, one’s own by a link', async () => {
    const at = await academy();
    await save(at);
    const { gameId } = ids(at);
    const another = idOf(at.n * 100_000 + 44);
    await savePlayer(db, at.actor, another, newPlayer('Eva', 'imperial'));
    const desk = await kitOf(db, at.actor);
    expect(desk.games.find((one) => one.gameId === gameId)).toMatchObject({ listed: false });
    const kit = (playerId: string) => kitOf(db, byLink(at, playerId), { playerIds: [playerId], games: 'played alone' });
    expect((await kit(at.playerId)).games.map((one) => one.gameId)).toContain(gameId);
    expect((await kit(another)).games).toEqual([]);
    expect([await isPlannedFor(db, byLink(at), at.playerId, gameId), await isPlannedFor(db, byLink(at), another, gameId)]).toEqual([
      true,
      false,
    ]);
    expect((await listHours(db, byLink(at))).length).toBe(1);
    expect(await listHours(db, byLink(at, another), { playerId: at.playerId })).toEqual([]);
    await archiveHour(db, at.actor, ids(at).hourId, true);
    expect((await kitOf(db, at.actor)).games.some((one) => one.gameId === gameId)).toBe(false);
    expect([(await listHours(db, at.actor)).length, (await listHours(db, at.actor, { archived: true })).length]).toEqual([0, 1]);
    await archiveHour(db, at.actor, ids(at).hourId, false);
    expect((await listHours(db, at.actor)).length).toBe(1);
  });

  test('of several players a link sees no other name', async () => {
    const at = await academy();
    const another = idOf(at.n * 100_000 + 44);
    await savePlayer(db, at.actor, another, newPlayer('Eva', 'imperial'));
    await saveHour(db, at.actor, ids(at).hourId, made(at), [another, at.playerId], null);
    expect((await getHour(db, at.actor, ids(at).hourId))!.players.map(({ name }) => name)).toEqual(['Eva', 'Otto']);
    expect((await listHours(db, byLink(at)))[0]!.players.map(({ name }) => name)).toEqual(['Otto']);
  });

  test('only what may still be done: today and later, yesterday too, all of this week, and what has no day', async () => {
    const at = await academy();
    const today = new Date().toISOString().slice(0, 10);
    const day = (ago: number) => plusDays(today, -ago);
    const monday = mondayOf(today);
    for (const [i, when] of [null, day(-3), day(1), plusDays(monday < day(1) ? monday : day(1), -1)].entries())
      await saveHour(db, at.actor, idOf(at.n * 100_000 + 60 + i), { ...made(at), day: when }, [at.playerId], null);
    const current = (await listHours(db, at.actor, { current: true })).map(({ hour }) => hour.day);
    expect(current).toEqual([null, day(-3), day(1)]);
    expect(await listHours(db, at.actor)).toHaveLength(4);
  });
});

describe('how an hour was done', () => {
  test('the newest telling counts, however they arrive; the run of another player’s hour is not taken', async () => {
    const at = await academy();
    await save(at);
    const [begun, second] = [run(at), nextPart(run(at), made(at), '2027-05-01T18:12:00.000Z')];
    const stopped = stopRun(second, '2027-05-01T18:20:00.000Z');
    for (const one of [begun, stopped, second]) expect(await takeRun(db, at.actor, one)).toBe(true);
    expect((await getHour(db, at.actor, ids(at).hourId))!.run).toEqual(stopped);
    expect(await takeRun(db, byLink(at), stopped)).toBe(true);
    expect(await takeRun(db, byLink(at, idOf(1)), stopped)).toBe(false);
    expect(await takeRun(db, at.actor, { ...stopped, hourId: idOf(5) })).toBe(false);
  });
});

test('a coach’s own school is kept, changed and taken away', async () => {
  const [at, other] = [await academy(), await academy()];
  const schoolId = idOf(at.n * 100_000 + 70);
  const own = { ...PRESETS[2]!.school, name: 'Winter' };
  await saveSchool(db, at.actor, schoolId, own);
  await saveSchool(db, at.actor, schoolId, { ...own, weeks: 3 });
  expect(await listSchools(db, at.actor)).toEqual([{ schoolId, school: { ...own, weeks: 3 } }]);
  expect(await listSchools(db, other.actor)).toEqual([]);
  await saveSchool(db, at.actor, schoolId, null);
  expect(await listSchools(db, at.actor)).toEqual([]);
});
