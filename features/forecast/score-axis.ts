import { schemeOf } from '@/core/game/scoring';
import type { GameSpec } from '@/core/game/spec';
import type { Outlook } from '@/core/forecast/outlook';
import { METRES_PER, type UnitSystem } from '@/core/units/length';

/** From where to where the scores of all rows reach, a little more on each side for the figures. */
export type ScoreAxis = { from: number; to: number };

export function axisOf(outlooks: readonly Outlook[], goal: number | null): ScoreAxis {
  const ends = [...outlooks.flatMap(({ p10, p90 }) => [p10, p90]), ...(goal === null ? [] : [goal])];
  if (ends.length === 0) return { from: 0, to: 1 };
  const [low, high] = [Math.min(...ends), Math.max(...ends)];
  const wide = Math.max(high - low, 1e-3);
  return { from: low - 0.2 * wide, to: high + 0.22 * wide };
}

/** A score as a bare figure, in the reader's units: "17", "25", "7.6", "12.5". */
export function bareFigure(score: number, game: GameSpec, system: UnitSystem): string {
  const { scoring } = game;
  const value = schemeOf(scoring).unit(scoring) !== 'length' ? score : system === 'metric' ? score : score / METRES_PER.ft;
  const text = String(Number(Math.abs(value).toFixed(schemeOf(scoring).unit(scoring) === 'length' && system === 'imperial' ? 0 : 1)));
  return value < 0 && text !== '0' ? `−${text}` : text;
}

/** Whether a score stands for a game that ended unfinished. */
export const isUndone = ({ undone }: Pick<Outlook, 'undone'>, score: number) => undone !== null && score > undone.beyond;

/** A score as a figure; of a game that ended unfinished how many were not enough: "30+". */
export function orMore(outlook: Pick<Outlook, 'undone'>, score: number, say: (score: number) => string): string {
  return isUndone(outlook, score) ? `${say(outlook.undone!.beyond)}+` : say(score);
}
