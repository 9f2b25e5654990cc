import { allStations } from '../game/station';
import { leadInWords } from '../game/words/say-phase';
import { distance, type Point } from '../geometry/point';
import { factsOf } from '../green/facts';
import type { GreenPlan } from '../green/plan';
import { walkingOrder, walkLength } from '../green/walk';
import { budgetOf, sayTimes } from '../game/budget';
import { careLines } from '../game/words/care';
import { sayAtStation, sayGround, sayStation, sayStationLie, stationUnit } from '../game/words/say-station';
import { goalInWords } from '../game/words/goal-words';
import { phasesOf } from '../game/phases';
import { rulesInWords, scoringInWords } from '../game/words/say-game';
import { schemeOf, type Scoring } from '../game/scoring';
import { isBodyMeasure, sayRadius } from '../game/sizes';
import type { GameSpec } from '../game/spec';
import type { Station } from '../game/station';
import { counted, formatLeft, formatLength } from '../units/format';
import { fromMetres, type UnitSystem } from '../units/length';
import { inSticks, known, sayPaces, type Measures } from '../measures/hands';

export type ZoneLine = {
  /** "inside: 4", "lands". */
  what: string;
  radiusM: number;
  /** In the unit of the game. */
  says: string;
  /** Another way to lay it out: with sticks, or by tape where the unit is a stick already; null where there is none. */
  laidOut: string | null;
};

export type StationLine = {
  key: string;
  no: number;
  station: Station;
  name: string;
  lie: string;
  /** What the spot is called, and what to think of there; empty where nobody says. */
  called: string;
  note: string;
  /** From the hole, in the reader's unit and in paces. */
  far: string;
  paces: string;
  /** What its hole is called, as the game or the plan says it; null where neither does. */
  hole: string | null;
  /** From the station before, in paces; null for the first, and on no green. */
  walk: string | null;
  /** What else belongs to it: where to land, the club, the par, the balls. */
  more: string[];
};

/** All that is needed to set a game up, in words and figures, for one who measures with their own lengths. */
export type SetUpSheet = {
  title: string;
  meta: string[];
  measures: string;
  bring: string[];
  zones: ZoneLine[];
  stations: StationLine[];
  /** The shortest walk for putting the stations out; null on no green or where it is the order of the game. */
  walk: string | null;
  howItGoes: string[];
  care: string[];
};

type PlannedGreen = { title: string; plan: GreenPlan };

/**
 * The sheet for setting up a game.
 * @param spec the game as it is for whom the zones are laid out
 * @param place the green on which it is played; null for any
 * @param measures of whoever sets it up
 */
export function setUpSheet(spec: GameSpec, place: PlannedGreen | null, measures: Measures, system: UnitSystem): SetUpSheet {
  const own = known(measures);
  const stations = stationLines(spec, place?.plan ?? null, own.paceM, system);
  const zones = zoneLines(spec, measures, system);
  const alone = budgetOf(spec);
  const unit = system === 'metric' ? 'm' : 'in';
  const length = (metres: number) => formatLength(metres, unit, unit === 'm' ? 2 : 0);
  return {
    title: spec.title,
    meta: [schemeOf(spec.scoring).label, ...(place ? [place.title] : []), ...(spec.open ? ['stations called live'] : [sayTimes(spec)])],
    measures: `1 pace = ${length(own.paceM)} · club ${length(own.clubM)} · putter ${length(own.putterM)} · flagstick ${length(own.flagstickM)}`,
    bring: bringList(spec, alone.balls, zones, system),
    zones,
    stations,
    walk: walkLine(spec, place?.plan ?? null, own.paceM),
    howItGoes: howItGoes(spec, system),
    care: careLines(spec),
  };
}

/** Where the stations of a game stand on its plan; null for one that stands on none. */
function placesOf(spec: GameSpec, plan: GreenPlan | null): (Point | null)[] {
  return spec.stations.map((station) => plan?.stations.find((one) => one.key === station.place)?.at ?? null);
}

function stationLines(spec: GameSpec, plan: GreenPlan | null, paceM: number, system: UnitSystem): StationLine[] {
  const places = placesOf(spec, plan);
  const { scoring } = spec;
  const own = spec.leadIn.flatMap((phase) =>
    (phase.stations ?? []).map((station, i) => ({ station, i, title: phase.title, scoring: phase.scoring })),
  );
  return [...spec.stations.map((station, i) => ({ station, i, title: '', scoring })), ...own].map(
    ({ station, i, title, scoring: scored }) => {
      const there = plan?.stations.find((one) => one.key === station.place);
      const [here, before] = title ? [] : [places[i], places[i - 1]];
      return {
        key: station.key,
        no: i + 1,
        station,
        name: sayStation(station, system),
        lie: [sayStationLie(station), sayGround(station, system)].filter(Boolean).join(' · '),
        // What a phase has of its own says so.
        called: [title, station.name].filter(Boolean).join(' · '),
        note: station.note,
        far: formatLength(station.distanceM, stationUnit(station, system), 1),
        paces: sayPaces(station.distanceM, paceM),
        hole: station.hole || (plan && there ? factsOf(plan, there, system).hole.label : null),
        walk: here && before ? sayPaces(distance(before, here), paceM) : null,
        more: moreOf(spec, station, scored, paceM, system),
      };
    },
  );
}

/** Whether balls must land at some distance in one of the phases. */
function sayCarry(spec: GameSpec): boolean {
  return phasesOf(spec).some(({ scoring }) => schemeOf(scoring).stationSays.includes('carryM'));
}

