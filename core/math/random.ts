import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** A stream of random numbers that is decided by its seed alone. */
export interface Random {
  /** Uniform in [0, 1), 32 bits. */
  uniform(): number;
  /** Standard normal, by the polar method of Marsaglia and Bray. */
  normal(): number;
  /** A whole number from 0 to n − 1. */
  below(n: number): number;
  /** One of the entries. */
  pick<T>(entries: readonly T[]): T;
}

/** @param seed a whole number; the same seed gives the same stream on every machine */
export function seededRandom(seed: number): Random {
  const generator = xoroshiro128plus(seed);
  let spare: number | null = null;
  const uniform = () => (generator.next() >>> 0) / 4294967296;
  const below = (n: number) => Math.floor(uniform() * n);
  return {
    uniform,
    below,
    pick: (entries) => {
      if (entries.length === 0) throw new RangeError('nothing to pick from');
      return entries[below(entries.length)]!;
    },
    normal() {
      if (spare !== null) {
        const value = spare;
        spare = null;
        return value;
      }
      for (;;) {
        const u = 2 * uniform() - 1;
        const v = 2 * uniform() - 1;
        const s = u * u + v * v;
        if (s === 0 || s >= 1) continue;
        const scale = Math.sqrt((-2 * Math.log(s)) / s);
        spare = v * scale;
        return u * scale;
      }
    },
  };
}
