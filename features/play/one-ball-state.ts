import { answered, NO_ANSWERS, type Answers, type Question } from '@/core/play/questions';
import type { AnswerKey } from '@/core/game/scoring/answer-keys';
import type { FromHole } from '@/ui/target';

/**
 * The way in which a ball is being entered: by key, by a tap on the target, by a typed distance; what it left, before its strokes; or
 * together with the balls after it, counted when they are collected.
 */
export type Entry = { way: 'keys' } | { way: 'place'; place: FromHole } | { way: 'type' } | { way: 'leave' } | { way: 'tally' };

/** One ball while it is being entered: what was said of it so far, and what is on the screen. */
export type OneBallState = { entry: Entry; answers: Answers; sheet: boolean };

export type OneBallStep =
  | { do: 'enter'; entry: Entry }
  | { do: 'answer'; question: Question; key: Pick<AnswerKey, 'result'> }
  | { do: 'openSheet' | 'closeSheet' | 'back' }
  | { do: 'next'; way: 'keys' | 'type' };

/** A ball of which nothing is said yet. */
export function newBall(way: 'keys' | 'type'): OneBallState {
  return { entry: { way }, answers: NO_ANSWERS, sheet: false };
}

/** What a step makes of a ball; `back` takes back all that was answered, `next` is for another ball. */
export function ballAfter(state: OneBallState, step: OneBallStep): OneBallState {
  switch (step.do) {
    case 'enter':
      return { ...state, entry: step.entry };
    case 'answer':
      return { ...state, answers: answered(state.answers, step.question, step.key) };
    case 'next':
      return newBall(step.way);
    case 'back':
      return { ...state, answers: NO_ANSWERS };
    case 'openSheet':
    case 'closeSheet':
      return { ...state, sheet: step.do === 'openSheet' };
  }
}
