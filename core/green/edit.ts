import { freshKey } from '../game/spec';
import { distance, snapPoint, type Point } from '../geometry/point';
import type { Outline } from '../geometry/polygon';
import type { Area, AreaKind, GreenPlan, PeopleGroup } from './plan';

/** Something on a plan that can be chosen, moved and removed. */
export type Item =
  | { kind: 'hole' | 'station' | 'group' | 'area'; key: string }
  | { kind: 'height'; index: number }
  /** A corner of the green (no key) or of an area. */
  | { kind: 'corner'; key: string | null; index: number };

/** A group dropped this near to a station stands at it, in metres. */
const AT_STATION_M = 1.5;

/** Whether two name the same thing; where one is missing they do not. */
export function sameItem(a: Item | null, b: Item | null): boolean {
  if (a === null || b === null || a.kind !== b.kind) return false;
  return ('key' in a ? a.key : null) === ('key' in b ? b.key : null) && ('index' in a ? a.index : 0) === ('index' in b ? b.index : 0);
}

/** Where something is; null for what the plan no longer has. Of an area, its first corner. */
export function placeOf(plan: GreenPlan, item: Item): Point | null {
  switch (item.kind) {
    case 'hole':
      return plan.holes.find((one) => one.key === item.key)?.at ?? null;
    case 'station':
      return plan.stations.find((one) => one.key === item.key)?.at ?? null;
    case 'group': {
      const group = plan.groups.find((one) => one.key === item.key);
      return group ? groupAt(plan, group) : null;
    }
    case 'area':
      return plan.areas.find((one) => one.key === item.key)?.outline[0] ?? null;
    case 'height':
      return (plan.slope?.by === 'spots' ? plan.slope.spots[item.index]?.at : undefined) ?? null;
    case 'corner':
      return outlineOf(plan, item.key)?.[item.index] ?? null;
  }
}

/** Where a group stands: at its station, or where it waits. */
export function groupAt(plan: Pick<GreenPlan, 'stations'>, group: PeopleGroup): Point {
  return plan.stations.find((one) => one.key === group.station)?.at ?? group.at;
}

/** An outline by the key of its area; the green's own without one. */
export function outlineOf(plan: GreenPlan, key: string | null): Outline | undefined {
  return key === null ? plan.outline : plan.areas.find((area) => area.key === key)?.outline;
}

export function withOutline(plan: GreenPlan, key: string | null, outline: Outline): GreenPlan {
  if (key === null) return { ...plan, outline };
  return { ...plan, areas: plan.areas.map((area) => (area.key === key ? { ...area, outline } : area)) };
}

const moved = <T extends { key: string; at: Point }>(list: readonly T[], key: string, at: Point): T[] =>
  list.map((one) => (one.key === key ? { ...one, at } : one));

/** Moves something to a place. A group that comes near a station stands at it; an area moves as a whole, by its first corner. */
export function moveItem(plan: GreenPlan, item: Item, to: Point): GreenPlan {
  const at = snapPoint(to);
  switch (item.kind) {
    case 'hole':
      return { ...plan, holes: moved(plan.holes, item.key, at) };
    case 'station':
      return { ...plan, stations: moved(plan.stations, item.key, at) };
    case 'group': {
      const station = plan.stations.find((one) => distance(one.at, at) <= AT_STATION_M)?.key ?? null;
      return { ...plan, groups: moved(plan.groups, item.key, at).map((one) => (one.key === item.key ? { ...one, station } : one)) };
    }
    case 'area': {
      const outline = outlineOf(plan, item.key);
      const first = outline?.[0];
      if (!outline || !first) return plan;
      const [dx, dy] = [at[0] - first[0], at[1] - first[1]];
      return withOutline(
        plan,
        item.key,
        outline.map(([x, y]) => snapPoint([x + dx, y + dy])),
      );
    }
    case 'height': {
      if (plan.slope?.by !== 'spots') return plan;
      return { ...plan, slope: { ...plan.slope, spots: plan.slope.spots.map((spot, i) => (i === item.index ? { ...spot, at } : spot)) } };
    }
    case 'corner': {
      const outline = outlineOf(plan, item.key);
      return outline ? withOutline(plan, item.key, bend(outline, item.index, at)) : plan;
    }
  }
}

/** Removes something. Stations of a hole that goes play to the nearest one left, or go with the last one. */
export function removeItem(plan: GreenPlan, item: Item): GreenPlan {
  const without = <T extends { key: string }>(list: readonly T[], key: string) => list.filter((one) => one.key !== key);
  switch (item.kind) {
    case 'hole': {
      const holes = without(plan.holes, item.key);
      const stations = plan.stations.flatMap((station) => {
        if (station.hole !== item.key) return [station];
        const hole = nearestHole({ holes }, station.at);
        return hole === null ? [] : [{ ...station, hole }];
      });
      return freed({ ...plan, holes, stations });
    }
    case 'station':
      return freed({ ...plan, stations: without(plan.stations, item.key) });
    case 'group':
      return { ...plan, groups: without(plan.groups, item.key) };
    case 'area':
      return { ...plan, areas: without(plan.areas, item.key) };
    case 'height': {
      if (plan.slope?.by !== 'spots') return plan;
      const spots = plan.slope.spots.filter((_, i) => i !== item.index);
      return { ...plan, slope: spots.length === 0 ? null : { by: 'spots', spots } };
    }
    case 'corner': {
      const outline = outlineOf(plan, item.key);
      if (!outline || outline.length <= 3) return plan;
      return withOutline(
        plan,
        item.key,
        outline.filter((_, i) => i !== item.index),
      );
    }
  }
}

