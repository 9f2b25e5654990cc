import { secondsFor } from '../game/budget';
import { newHour } from '../hour/change';
import type { Hour, Part } from '../hour/hour';
import { fittedInto } from '../hour/minutes';
import type { School } from '../hour/school';
import { blockAt } from '../weeks/change';
import type { Aim, PlannedDay, Weeks } from '../weeks/weeks';
import { SAY_AIM } from '../weeks/say-aim';

/** An hour as a day of planned weeks wants it, before its parts are filled; and what they are filled for. */
export type Outline = { hour: Hour; shots: readonly string[]; rehearses: boolean };

/** Before an event nothing is repeated, and nothing tested. */
const FRESH = { repetition: 'none', again: false } as const satisfies Partial<School>;
const EASES: readonly Aim[] = ['less', 'rehearsal'];
/** Of a test day so much of the time is the test at most; of a rehearsal so much the game. */
const [TEST_SHARE, REHEARSAL_SHARE] = [0.8, 0.7];

/**
 * The hour of a day: on a day of the test its game last, with the minutes that it takes; on others the parts of the school, for the shots of
 * the block or what was left out; as in a round, putts and then the game.
 * @param neglected the shots that were left out for long, by their keys
 * @param players how many it is for
 */
export function hourOfDay(weeks: Weeks, { day, minutes, aim }: PlannedDay, neglected: readonly string[], players: number): Outline {
  const block = weeks.blocks[blockAt(weeks, day)];
  const tests = aim === 'test' || aim === 'again';
  const school: School = { ...weeks.school, ...(EASES.includes(aim) ? FRESH : {}), ...(tests ? { again: false } : {}) };
  const empty = newHour(`${SAY_AIM[aim]}: ${weeks.title}`.slice(0, 80), school, minutes, { day, greenId: weeks.greenId });
  const shots = aim === 'neglected' ? neglected : (block?.shots ?? []);
  const game = tests ? (block?.game ?? null) : null;
  if (game) {
    const test: Partial<Part> = { title: game.spec.title, game, pinned: true, why: aim === 'test' ? FIRST : AGAIN };
    const takes = Math.ceil(secondsFor(game.spec, players) / 60);
    return { hour: lastIn(empty, Math.min(takes, Math.floor(minutes * TEST_SHARE)), test), shots, rehearses: false };
  }
  if (aim === 'rehearsal') {
    const parts = empty.parts.filter(({ kind }) => kind === 'putting' || kind === 'game');
    const kept = { ...empty, parts: fittedInto(parts, minutes) };
    return { hour: lastIn(kept, Math.round(minutes * REHEARSAL_SHARE), {}), shots: [], rehearses: true };
  }
  return { hour: empty, shots, rehearses: false };
}

const FIRST = 'The first test. You’ll play the same game again at the end.';
const AGAIN = 'The re-test: the same game as the first test.';

/** Gives the game, which is last, so many minutes; the other parts share the rest, as far as each gets one. */
function lastIn(hour: Hour, minutes: number, change: Partial<Part>): Hour {
  const last = { ...hour.parts.at(-1)!, ...change };
  const others = hour.parts.slice(0, -1);
  const rest = hour.minutes - minutes;
  const kept = others.slice(Math.max(0, others.length - rest));
  if (kept.length === 0) return { ...hour, parts: [{ ...last, minutes: hour.minutes }] };
  return { ...hour, parts: [...fittedInto(kept, rest), { ...last, minutes }] };
}
