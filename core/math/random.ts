import { xoroshiro128plus, xoroshiro128plusFromState } from 'pure-rand/generator/xoroshiro128plus';

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

type Generator = ReturnType<typeof xoroshiro128plus>;

/**
 * The generator under every stream. Its own seeding makes the first numbers of neighbouring seeds alike (the very first is
 * the seed), so that the seed is spread over its whole state first: by the finaliser of MurmurHash3 (A. Appleby, public domain),
 * at steps of the golden ratio.
 * @param seed a whole number; the same seed gives the same stream on every machine
 */
export function generatorOf(seed: number): Generator {
  let at = seed ^ Math.floor(seed / 2 ** 32);
  return xoroshiro128plusFromState(
    Array.from({ length: 4 }, () => {
      at = (at + 0x9e3779b9) | 0;
      let h = at;
      h = Math.imul(h ^ (h >>> 16), 0x85ebca6b);
      h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
      return h ^ (h >>> 16);
    }),
  );
}

/** @param seed a whole number; the same seed gives the same stream on every machine, neighbouring seeds streams that are nothing alike */
export const seededRandom = (seed: number): Random => randomOf(generatorOf(seed));

/**
 * The stream that orders of play are drawn from: of the generator as it seeds itself. Sessions that are stored were played in
 * the order that it gives, so it stays. Only for seeds that are spread out, as a hash is.
 */
export const storedOrders = (seed: number): Random => randomOf(xoroshiro128plus(seed));

function randomOf(generator: Generator): Random {
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
