import { areaOf, faultOf } from '../geometry/polygon';
import { distance } from '../geometry/point';
import { game } from '../testing/make';
import { box, green, standing } from '../testing/make-green';
import {
  addArea,
  addCorner,
  addGroup,
  addHeight,
  addHole,
  addStation,
  bend,
  gripsOf,
  groupAt,
  moveItem,
  placeOf,
  removeItem,
  rounded,
  sameItem,
} from './edit';
import { elsewhere, followGreen, gameStations, missingStations } from './game';
import { greenPlanSchema, type GreenPlan } from './plan';
import { startShape } from './shapes';

const two = (more: Partial<GreenPlan> = {}) => green({ stations: [standing('s1', [0, -20]), standing('s2', [20, 0], 'h2')], ...more });

test('holes take the first free letter, stations the nearest hole; without a hole there is no station', () => {
  const { plan, item } = addHole(two(), [-5, -5]);
  expect(plan.holes.at(-1)).toEqual({ key: 'h3', label: 'C', target: 'hole', at: [-5, -5] });
  expect(placeOf(plan, item)).toEqual([-5, -5]);
  expect(addHole(removeItem(two(), { kind: 'hole', key: 'h1' }), [1, 1]).plan.holes.map((hole) => hole.label)).toEqual(['B', 'A']);
  expect(addStation(two(), [25, 1])!.plan.stations.at(-1)).toMatchObject({ key: 's3', hole: 'h2' });
  expect(addStation(green({ holes: [] }), [25, 1])).toBeNull();
});

test('a hole that goes hands its stations to the nearest one left, the last takes them along; groups wait where they were', () => {
  const group = { key: 'g1', label: '1', station: 's2', at: [20, 0] as const, radiusM: 1, hands: 'right' as const };
  const plan = two({ groups: [group] });
  const without = removeItem(plan, { kind: 'hole', key: 'h2' });
  expect(without.stations.map((station) => station.hole)).toEqual(['h1', 'h1']);
  const none = removeItem(without, { kind: 'hole', key: 'h1' });
  expect([none.stations, none.groups[0]!.station, none.groups[0]!.at]).toEqual([[], null, [20, 0]]);
  expect(greenPlanSchema.safeParse(none).success).toBe(true);
});

test('a group stands at the station it is put down at, and moves with it', () => {
  const { plan } = addGroup(two(), [20.5, 0.5]);
  expect(plan.groups[0]).toMatchObject({ station: 's2', label: '1' });
  const moved = moveItem(plan, { kind: 'station', key: 's2' }, [30, 5]);
  expect(groupAt(moved, moved.groups[0]!)).toEqual([30, 5]);
  const away = moveItem(moved, { kind: 'group', key: 'g1' }, [-30, -30]);
  expect(away.groups[0]).toMatchObject({ station: null, at: [-30, -30] });
});

test('moving an area moves all of it; moving a corner of a few moves that one, of many its neighbours too', () => {
  const moved = moveItem(two(), { kind: 'area', key: 'a1' }, [10, 20]);
  expect(moved.areas[0]!.outline).toEqual(box(10, 20, 4, 4));
  const corner = moveItem(two(), { kind: 'corner', key: null, index: 2 }, [14, 12]);
  expect(corner.outline).toEqual([
    [-10, -10],
    [10, -10],
    [14, 12],
    [-10, 10],
  ]);
  const round = startShape('round', 20, 20);
  expect(gripsOf(round)).toHaveLength(16);
  const bent = bend(round, 0, [0, 14]);
  // 48 corners, 16 grips: two neighbours on either side go along, the less the farther.
  const by = bent.map((point, i) => Math.round(distance(point, round[i]!) * 1e4) / 1e4);
  expect([by[0], by[1], by[2], by[3], by[47], by[24]]).toEqual([4, 3, 1, 0, 3, 0]);
  expect(faultOf(bent)).toBeNull();
});

