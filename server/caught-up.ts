/** How far a replica has come, as positions in the primary's log that only grow. */
type Asks = { written: () => Promise<bigint>; replayed: () => Promise<bigint> };

/** A replica is waited for so long, and looked at so often meanwhile. */
const PATIENCE_MS = 40;
const STEP_MS = 4;

/**
 * Says whether a replica has all that was committed when the question was asked, or gets it within a moment. Questions of one instant are asked once,
 * and as long as the replica was seen beyond them it is not asked at all.
 */
export function makeCaughtUp({ written, replayed }: Asks): () => Promise<boolean> {
  let seen = -1n;
  const committed = together(written);
  const arrived = shared(replayed);
  return async () => {
    const needed = await committed();
    const until = performance.now() + PATIENCE_MS;
    for (;;) {
      if (seen >= needed) return true;
      const now = await arrived();
      if (now > seen) seen = now;
      if (seen >= needed) return true;
      if (performance.now() >= until) return false;
      await new Promise((later) => setTimeout(later, STEP_MS));
    }
  };
}

/** One question for all who ask in one instant; whoever comes once it is under way needs a newer answer. */
function together<T>(ask: () => Promise<T>): () => Promise<T> {
  let next: Promise<T> | null = null;
  return () =>
    (next ??= Promise.resolve().then(() => {
      next = null;
      return ask();
    }));
}

/** One question at a time: whoever comes meanwhile takes the answer that is on its way, which is only ever too modest. */
function shared<T>(ask: () => Promise<T>): () => Promise<T> {
  let asked: Promise<T> | null = null;
  return () => (asked ??= ask().finally(() => (asked = null)));
}

/** A position in PostgreSQL's log as it writes it, such as `16/B374D848`, as a number. */
export function positionOf(lsn: string): bigint {
  const [high, low] = lsn.split('/');
  return (BigInt(`0x${high}`) << 32n) | BigInt(`0x${low}`);
}
