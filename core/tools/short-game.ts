import { METRES_PER } from '../units/length';
import { APPROACH_SPREAD, approachLeftFt } from '../golf/approach';
import { makeRate, nextPutt, referencePutting, type PuttingSkill } from '../golf/putting';
import { familyOf, type Family } from '../golf/shot-types';
import { normalQuantile } from '../math/normal';
import { cellKey } from '../skill/cells';
import type { Belief } from '../skill/diagnose';
import type { SkillModel } from '../skill/model';
import { puttingOf, SPREAD } from '../skill/parameters';
import type { Draw } from '../skill/posterior';
import { STOPS, stopsOf } from '../skill/shape';
import { offGreenChance } from '../skill/trouble';

/**
 * What a short game comes to on a hole, as chances: how many strokes from beside a green that was missed (1, 2, … 5 or more), and how many putts on one
 * that was hit (1, 2, 3, 4 or more). Shots that are holed from off the green are left out: one in two hundred.
 */
export type ShortGame = { near: readonly number[]; green: readonly number[] };
/** A player's: what is expected, with each family of shots as the level plays it, and drawn from what is believed. */
export type ShortGames = { level: number; own: ShortGame; atLevel: Record<Family, ShortGame>; draws: ShortGame[] };

/** Places that stand for where balls stop, and for where first putts lie. */
const LOOKS = 32;
const FIRST_PUTTS = Array.from({ length: 24 }, (_, i) => Math.exp(APPROACH_SPREAD * normalQuantile((i + 0.5) / 24)));
/** Draws that stand for all. */
const MOST_DRAWS = 40;
/** A ball that stays off the green is chipped again: from light rough, about so far. A judgement. */
const SECOND_CHIP = { shotType: 'chip', surface: 'light_rough', distanceM: 12 * METRES_PER.yd } as const;
/** Whoever misses the green twice has chipped it to so many feet at last. */
const LAST_CHIP_FT = 6;

/** Putting at distances of a grid, read between them. */
type Putting = (ft: number) => readonly [one: number, two: number];
const FROM_FT = 0.3;
const POINTS = 28;
const STEP = Math.log(150 / FROM_FT) / (POINTS - 1);

function puttingTable(skillAt: (ft: number) => PuttingSkill): Putting {
  const nodes = Array.from({ length: POINTS }, (_, i) => {
    const ft = FROM_FT * Math.exp(i * STEP);
    return [makeRate(skillAt(ft), ft), nextPutt(skillAt(ft), ft)] as const;
  });
  return (ft) => {
    const place = Math.min(POINTS - 1.000001, Math.max(0, Math.log(Math.max(FROM_FT, ft) / FROM_FT) / STEP));
    const low = Math.floor(place);
    const [a, b] = [nodes[low]!, nodes[low + 1]!];
    return [a[0] + (place - low) * (b[0] - a[0]), a[1] + (place - low) * (b[1] - a[1])];
  };
}

/** Adds the putts from a distance to counts of strokes, after so many. */
function addPutts(into: Float64Array, putting: Putting, ft: number, after: number, weight: number): void {
  const [one, two] = putting(ft);
  const last = into.length - 1;
  into[Math.min(last, after + 1 - 1)]! += weight * one;
  into[Math.min(last, after + 2 - 1)]! += weight * two;
  into[Math.min(last, after + 3 - 1)]! += weight * Math.max(0, 1 - one - two);
}

