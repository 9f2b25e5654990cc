import * as z from 'zod';

/*
 * What can be stored: text, whole numbers and moments, as every schema of what comes from outside has them. What the database
 * could not hold is refused here, with a sentence, and never gets as far.
 */

/** No control character, no half of a pair: neither can be stored, and neither can be seen. */
const PLAIN = /^[^\p{Cc}\p{Cs}]*$/u;
const PLAIN_LINES = /^(?:[^\p{Cc}\p{Cs}]|[\n\t])*$/u;
const NOT_PLAIN = 'This has a character that can’t be saved. Type it again.';

const text = (plain: RegExp, most: number) =>
  z
    .string()
    .overwrite((value) => value.replaceAll(/\r\n?/g, '\n'))
    .normalize('NFC')
    .trim()
    .max(most, `At most ${most} characters.`)
    .refine((value) => plain.test(value), NOT_PLAIN);

/** Whether text, of one line or several, has nothing that can't be stored. */
export const isPlain = (value: string): boolean => PLAIN_LINES.test(value.replaceAll('\r', ''));

/** One line of text, as people type it: put together where it came in parts, blanks around it gone. It may be empty. */
export const line = (most: number) => text(PLAIN, most);

/** One line of text that may not be empty. */
export const filledLine = (most: number, missing?: string) => line(most).min(1, missing);

/** Text of several lines; it may be empty. */
export const lines = (most: number) => text(PLAIN_LINES, most);

/** What names something within a document. */
export const key = filledLine(40);

/** The largest whole number of an integer column. */
export const MOST_WHOLE = 2 ** 31 - 1;
/** A whole number that an integer column holds. */
export const whole = (least = 0) => z.int().min(least).max(MOST_WHOLE);

/** Years before the first or after 9999 are no date that is stored, wherever on earth it is. */
const [FIRST, LAST] = [Date.parse('0001-01-02T00:00:00Z'), Date.parse('9999-12-30T00:00:00Z')];
/** A moment such as 2026-05-01T18:00:00Z. */
export const moment = z.iso
  .datetime({ offset: true })
  .refine((value) => Date.parse(value) >= FIRST && Date.parse(value) <= LAST, 'That date can’t be right.');

/** A day such as 2026-05-01, of the years in which somebody may have played, or may plan to. */
export const day = z.iso.date().refine((value) => value >= '1900' && value < '2200', 'Check the year.');

/** What a newer program says of something, and this one does not know: it is kept as it came, as far as it can be stored. */
const UNKNOWN_MOST = 4_000;
const unknownField = z.unknown().refine((value) => {
  const json = JSON.stringify(value) ?? '';
  return json.length <= UNKNOWN_MOST && !/\\u0000|\\ud[89a-f]/i.test(json);
}, 'This can’t be saved.');

/** An object that may be a newer program’s: what is not known of it is taken along. */
export function openObject<Shape extends z.ZodRawShape>(shape: Shape): z.ZodObject<Shape> {
  // Its type is that of what is known.
  return z.object(shape).catchall(unknownField) as unknown as z.ZodObject<Shape>;
}

/** A time zone that this machine knows, such as Europe/Dublin. */
export const timeZone = filledLine(60, 'Choose a time zone.').refine(isTimeZone, 'Choose a time zone from the list.');

/** Whether this machine knows a time zone. */
export function isTimeZone(name: string): boolean {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: name }).resolvedOptions().timeZone !== '';
  } catch {
    return false;
  }
}

/** The first thing that is wrong, with its place: "note: At most 500 characters." */
export function sayIssue(error: z.ZodError): string {
  const { path, message } = error.issues[0]!;
  return `${path.filter((step) => step !== 'payload').join('.') || 'what was sent'}: ${message}`;
}
