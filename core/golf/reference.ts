import { isPutt } from './shot-types';
import Papa from 'papaparse';
import * as z from 'zod';
import { bandAt } from './bands';
import { shotTypeSchema, surfaceSchema, type ShotType, type Surface } from './words';
import { REFERENCE_CSV } from './reference-data';
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
};

/** Reference players at every level: linear between the levels of the table, and on along its end segments beyond them. */
export class Reference {
  readonly #rows = new Map<string, ReferenceRow[]>();
  readonly #uses = new Map<string, number>();
  /** Its rows as they were read. */
  readonly table: readonly ReferenceRow[];
  readonly #putts = new Map<number, (ft: number) => number>();
  /** The levels of the table, ascending. */
  readonly levels: readonly number[];

  constructor(rows: readonly ReferenceRow[]) {
    this.table = rows;
    this.levels = [...new Set(rows.map((row) => row.level))].sort((a, b) => a - b);
    for (const row of rows) {
      this.#uses.set(`${row.level}|${row.shot_type}|${row.surface}|${row.band_min}`, row.uses_per_round);
      if (isPutt(row.shot_type)) continue;
      const key = `${row.level}|${row.shot_type}|${row.surface}`;
      this.#rows.set(
        key,
        [...(this.#rows.get(key) ?? []), row].sort((a, b) => a.distance - b.distance),
      );
    }
  }

  /** Expected putts of the level (to a tenth) from `metres` away, by the putting model; 0 in the hole. */
  putts(level: number, metres: number): number {
    const at = Math.round(level * 10) / 10;
    let putts = this.#putts.get(at);
    if (!putts) this.#putts.set(at, (putts = expectedPutts(referencePutting(at))));
    return putts(metres / METRES_PER.ft);
  }

  /**
   * A shot from off the green.
   * @returns null where the table has no row for the shot type from this surface
   */
  shot(level: number, shotType: ShotType, surface: Surface, metres: number): ReferenceShot | null {
    const { low, high, share } = this.#between(level);
    const a = this.#at(low, shotType, surface, metres);
    const b = this.#at(high, shotType, surface, metres);
    return a && b ? possible(mix(a, b, share)) : null;
  }

  /** How often a cell comes up in 18 holes at a level. */
  uses(level: number, shotType: ShotType, surface: Surface, distanceM: number): number {
    const band = bandAt(shotType, distanceM)?.min;
    const of = (l: number) => this.#uses.get(`${l}|${shotType}|${surface}|${band}`) ?? 0;
    const { low, high, share } = this.#between(level);
    return Math.max(0, of(low) + share * (of(high) - of(low)));
  }

  /** The levels of the table that a level is read from, and where it lies between them; under 0 or over 1 beyond the ends. */
  #between(level: number): { low: number; high: number; share: number } {
    const above = Math.max(
      1,
      this.levels.findIndex((l) => l >= level),
    );
    const at = this.levels.at(-1)! < level ? this.levels.length - 1 : above;
    const [high, low] = [this.levels[at] ?? this.levels[0]!, this.levels[Math.max(0, at - 1)]!];
    return { low, high, share: high === low ? 0 : (level - low) / (high - low) };
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
    return possible(mix(ofRow(a), ofRow(b), share));
  }
}

/** What was read on beyond a table stays possible. */
function possible(shot: ReferenceShot): ReferenceShot {
  return { ...shot, expectedStrokes: Math.max(1, shot.expectedStrokes), holeOutRate: Math.min(1, Math.max(0, shot.holeOutRate)) };
}

function ofRow(row: ReferenceRow): ReferenceShot {
  return { expectedStrokes: row.expected_strokes, holeOutRate: row.hole_out_rate ?? 0, medianLeftFt: row.median_left_ft ?? 1 };
}

/** Share 0 is `a`, share 1 is `b`; distances are mixed by their logarithms. */
function mix(a: ReferenceShot, b: ReferenceShot, share: number): ReferenceShot {
  const between = (x: number, y: number) => x + share * (y - x);
  return {
    expectedStrokes: between(a.expectedStrokes, b.expectedStrokes),
    holeOutRate: between(a.holeOutRate, b.holeOutRate),
    medianLeftFt: Math.exp(between(Math.log(a.medianLeftFt), Math.log(b.medianLeftFt))),
  };
}

/** The reference that ships with the program. */
export const shippedReference = new Reference(parseReference(REFERENCE_CSV));
