import 'server-only';
import { hourSchema } from '@/core/hour/hour';
import { filledWith } from '@/core/plan/filled';
import { hourOfDay } from '@/core/plan/hour-of-day';
import { neglectedOf } from '@/core/plan/neglected';
import type { BlockDone, Told } from '@/core/plan/verdict';
import { sayCell } from '@/core/board/say-cell';
import { clockOf } from '@/core/hour/run';
import { dayIn, endOfDayIn, startOfDayIn } from '@/core/units/day';
import { daysFrom } from '@/core/units/plain-day';
import { blockAt, daysOf } from '@/core/weeks/change';
import type { Aim, Block, PlannedDay, Weeks } from '@/core/weeks/weeks';
import type { Data, HourRow, ListedPlayer, WeeksRow } from '../data';
import { log } from '../log';
import { knownOf, type KnownAt } from './known';
import { changesBetween, type Stretch } from './over-time';
import { filledParts } from './proposals';
import { mixOf } from './yardsticks';

/** A coach at the desk: hours are saved. */
type Desk = KnownAt & { data: Data };

/** Weeks whose hours are being made. */
const underWay = new Set<string>();

/**
 * Makes the hours of planned weeks that are not there yet: those of the block that goes on, as what is known today decides them; none before
 * the shots of a block are chosen. One that somebody put away stays away.
 */
export async function makeHours(desk: Desk, row: WeeksRow): Promise<void> {
  const { weeksId, weeks } = row;
  if (row.archived || underWay.has(weeksId)) return;
  underWay.add(weeksId);
  try {
    const { data } = desk;
    const [today, rows] = await Promise.all([data.dayInAcademy(), data.listPlayers()]);
    const due = dueDays(weeks, today);
    const there = new Set((await data.hoursOf(due.map(({ hourId }) => hourId))).map(({ hourId }) => hourId));
    const missing = due.filter(({ hourId }) => !there.has(hourId));
    const players = row.players.flatMap(({ playerId }) => rows.find(({ player }) => player.playerId === playerId)?.player ?? []);
    if (missing.length === 0 || players.length === 0) return;
    const green = weeks.greenId ? ((await data.getGreen(weeks.greenId))?.plan ?? null) : null;
    const shots = await shotsOf(desk, players);
    for (const { hourId } of missing) {
      // It may have been moved or taken out meanwhile.
      const now = await data.getWeeks(weeksId);
      const day = now?.archived ? undefined : now?.weeks.days.find((one) => one.hourId === hourId);
      if (!day) continue;
      const turn = turnOf(weeks, day);
      const outline = hourOfDay(weeks, day, neglectedOf(shots, day.day, turn), players.length);
      const { parts, school } = outline.hour;
      const filled = await filledParts(desk, players, {
        school,
        parts,
        green,
        seed: turn + 1,
        shots: outline.shots,
        rehearses: outline.rehearses,
      });
      const hour = hourSchema.parse({ ...outline.hour, parts: filledWith(parts, filled, () => crypto.randomUUID()) });
      await data.saveHour(
        day.hourId,
        hour,
        players.map(({ playerId }) => playerId),
        null,
      );
    }
    await data.followWeeks(weeksId);
  } catch (error) {
    log.warn({ err: error }, 'hours of planned weeks could not be made');
  } finally {
    underWay.delete(weeksId);
  }
}

/** The days of the block that goes on, or comes next, from today on. */
export function dueDays(weeks: Weeks, today: string): PlannedDay[] {
  const block = weeks.blocks.findIndex(({ until, shots }) => until >= today && shots.length > 0);
  return block < 0 ? [] : daysOf(weeks, block).filter(({ day }) => day >= today);
}

/** How many days of its kind came before it in its block. */
function turnOf(weeks: Weeks, { day, aim }: PlannedDay): number {
  const block = blockAt(weeks, day);
  return daysOf(weeks, block).filter((one) => one.aim === aim && one.day < day).length;
}

