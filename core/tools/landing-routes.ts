import { SAME_STROKES } from './landing-chances';
import type { LandingPlace } from './landing-place';
import { optionOf, playOver, type Aim, type Club, type LandingOption, type Player } from './landing-options';
import type { Flight } from '../physics/launch';
import type { Terrain } from './terrain';

/** A shot with its aim: so far from the ball, so far to the right of the hole. */
export type Route = LandingOption & { aim: Aim };
/** The same shot at the hole, and where a miss costs least; null where one of them is no shot. */
export type Routes = { bold: Route | null; careful: Route | null };

/** Aims that are tried: metres past the hole, and degrees to its right. */
const PAST_M = [-2, -1, 0, 1, 2, 3, 4, 6] as const;
const ASIDE_DEG = [0, -4, 4, -8, 8, -12, 12, -18, 18] as const;
/** Less than this share of the balls is no difference. */
const SAME = 0.005;

/**
 * One shot played at the hole, and played where the fewest balls miss the green (of equal ones, where it takes fewest strokes).
 * @param asided whether it makes a difference to aim to the side: not where all is alike to the left and the right
 */
export function routesOf(
  place: Pick<LandingPlace, 'lie' | 'sit' | 'stance' | 'stimpFt' | 'firmness' | 'windMs'>,
  terrain: Terrain,
  choice: { club: Club; flight: Flight },
  player: Player,
  asided: boolean,
): Routes {
  const { lie } = place;
  if (lie === 'sand') return { bold: null, careful: null };
  const routes = (asided ? ASIDE_DEG : ASIDE_DEG.slice(0, 1)).flatMap((rightDeg) => {
    const play = playOver(place, terrain, rightDeg);
    return PAST_M.flatMap((past): Route[] => {
      const aim = { distanceM: terrain.distanceM + past, rightDeg };
      if (aim.distanceM < 1 || terrain.surfaceAt(...end(aim)) !== 'green') return [];
      const option = optionOf(place, lie, terrain, choice, player, aim, play);
      return option.answer === 'found' ? [{ ...option, aim }] : [];
    });
  });
  const bold = routes.find(({ aim }) => aim.rightDeg === 0 && aim.distanceM === terrain.distanceM) ?? null;
  const missed = (route: Route) => route.chances.offGreen;
  const fewest = Math.min(...routes.map(missed));
  const careful = routes
    .filter((route) => missed(route) <= fewest + SAME)
    .toSorted((one, other) => one.chances.strokes - other.chances.strokes)[0];
  // Where aiming at the hole misses no more, and costs no more, there is nothing to be careful of.
  const alike = bold && careful && missed(bold) <= fewest + SAME && bold.chances.strokes < careful.chances.strokes + SAME_STROKES;
  return { bold, careful: alike ? bold : (careful ?? null) };
}

const end = ({ distanceM, rightDeg }: Aim): [number, number] => {
  const angle = (rightDeg * Math.PI) / 180;
  return [distanceM * Math.cos(angle), distanceM * Math.sin(angle)];
};

/** Whether the two are one and the same. */
export function sameRoute({ bold, careful }: Routes): boolean {
  return bold !== null && careful !== null && bold.aim.distanceM === careful.aim.distanceM && bold.aim.rightDeg === careful.aim.rightDeg;
}
