import { answering, warmUp } from './answering';
import type { FromForecast, ToForecast } from './messages';

/** What a worker's global scope is here: this program's other code knows only pages. */
const here = globalThis as unknown as {
  postMessage(message: FromForecast): void;
  onmessage: ((event: { data: ToForecast }) => void) | null;
};

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

const take = answering((message) => here.postMessage(message), breath);
here.onmessage = ({ data }) => take(data);
void warmUp(breath);
