/** What a score counts, so that it can be said with its unit. */
export const SCORE_UNITS = ['points', 'hits', 'length', 'strokes', 'balls', 'rungs', 'cells', 'in par', 'in a row'] as const;
export type ScoreUnit = (typeof SCORE_UNITS)[number];

/** Units that follow the figure as they are, for one and for several. */
export const UNIT_PHRASES = { 'in par': 'in par or better', 'in a row': 'in a row' } as const;

export const isPhrase = (unit: ScoreUnit): unit is keyof typeof UNIT_PHRASES => unit in UNIT_PHRASES;

/** One and several of what is counted; lengths are said otherwise. */
export const UNIT_WORDS: Readonly<Record<Exclude<ScoreUnit, 'length' | 'in par' | 'in a row'>, readonly [one: string, several: string]>> = {
  points: ['point', 'points'],
  hits: ['hit', 'hits'],
  strokes: ['stroke', 'strokes'],
  balls: ['ball', 'balls'],
  rungs: ['rung', 'rungs'],
  cells: ['shot', 'shots'],
};

/** Whether a score is the sum of what was done at each station, so that stations can be told apart by it. */
export function isByStation(unit: ScoreUnit): boolean {
  return unit !== 'balls' && unit !== 'rungs' && unit !== 'in a row';
}
