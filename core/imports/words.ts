/*
 * How cells of somebody's own table are read: words as people write them, yes and no, and what stands in for them.
 */

/** A word without what only dresses it: "Light rough" and "light-rough" are light_rough. */
export const plainWord = (text: string): string =>
  text
    .trim()
    .toLowerCase()
    .replaceAll(/[\s\-–/&+]+/g, '_')
    .replaceAll(/[^a-z0-9_]/g, '')
    .replaceAll(/_+/g, '_')
    .replaceAll(/^_|_$/g, '');

/** What else people write for a word of the vocabulary, by column. */
const ALSO: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  shot_type: {
    putts: 'putt',
    putting: 'putt',
    fringe: 'fringe_putt',
    putt_from_fringe: 'fringe_putt',
    putt_from_the_fringe: 'fringe_putt',
    bump_run: 'bump_and_run',
    bump: 'bump_and_run',
    chips: 'chip',
    chipping: 'chip',
    chip_shot: 'chip',
    pitches: 'pitch',
    pitching: 'pitch',
    pitch_shot: 'pitch',
    lobs: 'lob',
    lob_shot: 'lob',
    flop: 'lob',
    sand: 'bunker',
    bunkers: 'bunker',
    bunker_shot: 'bunker',
    sand_shot: 'bunker',
  },
  surface: {
    putting_green: 'green',
    apron: 'fringe',
    collar: 'fringe',
    short_grass: 'fairway',
    rough: 'light_rough',
    semi_rough: 'light_rough',
    first_cut: 'light_rough',
    deep_rough: 'heavy_rough',
    thick_rough: 'heavy_rough',
    long_grass: 'heavy_rough',
    bare_ground: 'bare',
    hardpan: 'bare',
    dirt: 'bare',
    bunker: 'sand',
  },
  sit: { ok: 'clean', good: 'clean', sitting_up: 'up', perched: 'up', sitting_down: 'down', nestled: 'down', plugged: 'buried' },
  stance: { level: 'flat', up: 'uphill', down: 'downhill', above: 'ball_above', below: 'ball_below' },
  trajectory: { mid: 'medium', normal: 'medium' },
  finish: { bunker: 'sand', ob: 'out', out_of_play: 'out', water: 'out', off: 'rough' },
  measured: { taped: 'tape', paced: 'pace', paces: 'pace', by_eye: 'eye', guess: 'eye', estimate: 'eye' },
  firmness: { normal: 'medium', hard: 'firm', wet: 'soft' },
  mishit: { chunk: 'fat', duff: 'fat', blade: 'thin', bladed: 'thin', skull: 'thin', topped: 'thin' },
};

/** A cell as the vocabulary has it; what nobody knows stays as it was, to be refused by its name. */
export function usualWord(column: string, cell: string): string {
  const word = plainWord(cell);
  const also = ALSO[column];
  return also && Object.hasOwn(also, word) ? also[word]! : word;
}

const YES = ['true', 'yes', 'y', '1', 'x', '✓', '✔', 'ok', 'made', 'in', 'hit', 'holed', 'done'];
const NO = ['false', 'no', 'n', '0', '-', '–', '✗', 'miss', 'missed', 'out', 'not'];

/** A cell as yes or no; what is neither stays as it was. */
export function usualYesNo(cell: string): string {
  const text = cell.trim().toLowerCase();
  return YES.includes(text) ? 'true' : NO.includes(text) ? 'false' : cell;
}
