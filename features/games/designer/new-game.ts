import { firstScoring } from '@/core/game/scoring/simple';
import { NOTHING_PLANNED } from '@/core/game/calls';
import { PLAIN_RULES } from '@/core/game/rules';
import { freshKey, GAME_VERSION, type GameSpec } from '@/core/game/spec';
import { gameStations } from '@/core/green/game';
import type { GreenPlan } from '@/core/green/plan';
import { NO_GROUND_SAID, NOWHERE_SAID, type Station } from '@/core/game/station';
import { toMetres, type UnitSystem } from '@/core/units/length';

/** The station with which a game begins. */
function firstStation(units: UnitSystem): Station {
  const distanceUnit = units === 'metric' ? 'm' : 'yd';
  return {
    key: 's1',
    ...NOWHERE_SAID,
    ...NO_GROUND_SAID,
    place: null,
    shotType: 'chip',
    surface: 'fairway',
    sit: 'clean',
    stance: 'flat',
    trajectory: null,
    shape: null,
    club: null,
    target: 'hole',
    distanceM: toMetres(10, distanceUnit),
    distanceUnit,
    carryM: null,
    par: null,
    balls: 6,
  };
}

/**
 * Another station, like the last one but for its key: most games change one thing at a time.
 * @param all stations of the game, whose keys are taken
 */
export function nextStation(stations: readonly Station[], units: UnitSystem, all: readonly Station[] = stations): Station {
  const last = stations.at(-1) ?? firstStation(units);
  const keys = all.map((station) => station.key);
  return { ...last, key: freshKey('s', keys), place: null, name: '', note: '' };
}

/** What the form of a new game starts from: one station and three rings, which a coach changes. */
export function newGame(units: UnitSystem): GameSpec {
  return {
    format: 'inch-game',
    version: GAME_VERSION,
    title: '',
    about: '',
    open: false,
    calls: NOTHING_PLANNED,
    stations: [firstStation(units)],
    order: 'blocked',
    sizes: { unit: units === 'metric' ? 'm' : 'ft', of: 'fixed', fixedM: null, scaled: false },
    scoring: firstScoring(units),
    rules: PLAIN_RULES,
    leadIn: [],
    goal: null,
  };
}

/** A game from the stations of a green's plan: three balls at each, and rings to be changed. */
export function gameOn(plan: GreenPlan, units: UnitSystem): GameSpec {
  const title = `Round ${plan.title}`.slice(0, 80);
  return { ...newGame(units), title, stations: gameStations(plan, units, 3) };
}

/** A copy to be changed: the same game under a title of its own. */
export function copyOf(game: GameSpec): GameSpec {
  return { ...game, title: `${game.title.slice(0, 70)}, copy` };
}
