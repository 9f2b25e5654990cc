import { gameFor, MOST_ALLOWANCE, type Entrant } from '../game/entrant';
import { phasesOf } from '../game/phases';
import { schemeOf } from '../game/scoring';
import type { GameSpec } from '../game/spec';
import { costUnitM } from '../play/verdict';
import type { PlayedGames, ForecastPlayer } from './games';

/** A head start, and with it the chance of beating whoever has none; half a win for being level. */
export type SuggestedAllowance = { allowance: number; chance: number };
export type SuggestedAllowances = {
  players: SuggestedAllowance[];
  /** Who has none: a place among the players. */
  scratch: number;
  /** Of all pairs, the chance that is farthest from even. */
  worstPair: number;
};

const HALF = 0.5;
/** Of more players the pairs are too many to be made more even one by one: each is even with the strongest. */
const REFINED = 8;

/**
 * Head starts with which everybody beats the strongest about every second time, in halves of what the score counts (of a
 * foot or a metre where it adds up lengths). They are found on games that were played together without any.
 * @param played by the same players, without allowances
 */
export function allowancesFor(
  game: GameSpec,
  players: readonly Pick<ForecastPlayer, 'entrant'>[],
  played: PlayedGames,
): SuggestedAllowances {
  const leads = players.map(({ entrant }, seat) => leadsOf(game, entrant, played.scores[seat]!));
  const means = leads.map((list) => list.reduce((a, b) => a + b, 0) / list.length);
  const scratch = means.indexOf(Math.max(...means));
  const unit = unitOf(game);
  const found = leads.map((list, seat): SuggestedAllowance => {
    if (seat === scratch) return { allowance: 0, chance: HALF };
    const chance = (halves: number) => beats(list, leads[scratch]!, halves * HALF * unit);
    // More of a head start never wins less often: the first that wins at least half of the games, or the one before.
    let [low, high] = [0, MOST_ALLOWANCE / HALF];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (chance(middle) >= HALF) high = middle;
      else low = middle + 1;
    }
    const halves = low > 0 && HALF - chance(low - 1) < chance(low) - HALF ? low - 1 : low;
    return { allowance: halves * HALF, chance: chance(halves) };
  });
  const starts = found.map(({ allowance }) => allowance);
  const chanceOf = (a: number, b: number) => beats(leads[a]!, leads[b]!, (starts[a]! - starts[b]!) * unit);
  // Pairs of those with head starts may be less even: half a step up or down for one, two or all of them, as long as the least even pair gets more even.
  const moves =
    players.length > 2 && players.length <= REFINED ? movesOf(players.map((_, seat) => seat).filter((seat) => seat !== scratch)) : [];
  for (let better = moves.length > 0; better;) {
    better = false;
    for (const move of moves) {
      if (move.some(([seat, step]) => starts[seat]! + step < 0)) continue;
      const before = off(leastEven(starts.length, chanceOf));
      for (const [seat, step] of move) starts[seat]! += step;
      if (off(leastEven(starts.length, chanceOf)) < before - TINY) better = true;
      else for (const [seat, step] of move) starts[seat]! -= step;
    }
  }
  return {
    players: starts.map((allowance, seat) => ({ allowance, chance: seat === scratch ? HALF : chanceOf(seat, scratch) })),
    scratch,
    worstPair: leastEven(starts.length, chanceOf),
  };
}

type Move = readonly (readonly [seat: number, step: number])[];
/** Half a step up or down for one of the seats, for two of them together, and for all. */
function movesOf(seats: readonly number[]): Move[] {
  const singles = seats.flatMap((seat) => [HALF, -HALF].map((step) => [seat, step] as const));
  return [
    ...singles.map((single) => [single]),
    ...singles.flatMap((one, i) => singles.slice(i + 1).flatMap((other) => (other[0] === one[0] ? [] : [[one, other]]))),
    ...[HALF, -HALF].map((step) => seats.map((seat) => [seat, step] as const)),
  ];
}

const off = (chance: number) => Math.abs(chance - HALF);

/** Of all pairs the chance that is farthest from even. */
function leastEven(players: number, chanceOf: (a: number, b: number) => number): number {
  let least = HALF;
  for (let a = 0; a < players; a++)
    for (let b = 0; b < a; b++) {
      const chance = chanceOf(a, b);
      if (off(chance) > off(least)) least = chance;
    }
  return least;
}

/** How often one player's figures, with a head start, are above another's in the same game; half of those that are level. */
function beats(one: Float64Array, other: Float64Array, headStart: number): number {
  let wins = 0;
  for (let g = 0; g < one.length; g++) {
    const by = one[g]! + headStart - other[g]!;
    wins += by > TINY ? 1 : by < -TINY ? 0 : HALF;
  }
  return wins / one.length;
}
const TINY = 1e-9;

/** Scores as figures of which more is better; against the par, where there is one. */
function leadsOf(game: GameSpec, entrant: Entrant, scores: Float64Array): Float64Array {
  const scheme = schemeOf(game.scoring);
  const sign = scheme.better(game.scoring) === 'higher' ? 1 : -1;
  const par = scheme.par ? parInAll(game, entrant) : 0;
  return scores.map((score) => sign * (score - par));
}

/** The par of all balls of a game, for one player. */
export function parInAll(game: GameSpec, entrant: Entrant): number {
  const { lots, stations } = phasesOf(gameFor(game, entrant)).at(-1)!;
  return (lots ?? []).reduce((sum, { at }) => sum + (stations[at]!.par ?? 2), 0);
}

/** One of what a head start is given in. */
function unitOf(game: GameSpec): number {
  return schemeOf(game.scoring).unit(game.scoring) === 'length' ? costUnitM(game.sizes) : 1;
}
