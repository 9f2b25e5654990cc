import { normalQuantile } from './normal';
import { generatorOf } from './random';

/** The middles of equally likely parts of the standard normal. */
const PARTS_BITS = 12;
const PARTS = 2 ** PARTS_BITS;
const MIDDLES = Float32Array.from({ length: PARTS }, (_, i) => normalQuantile((i + 0.5) / PARTS));

/** So many are drawn at once. */
const BATCH = 512;

/**
 * Standard normal and uniform numbers for simulations, which need them by the million: a normal is the middle of one of
 * 8,192 equally likely parts, so that no probability is off by more than 1 in 16,384 and none lies beyond 3.84. Each number
 * that is drawn gives two. Decided by its seed alone.
 */
export class Normals {
  private readonly generator;
  private readonly batch = new Float64Array(BATCH);
  private used = BATCH;
  private readonly shares = new Float64Array(BATCH);
  private usedShares = BATCH;
  /** As if the first batches had been drawn and used. */
  private drawn = 0;

  /** @param seed a whole number; the same seed gives the same stream on every machine */
  constructor(seed: number) {
    this.generator = generatorOf(seed);
  }

  normal(): number {
    if (this.used === BATCH) this.draw();
    return this.batch[this.used++]!;
  }

  /** Uniform in (0, 1): the middle of one of 65,536 equal parts. */
  share(): number {
    if (this.usedShares === BATCH) this.drawShares();
    return this.shares[this.usedShares++]!;
  }

  /** How many normal numbers and shares were taken so far. */
  get taken(): number {
    return this.drawn - (BATCH - this.used) - (BATCH - this.usedShares);
  }

  /** Uniform in [0, 1), 32 bits. */
  uniform(): number {
    return (this.generator.next() >>> 0) / 4294967296;
  }

  private draw() {
    const { batch, generator } = this;
    const table = MIDDLES;
    for (let i = 0; i < batch.length; i += 2) {
      // The upper bits are the better ones.
      const drawn = generator.next();
      batch[i] = table[drawn >>> (32 - PARTS_BITS)]!;
      batch[i + 1] = table[(drawn >>> (32 - 2 * PARTS_BITS)) & (PARTS - 1)]!;
    }
    this.used = 0;
    this.drawn += BATCH;
  }

  private drawShares() {
    const { shares, generator } = this;
    for (let i = 0; i < shares.length; i += 2) {
      const drawn = generator.next();
      shares[i] = ((drawn >>> 16) + 0.5) / 65536;
      shares[i + 1] = ((drawn & 0xffff) + 0.5) / 65536;
    }
    this.usedShares = 0;
    this.drawn += BATCH;
  }
}
