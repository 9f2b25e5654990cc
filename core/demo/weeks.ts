import type { BlockTest } from '../plan/block-test';
import { hourOfDay } from '../plan/hour-of-day';
import type { Hour } from '../hour/hour';
import { beginRun, nextPart } from '../hour/run';
import type { Run } from '../hour/run-schema';
import { PRESETS } from '../hour/school';
import { momentIn } from '../units/day';
import { mondayOf, plusDays } from '../units/plain-day';
import { BLOCK_DAYS } from '../weeks/blocks';
import { relaid, withBlock, withDay } from '../weeks/change';
import { WEEKS_VERSION } from '../weeks/steps';
import { weeksSchema, type Weeks } from '../weeks/weeks';

/** For whom the demo has planned weeks. */
export const DEMO_WEEKS_FOR = 'Ruaridh';

/** Of the days that are over, these were not done, and those took so many minutes more or less than planned. */
const [MISSED, LATE] = [[3], [4, -6, 0, 9, -3]] as const;
const MINUTE_MS = 60_000;

/** Planned weeks, and the hours of their days that are over, with how they were done. */
export type DemoWeeks = { weeks: Weeks; hours: { hourId: string; hour: Hour; run: Run }[] };

/**
 * Eight weeks up to a league, of which four are over: tested, practised, tested again, one day missed.
 * @param today the day there
 * @param test what each block works on, by the records of the demo
 * @param newId makes ids
 */
export function demoWeeks(today: string, timeZone: string, test: BlockTest, newId: () => string): DemoWeeks {
  const from = plusDays(mondayOf(today), -BLOCK_DAYS);
  const empty: Weeks = {
    format: 'inch-weeks',
    version: WEEKS_VERSION,
    title: 'Eight weeks to the spring league',
    from,
    until: plusDays(from, 2 * BLOCK_DAYS - 1),
    event: { name: 'Spring league', day: plusDays(from, 2 * BLOCK_DAYS) },
    rhythm: [
      { weekday: 2, at: '18:30', minutes: 50 },
      { weekday: 6, at: '10:00', minutes: 40 },
    ],
    school: PRESETS[0]!.school,
    greenId: null,
    blocks: [],
    days: [],
  };
  const { loses: _, game, ...told } = test;
  const block = { ...told, game: game && { gameId: newId(), spec: game } };
  const framed = relaid(empty, from, newId);
  const laid = relaid(withBlock(withBlock(framed, 0, block), 1, block), from, newId);
  // One day was moved to the day after.
  const weeks = weeksSchema.parse(withDay(laid, laid.days[2]!.hourId, { day: plusDays(laid.days[2]!.day, 1) }));
  const hours = weeks.days
    .filter(({ day }, i) => day < today && !MISSED.some((at) => at === i))
    .map((day, i) => {
      const { hour } = hourOfDay(weeks, day, [], 1);
      const start = momentIn(day.day, day.at!, timeZone).getTime();
      const at = (minutes: number) => new Date(start + minutes * MINUTE_MS).toISOString();
      let minute = 0;
      let run = beginRun(hour, { runId: newId(), hourId: day.hourId }, at(0));
      hour.parts.forEach((part, p) => {
        minute += part.minutes + (p === 0 ? LATE[i % LATE.length]! : 0);
        run = nextPart(run, hour, at(Math.max(p + 1, minute)));
      });
      return { hourId: day.hourId, hour, run };
    });
  return { weeks, hours };
}
