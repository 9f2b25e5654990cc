import { deviation, mean } from 'd3-array';
import { schemeOf } from '../game/scoring';
import { farM } from '../game/scoring/ball';
import type { Compared } from '../game/scoring/scheme';
import type { Station } from '../game/station';
import type { Shot } from '../shot/shot';
import type { Standing } from './play';

/** What one of the ways compared did from one lie, in metres. */
export type WayLine = {
  /** A club, "low", "bold". */
  way: string;
  balls: number;
  /** Of what was left, a ball that was not measured as far as the game counts it. */
  meanM: number;
  /** As a standard deviation; null of one ball. */
  spreadM: number | null;
  /** Of the balls of which it is known where they finished, how many on the green; null where it is known of none. */
  onGreen: { balls: number; of: number } | null;
  /** The mean to hole out, of the balls of which it is known. */
  strokes: { mean: number; of: number } | null;
};
/** The ways from one lie, the nearest on average first. `tooClose`: the first two can't be told apart. */
export type WaysFrom = { station: Station; stationNo: number; what: Compared['what']; ways: WayLine[]; tooClose: boolean };

/** What a game compares, by the lies it was played from: clubs, flights, bold and careful; null in games that compare nothing. */
export function byWay({ game, phase, played }: Standing): WaysFrom[] | null {
  const { scoring } = phase;
  const compared = schemeOf(scoring).compares?.(scoring) ?? null;
  if (!compared) return null;
  const capM = Math.max(
    ...schemeOf(scoring)
      .asks(phase, phase.stations[0]!)
      .map(({ edgeM }) => edgeM ?? 0),
  );
  return game.stations.flatMap((station, i) => {
    const here = played.filter((shot) => shot.phase === phase.index && shot.stationKey === station.key);
    const named = new Set(here.flatMap((shot) => compared.wayOf(shot) ?? []));
    if (named.size === 0) return [];
    const of = (way: string) => here.filter((shot) => compared.wayOf(shot) === way);
    const ways = [...named].map((way) => lineOf(way, of(way), capM)).sort((a, b) => a.meanM - b.meanM);
    const [first, second] = ways;
    return [{ station, stationNo: i + 1, what: compared.what, ways, tooClose: second !== undefined && !apart(first!, second) }];
  });
}

function lineOf(way: string, shots: readonly Shot[], capM: number): WayLine {
  const left = shots.map((shot) => Math.min(farM(shot), capM));
  const finished = shots.flatMap(({ holed, finish }) => (holed ? ['green'] : finish === null ? [] : [finish]));
  const strokes = shots.flatMap(({ holed, strokes: took, penalty }) => (took === null ? (holed ? [1 + penalty] : []) : [took + penalty]));
  return {
    way,
    balls: shots.length,
    meanM: mean(left)!,
    spreadM: deviation(left) ?? null,
    onGreen: shots.some(({ finish }) => finish !== null)
      ? { balls: finished.filter((where) => where === 'green').length, of: finished.length }
      : null,
    strokes: shots.some(({ strokes: took }) => took !== null) ? { mean: mean(strokes)!, of: strokes.length } : null,
  };
}

/** Two means differ where they are two standard errors apart; of single balls nobody can tell. */
function apart(a: WayLine, b: WayLine): boolean {
  if (a.spreadM === null || b.spreadM === null) return false;
  return b.meanM - a.meanM > 2 * Math.sqrt(a.spreadM ** 2 / a.balls + b.spreadM ** 2 / b.balls);
}
