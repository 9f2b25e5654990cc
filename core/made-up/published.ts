import { LevelPlay, upAndDowns } from './level-play';
import { expectedPutts, makeRate, referencePutting } from '../golf/putting';
import type { Reference } from '../golf/reference';
import { toMetres } from '../units/length';

/** A published figure beside ours, and how far apart they may be. */
export type Beside = { what: string; published: number; ours: number; within: number };

/*
 * Figures as the golf-statistics literature generally reports them, written down from memory: strokes within .03, rates within
 * 3 points. Where a range is reported its middle stands, and half of it is added to the tolerance.
 */
const STROKES = {
  fairway: [2.18, 2.4, 2.6, 2.7, 2.75, 2.8],
  light_rough: [2.34, 2.59, 2.78, 2.91, 2.96, 3.02],
  sand: [2.43, 2.53, 2.82, 3.15, 3.24, 3.23],
} as const;
const STROKES_YD = [10, 20, 40, 60, 80, 100];
/** From so near a chip is meant, from farther a pitch; from sand a bunker shot. */
const CHIP_TO_YD = 30;
const MADE: readonly { level: number; who: string; percent: readonly number[] }[] = [
  { level: -5, who: 'tour', percent: [96, 77, 50, 40, 23, 15, 7, 4, 2] },
  { level: 0, who: 'scratch', percent: [93, 66, 41, 32, 19, 12, 5] },
  { level: 18, who: 'shoots about 90', percent: [84, 50, 27, 20, 11, 6, 2] },
];
const PUTTS = [1.04, 1.23, 1.5, 1.61, 1.78, 1.87, 1.98, 2.06, 2.21];
const PUTTS_FT = [3, 5, 8, 10, 15, 20, 30, 40, 60];
/** Putts a round, up and downs from grass and from sand, in percent; with the halves of the ranges. */
const ROUNDS: readonly {
  level: number;
  who: string;
  putts: [number, number] | null;
  grass: [number, number] | null;
  sand: [number, number] | null;
}[] = [
  { level: -5, who: 'tour', putts: [29, 0], grass: [59, 1], sand: [50, 0] },
  { level: 0, who: 'scratch', putts: [31, 0], grass: [50, 2], sand: [35, 0] },
  { level: 7, who: 'single figure', putts: [33, 0], grass: null, sand: null },
  { level: 10, who: 'level 10', putts: null, grass: [35, 0], sand: [22.5, 2.5] },
  { level: 18, who: 'shoots about 90', putts: null, grass: [22.5, 2.5], sand: [12, 0] },
  { level: 26, who: 'high nineties', putts: [36.5, 0.5], grass: [12.5, 2.5], sand: [6.5, 1.5] },
];
/** “About”: half a putt. */
const PUTTS_WITHIN = 0.6;

/** Every published figure beside what the reference table, the putting model and the round mix say. */
export function besidePublished(reference: Reference): Beside[] {
  const out: Beside[] = [];
  for (const surface of ['fairway', 'light_rough', 'sand'] as const)
    STROKES_YD.forEach((yd, i) => {
      const shotType = surface === 'sand' ? 'bunker' : yd < CHIP_TO_YD ? 'chip' : 'pitch';
      const ours = reference.shot(-5, shotType, surface, toMetres(yd, 'yd'))!.expectedStrokes;
      out.push({
        what: `tour, strokes from ${surface.replace('light_', '')}, ${yd} yd`,
        published: STROKES[surface][i]!,
        ours,
        within: 0.03,
      });
    });
  for (const { level, who, percent } of MADE)
    percent.forEach((published, i) =>
      out.push({
        what: `${who}, putts of ${PUTTS_FT[i]} ft holed, %`,
        published,
        ours: 100 * makeRate(referencePutting(level), PUTTS_FT[i]!),
        within: 3,
      }),
    );
  const tour = expectedPutts(referencePutting(-5));
  PUTTS_FT.forEach((ft, i) => out.push({ what: `tour, putts from ${ft} ft`, published: PUTTS[i]!, ours: tour(ft), within: 0.03 }));
  for (const { level, who, putts, grass, sand } of ROUNDS) {
    const play = new LevelPlay(level);
    const { grass: up, sand: sandy } = upAndDowns(play);
    if (putts) out.push({ what: `${who}, putts a round`, published: putts[0], ours: play.round().putts, within: PUTTS_WITHIN + putts[1] });
    if (grass) out.push({ what: `${who}, up and down from near the green, %`, published: grass[0], ours: 100 * up, within: 3 + grass[1] });
    if (sand) out.push({ what: `${who}, up and down from greenside sand, %`, published: sand[0], ours: 100 * sandy, within: 3 + sand[1] });
  }
  return out;
}
