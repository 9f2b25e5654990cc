import { seededRandom, type Random } from '../math/random';
import { MOST_STATIONS } from '../game/station';
import type { ProposedStation } from '../game/calls';
import type { GameSpec } from '../game/spec';
import type { SkillModel } from '../skill/model';
import type { KnownPlayer } from './choose';
import { kindOf } from './kinds';
import type { Order } from './lay-out';
import { ByNeed, ballsToTell } from './need';
import { placesAnywhere, placesOn } from './places';
import { proposeKind } from './propose';
import type { ProposalTask } from './proposal-task';
import { knownOf } from './proposal-task';
import { judgedTogether } from './together';

/** So many balls are hit from each place, and so many places are proposed. */
const SET = 5;
const SETS = MOST_STATIONS;
/** Up to so many balls on record what is open decides; after that it is drawn from what is believed. */
const DRAWN_AFTER = 300;

/**
 * The shots that are hit next, set by set, whatever comes of them: first always where the balls narrow most what is open; with hundreds of balls
 * on record each set is drawn instead, from a player that the records allow the shot that costs that one most (Thompson 1933).
 * @param allowed the shots that can be hit, as indices of findings; at least one
 */
export function shotsByNeed(
  known: KnownPlayer,
  allowed: readonly number[],
  { sets, balls, onRecord }: { sets: number; balls: number; onRecord: number },
  random: Random,
): number[] {
  const need = new ByNeed(known);
  const shots: number[] = [];
  for (let set = 0; set < sets; set++) {
    const last = shots.at(-1) ?? null;
    const next = onRecord + set * balls < DRAWN_AFTER ? need.next(allowed, balls, last) : drawn(known, allowed, last, random);
    need.hit(next, balls);
    shots.push(next);
  }
  return shots;
}

/** Of one player that the records allow, the shot that costs most in a round; not the last one again. */
function drawn({ findings, lost }: KnownPlayer, allowed: readonly number[], last: number | null, random: Random): number {
  const draw = Math.min(lost[0]!.length - 1, Math.floor(random.uniform() * lost[0]!.length));
  const others = allowed.filter((cell) => cell !== last);
  const choice = others.length > 0 ? others : allowed;
  const costs = choice.map((cell) => findings[cell]!.uses * lost[cell]![draw]!);
  return choice[costs.indexOf(Math.max(...costs))]!;
}

/** A round in which the program says what to hit next, and about how many balls tell the three weakest shots from the rest; null: too many. */
export type RoundByNeed = { game: GameSpec; more: number | null };

/**
 * Practice by need as an open game: its stations are proposed one after another, and anything else can be called. Balls are told by rings, sized
 * for the player.
 * @returns null where the green has no places for it
 */
export function roundByNeed(order: Order, model: SkillModel): RoundByNeed | null {
  const judged = judgedTogether(order.players.map((player) => player.judged));
  const places = order.green ? placesOn(order.green, model.cells, order.units) : placesAnywhere(model.cells, order.units);
  const { findings } = judged;
  const allowed = [...new Set(places.map(({ cell }) => cell))].filter((i) => findings[i]!.ranked && findings[i]!.uses > 0);
  const sized = proposeKind({ ...order, purpose: 'find_out' }, kindOf('need'), model);
  if (allowed.length === 0 || !sized) return null;
  const onRecord = findings.reduce((sum, { balls }) => sum + balls, 0);
  const more = ballsToTell(judged, allowed);
  const shots = shotsByNeed(judged, allowed, { sets: SETS, balls: SET, onRecord }, seededRandom(order.seed));
  const next = shots.map((cell, i): ProposedStation => {
    const here = places.filter((place) => place.cell === cell);
    // Where a green has several places for a shot, they take turns.
    const before = shots.slice(0, i).filter((one) => one === cell).length;
    const { station } = here[before % here.length]!;
    return {
      station: { ...station, key: `s${i + 1}`, balls: SET, carryM: null },
      more: more === null ? null : Math.max(0, more - i * SET),
    };
  });
  const [only] = order.players;
  const title = order.players.length === 1 ? `${only!.name.slice(0, 40)}: by need` : 'By need';
  return {
    more,
    game: {
      ...sized.game,
      title,
      about: '',
      open: true,
      stations: [],
      order: 'blocked',
      goal: null,
      calls: { stations: null, balls: SET, next },
    },
  };
}

/** A round by need, asked for as plain data. */
export type NeedTask = Omit<ProposalTask, 'kind' | 'which'> & { kind: 'by_need' };

/**
 * Makes it.
 * @throws RangeError where it was asked of another model
 */
export function doNeed(model: SkillModel, { version, order, players }: NeedTask): RoundByNeed | null {
  return roundByNeed({ ...order, players: knownOf(model, version, players) }, model);
}