test('corners are added halfway, taken away down to three, and rounded off by cutting them', () => {
  expect(addCorner(box(0, 0, 4, 4), 3)).toEqual([
    [0, 0],
    [4, 0],
    [4, 4],
    [0, 4],
    [0, 2],
  ]);
  const triangle = removeItem(two(), { kind: 'corner', key: null, index: 0 });
  expect(triangle.outline).toHaveLength(3);
  expect(removeItem(triangle, { kind: 'corner', key: null, index: 0 })).toBe(triangle);
  const soft = rounded(box(0, 0, 8, 8));
  // The first cut takes four corners of 2 by 2 / 2, eight in all; the second a little more.
  expect(soft).toHaveLength(16);
  expect(areaOf(soft)).toBeLessThan(56);
  expect(areaOf(soft)).toBeGreaterThan(52);
});

test('heights replace a fall, are moved, and the last one removed leaves no slope', () => {
  const first = addHeight(two({ slope: { by: 'fall', towardsDeg: 0, percent: 2 } }), [1, 1], 0.2).plan;
  expect(first.slope).toEqual({ by: 'spots', spots: [{ at: [1, 1], heightM: 0.2 }] });
  const item = { kind: 'height', index: 0 } as const;
  expect(placeOf(moveItem(first, item, [2, 2]), item)).toEqual([2, 2]);
  expect(removeItem(first, item).slope).toBeNull();
  expect([sameItem(item, { kind: 'height', index: 0 }), sameItem(item, { kind: 'height', index: 1 }), sameItem(item, null)]).toEqual([
    true,
    false,
    false,
  ]);
});

test('areas have keys of their own, and what is gone has no place', () => {
  const { plan, item } = addArea(two(), 'heavy_rough', box(20, 20, 5, 5));
  expect(plan.areas.map((area) => area.key)).toEqual(['a1', 'a2']);
  expect(placeOf(removeItem(plan, item), item)).toBeNull();
});

test('stations of a plan become stations of a game, as the place says', () => {
  const stations = gameStations(two(), 'imperial', 3);
  expect(
    stations.map(({ key, place, shotType, surface, distanceM, distanceUnit, balls }) => [
      key,
      place,
      shotType,
      surface,
      distanceM,
      distanceUnit,
      balls,
    ]),
  ).toEqual([
    ['s1', 's1', 'pitch', 'light_rough', 20, 'yd', 3],
    ['s2', 's2', 'lob', 'light_rough', 12, 'yd', 3],
  ]);
  const spec = { stations: [{ ...stations[0]!, key: 's2' }] };
  expect(missingStations(spec, two(), 'metric', 2).map(({ key, place, distanceUnit }) => [key, place, distanceUnit])).toEqual([
    ['s3', 's2', 'm'],
  ]);
});

test('a game follows its green in all that the coach has not changed in the game', () => {
  const before = two();
  const spec = game({
    stations: gameStations(before, 'imperial', 3).map((station, i) => (i === 1 ? { ...station, shotType: 'pitch' } : station)),
  });
  const after = moveItem(moveItem(before, { kind: 'station', key: 's1' }, [-13, 0]), { kind: 'station', key: 's2' }, [22, 0]);
  const followed = followGreen(spec, before, after);
  if ('refused' in followed) throw new Error(followed.refused);
  expect(followed.spec.stations.map(({ shotType, distanceM }) => [shotType, distanceM])).toEqual([
    ['chip', 13],
    // The coach's pitch stays one, though the place says lob.
    ['pitch', 14],
  ]);
  expect(followGreen(spec, before, { ...before, fringeM: 3 })).toEqual({ spec, changed: false });
  expect(elsewhere(spec, after)).toEqual([
    { stationNo: 1, planM: 13 },
    { stationNo: 2, planM: 14 },
  ]);
  expect(followGreen(spec, before, moveItem(before, { kind: 'station', key: 's1' }, [0, -130]))).toEqual({
    refused: 'stations 1, distanceM: A short-game shot is at most 100 yd (91.4 m).',
  });
});
