import Papa from 'papaparse';
import { z } from 'zod';
import { bandAt } from '../golf/bands';
import { shotTypeSchema, surfaceSchema, type ShotType, type Surface } from '../golf/words';
import { REFERENCE_CSV } from '../golf/reference-data';
import { METRES_PER } from '../units/length';
import { expectedPutts, referencePutting } from './putting';

const optional = z.preprocess((text) => (text === '' ? null : text), z.coerce.number().nullable());

const referenceRowSchema = z.object({
  level: z.coerce.number(),
  shot_type: shotTypeSchema,
  surface: surfaceSchema,
  band_min: z.coerce.number(),
  band_max: optional,
  unit: z.enum(['ft', 'yd']),
  distance: z.coerce.number().gt(0),
  expected_strokes: z.coerce.number().min(1),
  hole_out_rate: optional,
  median_left_ft: optional,
  p90_left_ft: optional,
  uses_per_round: z.coerce.number().min(0),
});
export type ReferenceRow = z.infer<typeof referenceRowSchema>;

/**
 * Reads a reference table in the open format.
 * @throws Error with line and reason for a row that does not fit
 */
export function parseReference(csv: string): ReferenceRow[] {
  const { data } = Papa.parse<Record<string, string>>(csv.trim(), { header: true, skipEmptyLines: true });
  return data.map((row, i) => {
    const parsed = referenceRowSchema.safeParse(row);
    if (!parsed.success) {
      const issue = parsed.error.issues[0]!;
      throw new Error(`reference table, line ${i + 2}, ${issue.path.join('.')}: ${issue.message}`);
    }
    return parsed.data;
  });
}

/** What a reference player does with one kind of shot at one distance; distances left in feet. */
export type ReferenceShot = {
  expectedStrokes: number;
  holeOutRate: number;
  medianLeftFt: number;
  /** Standard deviation of the logarithm of the distance left, from median and 90% point. */
  logSpread: number;
};

const Z90 = 1.2815515655446004;

/** Reference players at every level, by linear interpolation between the levels of the table, clamped at its ends. */
export class Reference {
  readonly #rows = new Map<string, ReferenceRow[]>();
  /** Its rows as they were read. */
  readonly table: readonly ReferenceRow[];
  readonly #putts = new Map<number, (ft: number) => number>();
  /** The levels of the table, ascending. */
  readonly levels: readonly number[];

  constructor(rows: readonly ReferenceRow[]) {
    this.table = rows;
    this.levels = [...new Set(rows.map((row) => row.level))].sort((a, b) => a - b);
    for (const row of rows) {
      if (row.shot_type === 'putt') continue;
      const key = `${row.level}|${row.shot_type}|${row.surface}`;
      this.#rows.set(
        key,
        [...(this.#rows.get(key) ?? []), row].sort((a, b) => a.distance - b.distance),
      );
    }
  }

  /** The level as far as the table reaches. */
  clamp(level: number): number {
    return Math.min(this.levels.at(-1)!, Math.max(this.levels[0]!, level));
  }

  /** Expected putts of the level (to a tenth) from `metres` away, by the putting model; 0 in the hole. */
  putts(level: number, metres: number): number {
    const at = Math.round(this.clamp(level) * 10) / 10;
    let putts = this.#putts.get(at);
    if (!putts) this.#putts.set(at, (putts = expectedPutts(referencePutting(at))));
    return putts(metres / METRES_PER.ft);
  }

  /**
   * A shot from off the green.
   * @returns null where the table has no row for the shot type from this surface
   */
  shot(level: number, shotType: ShotType, surface: Surface, metres: number): ReferenceShot | null {
    const at = this.clamp(level);
    const above = this.levels.findIndex((l) => l >= at);
    const high = this.levels[above]!;
    const low = this.levels[Math.max(0, above - 1)]!;
    const a = this.#at(low, shotType, surface, metres);
    const b = this.#at(high, shotType, surface, metres);
    if (!a || !b) return null;
    const share = high === low ? 0 : (at - low) / (high - low);
    return mix(a, b, share);
  }

  /** How often a cell comes up in 18 holes at a level. */
  uses(level: number, shotType: ShotType, surface: Surface, distanceM: number): number {
    const at = this.clamp(level);
    const band = bandAt(shotType, distanceM)?.min;
    const of = (l: number) =>
      this.table.find((row) => row.level === l && row.shot_type === shotType && row.surface === surface && row.band_min === band)
        ?.uses_per_round ?? 0;
    const high = this.levels.find((l) => l >= at)!;
    const low = this.levels.findLast((l) => l <= at)!;
    return low === high ? of(low) : of(low) + ((at - low) / (high - low)) * (of(high) - of(low));
  }

  /** Between the distances of one level's rows, linear in the logarithm of the distance; on the end segments beyond them. */
  #at(level: number, shotType: ShotType, surface: Surface, metres: number): ReferenceShot | null {
    const rows = this.#rows.get(`${level}|${shotType}|${surface}`);
    if (!rows?.length) return null;
    const yards = Math.max(0.5, metres / METRES_PER.yd);
    const beyond = rows.findIndex((row) => row.distance > yards);
    const far = Math.max(1, beyond === -1 ? rows.length - 1 : beyond);
    const [a, b] = [rows[far - 1]!, rows[far] ?? rows[far - 1]!];
    const share = a === b ? 0 : Math.log(yards / a.distance) / Math.log(b.distance / a.distance);
    const result = mix(ofRow(a), ofRow(b), share);
    return {
      ...result,
      expectedStrokes: Math.max(1, result.expectedStrokes),
      holeOutRate: Math.min(1, Math.max(0, result.holeOutRate)),
    };
  }
}

function ofRow(row: ReferenceRow): ReferenceShot {
  const median = row.median_left_ft ?? 1;
  return {
    expectedStrokes: row.expected_strokes,
    holeOutRate: row.hole_out_rate ?? 0,
    medianLeftFt: median,
    logSpread: row.p90_left_ft ? Math.log(row.p90_left_ft / median) / Z90 : 0.7,
  };
}

/** Share 0 is `a`, share 1 is `b`; distances are mixed by their logarithms. */
function mix(a: ReferenceShot, b: ReferenceShot, share: number): ReferenceShot {
  const between = (x: number, y: number) => x + share * (y - x);
  return {
    expectedStrokes: between(a.expectedStrokes, b.expectedStrokes),
    holeOutRate: between(a.holeOutRate, b.holeOutRate),
    medianLeftFt: Math.exp(between(Math.log(a.medianLeftFt), Math.log(b.medianLeftFt))),
    logSpread: between(a.logSpread, b.logSpread),
  };
}

/** The reference that ships with the program. */
export const shippedReference = new Reference(parseReference(REFERENCE_CSV));
