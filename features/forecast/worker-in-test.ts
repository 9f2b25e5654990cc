import type { FromForecast, ToForecast } from '@/workers/messages';
import { answering } from '@/workers/answering';

/** A worker for tests: the same answers, on the test's own thread. It keeps what was asked. */
export class WorkerInTest {
  onmessage: ((event: { data: FromForecast }) => void) | null = null;
  onerror: (() => void) | null = null;
  readonly asked: ToForecast[] = [];
  /** How often it was ended. */
  ended = 0;
  readonly #take = answering(
    (data) => setTimeout(() => this.onmessage?.({ data }), 0),
    () => new Promise((resolve) => setTimeout(resolve, 0)),
  );

  postMessage(message: ToForecast) {
    this.asked.push(message);
    setTimeout(() => this.#take(message), 0);
  }

  terminate() {
    this.ended += 1;
    this.onmessage = null;
  }
}

/** A worker that never answers. */
export const silentWorker = () =>
  ({ postMessage: () => undefined, terminate: () => undefined, onmessage: null, onerror: null }) as unknown as Worker;
