import type { Result } from '../game/scoring/ball';
import { schemeOf } from '../game/scoring';
import type { AnswerKey } from '../game/scoring/answer-keys';
import type { Turn } from '../game/turn';
import type { Standing } from './play';
import { SIDE_BEARING } from './verdict';
import { answered, nextQuestion, type Answers, type Bag, type Question } from './questions';

/** A set of balls that can be counted together: how many ended in which of the keys says all that the game asks. */
export type Tally = { turns: readonly Turn[]; keys: readonly AnswerKey[] };

/**
 * The set that begins with a ball: the balls of its station that are played in a row, where their order says nothing and nothing more is
 * asked of any of them.
 * @param answers what was chosen for it already, a club for one
 * @returns null where balls have to be told one by one, or only one is left
 */
export function tallyOf(standing: Standing, turn: Turn, bag: Bag, answers: Answers): Tally | null {
  const { phase, open } = standing;
  const main = nextQuestion(standing, turn, bag, answers);
  if (main?.kind !== 'result' || !schemeOf(phase.scoring).tallies || phase.rules.attempts !== 'first' || turn.attempt > 1) return null;
  if (main.keys.some((key) => nextQuestion(standing, turn, bag, answered(answers, main, key)) !== null)) return null;
  const from = open.findIndex((one) => one.turnNo === turn.turnNo && one.ballNo === turn.ballNo && one.station.key === turn.station.key);
  if (from < 0) return null;
  const asked = JSON.stringify(turn.asked);
  const after = open.slice(from);
  const end = after.findIndex((one) => one.station.key !== turn.station.key || JSON.stringify(one.asked) !== asked);
  const turns = end < 0 ? after : after.slice(0, end);
  return turns.length > 1 ? { turns, keys: main.keys } : null;
}

/** How many balls ended in which key, by the name of the key. */
export type Counts = Readonly<Record<string, number>>;

export const ballsIn = (counts: Counts): number => Object.values(counts).reduce((sum, count) => sum + count, 0);

/** What a tally earns, in what the game counts; null where that hangs on more than the keys. */
export function worthOf({ keys }: Tally, counts: Counts): number | null {
  return keys.reduce<number | null>((sum, { key, worth }) => (sum === null || worth === null ? null : sum + worth * (counts[key] ?? 0)), 0);
}

/** Where all balls of a set stopped. */
export type AllOf = 'short' | 'long';

/**
 * The balls of a tally one by one, those of the first key first: in which order they came is not known.
 * @param where where all that were not holed stopped, if that was said
 */
export function ballsOfTally({ keys }: Tally, counts: Counts, answers: Answers, where: AllOf | null): Result[] {
  const question: Question = { kind: 'result', title: '', keys: [...keys] };
  return keys.flatMap((key) => {
    const { given } = answered(answers, question, key);
    const said = given as Result;
    const result = where === null || said.holed ? said : { ...said, bearingDeg: SIDE_BEARING[where] };
    return Array.from({ length: counts[key.key] ?? 0 }, () => result);
  });
}
