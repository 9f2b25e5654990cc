/** Starts the worker that says where to land; in its own file, so that a test can put another in its place. */
export function startLandingWorker(): Worker {
  return new Worker(new URL('../../../workers/landing.ts', import.meta.url), { type: 'module' });
}
