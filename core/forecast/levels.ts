import { enter } from '../game/enter';
import type { Entrant } from '../game/entrant';
import type { GameSpec } from '../game/spec';
import { believe, type Belief } from '../skill/diagnose';
import type { SkillModel } from '../skill/model';
import type { ForecastPlayer } from './games';

/** Nobody's measures: zones as wide as they are where nobody measured. */
const UNMEASURED = { paceM: null, clubM: null, putterM: null, flagstickM: null };

const held = new WeakMap<SkillModel, Map<number, Belief>>();

/** What is believed of somebody of whom only the level is known. */
export function beliefOfLevel(model: SkillModel, level: number): Belief {
  let known = held.get(model);
  if (!known) held.set(model, (known = new Map()));
  let belief = known.get(level);
  if (!belief) {
    if (known.size >= MOST_KEPT) known.clear();
    known.set(level, (belief = believe({ groups: [] }, model, level)));
  }
  return belief;
}
const MOST_KEPT = 60;

/** Somebody of a level in a game: what it takes from them, without an allowance. */
export function entrantOfLevel(game: GameSpec, level: number, playerId = ''): Entrant {
  return enter({ playerId, level, ...UNMEASURED }, game.sizes, UNMEASURED, 0);
}

/** Somebody of a level, of whom nothing else is known. */
export function playerOfLevel(game: GameSpec, level: number, model: SkillModel): ForecastPlayer {
  return { entrant: entrantOfLevel(game, level), belief: beliefOfLevel(model, level) };
}
