import { shippedReference } from '@/core/golf/reference';
import { answerLanding, answerRoutes } from '@/core/tools/landing-answer';
import type { FromLanding, ToLanding } from './landing-messages';

const here = globalThis as unknown as {
  postMessage(message: FromLanding): void;
  onmessage: ((event: { data: ToLanding }) => void) | null;
};

/** Answers one question after the other: each takes about as long as a key press. */
here.onmessage = ({ data }) => {
  try {
    here.postMessage(
      'choice' in data
        ? { ask: data.ask, routes: answerRoutes(data.asked, data.choice, shippedReference) }
        : { ask: data.ask, options: answerLanding(data.asked, shippedReference) },
    );
  } catch (error) {
    here.postMessage({ ask: data.ask, failed: error instanceof Error ? error.message : String(error) });
  }
};
