import * as z from 'zod';
import { ballOfRow, type TableShot } from '../formats/shot-rows';
import { shotRowReader } from '../formats/shot-table';
import { resultRowReader, type ResultTableRow } from '../formats/result-table';
import type { TableProblem } from '../formats/row-reader';
import { MOST_WHOLE } from '../stored';
import type { TableKind } from './fields';

/** So many rows are sent at once. */
export const BATCH_ROWS = 500;
/** And so many letters, or little more: what is sent at once stays small however long the notes are. */
export const BATCH_LETTERS = 250_000;
/** So many rows a file may have. */
export const MOST_ROWS = 250_000;
/** So many players may come in with it. */
export const MOST_PLAYERS = 1000;

/**
 * Some rows of a table as they are sent to be kept: in our own columns, players by their ids, each with the line on which it stood in the file.
 */
export const batchSchema = z.strictObject({
  columns: z.array(z.string().max(40)).max(80),
  rows: z
    .array(z.strictObject({ line: z.int().min(1).max(MOST_WHOLE), cells: z.array(z.string().max(2000)).max(80) }))
    .min(1)
    .max(BATCH_ROWS),
});
export type Batch = z.infer<typeof batchSchema>;

/** A row that can be kept: a ball or a result, whose it is, and when. */
export type KeptRow =
  | { kind: 'balls'; line: number; player: string; playedAt: string; ball: TableShot }
  | { kind: 'scores'; line: number; player: string; playedAt: string; result: ResultTableRow & { game: string; score: number } };
export type ReadBatchRow = { kept: KeptRow } | { problems: TableProblem[] };

const SOMEBODY = '00000000-0000-7000-8000-000000000000';

/**
 * Reads rows in our own columns one by one, by the schemas that guard every ball and every result.
 * @param columns of the rows
 */
export function batchReader(kind: TableKind, columns: readonly string[]): (cells: readonly string[], line: number) => ReadBatchRow {
  return kind === 'balls' ? ballReader(columns) : resultReader(columns);
}

const missing = (line: number, column: string, message: string): ReadBatchRow => ({ problems: [{ line, column, message }] });

function ballReader(columns: readonly string[]) {
  const reader = shotRowReader(columns);
  return (cells: readonly string[], line: number): ReadBatchRow => {
    const read = reader.read(cells, line);
    if ('problems' in read) return read;
    const { player, played_at: playedAt } = read.row;
    if (!player) return missing(line, 'player', 'The player is missing.');
    if (!playedAt) return missing(line, 'played_at', 'The date is missing.');
    const problems: TableProblem[] = [];
    const ball = ballOfRow(read.row, SOMEBODY, (column, message) => problems.push({ line, column, message }));
    if (!ball) return { problems };
    if (!ball.said && ball.shot.counts === 'ordinary') return missing(line, 'left', 'Where it finished is missing.');
    return { kept: { kind: 'balls', line, player, playedAt, ball } };
  };
}

function resultReader(columns: readonly string[]) {
  const reader = resultRowReader(columns);
  return (cells: readonly string[], line: number): ReadBatchRow => {
    const read = reader.read(cells, line);
    if ('problems' in read) return read;
    const { player, played_at: playedAt, game, score } = read.row;
    if (!player) return missing(line, 'player', 'The player is missing.');
    if (!playedAt) return missing(line, 'played_at', 'The date is missing.');
    if (!game) return missing(line, 'game', 'The game is missing.');
    if (score === undefined) return missing(line, 'score', 'The score is missing.');
    return { kept: { kind: 'scores', line, player, playedAt, result: { ...read.row, game, score } } };
  };
}
