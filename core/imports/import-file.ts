import { readCell } from '../formats/cells';
import { eachLine } from '../formats/each-line';
import type { TableProblem } from '../formats/row-reader';
import { sayResult } from '../shot/say-shot';
import { say } from '../golf/words';
import { unitOf } from '../golf/shot-types';
import { formatLength } from '../units/format';
import type { UnitSystem } from '../units/length';
import { BATCH_LETTERS, BATCH_ROWS, batchReader, MOST_PLAYERS, MOST_ROWS, type Batch, type KeptRow } from './batch';
import { isEither } from './dates';
import { fieldNamed, fieldsOf, NEEDED, type TableKind } from './fields';
import { guessMapping, type Mapping } from './mapping';
import { fieldOfColumn, needsUnit, rewriter, type Given } from './rewrite';

type Row = { line: number; cells: string[] };

/** A row that can't be kept as it is: its cells, and what is wrong, by field. */
export type BadRow = { line: number; cells: readonly string[]; problems: readonly { field: string; message: string }[] };
/** What a row becomes, in words. */
export type RowShown = { line: number; player: string; playedAt: string; what: string; came: string };
/** What a table comes to, read in one way. */
export type Look = {
  rows: number;
  good: number;
  bad: number;
  /** The first of those that can't be kept. */
  badRows: readonly BadRow[];
  /** Everybody it names, with how many rows each has. */
  players: readonly { name: string; rows: number }[];
  /** The first rows as they will be kept. */
  shown: readonly RowShown[];
  /** Fields that every row has to say, and nothing says. */
  missing: readonly string[];
  /** Lengths of which nobody knows the unit. */
  unitless: readonly string[];
  /** Whether dates could be read in two ways. */
  eitherDate: boolean;
};

const SHOWN = 8;
const BAD_SHOWN = 60;
/** So often a long reading stops for breath. */
const BREATH = 500;

/** A file that can't be taken in at all: a sentence. */
export class NoTable extends Error {}

/** Somebody's own table, as it is being looked at before it is kept. It is changed by corrections, and by nothing else. */
export class ImportFile {
  readonly #rows: Row[] = [];
  readonly #corrected = new Map<number, string[]>();
  /** Lines that were bad when it was last looked through, and by which mapping that was. */
  #bad: { by: string; lines: Set<number> } | null = null;

