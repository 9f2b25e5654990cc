import { bisectRight } from 'd3-array';
import { gameFor } from '../game/entrant';
import { phasesOf } from '../game/phases';
import { schemeOf, type Scoring } from '../game/scoring';
import { WIDEST_M } from '../game/scoring/fields';
import { blankBall } from '../play/compile';
import { fittedM, sizeStepM, unitM } from '../game/sizes';
import type { GameSpec } from '../game/spec';
import { Normals } from '../math/normals';
import type { SkillModel } from '../skill/model';
import { snap } from '../units/length';
import { seatOf, type ForecastPlayer } from './games';
import { FORM_SD } from './shooter';
import { quantile } from './outlook';

/** Where simulated balls of a game stop and land, sorted, in metres. */
export type Stops = {
  /** From the hole: 0 in it, Infinity on a side that does not count. */
  leftM: Float64Array;
  /** From where they should land. */
  landedM: Float64Array;
};

/** A new day after so many balls. */
const BALLS_A_DAY = 20;

/**
 * Where a player's balls stop in a game, each station as often as the game plays it; in a ladder, each rung alike.
 * @throws RangeError for a game without stations
 */
export function stopsOf(
  game: GameSpec,
  player: ForecastPlayer,
  model: SkillModel,
  { balls, seed }: { balls: number; seed: number },
): Stops {
  const random = new Normals(seed);
  const { lots, stations } = phasesOf(gameFor(game, player.entrant), seed).at(-1)!;
  const places = lots ? lots.map(({ at }) => at) : stations.map((_, at) => at);
  const days = Math.ceil(balls / BALLS_A_DAY);
  const { shooter, be } = seatOf(game, player, model, 0, days, random);
  const ball = blankBall();
  const [leftM, landedM] = [new Float64Array(balls), new Float64Array(balls)];
  for (let n = 0; n < balls; n++) {
    if (n % BALLS_A_DAY === 0) {
      be(n / BALLS_A_DAY);
      shooter.day(FORM_SD * random.normal());
    }
    shooter.hit(places[n % places.length]!, ball);
    leftM[n] = ball.holed ? 0 : ball.goodSide ? ball.leftM : Infinity;
    landedM[n] = shooter.landedM;
  }
  return { leftM: leftM.sort(), landedM: landedM.sort() };
}

/** The share of balls inside a radius. */
export function rateInside(sortedM: Float64Array, radiusM: number): number {
  return bisectRight(sortedM, radiusM) / sortedM.length;
}

/** A zone of a scoring, by its path in it, as wide as it is drawn, and the share of balls that it catches. */
export type SuggestedSize = { path: string; radiusM: number; rate: number };

/** How wide zones should be to catch about a wanted share of a player's balls. */
export function sizesFor(game: GameSpec, { entrant }: Pick<ForecastPlayer, 'entrant'>, stops: Stops, wanted: number): SuggestedSize[] {
  const own = { unitM: entrant.unitM ?? unitM(game.sizes), scale: entrant.scale };
  const stepM = sizeStepM(game.sizes);
  let widerThan = 0;
  return zonesOf(game, wanted).map(({ path, of, inner, share }) => {
    const rate = (radiusM: number) => rateInside(stops[of], fittedM(radiusM, game.sizes, own));
    const about = quantile(stops[of], share) / fittedM(1, game.sizes, own) / stepM;
    const least = inner ? widerThan + 1 : 1;
    const most = Math.floor(WIDEST_M / stepM);
    const steps = [Math.floor(about), Math.ceil(about)]
      .map((n) => Math.min(most, Math.max(least, n)))
      .reduce((a, b) => (Math.abs(rate(snap(b * stepM)) - share) < Math.abs(rate(snap(a * stepM)) - share) ? b : a));
    widerThan = steps;
    const radiusM = snap(steps * stepM);
    return { path, radiusM, rate: rate(radiusM) };
  });
}

/** What zones catch as they are drawn, in the same order. */
export function ratesOf(game: GameSpec, { entrant }: Pick<ForecastPlayer, 'entrant'>, stops: Stops): { path: string; rate: number }[] {
  const { scoring } = gameFor(game, entrant);
  return zonesOf(game, 1).map(({ path, of }) => ({ path, rate: rateInside(stops[of], at(scoring, path)) }));
}

/** The radius that stands at a path of a scoring. */
function at(scoring: Scoring, path: string): number {
  return path.split('.').reduce<unknown>((part, key) => (part as Record<string, unknown>)[key], scoring) as number;
}

/**
 * The zones of a game that can be sized, and where balls are sorted for each: of several rings the outermost catches the wanted share and
 * the others even parts of it.
 */
function zonesOf({ scoring }: GameSpec, wanted: number): { path: string; of: keyof Stops; inner: boolean; share: number }[] {
  const zones = schemeOf(scoring).zones(scoring);
  return (['landing', 'finish'] as const).flatMap((of) =>
    zones
      .filter((zone) => zone.of === of)
      .map(({ path }, i, { length }) => ({
        path,
        of: of === 'landing' ? ('landedM' as const) : ('leftM' as const),
        inner: i > 0,
        share: (wanted * (i + 1)) / length,
      })),
  );
}
