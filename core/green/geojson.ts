import { counted } from '../units/format';
import * as z from 'zod';
import { areaOf, contains } from '../geometry/polygon';
import { snapPoint, type Point } from '../geometry/point';
import { sayPath, type Problem } from '../problem';
import { AREA_KINDS, greenPlanSchema, type GreenPlan } from './plan';

/** What the file of a green is called. */
export const GREEN_FILE_ENDING = '.green.geojson';
const MOST_CHARACTERS = 2_000_000;

type Origin = { lon: number; lat: number };
const NOWHERE: Origin = { lon: 0, lat: 0 };

/**
 * Metres of one degree at a latitude, on the WGS 84 ellipsoid (J. P. Snyder, Map Projections, U.S. Geol. Survey 1395,
 * 1987, eq. 4-20 and 4-21): exact to a few mm across a green.
 */
function metresPerDegree(lat: number): { lon: number; lat: number } {
  const [a, e2] = [6_378_137, 0.00669437999014];
  const phi = (lat * Math.PI) / 180;
  const w = 1 - e2 * Math.sin(phi) ** 2;
  return { lon: (Math.PI / 180) * (a / Math.sqrt(w)) * Math.cos(phi), lat: (Math.PI / 180) * ((a * (1 - e2)) / w ** 1.5) };
}

/** Degrees are written with ten decimals, a hundredth of a millimetre, so that every place of the grid comes back. */
const DECIMALS = 1e10;

function toEarth([x, y]: Point, origin: Origin): [number, number] {
  const per = metresPerDegree(origin.lat);
  const round = (deg: number) => Math.round(deg * DECIMALS) / DECIMALS + 0;
  return [round(origin.lon + x / per.lon), round(origin.lat + y / per.lat)];
}

function fromEarth([lon, lat]: readonly [number, number], origin: Origin): Point {
  const per = metresPerDegree(origin.lat);
  return snapPoint([(lon - origin.lon) * per.lon, (lat - origin.lat) * per.lat]);
}

/**
 * A green as GeoJSON (RFC 7946): longitude and latitude round the plan's origin, or round 0° 0° where nobody said where
 * on earth it is. What is not a shape stands in the properties; `inch` says what a feature is.
 */
export function writeGeoJson(plan: GreenPlan): string {
  const origin = plan.origin ?? NOWHERE;
  const ring = (outline: readonly Point[]) => {
    const corners = outline.map((point) => toEarth(point, origin));
    return { type: 'Polygon', coordinates: [[...corners, corners[0]]] };
  };
  const point = (at: Point) => ({ type: 'Point', coordinates: toEarth(at, origin) });
  const feature = (inch: string, properties: object, geometry: object) => ({
    type: 'Feature',
    properties: { inch, ...properties },
    geometry,
  });
  const { title, fringeM, around, stimpFt, firmness, slope } = plan;
  const lies = slope?.by === 'fall' ? slope : null;
  const features = [
    feature('green', { title, version: 1, fringeM, around, stimpFt, firmness, slope: lies, origin: plan.origin }, ring(plan.outline)),
    ...plan.areas.map(({ key, kind, outline }) => feature('area', { key, kind }, ring(outline))),
    ...plan.holes.map(({ at, ...hole }) => feature('hole', hole, point(at))),
    ...plan.stations.map(({ at, ...station }) => feature('station', station, point(at))),
    ...plan.groups.map(({ at, ...group }) => feature('group', group, point(at))),
    ...(slope?.by === 'spots' ? slope.spots.map(({ at, heightM }) => feature('height', { heightM }, point(at))) : []),
  ];
  return `${JSON.stringify({ type: 'FeatureCollection', features }, null, 1)}\n`;
}

const position = z.tuple([z.number(), z.number()]).rest(z.number());
const geometrySchema = z.discriminatedUnion('type', [
  z.object({ type: z.literal('Point'), coordinates: position }),
  z.object({ type: z.literal('Polygon'), coordinates: z.array(z.array(position).min(4, 'A ring has four positions or more.')).min(1) }),
]);
const fileSchema = z.object({
  type: z.literal('FeatureCollection', { error: 'A green is a FeatureCollection.' }),
  features: z
    .array(
      z.object({
        type: z.literal('Feature'),
        properties: z.record(z.string(), z.unknown()).nullable().default(null),
        geometry: geometrySchema,
      }),
    )
    .max(300, 'At most 300 features.'),
});
type Feature = z.infer<typeof fileSchema>['features'][number];

export type ReadGreen = { plan: GreenPlan; notes: string[] };

/**
 * Reads a green from GeoJSON: one of ours comes back as it was. Of another program's, the largest polygon becomes the
 * green and every other a bunker, a point on the green a hole and one beside it a station; what was taken for what is
 * said. What is wrong is said with its place, and nothing is thrown.
 */
