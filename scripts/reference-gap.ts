import { REFERENCE_CSV } from '@/core/golf/reference-data';
import { normalQuantile } from '@/core/math/normal';
import { expectedPutts, makeRate, referencePutting } from '@/core/skill/putting';
import { parseReference, shippedReference } from '@/core/skill/reference';
import { toMetres } from '@/core/units/length';

/**
 * Prints how far the reference table and our putting model are apart: what a player whose balls are left exactly as the
 * table says would seem to lose, because the table's expected strokes come from a putting model of its own.
 */
const POINTS = 200;
const rows = parseReference(REFERENCE_CSV).filter((row) => row.shot_type !== 'putt');
console.log('level  shots  mean gap  largest gap   (strokes per shot)');
for (const level of shippedReference.levels) {
  const gaps = rows
    .filter((row) => row.level === level)
    .map((row) => {
      const shot = shippedReference.shot(level, row.shot_type, row.surface, toMetres(row.distance, 'yd'))!;
      let putts = 0;
      for (let i = 0; i < POINTS; i++) {
        const feet = shot.medianLeftFt * Math.exp(shot.logSpread * normalQuantile((i + 0.5) / POINTS));
        putts += Math.max(1, shippedReference.putts(level, toMetres(feet, 'ft'))) / POINTS;
      }
      return 1 + (1 - shot.holeOutRate) * putts - row.expected_strokes;
    });
  const mean = gaps.reduce((a, b) => a + b, 0) / gaps.length;
  const largest = gaps.reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a));
  console.log(
    `${String(level).padStart(5)}  ${String(gaps.length).padStart(5)}  ${mean.toFixed(3).padStart(8)}  ${largest.toFixed(3).padStart(11)}`,
  );
}
const strongest = referencePutting(0);
const rates = [3, 5, 8, 10, 20].map((feet) => `${feet} ft ${(100 * makeRate(strongest, feet)).toFixed(0)}%`);
console.log(`putting at level 0: ${rates.join(', ')}; expected putts from 33 ft: ${expectedPutts(strongest)(33).toFixed(2)}`);
