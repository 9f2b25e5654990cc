import { SCHEME_KINDS, schemeOf, type SchemeKind, type Scoring } from '@/core/game/scoring';
import { firstScoring } from '@/core/game/scoring/simple';
import { NOTHING_PLANNED } from '@/core/game/calls';
import { PLAIN_RULES } from '@/core/game/rules';
import { freshKey, GAME_VERSION, type GameSpec } from '@/core/game/spec';
import { gameStations } from '@/core/green/game';
import type { GreenPlan } from '@/core/green/plan';
import { NO_GROUND_SAID, NOWHERE_SAID, type Station } from '@/core/game/station';
import { rungDistances, type Rungs } from '@/core/tools/rungs';
import type { LandingStart } from '@/core/tools/landing-start';
import { fromMetres, snap, toMetres, type UnitSystem } from '@/core/units/length';

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

/**
 * Stations with what a way of scoring needs of them: balls, a carry, a par.
 * @param before balls by the station's key, where this way was tried before
 */
export function stationsFor(scoring: Scoring, stations: readonly Station[], before: Readonly<Record<string, number>> = {}): Station[] {
  const { countsBalls, lots, stationSays, fewestBalls } = schemeOf(scoring);
  const followed = stations.map((station) => ({
    ...station,
    balls: before[station.key] ?? (countsBalls && lots === undefined ? station.balls : 1),
    carryM:
      stationSays.includes('carryM') && station.carryM === null && Number.isFinite(station.distanceM)
        ? snap(station.distanceM / 2)
        : station.carryM,
    par: stationSays.includes('par') ? (station.par ?? 2) : station.par,
  }));
  const fewest = fewestBalls(scoring);
  const balls = followed.reduce((sum, station) => sum + (station.balls || 0), 0);
  // So that what is asked can be done: about twice as many as it takes at least.
  return balls >= fewest ? followed : followed.map((station) => ({ ...station, balls: Math.ceil((2 * fewest) / followed.length) }));
}

/**
 * What the form of a new game starts from: one station, and one way of scoring, which a coach changes.
 * @param by the way of scoring; without it the first that is offered
 */
export function newGame(units: UnitSystem, by?: SchemeKind): GameSpec {
  const scoring = by ? schemeOf({ scheme: by }).fresh(units) : firstScoring(units);
  return {
    format: 'inch-game',
    version: GAME_VERSION,
    title: '',
    about: '',
    open: false,
    calls: NOTHING_PLANNED,
    stations: stationsFor(scoring, [firstStation(units)]),
    order: 'blocked',
    sizes: { unit: units === 'metric' ? 'm' : 'ft', of: 'fixed', fixedM: null, scaled: false },
    scoring,
    rules: PLAIN_RULES,
    leadIn: [],
    goal: null,
  };
}

/** The way of scoring in which a ball has to land somewhere. */
const landed = SCHEME_KINDS.find((kind) => schemeOf({ scheme: kind }).stationSays.includes('carryM'));

/**
 * A game with a landing zone where a landing spot was worked out.
 * @param plan of the green on which one of its stations was asked about
 */
export function landingGame(start: LandingStart, units: UnitSystem, plan: GreenPlan | null): GameSpec {
  const { carryM, distanceM, edgeM, lie, club, flight, on } = start;
  const game = newGame(units, landed);
  const distanceUnit = units === 'metric' ? 'm' : 'yd';
  const placed = plan && on ? gameStations(plan, units, 6).find(({ place }) => place === on.station) : undefined;
  const first = game.stations[0]!;
  const station: Station = {
    ...first,
    shotType: carryM < distanceM / 2 ? 'chip' : 'pitch',
    surface: lie,
    distanceM: snap(distanceM),
    distanceUnit,
    ...placed,
    edgeM: edgeM > 0 ? snap(edgeM) : null,
    balls: 6,
    key: 's1',
    club,
    trajectory: flight,
    carryM: toMetres(Math.round(fromMetres(carryM, distanceUnit) * 10) / 10, distanceUnit),
  };
  return { ...game, title: `Land it with the ${club}`.slice(0, 80), stations: [station] };
}

/** A game of putts along one line, one ball from each rung. */
export function rungsGame(rungs: Rungs, units: UnitSystem): GameSpec {
  const game = newGame(units);
  const first = game.stations[0]!;
  const stations = rungDistances(rungs).map((distanceM, i): Station => ({
    ...first,
    key: `s${i + 1}`,
    shotType: 'putt',
    surface: 'green',
    distanceM,
    distanceUnit: rungs.unit,
    slope: rungs.slope,
    breaks: rungs.breaks,
    balls: 1,
  }));
  return { ...game, title: `${stations.length} rungs along one line`, stations };
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