export function readGeoJson(text: string): ReadGreen | { problems: Problem[] } {
  const refuse = (path: string, message: string) => ({ problems: [{ path, message }] });
  if (text.length > MOST_CHARACTERS) return refuse('', 'This file is too large for a green.');
  let value: unknown;
  try {
    value = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    return refuse('', 'This isn’t GeoJSON: it isn’t JSON.');
  }
  const file = fileSchema.safeParse(value);
  if (!file.success) return { problems: problemsOf(file.error) };
  const { features } = file.data;
  const green = features.find((feature) => feature.properties?.['inch'] === 'green');
  const { input, notes } = green ? { input: own(features, green), notes: [] } : foreign(features);
  if (!input) return refuse('features', 'This file has no polygon: a green needs an outline.');
  const plan = greenPlanSchema.safeParse(input);
  return plan.success ? { plan: plan.data, notes } : { problems: problemsOf(plan.error) };
}

function problemsOf(error: z.ZodError): Problem[] {
  return error.issues.map((issue) => ({ path: sayPath(issue.path), message: issue.message }));
}

const cornersOf = (feature: Feature, origin: Origin) =>
  feature.geometry.type === 'Polygon'
    ? feature.geometry.coordinates[0]!.slice(0, -1).map(([lon, lat]) => fromEarth([lon, lat], origin))
    : [fromEarth([feature.geometry.coordinates[0], feature.geometry.coordinates[1]], origin)];

/** The plan that one of our files holds, still unchecked. */
function own(features: readonly Feature[], green: Feature): object {
  const { inch: _, version, slope, origin, ...rest } = green.properties!;
  const place = (z.object({ lon: z.number(), lat: z.number() }).safeParse(origin).data ?? NOWHERE) satisfies Origin;
  const all = (inch: string) => features.filter((feature) => feature.properties?.['inch'] === inch);
  const without = (feature: Feature) => Object.fromEntries(Object.entries(feature.properties!).filter(([name]) => name !== 'inch'));
  const points = (inch: string) => all(inch).map((feature) => ({ ...without(feature), at: cornersOf(feature, place)[0] }));
  const heights = points('height');
  return {
    format: 'inch-green',
    version,
    ...rest,
    origin: origin ?? null,
    slope: heights.length > 0 ? { by: 'spots', spots: heights } : (slope ?? null),
    outline: cornersOf(green, place),
    areas: all('area').map((feature) => ({ ...without(feature), outline: cornersOf(feature, place) })),
    holes: points('hole'),
    stations: points('station'),
    groups: points('group'),
  };
}

/** A plan from shapes that another program drew, still unchecked, and what was taken for what. */
function foreign(features: readonly Feature[]): { input: object | null; notes: string[] } {
  const rings = features.filter((feature) => feature.geometry.type === 'Polygon');
  if (rings.length === 0) return { input: null, notes: [] };
  const first = rings[0]!.geometry.coordinates as [number, number][][];
  const all = first[0]!;
  const origin: Origin = {
    lon: Math.round((all.reduce((sum, [lon]) => sum + lon, 0) / all.length) * 1e7) / 1e7,
    lat: Math.max(-85, Math.min(85, Math.round((all.reduce((sum, [, lat]) => sum + lat, 0) / all.length) * 1e7) / 1e7)),
  };
  const byArea = rings
    .map((feature) => ({ feature, outline: cornersOf(feature, origin) }))
    .toSorted((a, b) => areaOf(b.outline) - areaOf(a.outline));
  const outline = byArea[0]!.outline;
  const kindOf = ({ properties }: Feature) => AREA_KINDS.find((kind) => Object.values(properties ?? {}).includes(kind)) ?? 'sand';
  const areas = byArea.slice(1).map((one, i) => ({ key: `a${i + 1}`, kind: kindOf(one.feature), outline: one.outline }));
  const points = features.filter((feature) => feature.geometry.type === 'Point').map((feature) => cornersOf(feature, origin)[0]!);
  const holes = points
    .filter((at) => contains(outline, at))
    .map((at, i) => ({ key: `h${i + 1}`, label: String.fromCharCode(65 + (i % 26)), at }));
  const beside = points.filter((at) => !contains(outline, at));
  const stations = holes.length === 0 ? [] : beside.map((at, i) => ({ key: `s${i + 1}`, hole: holes[0]!.key, at }));
  const title = byArea[0]!.feature.properties?.['name'];
  return {
    input: {
      format: 'inch-green',
      version: 1,
      title: typeof title === 'string' && title.trim() !== '' ? title.slice(0, 80) : 'A green',
      outline,
      fringeM: 1,
      areas,
      holes,
      stations,
      origin,
    },
    notes: [
      `The largest shape was taken as the green, ${counted(areas.length, 'other shape')} as ${areas.every(({ kind }) => kind === 'sand') ? 'bunkers' : 'bunkers and areas'}.`,
      `${counted(holes.length, 'point')} on the green became holes, ${counted(stations.length, 'point')} beside it stations.`,
      ...(beside.length > stations.length
        ? [`${counted(beside.length, 'point')} beside the green left out: there is no hole to play to.`]
        : []),
    ],
  };
}
