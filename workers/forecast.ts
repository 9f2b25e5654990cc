import { answering, warmUp } from './answering';
import { breath } from './breath';
import type { FromForecast, ToForecast } from './messages';

/** What a worker's global scope is here: this program's other code knows only pages. */
const here = globalThis as unknown as {
  postMessage(message: FromForecast): void;
  onmessage: ((event: { data: ToForecast }) => void) | null;
};

const take = answering((message) => here.postMessage(message), breath);
here.onmessage = ({ data }) => take(data);
void warmUp(breath);