/** How often each shot comes up for these players, on average, and when one of them hit it last. */
async function shotsOf(desk: KnownAt, players: readonly ListedPlayer[]) {
  const known = await Promise.all(
    players.map(async (player) => ({ cells: (await knownOf(desk, player)).evidence.cells, mix: mixOf(desk.model, player) })),
  );
  return desk.model.cells.map(({ key }) => {
    const lasts = known.flatMap(({ cells }) => cells.get(key)?.lastAt.getTime() ?? []);
    return {
      key,
      uses: known.reduce((sum, { mix }) => sum + (mix.get(key) ?? 0), 0) / known.length,
      lastAt: lasts.length > 0 ? new Date(Math.max(...lasts)) : null,
    };
  });
}

/** What is known of a block of weeks for one of its players. */
export async function blockDone(
  desk: KnownAt,
  weeks: Weeks,
  block: Block,
  hours: readonly HourRow[],
  player: ListedPlayer,
): Promise<BlockDone> {
  const { academy, model } = desk;
  const inside = daysOf(weeks, weeks.blocks.indexOf(block));
  const runs = inside.map(({ hourId, minutes }) => {
    const row = hours.find((one) => one.hourId === hourId);
    return row?.run ? { minutes: Math.round(clockOf(row.run, row.hour, Date.now()).goneS / 60), planned: minutes } : null;
  });
  const times = testTimes(block, inside, hours, academy.timeZone);
  const cells = block.shots.flatMap((key) => {
    const at = model.cells.findIndex((cell) => cell.key === key);
    return at < 0 ? [] : [at];
  });
  const changes = times ? await changesBetween(desk, player, times, cells) : [];
  const told = cells.map((_, i): Told | null => changes[i] ?? null);
  const testOf = (cell: number) => block.tests.find(({ shot }) => shot === model.cells[cell]!.key);
  const ran = (aim: Aim) => inside.filter((one) => one.aim === aim && hours.some(({ hourId, run }) => hourId === one.hourId && run)).length;
  return {
    days: inside.length,
    done: runs.filter((run) => run !== null).length,
    minutes: inside.reduce((sum, { minutes }) => sum + minutes, 0),
    minutesDone: runs.reduce((sum, run) => sum + (run ? Math.min(run.minutes, 2 * run.planned) : 0), 0),
    weeks: Math.max(1, Math.round((daysFrom(block.from, block.until) + 1) / 7)),
    tests: [ran('test'), ran('again')],
    shots: cells.map((cell, i) => ({
      shot: sayCell(model.cells[cell]!),
      told: told[i]!,
      shows: testOf(cell)?.shows ?? null,
      balls: testOf(cell)?.balls ?? 0,
    })),
  };
}

/**
 * Before: from the first day of the block to the end of its first test; since: from the day of the test again to the end. Balls from before the
 * block are no test: by them the shots were chosen, for being bad. A day counts where it was done, whenever that was.
 * @returns null without both
 */
function testTimes(block: Block, days: readonly PlannedDay[], hours: readonly HourRow[], timeZone: string): [Stretch, Stretch] | null {
  const doneOn = ({ hourId, day }: PlannedDay) => {
    const run = hours.find((one) => one.hourId === hourId)?.run;
    return run ? dayIn(new Date(run.startedAt), timeZone) : day;
  };
  const on = (aim: Aim) => days.filter((one) => one.aim === aim).map(doneOn);
  const [first, again] = [on('test').toSorted().at(-1), on('again').toSorted()[0]];
  if (!first || !again || again <= first) return null;
  return [
    { from: startOfDayIn(first < block.from ? first : block.from, timeZone), to: endOfDayIn(first, timeZone) },
    { from: startOfDayIn(again, timeZone), to: endOfDayIn(again > block.until ? again : block.until, timeZone) },
  ];
}
