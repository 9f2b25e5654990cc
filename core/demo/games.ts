import { unitOf } from '../golf/shot-types';
import { GAME_VERSION, gameSpecSchema, type GameSpec } from '../game/spec';
import type { Station } from '../game/station';
import { toMetres } from '../units/length';

type StationLine = [distance: number, ...kind: [Station['shotType'], Station['surface']], balls: number, more?: Partial<Station>];

/** A ring game with its distances in yards (feet for putts) and its rings in feet: [radius, points]. */
function ringGame(title: string, lines: StationLine[], rings: [number, number][], holedPoints: number, goal: number): GameSpec {
  return gameSpecSchema.parse({
    format: 'inch-game',
    version: GAME_VERSION,
    title,
    stations: lines.map(([distance, shotType, surface, balls, more], i) => {
      const distanceUnit = unitOf(shotType, 'imperial');
      return {
        key: `s${i + 1}`,
        shotType,
        surface,
        sit: 'clean',
        stance: 'flat',
        trajectory: null,
        distanceM: toMetres(distance, distanceUnit),
        distanceUnit,
        balls,
        ...more,
      };
    }),
    sizes: { unit: 'ft' },
    scoring: {
      scheme: 'ring_points',
      holedPoints,
      rings: rings.map(([radius, points], i) => ({ key: `r${i + 1}`, radiusM: toMetres(radius, 'ft'), points })),
    },
    goal,
  });
}

const CHIP_RINGS: [number, number][] = [
  [2, 4],
  [5, 2],
  [9, 1],
];

/** The games that the demo squad plays. */
export const DEMO_GAMES: readonly GameSpec[] = [
  ringGame(
    'Lantern Six',
    [
      [8, 'chip', 'fringe', 6, { trajectory: 'low', hole: 'A', name: 'by the steps', note: 'land it on the first third' }],
      [11, 'chip', 'fairway', 6, { trajectory: 'low', stance: 'downhill', hole: 'A' }],
      [14, 'chip', 'light_rough', 6, { trajectory: 'low', stance: 'uphill', hole: 'A' }],
      [18, 'pitch', 'fairway', 6, { trajectory: 'medium', hole: 'B' }],
      [22, 'pitch', 'light_rough', 6, { trajectory: 'high', hole: 'B', note: 'land it past the ridge' }],
      [27, 'pitch', 'heavy_rough', 6, { trajectory: 'high', stance: 'ball_below', hole: 'B', name: 'under the oak' }],
    ],
    CHIP_RINGS,
    6,
    32,
  ),
  ringGame(
    'Six to Ten',
    [
      [3, 'putt', 'green', 5],
      [5, 'putt', 'green', 5],
      [7, 'putt', 'green', 5],
      [9, 'putt', 'green', 5],
      [15, 'putt', 'green', 5],
      [30, 'putt', 'green', 5],
    ],
    [
      [1, 2],
      [3, 1],
    ],
    4,
    75,
  ),
  ringGame(
    'Sand Clock',
    [
      [8, 'bunker', 'sand', 6],
      [12, 'bunker', 'sand', 8],
      [15, 'bunker', 'sand', 8],
      [22, 'bunker', 'sand', 6],
    ],
    [
      [4, 4],
      [8, 2],
      [14, 1],
    ],
    8,
    26,
  ),
  ringGame(
    'Hollow Ramble',
    [
      [6, 'chip', 'fringe', 3],
      [12, 'chip', 'fairway', 3],
      [16, 'bump_and_run', 'fairway', 3],
      [9, 'chip', 'light_rough', 3],
      [17, 'pitch', 'light_rough', 3, { stance: 'downhill' }],
      [26, 'pitch', 'fairway', 3],
      [13, 'bunker', 'sand', 3],
      [18, 'chip', 'heavy_rough', 3, { sit: 'down' }],
      [33, 'pitch', 'fairway', 3],
      [24, 'lob', 'light_rough', 3, { trajectory: 'high' }],
    ],
    CHIP_RINGS,
    6,
    25,
  ),
  ringGame(
    'Thick and Thin',
    [
      [13, 'pitch', 'light_rough', 6],
      [16, 'chip', 'heavy_rough', 8, { sit: 'down' }],
      [24, 'pitch', 'heavy_rough', 6],
      [25, 'pitch', 'light_rough', 6, { stance: 'ball_above' }],
    ],
    [
      [3, 4],
      [7, 2],
      [12, 1],
    ],
    8,
    20,
  ),
  ringGame(
    'Low Road',
    [
      [15, 'chip', 'fairway', 8, { trajectory: 'low' }],
      [16, 'bump_and_run', 'fairway', 8, { trajectory: 'low' }],
      [12, 'bump_and_run', 'fairway', 6, { trajectory: 'low' }],
      [24, 'bump_and_run', 'fringe', 6, { trajectory: 'low' }],
    ],
    CHIP_RINGS,
    6,
    27,
  ),
  ringGame(
    'Half Moon',
    [
      [35, 'pitch', 'fairway', 8],
      [45, 'pitch', 'fairway', 8],
      [60, 'pitch', 'fairway', 6],
      [38, 'pitch', 'light_rough', 6],
    ],
    [
      [6, 4],
      [12, 2],
      [20, 1],
    ],
    10,
    26,
  ),
];
