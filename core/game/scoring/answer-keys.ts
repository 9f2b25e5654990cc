import { UNKNOWN, type Result } from './ball';

/** One key that a player can press to end a ball: what it stands for, and what it is worth. */
export type AnswerKey = {
  key: string;
  /** `word`: what stands on it is `text`; the others are named by whoever shows them, where they have none of their own. */
  kind: 'holed' | 'ring' | 'outside' | 'word';
  text: string | null;
  /** The outer edge of the ring in metres; for `outside`, the edge it is outside of; else null. */
  edgeM: number | null;
  /** What it earns, where that does not hang on the balls before. */
  worth: number | null;
  result: Result;
};

const key = (name: string, kind: AnswerKey['kind'], more: Partial<AnswerKey>, result: Partial<Result>): AnswerKey => ({
  key: name,
  kind,
  text: null,
  edgeM: null,
  worth: null,
  ...more,
  result: { ...UNKNOWN, ...result },
});

export const holedKey = (worth: number | null = null) => key('holed', 'holed', { worth }, { holed: true });
/** Between two edges, in metres. */
export const ringKey = (name: string, innerM: number, edgeM: number, worth: number | null = null) =>
  key(name, 'ring', { edgeM, worth }, { leftMinM: innerM, leftMaxM: edgeM });
/** Outside of an edge in metres; of none, the ball is simply not holed. */
export const outsideKey = (edgeM: number, worth: number | null = null) => key('outside', 'outside', { edgeM, worth }, { leftMinM: edgeM });
/** Outside of an edge in metres beyond which nobody measures; the key names it. */
export const farKey = (edgeM: number) => key('outside', 'outside', { edgeM, text: 'outside' }, { leftMinM: edgeM });
export const wordKey = (name: string, text: string, result: Partial<Result>, worth: number | null = null) =>
  key(name, 'word', { text, worth }, result);

/** The keys for one zone: holed, inside it, outside it; where only the hole counts, holed or not. */
export function zoneKeys(radiusM: number): AnswerKey[] {
  if (radiusM === 0) return [holedKey(), outsideKey(0)];
  return [holedKey(), ringKey('in', 0, radiusM), outsideKey(radiusM)];
}
