import type { Point } from '../geometry/point';
import type { Reference } from '../golf/reference';
import type { GreenPlan } from '../green/plan';
import type { Flight } from '../physics/launch';
import { shotFor, type LandingPlace } from './landing-place';
import { optionsOf, type Club, type OptionAnswer, type Player } from './landing-options';
import { routesOf, type Routes } from './landing-routes';
import { spreadOf, type Strays } from './strays';
import { strokesAfter } from './strokes-after';
import { terrainOf, terrainOn, type Terrain } from './terrain';

/** A whole question: where from, on which plan (else in a few figures), with which clubs, by whom. */
export type LandingAsked = {
  place: LandingPlace;
  on: { plan: Pick<GreenPlan, 'outline' | 'fringeM' | 'areas' | 'around' | 'slope'>; ball: Point; hole: Point } | null;
  clubs: readonly Club[];
  strays: Strays;
  run: Player['run'];
  paceM: number;
  clubM: number | null;
};

/** Who answers a question: its player, with the spread from this place, and what lies there. */
function readAsked({ place, on, strays, run, paceM, clubM }: LandingAsked, reference: Reference): { player: Player; terrain: Terrain } {
  const spread = spreadOf(strays, reference, shotFor(place), place.lie, place.distanceM);
  return {
    player: { spread, run, after: strokesAfter(reference, strays.level), paceM, clubM },
    terrain: on ? terrainOn(on.plan, on.ball, on.hole) : terrainOf(place),
  };
}

/** Every club in every flight, the fewest strokes first; nothing from sand. */
export function answerLanding(asked: LandingAsked, reference: Reference): OptionAnswer[] {
  const { player, terrain } = readAsked(asked, reference);
  return optionsOf({ place: asked.place, clubs: asked.clubs, player }, terrain);
}

/** One of them at the hole and where it misses the green least. */
export function answerRoutes(asked: LandingAsked, choice: { club: Club; flight: Flight }, reference: Reference): Routes {
  const { player, terrain } = readAsked(asked, reference);
  return routesOf(asked.place, terrain, choice, player, asked.on !== null);
}
