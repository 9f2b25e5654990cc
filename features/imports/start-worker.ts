/** Starts the worker that reads a table. */
export function startImportWorker(): Worker {
  return new Worker(new URL('../../workers/import.ts', import.meta.url), { type: 'module' });
}
