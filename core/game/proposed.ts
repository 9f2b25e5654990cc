import type { ProposedStation } from './calls';
import type { GameSpec } from './spec';
import type { Station } from './station';

/** A shot and where it is hit from: what a green has, or has not. */
export const kindOfShot = ({ shotType, surface }: Pick<Station, 'shotType' | 'surface'>): string => `${shotType} ${surface}`;

/**
 * What an open game proposes next: never the place that was played last, and nothing of a kind that can't be hit here.
 * @param notHere such kinds, as `kindOfShot` names them
 * @returns null where nothing is left, or nothing is proposed at all
 */
export function proposedNext(
  { calls, stations }: Pick<GameSpec, 'calls' | 'stations'>,
  notHere: readonly string[],
): ProposedStation | null {
  const can = (calls.next ?? []).filter(({ station }) => !notHere.includes(kindOfShot(station)));
  const last = stations.at(-1);
  const same = ({ station }: ProposedStation) =>
    last !== undefined && kindOfShot(station) === kindOfShot(last) && station.distanceM === last.distanceM;
  return can.slice(stations.length).find((one) => !same(one)) ?? null;
}