/** Groups whose station is gone wait where it was. */
function freed(plan: GreenPlan): GreenPlan {
  return {
    ...plan,
    groups: plan.groups.map((group) =>
      group.station === null || plan.stations.some((one) => one.key === group.station) ? group : { ...group, station: null },
    ),
  };
}

/** The key of the hole nearest to a place; null where there is none. */
export function nearestHole({ holes }: Pick<GreenPlan, 'holes'>, at: Point): string | null {
  return (
    holes.reduce<GreenPlan['holes'][number] | null>(
      (best, hole) => (!best || distance(hole.at, at) < distance(best.at, at) ? hole : best),
      null,
    )?.key ?? null
  );
}

const keysOf = (list: readonly { key: string }[]) => list.map((one) => one.key);

/** Another hole, called by the first letter that is free. */
export function addHole(plan: GreenPlan, at: Point): { plan: GreenPlan; item: Item } {
  const key = freshKey('h', keysOf(plan.holes));
  const letters = Array.from({ length: 26 }, (_, i) => String.fromCharCode(65 + i));
  const label = letters.find((letter) => plan.holes.every((hole) => hole.label !== letter)) ?? `A${plan.holes.length + 1}`;
  return { plan: { ...plan, holes: [...plan.holes, { key, label, target: 'hole', at: snapPoint(at) }] }, item: { kind: 'hole', key } };
}

/** Another station, to the nearest hole; null where there is no hole yet. */
export function addStation(plan: GreenPlan, at: Point): { plan: GreenPlan; item: Item } | null {
  const hole = nearestHole(plan, at);
  if (hole === null) return null;
  const key = freshKey('s', keysOf(plan.stations));
  const station = { key, at: snapPoint(at), hole, surface: null, sit: 'clean', stance: 'flat', shotType: null } as const;
  return { plan: { ...plan, stations: [...plan.stations, station] }, item: { kind: 'station', key } };
}

/** Another bunker, or another area beside the green. */
export function addArea(plan: GreenPlan, kind: AreaKind, outline: Outline): { plan: GreenPlan; item: Item } {
  const key = freshKey('a', keysOf(plan.areas));
  const area: Area = { key, kind, outline: outline.map(snapPoint) };
  return { plan: { ...plan, areas: [...plan.areas, area] }, item: { kind: 'area', key } };
}

/** Another group, at the station where it is put down, or waiting. */
export function addGroup(plan: GreenPlan, at: Point): { plan: GreenPlan; item: Item } {
  const key = freshKey('g', keysOf(plan.groups));
  const group: PeopleGroup = { key, label: String(plan.groups.length + 1), station: null, at: snapPoint(at), radiusM: 1.5, hands: 'right' };
  return { plan: moveItem({ ...plan, groups: [...plan.groups, group] }, { kind: 'group', key }, at), item: { kind: 'group', key } };
}

/** Another measured height; the first ones replace a fall. */
export function addHeight(plan: GreenPlan, at: Point, heightM: number): { plan: GreenPlan; item: Item } {
  const spots = plan.slope?.by === 'spots' ? plan.slope.spots : [];
  return {
    plan: { ...plan, slope: { by: 'spots', spots: [...spots, { at: snapPoint(at), heightM }] } },
    item: { kind: 'height', index: spots.length },
  };
}

/** So many grips an outline has at most; where it has more corners, a grip moves its neighbours with it. */
const MOST_GRIPS = 16;

/** The corners of an outline that can be taken hold of: all, or every so many of them. */
export function gripsOf(outline: Outline): number[] {
  const every = Math.max(1, Math.ceil(outline.length / MOST_GRIPS));
  return outline.flatMap((_, i) => (i % every === 0 ? [i] : []));
}

/** Moves a corner; of an outline with many, those up to the next grip on either side go along, the less the farther. */
export function bend(outline: Outline, index: number, to: Point): Outline {
  const n = outline.length;
  const every = Math.max(1, Math.ceil(n / MOST_GRIPS));
  const from = outline[index];
  if (!from) return outline;
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  return outline.map((point, i) => {
    const steps = Math.min((i - index + n) % n, (index - i + n) % n);
    if (steps >= every) return point;
    const part = 0.5 + 0.5 * Math.cos((Math.PI * steps) / every);
    return snapPoint([point[0] + dx * part, point[1] + dy * part]);
  });
}

/** Puts a corner halfway to the next one. */
export function addCorner(outline: Outline, after: number): Outline {
  const [a, b] = [outline[after]!, outline[(after + 1) % outline.length]!];
  return [...outline.slice(0, after + 1), snapPoint([(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]), ...outline.slice(after + 1)];
}

/**
 * Rounds an outline off: every corner is cut at a quarter of its edges, twice (G. Chaikin, Comput. Graph. Image
 * Process. 3, 1974).
 */
export function rounded(outline: Outline): Outline {
  const once = (points: Outline): Outline =>
    points.flatMap((a, i) => {
      const b = points[(i + 1) % points.length]!;
      return [0.25, 0.75].map((t) => snapPoint([a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t]));
    });
  return once(once(outline));
}
