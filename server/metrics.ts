/** What the front measures (server/front/metrics.mjs): it is there where the program is served, and nowhere in tests. */
type Held = {
  sums: { observe: (labels: { kind: string }, seconds: number) => void };
  errors: { inc: () => void };
  refused: { inc: (by: number) => void };
  reads: { inc: (labels: { from: string }) => void };
  /** How gauges are read, by their name. */
  read: Record<string, () => number>;
};
const held = (): Held | undefined => (globalThis as { inchGameMetrics?: Held }).inchGameMetrics;

/** Counts an error that went to the log. */
export const countError = (): void => held()?.errors.inc();

/** Counts what was refused for good. */
export const countRefused = (events: number): void => held()?.refused.inc(events);

/** Counts a question that only reads, where there is a replica: who answered it. */
export const countRead = (from: 'primary' | 'replica'): void => held()?.reads.inc({ from });

/** Measures how long a sum takes, from when it was asked for. */
export async function timed<T>(kind: string, sum: () => Promise<T>): Promise<T> {
  const begun = performance.now();
  try {
    return await sum();
  } finally {
    held()?.sums.observe({ kind }, (performance.now() - begun) / 1000);
  }
}

/** Says how a gauge is read from now on. */
export function gauge(
  name: 'sums_waiting' | 'connections_busy' | 'connections_waiting' | 'replica_connections_busy' | 'streams_open',
  read: () => number,
): void {
  const there = held();
  if (there) there.read[name] = read;
}
