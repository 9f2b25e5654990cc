import { momentIn } from '../units/day';

/** In which order a date such as 3/5/2026 says its day and its month. */
export const DATE_ORDERS = ['dmy', 'mdy'] as const;
export type DateOrder = (typeof DATE_ORDERS)[number];

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
const FULL = ['january', 'february', 'march', 'april', 'may', 'june', 'july', 'august', 'september', 'october', 'november', 'december'];
const monthOf = (word: string): number => {
  const name = word.toLowerCase().replace(/\.$/, '');
  const short = name === 'sept' ? 8 : MONTHS.indexOf(name);
  return 1 + (short >= 0 ? short : FULL.indexOf(name));
};
const yearOf = (text: string): number => (text.length <= 2 ? 2000 + Number(text) : Number(text));

/** The parts of a date and of what stands behind it. */
const NUMBERS = /^(\d{1,2})[./-](\d{1,2})[./-](\d{2}|\d{4})(?:[,\s]+(.*))?$/;
const YEAR_FIRST = /^(\d{4})[./-](\d{1,2})[./-](\d{1,2})(?:[T,\s]+(.*))?$/i;
const DAY_NAMED = /^(?:[a-z]{2,9},?\s+)?(\d{1,2})(?:st|nd|rd|th)?[\s.-]*([a-z]{3,9}\.?)[\s,-]*(\d{4}|\d{2})(?:[,\s]+(.*))?$/i;
const MONTH_NAMED = /^(?:[a-z]{2,9},?\s+)?([a-z]{3,9}\.?)[\s-]*(\d{1,2})(?:st|nd|rd|th)?[\s,-]+(\d{4}|\d{2})(?:[,\s]+(.*))?$/i;

type Parts = { year: number; month: number; day: number; rest: string };

/** The day and the month of a date in figures, in the order in which they stand; null for any other date. */
export function figuresOf(text: string): [first: number, second: number, separator: string] | null {
  const figures = NUMBERS.exec(text.trim());
  return figures && [Number(figures[1]), Number(figures[2]), text.trim()[figures[1]!.length]!];
}

/** Whether a date in figures could be two. */
export function isEither(text: string): boolean {
  const [first, second] = figuresOf(text) ?? [13, 13];
  return first <= 12 && second <= 12 && first !== second;
}

function partsOf(text: string, order: DateOrder | null): Parts | 'either' | null {
  const iso = YEAR_FIRST.exec(text);
  if (iso) return { year: Number(iso[1]), month: Number(iso[2]), day: Number(iso[3]), rest: iso[4] ?? '' };
  const figures = NUMBERS.exec(text);
  if (figures) {
    const [one, two] = [Number(figures[1]), Number(figures[2])];
    const [year, rest] = [yearOf(figures[3]!), figures[4] ?? ''];
    const dayFirst = order === null ? (one > 12 ? true : two > 12 ? false : null) : order === 'dmy';
    if (dayFirst === null && one !== two) return 'either';
    return dayFirst === false ? { year, month: one, day: two, rest } : { year, month: two, day: one, rest };
  }
  const named = DAY_NAMED.exec(text);
  if (named && monthOf(named[2]!) > 0)
    return { year: yearOf(named[3]!), month: monthOf(named[2]!), day: Number(named[1]), rest: named[4] ?? '' };
  const month = MONTH_NAMED.exec(text);
  if (month && monthOf(month[1]!) > 0)
    return { year: yearOf(month[3]!), month: monthOf(month[1]!), day: Number(month[2]), rest: month[4] ?? '' };
  return null;
}

/** A time of day: "18:05", "6.05 pm", "6pm", "18:05:30", "18:05:30.25". */
const CLOCK = /^(\d{1,2})(?:[:.h](\d{2}))?(?:[:.](\d{2}))?(?:[.,]\d+)?\s*(am|pm|a\.m\.|p\.m\.)?$/i;

/** A time of day as "18:05"; null for what is none. */
export function readClock(text: string): string | null {
  const clock = CLOCK.exec(text.trim());
  if (!clock || (clock[2] === undefined && clock[4] === undefined)) return null;
  const half = clock[4]?.toLowerCase()[0];
  let hours = Number(clock[1]);
  if (half && (hours < 1 || hours > 12)) return null;
  if (half) hours = (hours % 12) + (half === 'p' ? 12 : 0);
  const minutes = Number(clock[2] ?? 0);
  return hours < 24 && minutes < 60 ? `${String(hours).padStart(2, '0')}:${String(minutes).padStart(2, '0')}` : null;
}

/** The time of a day on which nobody said one. */
const NOON = '12:00';
const ISO_MOMENT = /^\d{4}-\d{2}-\d{2}[T\s]\d{2}:\d{2}(?::\d{2}(?:\.\d+)?)?\s*(?:Z|[+-]\d{2}:?\d{2})$/i;

/**
 * When something was played, as people write it: 2026-05-03, 3/5/2026, 3.5.26, 3 May 2026, May 3, 2026, with or without a time of day, and
 * moments with an offset. Where no time is said it is noon.
 * @param order of a date in figures; null: told by the date itself, where it can be
 * @param clock of another column; null: none
 * @returns the moment in UTC; or a sentence of what is wrong
 */
export function readWhen(
  text: string,
  order: DateOrder | null,
  clock: string | null,
  timeZone: string,
): { moment: string } | { wrong: string } {
  const written = text.trim();
  if (ISO_MOMENT.test(written)) {
    const at = Date.parse(written.replace(' ', 'T').replace(/\s+(?=[Z+-])/i, ''));
    if (Number.isFinite(at)) return { moment: new Date(at).toISOString() };
  }
  const parts = partsOf(written, order);
  if (parts === 'either') return { wrong: 'could be two dates: say whether the day or the month comes first' };
  if (!parts) return { wrong: 'isn’t a date such as 3 May 2026 or 2026-05-03' };
  const { year, month, day } = parts;
  const real = new Date(Date.UTC(year, month - 1, day));
  if (month < 1 || month > 12 || real.getUTCDate() !== day || real.getUTCMonth() !== month - 1)
    return { wrong: 'isn’t a day of the calendar' };
  if (year < 1900 || year >= 2200) return { wrong: 'has a year that can’t be right' };
  const saidClock = clock?.trim() ? clock : parts.rest;
  const time = saidClock.trim() === '' ? NOON : readClock(saidClock);
  if (time === null) return { wrong: 'has a time that isn’t one such as 18:05' };
  const iso = `${String(year).padStart(4, '0')}-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`;
  return { moment: momentIn(iso, time, timeZone).toISOString() };
}