/** One player as drawn: what the holes come to. */
function gameOf(model: SkillModel, level: number, mix: ReadonlyMap<string, number>, draw: Draw | null, leveled: Family | null): ShortGame {
  const prior = model.prior(level);
  const usual = referencePutting(level);
  const putting = puttingTable((ft) =>
    draw && leveled !== 'putting' ? puttingOf(prior, draw.rest, prior.bandsAt(ft * METRES_PER.ft)) : usual,
  );
  const near = new Float64Array(5);
  const { stops, anywhere } = stopsOf(draw?.rest[SPREAD] ?? 0);
  /** Where balls of a cell stop, in metres, each as likely as the others. */
  const stopsFrom = (cell: number, distanceM: number): number[] => {
    const { shotType } = prior.cells[cell]!;
    const median = Math.exp(prior.at(cell, distanceM).mu + (draw && familyOf(shotType) !== leveled ? draw.delta[cell]! : 0));
    return Array.from({ length: LOOKS }, (_, look) => {
      const i = Math.floor(((look + 0.5) * STOPS) / LOOKS);
      return stops[i]! * (i < anywhere ? distanceM : median);
    });
  };
  // The second chip, as counts of all strokes from then on.
  const again = new Float64Array(near.length);
  for (const left of stopsFrom(
    prior.index.get(cellKey(SECOND_CHIP.shotType, SECOND_CHIP.surface, SECOND_CHIP.distanceM))!,
    SECOND_CHIP.distanceM,
  )) {
    const off = offGreenChance(left);
    addPutts(again, putting, left / METRES_PER.ft, 1, (1 - off) / LOOKS);
    addPutts(again, putting, LAST_CHIP_FT, 2, off / LOOKS);
  }
  let all = 0;
  for (let cell = 0; cell < prior.offGreen; cell++) {
    const { key, distanceM } = prior.cells[cell]!;
    const uses = mix.get(key) ?? 0;
    if (uses <= 0) continue;
    all += uses;
    for (const left of stopsFrom(cell, distanceM)) {
      const [weight, off] = [uses / LOOKS, offGreenChance(left)];
      addPutts(near, putting, left / METRES_PER.ft, 1, weight * (1 - off));
      again.forEach((p, strokes) => (near[Math.min(near.length - 1, strokes + 1)]! += weight * off * p));
    }
  }
  const green = new Float64Array(4);
  for (const first of FIRST_PUTTS) addPutts(green, putting, approachLeftFt(level) * first, 0, 1 / FIRST_PUTTS.length);
  return { near: Array.from(near, (value) => (all > 0 ? value / all : 0)), green: [...green] };
}

/** The mean of several, place by place. */
function meanOf(games: readonly ShortGame[]): ShortGame {
  const over = (of: (game: ShortGame) => readonly number[]) =>
    of(games[0]!).map((_, i) => games.reduce((sum, game) => sum + of(game)[i]!, 0) / games.length);
  return { near: over(({ near }) => near), green: over(({ green }) => green) };
}

/**
 * What a player's short game comes to.
 * @param mix uses in a round by cell key
 */
export function shortGames(model: SkillModel, { level, draws }: Belief, mix: ReadonlyMap<string, number>): ShortGames {
  const step = Math.max(1, Math.floor(draws.length / MOST_DRAWS));
  const some = draws.filter((_, i) => i % step === 0).slice(0, MOST_DRAWS);
  const own = some.map((draw) => gameOf(model, level, mix, draw, null));
  const leveled = (family: Family) => meanOf(some.slice(0, 12).map((draw) => gameOf(model, level, mix, draw, family)));
  const same = meanOf(own.slice(0, 12));
  // Against the same draws, so that luck of the draws is in neither.
  const shifted = (family: Family): ShortGame => {
    const to = leveled(family);
    const mean = meanOf(own);
    const move = (of: (game: ShortGame) => readonly number[]) => of(mean).map((value, i) => Math.max(0, value + of(to)[i]! - of(same)[i]!));
    return { near: move(({ near }) => near), green: move(({ green }) => green) };
  };
  return {
    level,
    own: meanOf(own),
    atLevel: { putting: shifted('putting'), chipping: shifted('chipping'), pitching: shifted('pitching'), bunker: shifted('bunker') },
    draws: own,
  };
}

/** The short game of a level itself. */
export function shortGameOfLevel(model: SkillModel, level: number): ShortGame {
  return gameOf(model, level, model.mix(level), null, null);
}
