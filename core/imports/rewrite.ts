import type { TableProblem } from '../formats/row-reader';
import { readLength, type OwnMeasures } from '../measures/read-length';
import { saysSurface } from '../golf/shot-types';
import { shotTypeSchema } from '../golf/words';
import { snap } from '../units/length';
import { readWhen } from './dates';
import { fieldNamed, fieldsOf, isLength, type Field } from './fields';
import { metresPer, type Mapping } from './mapping';
import { usualWord, usualYesNo } from './words';

/** What has to be known to read somebody's own table: where its clocks stand, what day it is, and how long a coach's pace is. */
export type Given = { timeZone: string; nowMs: number; own: OwnMeasures };

/** A date without a time is noon, wherever that is: so far ahead of now it may be. */
const AHEAD_MS = 36 * 3_600_000;

const MOMENTS_KEPT = 5000;

/** Cells that say of what is left that nothing is. */
const HOLED = /^(holed|holed out|in|made|in the hole|h|holed!|0)$/i;
/** Two distances between which a ball stopped: "3-6 ft", "3 to 6"; or a ring: "<3", "inside 3 ft", ">10", "outside 10". */
const BETWEEN = /^([\d.,½¼¾]+\s*(?:[a-z]{1,6}|['"′″’”])?)\s*(?:-|–|\bto\b)\s*([\d.,½¼¾]+\s*[^\d\s]*)$/i;
const INSIDE = /^(?:<|<=|≤|inside|within|under)\s*(.+)$/i;
const OUTSIDE = /^(?:>|>=|≥|outside|over|beyond)\s*(.+)$/i;

/**
 * Somebody's own table in our columns: made once for a mapping.
 * @returns our columns, and what a row is in them: every row is given cells, with what could not be read of it
 */
export function rewriter(mapping: Mapping, given: Given) {
  const fields = fieldsOf(mapping.kind).filter(({ name }) => mapping.columns[name] !== undefined || mapping.all[name]);
  const left = fields.some(({ name }) => name === 'left');
  const columns = [
    ...new Set([
      ...fields.filter(({ name }) => name !== 'clock').map(({ name }) => (isLength(name) ? `${name}_m` : name)),
      // What is left can say that it is holed, or a ring.
      ...(left ? ['holed', 'left_min_m', 'left_max_m'] : []),
    ]),
  ];
  const at = new Map(columns.map((name, i) => [name, i]));
  const raw = (cells: readonly string[], name: string): string => {
    const column = mapping.columns[name];
    return column === undefined ? '' : (cells[column] ?? '').trim();
  };
  /** Most rows of a table are of few moments. */
  const moments = new Map<string, ReturnType<typeof readWhen>>();
  const when = (date: string, clock: string) => {
    const key = `${date}\t${clock}`;
    let known = moments.get(key);
    if (!known) {
      known = readWhen(date, mapping.dates, clock || null, given.timeZone);
      if (moments.size < MOMENTS_KEPT) moments.set(key, known);
    }
    return known;
  };
  const inAll = (name: string) => mapping.all[name] ?? '';
  /** A lie that holds for all rows is not that of a shot which says its own. */
  const saysLie = (cells: readonly string[]) => {
    const shot = shotTypeSchema.safeParse(usualWord('shot_type', said(cells, 'shot_type')));
    return shot.success && saysSurface(shot.data);
  };
  const said = (cells: readonly string[], name: string): string =>
    raw(cells, name) || (name === 'surface' && saysLie(cells) ? '' : inAll(name));

  const row = (cells: readonly string[], line: number): { cells: string[]; problems: TableProblem[] } => {
    const out = columns.map(() => '');
    const problems: TableProblem[] = [];
    const put = (column: string, text: string) => void (out[at.get(column)!] = text);
    for (const field of fields) {
      const { name, label } = field;
      const cell = said(cells, name);
      if (cell === '' || name === 'clock') continue;
      const wrong = (what: string) => problems.push({ line, column: name, message: `${label}: “${cell}” ${what}.` });
      if (field.reads === 'when') {
        const read = when(cell, said(cells, 'clock'));
        if ('wrong' in read) wrong(read.wrong);
        else if (Date.parse(read.moment) > given.nowMs + AHEAD_MS) wrong('is in the future');
        else put(name, read.moment);
      } else if (field.reads === 'length') putLength(field, cell, wrong, put);
      else if (field.reads === 'yes or no') put(name, usualYesNo(cell));
      else put(name, field.reads === 'word' ? usualWord(name, cell) : field.reads === 'number' ? cell.replace(/\s*°$/, '') : cell);
    }
    return { cells: out, problems };
  };

  function putLength({ name }: Field, cell: string, wrong: (what: string) => void, put: (column: string, text: string) => void): void {
    const unit = mapping.units[name];
    const read = (text: string) => {
      const metres = readLength(text.trim(), unit ? metresPer(unit, given.own) : NaN, given.own);
      return Number.isFinite(metres) ? String(snap(metres)) : null;
    };
    const both = (...lengths: readonly (readonly [column: string, text: string])[]) => {
      const metres = lengths.map(([column, text]) => [column, read(text)] as const);
      if (metres.some(([, length]) => length === null)) wrong(bare(cell) && !unit ? NEEDS_UNIT : 'isn’t a length');
      else for (const [column, length] of metres) put(column, length!);
    };
    if (name !== 'left') return both([`${name}_m`, cell]);
    if (HOLED.test(cell) && (cell !== '0' || mapping.columns.holed === undefined)) return put('holed', 'true');
    const between = BETWEEN.exec(cell);
    if (between) return both(['left_min_m', withUnitOf(between[1]!, between[2]!)], ['left_max_m', between[2]!]);
    const inside = INSIDE.exec(cell);
    if (inside) return both(['left_min_m', '0 m'], ['left_max_m', inside[1]!]);
    const outside = OUTSIDE.exec(cell);
    if (outside) return both(['left_min_m', outside[1]!]);
    return both(['left_m', cell]);
  }

  return { columns, row };
}

const NEEDS_UNIT = 'needs a unit: choose it for the whole column';
const bare = (cell: string) =>
  /^[^a-z'"′″’”]*$/i.test(cell.replace(/^(inside|within|under|outside|over|beyond|<|>|to)\s*/i, '').replace(/\bto\b/i, ''));
/** "3" of "3-6 ft" is in feet too. */
const withUnitOf = (first: string, second: string) =>
  /[a-z'"′″’”]/i.test(first) ? first : first + (/\s*[^\d.,½¼¾\s].*$/.exec(second)?.[0] ?? '');

/** Whether some cells of a column are lengths without a unit, so that it has to be asked for. */
export function needsUnit(cells: Iterable<string>): boolean {
  for (const cell of cells) {
    const text = cell.trim();
    if (text !== '' && !HOLED.test(text) && /\d/.test(text) && bare(text)) return true;
  }
  return false;
}

/** The field of which one of our columns speaks: "left_min_m" is of what is left, where it was read from that. */
export function fieldOfColumn(mapping: Mapping, column: string): string {
  const name = column.replace(/_m$/, '');
  if (fieldNamed(mapping.kind, name) && mapping.columns[name] !== undefined) return name;
  return /^(left|holed)/.test(name) && mapping.columns.left !== undefined ? 'left' : name;
}