  /** @throws NoTable for what has no rows, or too many */
  constructor(text: string) {
    const plain = text.replace(/^\uFEFF/, '');
    // A line with which a spreadsheet says what stands between its cells.
    const says = /^sep=(.)\r?\n/i.exec(plain);
    eachLine(
      says ? `\n${plain.slice(says[0].length)}` : plain,
      (cells, line) => {
        this.#rows.push({ line, cells });
        return this.#rows.length <= MOST_ROWS;
      },
      says?.[1],
    );
    if (this.#rows.length === 0) throw new NoTable('This file is empty.');
    if (this.#rows.length > MOST_ROWS) throw new NoTable(`This file has more than ${MOST_ROWS.toLocaleString('en')} rows. Split it.`);
    if (this.#rows[0]!.cells.length > 80) throw new NoTable('This file has more than 80 columns. Is it a table?');
    if (plain.slice(0, 4000).includes('\u0000')) throw new NoTable('This isn’t a text file. In your spreadsheet, save the sheet as CSV.');
  }

  /** Its first row as it stands. */
  get head(): readonly string[] {
    return this.#rows[0]!.cells;
  }

  /** How its columns are called; those without a name by their number. */
  names({ header }: Pick<Mapping, 'header'>): string[] {
    return this.head.map((name, i) => (header && name.trim() ? name.trim() : `Column ${i + 1}`));
  }

  /** The first cell of each column that says something. */
  examples(mapping: Pick<Mapping, 'header'>): string[] {
    const rows = this.#body(mapping).slice(0, 50);
    return this.head.map((_, i) => rows.map(({ cells }) => cells[i]?.trim() ?? '').find(Boolean) ?? '');
  }

  /** How it is probably to be read. @param as what it is said to hold */
  guess(as?: TableKind): Mapping {
    return guessMapping(
      this.head,
      this.#rows.slice(1, 2000).map(({ cells }) => cells),
      as,
    );
  }

  /** Cells of a row instead of those in the file. */
  correct(line: number, cells: readonly string[]): void {
    this.#corrected.set(line, [...cells]);
    this.#bad = null;
  }

  #body({ header }: Pick<Mapping, 'header'>): Row[] {
    return header ? this.#rows.slice(1) : this.#rows;
  }
  #cells = ({ line, cells }: Row) => this.#corrected.get(line) ?? cells;

  /** Every row, read by a mapping: one that can be kept, or what is wrong with it. */
  *#read(mapping: Mapping, given: Given): Generator<{ row: Row; ours: string[]; kept: KeptRow } | { row: Row; problems: TableProblem[] }> {
    const { columns, row: rewrite } = rewriter(mapping, given);
    const read = batchReader(mapping.kind, columns);
    for (const row of this.#body(mapping)) {
      const { cells, problems } = rewrite(this.#cells(row), row.line);
      if (problems.length > 0) {
        yield { row, problems };
        continue;
      }
      const found = read(cells, row.line);
      yield 'kept' in found ? { row, ours: cells, kept: found.kept } : { row, problems: found.problems };
    }
  }

  /** What the table comes to, read in one way; from time to time how far it got. */
  *look(mapping: Mapping, given: Given, system: UnitSystem): Generator<number, Look> {
    const says = (name: string) => mapping.columns[name] !== undefined || Boolean(mapping.all[name]);
    const missing = NEEDED[mapping.kind].filter((name) => !says(name));
    const body = this.#body(mapping);
    const unitless = fieldsOf(mapping.kind)
      .filter(({ name, reads }) => reads === 'length' && mapping.columns[name] !== undefined && !mapping.units[name])
      .filter(({ name }) => needsUnit(body.map((row) => this.#cells(row)[mapping.columns[name]!] ?? '')))
      .map(({ name }) => name);
    const eitherDate = mapping.dates === null && body.some((row) => isEither(this.#cells(row)[mapping.columns.played_at ?? -1] ?? ''));
    const look = { rows: body.length, good: 0, bad: 0, badRows: [] as BadRow[], shown: [] as RowShown[], missing, unitless, eitherDate };
    const players = new Map<string, number>();
    if (missing.length > 0 || unitless.length > 0 || eitherDate) return { ...look, players: [] };
    let done = 0;
    const bad = new Set<number>();
    for (const one of this.#read(mapping, given)) {
      if (++done % BREATH === 0) yield done / body.length;
      if ('kept' in one) {
        look.good++;
        if (look.shown.length < SHOWN) look.shown.push(shownAs(one.kept, system));
        const { player } = one.kept;
        players.set(player, (players.get(player) ?? 0) + 1);
      } else {
        look.bad++;
        bad.add(one.row.line);
        if (look.badRows.length < BAD_SHOWN) look.badRows.push(this.#badRow(mapping, one.row, one.problems));
      }
    }
    this.#bad = { by: JSON.stringify(mapping), lines: bad };
    if (players.size > MOST_PLAYERS) throw new NoTable(`This file names more than ${MOST_PLAYERS.toLocaleString('en')} players. Split it.`);
    return { ...look, players: [...players].map(([name, rows]) => ({ name, rows })) };
  }

  #badRow(mapping: Mapping, row: Row, problems: readonly TableProblem[]): BadRow {
    return {
      line: row.line,
      cells: this.#cells(row),
      problems: problems.map(({ column, message }) => {
        const field = fieldOfColumn(mapping, column);
        const label = fieldNamed(mapping.kind, field)?.label;
        if (!label || !message.startsWith(column)) return { field, message };
        // As people say the words of the vocabulary.
        const words = message.includes('isn’t one of') ? message.replaceAll('_', ' ') : message;
        return { field, message: `${label}:${words.slice(column.length)}.` };
      }),
    };
  }

  /**
   * The rows that can be kept, so many at a time, in our own columns.
   * @param idOf the id of a player by the name that the table has
   */
  *batches(mapping: Mapping, given: Given, idOf: (name: string) => string): Generator<Batch> {
    const { columns, row: rewrite } = rewriter(mapping, given);
    const player = columns.indexOf('player');
    let [rows, letters]: [Batch['rows'], number] = [[], 0];
    for (const { line, cells } of this.#good(mapping, given, rewrite)) {
      rows.push({ line, cells: cells.with(player, idOf(readCell(cells[player]!).trim())) });
      letters += cells.reduce((sum, cell) => sum + cell.length, 0);
      if (rows.length < BATCH_ROWS && letters < BATCH_LETTERS) continue;
      yield { columns, rows };
      [rows, letters] = [[], 0];
    }
    if (rows.length > 0) yield { columns, rows };
  }

  /** The rows that can be kept, in our own columns: what was looked through before by this mapping is not looked through again. */
  *#good(mapping: Mapping, given: Given, rewrite: ReturnType<typeof rewriter>['row']): Generator<{ line: number; cells: string[] }> {
    const known = this.#bad?.by === JSON.stringify(mapping) ? this.#bad.lines : null;
    if (known)
      for (const row of this.#body(mapping)) {
        if (!known.has(row.line)) yield { line: row.line, cells: rewrite(this.#cells(row), row.line).cells };
      }
    else for (const one of this.#read(mapping, given)) if ('kept' in one) yield { line: one.row.line, cells: one.ours };
  }

  /** The rows that can't be kept, as they stand, with what is wrong with each. */
  *badLines(mapping: Mapping, given: Given): Generator<BadRow> {
    for (const one of this.#read(mapping, given)) if ('problems' in one) yield this.#badRow(mapping, one.row, one.problems);
  }
}

function shownAs(kept: KeptRow, system: UnitSystem): RowShown {
  const { line, player, playedAt } = kept;
  if (kept.kind === 'scores') {
    const { game, score, unit } = kept.result;
    return { line, player, playedAt, what: game, came: [score, unit].filter((part) => part !== undefined).join(' ') };
  }
  const { shot } = kept.ball;
  const distance = formatLength(shot.distanceM, unitOf(shot.shotType, system));
  return { line, player, playedAt, what: `${say(shot.shotType)}, ${say(shot.surface)}, ${distance}`, came: sayResult(shot, system) };
}
