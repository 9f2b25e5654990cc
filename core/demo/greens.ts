import { gameStations } from '../green/game';
import { greenPlanSchema, type GreenPlan } from '../green/plan';
import { pacedOutline, startShape } from '../green/shapes';
import { GAME_VERSION, gameSpecSchema, type GameSpec } from '../game/spec';
import { along, ofBearing, type Point } from '../geometry/point';
import { toMetres } from '../units/length';

const yd = (yards: number) => toMetres(yards, 'yd');
const at = (x: number, y: number): Point => [yd(x), yd(y)];
/** A bunker or another area: an oval of some yards, turned and put somewhere. */
const oval = (x: number, y: number, long: number, wide: number, deg = 0): Point[] =>
  startShape('oval', yd(long), yd(wide)).map(([px, py]) => {
    const [a, b] = [along([0, 0], ofBearing(90 + deg), px), along([0, 0], ofBearing(deg), py)];
    return [yd(x) + a[0] + b[0], yd(y) + a[1] + b[1]];
  });

/** The practice green of the invented academy: two bunkers, three holes, six stations, a fall to the lower left. */
const LOW_GREEN: GreenPlan = greenPlanSchema.parse({
  format: 'inch-green',
  version: 1,
  title: 'Low green',
  outline: pacedOutline([15, 20, 23, 19, 17, 20, 24, 18].map(yd)),
  fringeM: yd(1.5),
  around: 'light_rough',
  areas: [
    { key: 'a1', kind: 'sand', outline: oval(13, -19.5, 10, 6, 20) },
    { key: 'a2', kind: 'sand', outline: oval(-28.5, 5, 5, 9) },
    { key: 'a3', kind: 'heavy_rough', outline: oval(2, 25, 26, 9, -6) },
  ],
  holes: [
    { key: 'h1', label: 'A', at: at(-10, 2) },
    { key: 'h2', label: 'B', at: at(7, -7) },
    { key: 'h3', label: 'C', at: at(15.5, 10) },
  ],
  slope: { by: 'fall', towardsDeg: 225, percent: 2 },
  stimpFt: 9,
  firmness: 'medium',
  stations: [
    { key: 's1', at: at(-29, -7), hole: 'h1' },
    { key: 's2', at: at(27.5, -10), hole: 'h3' },
    { key: 's3', at: at(-14, 21.5), hole: 'h2' },
    { key: 's4', at: at(7, 25), hole: 'h3' },
    { key: 's5', at: at(18, -29), hole: 'h2' },
    { key: 's6', at: at(-33, 14), hole: 'h1' },
  ],
});

/** A small flat putting green. */
const TOP_GREEN: GreenPlan = greenPlanSchema.parse({
  format: 'inch-green',
  version: 1,
  title: 'Top green',
  outline: startShape('pear', yd(22), yd(15)),
  fringeM: yd(1),
  around: 'fairway',
  holes: [{ key: 'h1', label: 'A', at: at(-4, 1) }],
  stimpFt: 10,
  stations: [
    { key: 's1', at: at(-1, 1), hole: 'h1' },
    { key: 's2', at: at(-4, -3), hole: 'h1' },
    { key: 's3', at: at(4, 2), hole: 'h1' },
    { key: 's4', at: at(9, -1), hole: 'h1' },
  ],
});

export const DEMO_GREENS: readonly GreenPlan[] = [LOW_GREEN, TOP_GREEN];

/** A game on the practice green: two balls from each place, out and back. */
export const DEMO_GREEN_GAME: GameSpec = gameSpecSchema.parse({
  format: 'inch-game',
  version: GAME_VERSION,
  title: 'Round the Low Green',
  about: 'A shot of every kind that the practice green has; for everybody.',
  stations: gameStations(LOW_GREEN, 'imperial', 2),
  order: 'serial',
  sizes: { unit: 'club' },
  scoring: {
    scheme: 'ring_points',
    holedPoints: 5,
    rings: [
      { key: 'r1', radiusM: toMetres(35, 'in'), points: 3 },
      { key: 'r2', radiusM: toMetres(70, 'in'), points: 2 },
      { key: 'r3', radiusM: toMetres(140, 'in'), points: 1 },
    ],
  },
  goal: 14,
});
