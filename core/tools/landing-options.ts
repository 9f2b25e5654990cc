import { shotsOver, type ShotResult, type Strike } from '../physics/shot';
import { asideWith, finishWith, lands, solveShot, type Play } from '../physics/solve';
import type { Flight, PlayableLie } from '../physics/launch';
import { pullDeg } from '../physics/launch';
import { TRAJECTORIES } from '../golf/words';
import { CLUB_M } from '../measures/sticks';
import { chancesOf, type Chances } from './landing-chances';
import type { LandingPlace } from './landing-place';
import type { StrokesAfter } from './strokes-after';
import type { Terrain } from './terrain';

export type Club = { label: string; loftDeg: number };

/** Lofts that a shot over the ground to a spot is played with, in degrees: a putter and a driver are none. */
export const LEAST_LOFT = 18;

/** A shot to the hole with one club and one flight, and how forgiving it is. */
export type LandingOption = {
  club: Club;
  flight: Flight;
  headSpeed: number;
  carryM: number;
  runM: number;
  /** Between what the carry lies, as greens take a ball differently: where balls run as far as `Player.run` says at most and at least. */
  carries: { fromM: number; toM: number };
  landsOn: ShotResult['landsOn'];
  landingDeg: number;
  apexM: number;
  /** How far a side slope takes its run to the right. */
  driftM: number;
  /** How far it starts to the left of a right-hander's line, in degrees, as the ball lies above the feet; negative: below them. */
  pullDeg: number;
  /** By how much it stops farther where it lands a pace long, and shorter where it lands a pace short; null where that is no shot, or never stops. */
  pace: { longM: number | null; shortM: number | null };
  /** The same for 5% more and less speed of the club. */
  speed: { moreM: number | null; lessM: number | null };
  chances: Chances;
};
/** What a club and a flight are called together: "54° high". */
export const nameOf = ({ club, flight }: { club: Club; flight: Flight }): string => `${club.label} ${flight}`;

/** What a club and a flight come to: a shot, or why there is none. */
export type OptionAnswer =
  | ({ answer: 'found' } & LandingOption)
  | { answer: 'will_not_stop' | 'no_reliable_spot' | 'too_far' | 'cannot_hold'; club: Club; flight: Flight };

/** What decides about a shot beyond where it is played. */
export type Player = {
  /** The standard deviation of the carry as a share of it. */
  spread: number;
  /** How much farther or less far balls run than the model has it: the middle, and between what that lies. */
  run: { k: number; from: number; to: number };
  after: StrokesAfter;
  paceM: number;
  clubM: number | null;
};

/** How far balls run where nobody measured it: as the model has it, or a quarter less or a third more. A judgement. */
export const UNMEASURED_RUN = { k: 1, from: 0.75, to: 1.33 } as const;

/** Where a ball may come down and still be reckoned with. */
const LANDABLE: readonly string[] = ['green', 'fringe', 'fairway', 'bare'];
/** More balls than this that never stop: the spot can't be relied on. */
const MOST_RUN_AWAY = 0.1;

/** One club and flight, to a place `aim` from the ball. */
export type Aim = { distanceM: number; rightDeg: number };

/**
 * A shot with one club and one flight that stops at the aim.
 * @param play shots over the line to the aim
 */
export function optionOf(
  place: Pick<LandingPlace, 'windMs' | 'sit' | 'stance'>,
  lie: PlayableLie,
  terrain: Terrain,
  { club, flight }: { club: Club; flight: Flight },
  player: Player,
  aim: Aim,
  play: Play,
): OptionAnswer {
  const { sit, stance, windMs: wind } = place;
  const strike: Strike = { loftDeg: club.loftDeg, flight, lie, sit, stance, wind };
  const { k } = player.run;
  const reaches = finishWith(k);
  const solved = solveShot(play, strike, aim.distanceM, reaches);
  if (solved.answer !== 'found') return { answer: solved.answer, club, flight };
  const { shot, headSpeed } = solved;
  if (!LANDABLE.includes(shot.landsOn)) return { answer: 'cannot_hold', club, flight };
  const chances = chancesOf(
    { play, strike, headSpeed, k, aimDeg: aim.rightDeg },
    terrain,
    player.spread,
    player.after,
    player.clubM ?? CLUB_M,
  );
  if (chances.runsAway > MOST_RUN_AWAY) return { answer: 'will_not_stop', club, flight };
  const landing = (carryM: number) => {
    const there = carryM > 0.3 ? solveShot(play, strike, carryM, lands) : null;
    return there?.answer === 'found' ? reaches(there.shot) : null;
  };
  // Where balls run farther, they are landed shorter.
  const carryWith = (factor: number) => {
    const there = solveShot(play, strike, aim.distanceM, finishWith(factor));
    return there.answer === 'found' ? there.shot.carryM : shot.carryM;
  };
  const ends = [carryWith(player.run.to), carryWith(player.run.from), shot.carryM];
  const moved = (finishM: number | null) => (finishM === null ? null : finishM - aim.distanceM);
  return {
    answer: 'found',
    club,
    flight,
    headSpeed,
    carryM: shot.carryM,
    runM: aim.distanceM - shot.carryM,
    carries: { fromM: Math.min(...ends), toM: Math.max(...ends) },
    landsOn: shot.landsOn,
    landingDeg: shot.landingDeg,
    apexM: shot.apexM,
    driftM: asideWith(k)(shot),
    pullDeg: pullDeg(club.loftDeg, stance),
    pace: { longM: moved(landing(shot.carryM + player.paceM)), shortM: moved(landing(shot.carryM - player.paceM)) },
    speed: { moreM: moved(reaches(play(headSpeed * 1.05, strike))), lessM: moved(reaches(play(headSpeed * 0.95, strike))) },
    chances,
  };
}

/** What is asked of all clubs and flights; of sand there is no answer in figures. */
export type LandingQuestion = { place: LandingPlace; clubs: readonly Club[]; player: Player };

/** Every club in every flight, the fewest strokes first, then those that have no shot. */
export function optionsOf({ place, clubs, player }: LandingQuestion, terrain: Terrain): OptionAnswer[] {
  const { lie } = place;
  if (lie === 'sand') return [];
  const play = playOver(place, terrain, 0);
  const aim = { distanceM: terrain.distanceM, rightDeg: 0 };
  return clubs
    .filter(({ loftDeg }) => loftDeg >= LEAST_LOFT)
    .flatMap((club) => TRAJECTORIES.map((flight) => optionOf(place, lie, terrain, { club, flight }, player, aim, play)))
    .toSorted((one, other) => strokesOf(one) - strokesOf(other));
}

/** Shots over the line to an aim. */
export function playOver({ stimpFt, firmness }: Pick<LandingPlace, 'stimpFt' | 'firmness'>, terrain: Terrain, rightDeg: number): Play {
  return shotsOver({ stretches: terrain.lineTo(rightDeg), stimpFt, firmness });
}

const strokesOf = (option: OptionAnswer) => (option.answer === 'found' ? option.chances.strokes : Infinity);
