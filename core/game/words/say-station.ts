import { unitOf } from '../../golf/shot-types';
import { say, sayLie } from '../../golf/words';
import { formatLength } from '../../units/format';
import type { LengthUnit, UnitSystem } from '../../units/length';
import type { Station } from '../station';

/** The unit in which a station's distance is shown to somebody: the coach's own where the systems agree, else the reader's. */
export function stationUnit(station: Pick<Station, 'shotType' | 'distanceUnit'>, system: UnitSystem): LengthUnit {
  if (system === 'metric') return 'm';
  if (station.distanceUnit === 'ft' || station.distanceUnit === 'yd') return station.distanceUnit;
  return unitOf(station.shotType, system);
}

/** A length at a station, such as its carry, in the unit of the station: "14 yd". */
export function sayAtStation(metres: number, station: Pick<Station, 'shotType' | 'distanceUnit'>, system: UnitSystem): string {
  return formatLength(metres, stationUnit(station, system));
}

/** "14 yd chip", "6 ft putt": a station as it is called. */
export function sayStation(station: Station, system: UnitSystem): string {
  return `${sayAtStation(station.distanceM, station, system)} ${say(station.shotType)}`;
}

/** "hole B · behind the bunker": the spot, as far as anything is said of it. */
export function saySpot({ hole, name }: Pick<Station, 'hole' | 'name'>): string {
  return [hole && `hole ${hole}`, name].filter(Boolean).join(' · ');
}

/** "Station 3 · hole B": which station of several it is, and its spot; empty where there is but one, and nothing is said of it. */
export function sayWhere(station: Pick<Station, 'hole' | 'name'>, stationNo: number, stations: number): string {
  return [stations > 1 && `Station ${stationNo}`, saySpot(station)].filter(Boolean).join(' · ');
}

/** What stands under a station's name: "light rough, uphill · low". */
export function sayStationLie(station: Station): string {
  return station.trajectory ? `${sayLie(station)} · ${station.trajectory}` : sayLie(station);
}

/** "12 yd to the green", "uphill, left to right": how the ground lies, as far as anything is said of it. */
export function sayGround(station: Station, system: UnitSystem): string {
  const { edgeM, slope, breaks } = station;
  return [
    edgeM !== null && `${sayAtStation(edgeM, station, system)} to the green`,
    [slope, breaks].flatMap((word) => (word ? say(word) : [])).join(', '),
  ]
    .filter(Boolean)
    .join(' · ');
}
