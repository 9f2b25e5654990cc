import fc from 'fast-check';
import { distance, type Point } from '../geometry/point';
import { areaOf, boxOf, faultOf } from '../geometry/polygon';
import { box, green, standing } from '../testing/make-green';
import { readGeoJson, writeGeoJson } from './geojson';
import { greenPlanSchema, type GreenPlan } from './plan';
import { pacedOutline, START_SHAPES, startShape } from './shapes';

const full = green({
  slope: {
    by: 'spots',
    spots: [
      { at: [0, 0], heightM: 1.25 },
      { at: [5, 0], heightM: 1.3 },
      { at: [0, 5], heightM: 1.2 },
    ],
  },
  stimpFt: 9.5,
  firmness: 'soft',
  stations: [standing('s1', [0, -20]), standing('s4', [-10.5, 3.3333], 'h2', { surface: 'bare', shotType: 'chip', stance: 'uphill' })],
  groups: [{ key: 'g1', label: '1', station: 's1', at: [0, -20], radiusM: 2, hands: 'mixed' }],
});
const back = (plan: GreenPlan) => {
  const read = readGeoJson(writeGeoJson(plan));
  return 'plan' in read ? read.plan : read.problems;
};

test('a green goes out and comes in again unchanged, wherever on earth it lies', () => {
  expect(back(full)).toEqual(full);
  for (const origin of [
    { lon: -6.2603, lat: 53.3498 },
    { lon: 174.7, lat: -41.3 },
    { lon: 0, lat: 0 },
  ])
    expect(back({ ...full, origin })).toEqual({ ...full, origin });
  const corner = fc.tuple(fc.integer({ min: -400_000, max: 400_000 }), fc.integer({ min: -400_000, max: 400_000 }));
  fc.assert(
    fc.property(
      corner,
      corner,
      corner,
      fc.double({ min: -84, max: 84, noNaN: true }),
      fc.double({ min: -179, max: 179, noNaN: true }),
      (a, b, c, lat, lon) => {
        const outline = [a, b, c].map(([x, y]): Point => [x / 1e4 + 0, y / 1e4 + 0]);
        fc.pre(faultOf(outline) === null);
        const plan = { ...full, outline, holes: [], stations: [], groups: [], origin: { lat: lat + 0, lon: lon + 0 } };
        expect(back(plan)).toEqual(plan);
      },
    ),
  );
  expect(writeGeoJson(full)).toBe(writeGeoJson(back(full) as GreenPlan));
});

test('places are longitude and latitude: a hundred metres are what they are on the ellipsoid', () => {
  const at = (origin: GreenPlan['origin']) => {
    const file = JSON.parse(writeGeoJson(green({ origin, holes: [], outline: box(0, 0, 100, 100) }))) as {
      features: { geometry: { coordinates: [number, number][][] } }[];
    };
    const [a, , c] = file.features[0]!.geometry.coordinates[0]! as [[number, number], unknown, [number, number]];
    return [c[0] - a[0], c[1] - a[1]];
  };
  // One degree at the equator is 111,319.5 m east and 110,574.3 m north; at 60° it is 55,800.0 m and 111,412.2 m.
  const [lon0, lat0] = at({ lon: 10, lat: 0 });
  expect([lon0! * 111319.49, lat0! * 110574.28].map(Math.round)).toEqual([100, 100]);
  const [lon60, lat60] = at({ lon: 10, lat: 60 });
  expect([lon60! * 55800.0, lat60! * 111412.2].map(Math.round)).toEqual([100, 100]);
});

