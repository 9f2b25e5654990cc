import type { Point } from '../geometry/point';
import { unitOf } from '../golf/shot-types';
import type { ShotType } from '../golf/words';
import { factsOf } from '../green/facts';
import { gameStations } from '../green/game';
import type { GreenPlan } from '../green/plan';
import { NO_GROUND_SAID, NOWHERE_SAID, type Station } from '../game/station';
import { cellKey, type Cell } from '../skill/cells';
import { fromMetres, METRES_PER, snap, toMetres, type UnitSystem } from '../units/length';
import { isTapIn } from './first-look';

/** Somewhere to play from: the shot it is, as an index of the model's cells, and the station that it makes, with one ball. */
export type Place = { cell: number; station: Station; at: Point | null };

/** Every shot that can be laid out where nobody says on which green: from the middle of its distances; without tap-ins. */
export function placesAnywhere(cells: readonly Cell[], units: UnitSystem): Place[] {
  return cells.flatMap((cell, i) => {
    if (isTapIn(cell)) return [];
    const { shotType, surface } = cell;
    const { distanceM, distanceUnit } = layOut(cell, units);
    const carryM = carryOf(shotType, distanceM);
    return [{ cell: i, at: null, station: { ...STATION, shotType, surface, distanceM, distanceUnit, carryM } }];
  });
}

/** The stations of a green's plan, as far as the model has a cell for their shot; tap-ins too, as somebody has put them there. */
export function placesOn(plan: GreenPlan, cells: readonly Cell[], units: UnitSystem): Place[] {
  const index = new Map(cells.map(({ key }, i) => [key, i]));
  return gameStations(plan, units, 1).flatMap((station, i) => {
    const there = plan.stations[i]!;
    const cell = index.get(cellKey(station.shotType, station.surface, station.distanceM));
    if (cell === undefined) return [];
    const { edgeM } = factsOf(plan, there, units).line;
    return [{ cell, at: there.at, station: { ...station, carryM: carryOf(station.shotType, station.distanceM, edgeM) } }];
  });
}

const STATION = {
  ...NOWHERE_SAID,
  ...NO_GROUND_SAID,
  key: 's1',
  place: null,
  sit: 'clean',
  stance: 'flat',
  trajectory: null,
  shape: null,
  club: null,
  target: 'hole',
  par: null,
  balls: 1,
} as const satisfies Partial<Station>;

/** What part of the way a shot flies, as a coach would lay out its landing spot; judged, nobody measured it. Null for what is putted. */
const FLIES: Readonly<Record<ShotType, number | null>> = {
  putt: null,
  fringe_putt: null,
  bump_and_run: 0.25,
  chip: 0.4,
  pitch: 0.7,
  lob: 0.85,
  bunker: 0.7,
};

/** Where it should land: at its part of the way, and at least a yard onto the green where that is known. */
function carryOf(shotType: ShotType, distanceM: number, edgeM = 0): number | null {
  const part = FLIES[shotType];
  if (part === null) return null;
  return snap(Math.min(distanceM, Math.max(part * distanceM, edgeM > 0 ? edgeM + METRES_PER.yd : 0)));
}

/** Distances are laid out in whole units; where that would be another skill, in halves, else in tenths. */
const STEPS = [1, 0.5, 0.1];

/** From how far a cell is practised, as somebody paces it out, and in which unit; it stays within the cell. */
export function layOut({ key, shotType, surface, distanceM }: Cell, units: UnitSystem) {
  const distanceUnit = unitOf(shotType, units);
  const rounded = (step: number) =>
    toMetres(Number((Math.round(fromMetres(distanceM, distanceUnit) / step) * step).toFixed(1)), distanceUnit);
  const fits = STEPS.map(rounded).find((metres) => cellKey(shotType, surface, metres) === key);
  return { distanceUnit, distanceM: fits ?? distanceM };
}
