import type { Executed } from '@/core/forecast/executes';
import { forecast, type ForecastQuestion } from '@/core/forecast/forecast';
import { beliefOfLevel } from '@/core/forecast/levels';
import type { Belief } from '@/core/skill/diagnose';
import { modelOf } from '@/core/skill/model';
import { unpackDraws } from '@/core/skill/posterior';
import { shippedReference } from '@/core/golf/reference';
import type { FromForecast, ToForecast } from './messages';

/** So long it works before it looks for newer questions, in milliseconds. */
const AT_A_STRETCH = 12;

const model = modelOf(shippedReference);

/**
 * Answers questions as they come, a piece at a time; a newer one ends the older.
 * @param post takes what is answered
 * @param breath resolves when messages that were waiting have been taken in
 * @returns takes what is asked
 */
export function answering(post: (message: FromForecast) => void, breath: () => Promise<void>): (message: ToForecast) => void {
  const known = new Map<string, { belief: Belief; executed: Executed }>();
  let latest = 0;

  const answer = async ({ ask, question: asked }: Extract<ToForecast, { ask: number }>) => {
    try {
      let since = performance.now();
      const question: ForecastQuestion = {
        ...asked,
        rows: asked.rows.map(({ key, entrant }) => ({
          key,
          entrant,
          ...(known.get(key) ?? { belief: beliefOfLevel(model, entrant.level) }),
        })),
      };
      for (const part of forecast(question, model)) {
        if (part) post({ ask, part });
        if (performance.now() - since < AT_A_STRETCH) continue;
        await breath();
        if (latest !== ask) return;
        since = performance.now();
      }
      post({ ask, done: true });
    } catch (error) {
      post({ ask, failed: error instanceof Error ? error.message : String(error) });
    }
  };

  return (message) => {
    if ('know' in message) {
      const { level, executed } = message;
      const draws = unpackDraws(message.draws, model.prior(level));
      if (draws) known.set(message.know, { belief: { level, draws }, executed });
      return;
    }
    latest = message.ask;
    void answer(message);
  };
}

/** Works out what is believed of the levels: they are asked about with every game. */
export async function warmUp(breath: () => Promise<void>): Promise<void> {
  for (const level of shippedReference.levels) {
    beliefOfLevel(model, level);
    await breath();
  }
}
