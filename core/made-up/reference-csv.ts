import { METRES_PER } from '../units/length';
import { LevelPlay, middleM, TABLE_LEVELS, TABLE_SHOTS } from './level-play';
import { makeRate, referencePutting } from '../golf/putting';
import { isPutt } from '../golf/shot-types';

const HEAD =
  'level,shot_type,surface,band_min,band_max,unit,distance,expected_strokes,hole_out_rate,median_left_ft,p90_left_ft,uses_per_round';

/** The rows of one level, in the open format. */
export function referenceRows(level: number): string[] {
  const play = new LevelPlay(level);
  const { uses } = play.round();
  return TABLE_SHOTS.map(({ shotType, surface, band }) => {
    const distanceM = middleM(shotType, band);
    const distance = distanceM / METRES_PER[band.unit];
    const place = [level, shotType, surface, band.min, band.max ?? '', band.unit, +distance.toFixed(3)];
    const often = +uses(shotType, surface, band).toFixed(3);
    if (isPutt(shotType)) {
      const rate = makeRate(referencePutting(level), distance);
      return [...place, play.putts(distance).toFixed(3), rate.toFixed(4), '', '', often].join(',');
    }
    const { expectedStrokes, holeOutRate, medianLeftM, p90LeftM } = play.shot(shotType, surface, distanceM);
    const feet = (metres: number) => (metres / METRES_PER.ft).toFixed(2);
    return [...place, expectedStrokes.toFixed(3), holeOutRate.toFixed(4), feet(medianLeftM), feet(p90LeftM), often].join(',');
  });
}

/** The whole table. */
export function referenceCsv(): string {
  return [HEAD, ...TABLE_LEVELS.flatMap(referenceRows), ''].join('\n');
}
