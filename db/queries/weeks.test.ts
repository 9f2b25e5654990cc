import { beginRun } from '@/core/hour/run';
import { newPlayer } from '@/core/people/player';
import { idOf } from '@/core/testing/make';
import { hourOf } from '@/core/testing/make-hour';
import { weeksOf } from '@/core/testing/make-weeks';
import type { PlannedDay } from '@/core/weeks/weeks';
import type { PlayerByLink } from '../actor';
import { academies } from '../testing/academy';
import { getHour, hoursOf, listHours, saveHour, takeRun } from './hours';
import { savePlayer } from './players';
import { archiveWeeks, followWeeks, getWeeks, listWeeks, saveWeeks, weeksOfHour } from './weeks';

const { db, pool, academy } = academies('weeks', 12_000);
afterAll(() => pool.end());

type At = Awaited<ReturnType<typeof academy>>;
const idAt = ({ n }: At, i: number) => idOf(n * 100_000 + i);
const day = (at: At, i: number, on: string): PlannedDay => ({ hourId: idAt(at, 40 + i), day: on, at: null, minutes: 30, aim: 'practise' });
const made = (at: At) => weeksOf({ days: [day(at, 0, '2026-03-03'), day(at, 1, '2026-03-07'), day(at, 2, '2026-03-10')] });
const save = (at: At, weeks = made(at), basedOn: Date | null = null, who = [at.playerId]) =>
  saveWeeks(db, at.actor, idAt(at, 30), weeks, who, basedOn);
const stored = async (at: At) => (await getWeeks(db, at.actor, idAt(at, 30)))!;
const byLink = (at: At, playerId = at.playerId): PlayerByLink => ({ kind: 'player', academyId: at.actor.academyId, playerId, linkId: 'l' });
/** Their first two hours, as they are made when the days come near. */
async function withHours(at: At) {
  await save(at);
  for (const i of [0, 1]) {
    const { hourId, day: on } = made(at).days[i]!;
    await saveHour(db, at.actor, hourId, hourOf({ day: on }), [at.playerId], null);
  }
}
const begin = (at: At, i: number) =>
  takeRun(db, at.actor, beginRun(hourOf(), { runId: idAt(at, 60), hourId: made(at).days[i]!.hourId }, '2026-03-03T18:00:00.000Z'));

describe('planned weeks', () => {
  test('are read as they were saved, with whom they are for; in no other academy, and by a link one’s own alone', async () => {
    const [at, other] = [await academy(), await academy()];
    const eva = idAt(at, 20);
    await savePlayer(db, at.actor, eva, newPlayer('Eva', 'imperial'));
    expect(await save(at, made(at), null, [eva, at.playerId])).toBe(true);
    expect(await stored(at)).toMatchObject({ weeks: made(at), archived: false, players: [{ name: 'Eva' }, { name: 'Otto' }] });
    expect((await listWeeks(db, byLink(at)))[0]!.players.map(({ name }) => name)).toEqual(['Otto']);
    expect([await getWeeks(db, other.actor, idAt(at, 30)), await listWeeks(db, byLink(at, idOf(5)))]).toEqual([null, []]);
    expect((await weeksOfHour(db, at.actor, made(at).days[1]!.hourId))?.weeksId).toBe(idAt(at, 30));
    expect(await weeksOfHour(db, at.actor, idOf(3))).toBeNull();
  });

  test('what was changed elsewhere meanwhile is not written over; the same once more is no change', async () => {
    const at = await academy();
    await save(at);
    expect(await save(at)).toBe(true);
    const other = { ...made(at), title: 'Another title' };
    const { savedAt } = await stored(at);
    expect([await save(at, other), await save(at, other, savedAt)]).toEqual([false, true]);
    expect((await stored(at)).weeks.title).toBe('Another title');
  });

  test('hours follow their days and players; a day that is taken out takes its hour along, and brings it back', async () => {
    const at = await academy();
    await withHours(at);
    const eva = idAt(at, 20);
    await savePlayer(db, at.actor, eva, newPlayer('Eva', 'imperial'));
    const weeks = made(at);
    const [first, second, third] = weeks.days as [PlannedDay, PlannedDay, PlannedDay];
    const moved = { ...weeks, days: [{ ...first, day: '2026-03-04' }, third] };
    await save(at, moved, (await stored(at)).savedAt, [eva]);
    expect(await getHour(db, at.actor, first.hourId)).toMatchObject({ hour: { day: '2026-03-04' }, players: [{ name: 'Eva' }] });
    expect((await listHours(db, at.actor)).map(({ hourId }) => hourId)).toEqual([first.hourId]);
    await save(at, { ...moved, days: [...moved.days, second] }, (await stored(at)).savedAt, [eva]);
    expect((await listHours(db, at.actor)).map(({ hourId }) => hourId).toSorted()).toEqual([first.hourId, second.hourId].toSorted());
  });

  test('an hour that was begun stays as it was, wherever its day is put', async () => {
    const at = await academy();
    await withHours(at);
    await begin(at, 0);
    const weeks = made(at);
    await save(at, { ...weeks, days: [{ ...weeks.days[0]!, day: '2026-03-20' }] }, (await stored(at)).savedAt);
    const rows = await hoursOf(db, at.actor, [weeks.days[0]!.hourId, weeks.days[1]!.hourId]);
    expect(rows.find(({ hourId }) => hourId === weeks.days[0]!.hourId)).toMatchObject({ hour: { day: '2026-03-03' } });
    expect((await listHours(db, at.actor)).map(({ hourId }) => hourId)).toEqual([weeks.days[0]!.hourId]);
  });

  test('put away with the hours that nobody began, and brought back with them', async () => {
    const at = await academy();
    await withHours(at);
    await begin(at, 0);
    await archiveWeeks(db, at.actor, idAt(at, 30), true);
    expect([await listWeeks(db, at.actor), (await listWeeks(db, at.actor, { archived: true })).length]).toEqual([[], 1]);
    expect((await listHours(db, at.actor)).map(({ hourId }) => hourId)).toEqual([made(at).days[0]!.hourId]);
    await archiveWeeks(db, at.actor, idAt(at, 30), false);
    expect((await listHours(db, at.actor)).length).toBe(2);
    expect((await stored(at)).archived).toBe(false);
  });

  test('saved while they are put away, their hours stay away; an hour that came meanwhile follows', async () => {
    const at = await academy();
    await withHours(at);
    await archiveWeeks(db, at.actor, idAt(at, 30), true);
    expect(await save(at, { ...made(at), title: 'Another title' }, (await stored(at)).savedAt)).toBe(true);
    expect(await listHours(db, at.actor)).toEqual([]);
    await archiveWeeks(db, at.actor, idAt(at, 30), false);
    // Its day was moved while the hour was being made.
    const third = made(at).days[2]!;
    await saveHour(db, at.actor, third.hourId, hourOf({ day: '2026-02-01' }), [at.playerId], null);
    await followWeeks(db, at.actor, idAt(at, 30));
    expect((await getHour(db, at.actor, third.hourId))!.hour.day).toBe(third.day);
  });
});