function moreOf(spec: GameSpec, station: Station, scoring: Scoring, paceM: number, system: UnitSystem): string[] {
  const scheme = schemeOf(scoring);
  const lands = sayCarry(spec) && station.carryM !== null;
  return [
    station.target === 'peg' && 'to a peg',
    station.shape,
    station.club && `with the ${station.club}`,
    lands && `lands at ${sayAtStation(station.carryM!, station, system)}, ${sayPaces(station.carryM!, paceM)} from the ball`,
    scheme.stationSays.includes('par') && `par ${station.par ?? 2}`,
    scheme.countsBalls && !spec.open && counted(station.balls, 'ball'),
  ].filter((text) => typeof text === 'string');
}

/** The zones of a game to be laid out, in the game's unit and in sticks; each radius once. */
function zoneLines(spec: GameSpec, measures: Measures, system: UnitSystem): ZoneLine[] {
  const found: ZoneLine[] = [];
  // A zone in somebody's clubs is laid out with them: its length is said for whoever has only a tape.
  const laidOut = (radiusM: number) => (isBodyMeasure(spec.sizes.unit) ? formatLeft(radiusM, system) : inSticks(radiusM, measures));
  for (const { scoring } of phasesOf(spec))
    for (const { does, of, radiusM } of schemeOf(scoring).zones(scoring)) {
      if (radiusM === 0 || found.some((one) => one.what === does && one.radiusM === radiusM)) continue;
      found.push({
        what: does,
        radiusM,
        says: sayRadius(radiusM, spec.sizes, system),
        laidOut: of === 'measured' ? null : laidOut(radiusM),
      });
    }
  return found.toSorted((a, b) => a.radiusM - b.radiusM);
}

function bringList(spec: GameSpec, balls: number, zones: readonly ZoneLine[], system: UnitSystem): string[] {
  const { scoring } = spec;
  const stations = allStations(spec);
  const tees = stations.length;
  const lands = sayCarry(spec);
  const far = schemeOf(scoring)
    .zones(scoring)
    .some(({ of }) => of === 'measured');
  const laid = zones.filter((zone) => zone.what !== 'measured' && zone.what !== 'lands');
  const pegs = new Set(stations.filter((station) => station.target === 'peg').map((station) => station.distanceM)).size > 0;
  const clubs = schemeOf(scoring).clubs?.(scoring) ?? [...new Set(stations.flatMap((station) => station.club ?? []))];
  return [
    spec.open ? 'balls' : counted(balls, 'ball'),
    tees > 0 && `${counted(tees, 'tee')} to mark the stations`,
    far && 'a tape',
    laid.length > 0 && `a string with ${laid.length === 1 ? 'a knot' : 'knots'} at ${laid.map((zone) => zone.says).join(', ')}, or hoops`,
    laid.length > 0 && !far && `a tape of ${tapeFor(Math.max(...laid.map((zone) => zone.radiusM)), system)} or longer`,
    lands && 'a towel or four tees for the landing zone',
    pegs && 'a peg to stand in for the hole',
    clubs.length > 0 && `these clubs: ${clubs.join(', ')}`,
  ].filter((text) => typeof text === 'string');
}

/** The shortest tape that is sold and reaches so far. */
function tapeFor(radiusM: number, system: UnitSystem): string {
  const metres = [3, 5, 8, 10, 20, 30].find((one) => one >= radiusM) ?? 50;
  return system === 'metric' ? `${metres} m` : `${Math.floor(fromMetres(metres, 'ft'))} ft`;
}

function walkLine(spec: GameSpec, plan: GreenPlan | null, paceM: number): string | null {
  const places = placesOf(spec, plan).flatMap((at, i) => (at ? [{ at, no: i + 1 }] : []));
  if (places.length < 3) return null;
  const points = places.map(({ at }) => at);
  const order = walkingOrder(points);
  const asListed = walkLength(
    points,
    points.map((_, i) => i),
  );
  const shortest = walkLength(points, order);
  if (shortest > asListed * 0.98) return `In the order of the game: ${sayPaces(asListed, paceM)} from the first to the last.`;
  return `Put the tees out in the order ${order.map((i) => places[i]!.no).join(', ')}: ${sayPaces(shortest, paceM)}, instead of ${sayPaces(asListed, paceM)}.`;
}

function howItGoes(spec: GameSpec, system: UnitSystem): string[] {
  const goal = goalInWords(spec, system);
  return [
    ...spec.leadIn.map((phase) => `First: ${phase.title}. ${leadInWords(phase, spec.sizes, system)}`),
    scoringInWords(spec.scoring, spec.sizes, system),
    ...rulesInWords(spec, system),
    ...(goal ? [`Goal: ${goal}`] : []),
  ];
}

/** All that is carried to several games on one walk: the most balls and tees that one of them takes, everything else once. */
export function bringToAll(games: readonly GameSpec[], balls: number, system: UnitSystem): string[] {
  const nobody = { paceM: null, clubM: null, putterM: null, flagstickM: null };
  const most = (of: (game: GameSpec) => number) => Math.max(0, ...games.map(of));
  const tees = most((game) => allStations(game).length);
  const counts = /^\d+ (balls?|tees? to mark the stations)$/;
  const all = games.flatMap((game) => setUpSheet(game, null, nobody, system).bring.filter((line) => !counts.test(line)));
  // Of several tapes the longest does.
  const reach = (line: string) => Number(/^a tape of (\d+)/.exec(line)?.[1] ?? 0);
  const longest = all.includes('a tape') ? Infinity : Math.max(0, ...all.map(reach));
  const others = all.filter((line) => reach(line) === 0 || reach(line) === longest);
  const carried = Math.max(
    balls,
    most((game) => budgetOf(game).balls),
  );
  return [counted(carried, 'ball'), ...(tees > 0 ? [`${counted(tees, 'tee')} to mark the stations`] : []), ...new Set(others)];
}
