/** Starts the worker that answers forecasts; in its own file, so that a test can put another in its place. */
export function startForecastWorker(): Worker {
  return new Worker(new URL('../../workers/forecast.ts', import.meta.url), { type: 'module' });
}
