import { forecast, type Question } from '@/core/forecast/forecast';
import { beliefOfLevel } from '@/core/forecast/levels';
import type { Belief } from '@/core/skill/diagnose';
import { modelOf } from '@/core/skill/model';
import { unpackDraws } from '@/core/skill/posterior';
import { shippedReference } from '@/core/skill/reference';
import type { Asked, FromForecast, ToForecast } from './messages';

/** So long it works before it looks for newer questions, in milliseconds. */
const AT_A_STRETCH = 12;

const model = modelOf(shippedReference);
const known = new Map<string, Belief>();
let latest = 0;

/** What a worker's global scope is here: this program's other code knows only pages. */
const here = globalThis as unknown as {
  postMessage(message: FromForecast): void;
  onmessage: ((event: { data: ToForecast }) => void) | null;
};

here.onmessage = ({ data }) => {
  if ('know' in data) {
    const draws = unpackDraws(data.draws, model.prior(data.level));
    if (draws) known.set(data.know, { level: data.level, draws });
    return;
  }
  latest = data.ask;
  void answer(data.ask, data.question);
};

async function answer(ask: number, asked: Asked) {
  try {
    let since = performance.now();
    const question: Question = {
      ...asked,
      rows: asked.rows.map(({ key, entrant }) => ({ key, entrant, belief: known.get(key) ?? beliefOfLevel(model, entrant.level) })),
    };
    for (const part of forecast(question, model)) {
      if (part) here.postMessage({ ask, part });
      if (performance.now() - since < AT_A_STRETCH) continue;
      await breath();
      if (latest !== ask) return;
      since = performance.now();
    }
    here.postMessage({ ask, done: true });
  } catch (error) {
    here.postMessage({ ask, failed: error instanceof Error ? error.message : String(error) });
  }
}

/** Until messages that are waiting have been taken in. */
function breath(): Promise<void> {
  return new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(null);
  });
}

// The levels are asked about with every game: what is believed of them is worked out before the first question.
void (async () => {
  for (const level of shippedReference.levels) {
    beliefOfLevel(model, level);
    await breath();
  }
})();