test('shapes that another program drew become a green, and what became what is said', () => {
  const ring = (points: readonly Point[]) => [[...points, points[0]!].map(([x, y]) => [7 + x / 70000, 50 + y / 111000])];
  const polygon = (points: readonly Point[], properties: object | null = null) => ({
    type: 'Feature',
    properties,
    geometry: { type: 'Polygon', coordinates: ring(points) },
  });
  const point = (x: number, y: number) => ({
    type: 'Feature',
    properties: {},
    geometry: { type: 'Point', coordinates: [7 + x / 70000, 50 + y / 111000, 12] },
  });
  const read = readGeoJson(
    JSON.stringify({
      type: 'FeatureCollection',
      features: [
        polygon(box(14, 0, 5, 5)),
        polygon(box(-10, -10, 20, 20), { name: 'Far green' }),
        polygon(box(-20, 0, 5, 5), { landuse: 'heavy_rough' }),
        point(1, 1),
        point(-30, 0),
      ],
    }),
  );
  if ('problems' in read) throw new Error(JSON.stringify(read.problems));
  expect(read.plan).toMatchObject({
    title: 'Far green',
    areas: [{ kind: 'sand' }, { kind: 'heavy_rough' }],
    holes: [{ label: 'A' }],
    stations: [{ hole: 'h1' }],
  });
  expect(areaOf(read.plan.outline)).toBeGreaterThan(380);
  expect(areaOf(read.plan.outline)).toBeLessThan(420);
  expect(read.notes.join(' ')).toMatch(
    /largest shape was taken as the green, 2 other shapes as bunkers and areas. 1 point on the green became holes, 1 point beside it stations/,
  );
});

test('what is no green is refused with its place', () => {
  const says = (text: string) => {
    const read = readGeoJson(text);
    return 'problems' in read ? read.problems.map(({ path, message }) => `${path}: ${message}`).join('; ') : 'read';
  };
  expect(says('{')).toMatch('it isn’t JSON');
  expect(says('{"type":"Feature"}')).toMatch('A green is a FeatureCollection');
  expect(says('{"type":"FeatureCollection","features":[]}')).toMatch('a green needs an outline');
  expect(says('x'.repeat(2_000_001))).toMatch('too large');
  expect(says(writeGeoJson(full).replace('"hole": "h2"', '"hole": "h7"'))).toMatch('stations 2, hole: Station 2 plays to no hole');
  expect(says(writeGeoJson(full).replace('"fringeM": 1', '"fringeM": 99'))).toMatch('fringeM: A fringe is at most 10 m');
  expect(says(writeGeoJson(full).replace('"version": 1', '"version": 2'))).not.toBe('read');
  expect(
    says(
      JSON.stringify({
        type: 'FeatureCollection',
        features: [{ type: 'Feature', properties: null, geometry: { type: 'LineString', coordinates: [] } }],
      }),
    ),
  ).not.toBe('read');
  const valid = writeGeoJson(full);
  fc.assert(
    fc.property(fc.nat(valid.length - 1), fc.nat(200), fc.string(), (from, length, other) => {
      const read = readGeoJson(valid.slice(0, from) + other + valid.slice(from + length));
      if ('plan' in read) expect(greenPlanSchema.safeParse(read.plan).success).toBe(true);
      else expect(read.problems[0]!.message).not.toBe('');
    }),
    { numRuns: 300 },
  );
});

test('the shapes to start from have the asked size and are sound', () => {
  for (const shape of START_SHAPES) {
    const outline = startShape(shape, 24, 16);
    const { min, max } = boxOf(outline);
    expect(faultOf(outline)).toBeNull();
    expect(max[0] - min[0]).toBeCloseTo(24, 3);
    expect(max[1] - min[1]).toBeCloseTo(shape === 'round' || shape === 'square' ? 24 : 16, 3);
  }
  expect(areaOf(startShape('round', 20, 20))).toBeCloseTo(Math.PI * 100, -1);
});

test('a paced green goes through what was walked, and equal distances make a circle', () => {
  const walked = [10, 12, 14, 12, 9, 8, 8, 9];
  const outline = pacedOutline(walked);
  const far = (i: number) => distance([0, 0], outline[i * 6]!);
  walked.forEach((metres, i) => expect(far(i)).toBeCloseTo(metres, 3));
  expect(outline[0]).toEqual([0, 10]);
  expect(outline[12]).toEqual([14, 0]);
  for (const point of pacedOutline(Array.from({ length: 8 }, () => 11))) expect(distance([0, 0], point)).toBeCloseTo(11, 3);
});
