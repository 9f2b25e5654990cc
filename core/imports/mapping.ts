import * as z from 'zod';
import { documentKind } from '../document';
import { line, whole } from '../stored';
import { CLUB_M, PACE_M } from '../measures/sticks';
import type { OwnMeasures } from '../measures/read-length';
import { METRES_PER } from '../units/length';
import { DATE_ORDERS, figuresOf, type DateOrder } from './dates';
import { fieldsOf, TABLE_KINDS, type TableKind } from './fields';
import { plainWord } from './words';

/** In which units the lengths of a column can be. */
export const LENGTH_UNITS = ['ft', 'yd', 'm', 'in', 'cm', 'paces', 'clubs'] as const;
export type TableUnit = (typeof LENGTH_UNITS)[number];

/** Metres of one such unit; a pace and a club are those of whoever coaches. */
export const metresPer = (unit: TableUnit, own: OwnMeasures): number =>
  ({
    ft: METRES_PER.ft,
    yd: METRES_PER.yd,
    m: METRES_PER.m,
    in: METRES_PER.in,
    cm: 0.01,
    paces: own.paceM ?? PACE_M,
    clubs: own.clubM ?? CLUB_M,
  })[unit];

/** The version of a mapping that this program writes. */
export const MAPPING_VERSION = 1;

/** How somebody's own table is read: what each column means, and what holds for all rows. */
export const mappingSchema = z.strictObject({
  version: z.literal(MAPPING_VERSION),
  kind: z.enum(TABLE_KINDS),
  /** Whether the first row names the columns. */
  header: z.boolean(),
  /** The column of each field, from 0. */
  columns: z.record(z.string().max(40), whole()),
  /** What a field is in all rows, where no column says it. */
  all: z.record(z.string().max(40), line(80)),
  /** The unit of each length; one that its cells say themselves needs none. */
  units: z.record(z.string().max(40), z.enum(LENGTH_UNITS)),
  /** In which order a date in figures says its day and its month; null: the dates say it. */
  dates: z.enum(DATE_ORDERS).nullable(),
});
export type Mapping = z.infer<typeof mappingSchema>;

export const storedMappings = documentKind<Mapping>([]);

/** A unit of length as people write it; null for what is none. */
export function usualUnit(word: string): TableUnit | null {
  const unit = word.trim().toLowerCase().replace(/\.$/, '');
  if (/^(ft|feet|foot)$/.test(unit)) return 'ft';
  if (/^(yds?|yards?)$/.test(unit)) return 'yd';
  if (/^(m|metres?|meters?)$/.test(unit)) return 'm';
  if (/^(in|inch|inches)$/.test(unit)) return 'in';
  if (unit === 'cm') return 'cm';
  if (/^(paces?|steps?)$/.test(unit)) return 'paces';
  return /^clubs?$/.test(unit) ? 'clubs' : null;
}

/** What stands behind a column's name: "yd" of "Distance (yd)" and "left_ft". */
const ENDS = /(?:^|[\s_([]+)([a-z]+)[)\].]*$/i;

/** The unit that a column's name ends with; null where it says none. */
const unitIn = (name: string): TableUnit | null => usualUnit(ENDS.exec(name.trim())?.[1] ?? '');

/** A column's name without the unit behind it. */
const withoutUnit = (name: string) => (unitIn(name) ? plainWord(name.trim().replace(ENDS, '')) : '') || plainWord(name);

/** Whether a row looks as if it named columns: it has no figure, or only names that are known. */
export function looksLikeHead(cells: readonly string[]): boolean {
  return cells.some((cell) => cell.trim() !== '') && cells.every((cell) => !/^[\d.,:/\-\s]+$/.test(cell) || cell.trim() === '');
}

/** Dates in figures say their order where one of them can only be read in one way; a point between them puts the day first. */
export function orderOf(dates: readonly string[]): DateOrder | null {
  const figures = dates.map(figuresOf).filter((one) => one !== null);
  if (figures.some(([first]) => first > 12)) return 'dmy';
  if (figures.some(([, second]) => second > 12)) return 'mdy';
  return figures.length > 0 && figures.every(([, , between]) => between === '.') ? 'dmy' : null;
}

/**
 * What a table seems to hold, by the names of its columns and its first rows: as far as they say it.
 * @param as what it is said to hold; without it that is guessed too
 */
export function guessMapping(head: readonly string[], rows: readonly (readonly string[])[], as?: TableKind): Mapping {
  const header = looksLikeHead(head);
  const names = header ? head : head.map(() => '');
  const kind = as
    ? as
    : header && !finds('balls', names).shot_type && !finds('balls', names).distance && finds('scores', names).score
      ? 'scores'
      : 'balls';
  const columns = Object.fromEntries(
    Object.entries(finds(kind, names)).flatMap(([name, at]) => (at === undefined ? [] : [[name, at - 1] as const])),
  );
  const units: Mapping['units'] = {};
  for (const { name, reads } of fieldsOf(kind)) {
    const unit = reads === 'length' && columns[name] !== undefined ? unitIn(names[columns[name]]!) : null;
    if (unit) units[name] = unit;
  }
  const dates = columns.played_at === undefined ? [] : rows.map((row) => row[columns.played_at!] ?? '');
  return { version: MAPPING_VERSION, kind, header, columns, all: {}, units, dates: orderOf(dates) };
}

/** The columns of a kind of table by the names they have, counted from 1; each column means one thing. */
function finds(kind: TableKind, names: readonly string[]): Record<string, number | undefined> {
  const found: Record<string, number> = {};
  const taken = new Set<number>();
  const take = (matches: (name: string, field: string, called: readonly string[]) => boolean) => {
    for (const { name, called } of fieldsOf(kind)) {
      if (found[name] !== undefined) continue;
      const at = names.findIndex((column, i) => !taken.has(i) && matches(column, name, called));
      if (at < 0) continue;
      found[name] = at + 1;
      taken.add(at);
    }
  };
  // Our own names first, then what people call it.
  take((column, name) => plainWord(column) === name || withoutUnit(column) === name);
  take((column, _, called) => called.includes(plainWord(column)) || called.includes(withoutUnit(column)));
  return found;
}
