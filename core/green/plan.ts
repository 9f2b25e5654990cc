import { surfacesOf } from '../golf/shot-types';
import * as z from 'zod';
import { contains, outlineSchema } from '../geometry/polygon';
import { distance, pointSchema } from '../geometry/point';
import { FIRMNESSES, HANDS, say, SHOT_TYPES, SITS, STANCES, SURFACES } from '../golf/words';
import { MOST_STATIONS } from '../game/station';
import { faultOfSpots } from './slope';
import { filledLine, key } from '../stored';

/** What an area beside the green can be. */
export const AREA_KINDS = ['sand', 'fairway', 'light_rough', 'heavy_rough', 'bare'] as const;
export type AreaKind = (typeof AREA_KINDS)[number];

const MOST_AREAS = 40;
const MOST_HOLES = 18;
const MOST_GROUPS = 12;

const label = filledLine(12, 'Give it a name.');

const areaSchema = z.strictObject({ key, kind: z.enum(AREA_KINDS), outline: outlineSchema });

const holeSchema = z.strictObject({
  key,
  label,
  /** A peg can stand in for a hole. */
  target: z.enum(['hole', 'peg']).default('hole'),
  at: pointSchema,
});

export const planStationSchema = z.strictObject({
  key,
  at: pointSchema,
  /** The hole that is played to. */
  hole: key,
  /** As the plan says where null; a coach may know better. */
  surface: z.enum(SURFACES).nullable().default(null),
  sit: z.enum(SITS).default('clean'),
  stance: z.enum(STANCES).default('flat'),
  /** As suggested where null. */
  shotType: z.enum(SHOT_TYPES).nullable().default(null),
});

const groupSchema = z.strictObject({
  key,
  label,
  /** The station at which the group plays; null for one that waits. */
  station: key.nullable(),
  /** Where it stands; for a group that plays, its station says that. */
  at: pointSchema,
  /** How far its people stand from its middle, in metres. */
  radiusM: z.number({ error: 'Enter the radius as a number.' }).min(0.3, 'At least 0.3 m (1 ft).').max(15, 'At most 15 m (49 ft).'),
  /** How its players play; decides where a shank goes. */
  hands: z.enum([...HANDS, 'mixed']),
});

const spotSchema = z.strictObject({
  at: pointSchema,
  /** Metres above any level that is the same for all spots. */
  heightM: z.number({ error: 'Enter the height as a number.' }).min(-20, 'At most 20 m up or down.').max(20, 'At most 20 m up or down.'),
});

const slopeSchema = z.discriminatedUnion('by', [
  z.strictObject({
    by: z.literal('fall'),
    /** The direction in which it falls: 0 is up the plan, 90 to the right. */
    towardsDeg: z
      .number({ error: 'Enter the direction in degrees.' })
      .min(0, 'A direction is 0 to 360 degrees.')
      .max(360, 'A direction is 0 to 360 degrees.'),
    percent: z
      .number({ error: 'Enter the fall in percent.' })
      .min(0, 'A slope can’t be negative. Reverse its direction.')
      .max(15, 'At most 15%: no green falls more.'),
  }),
  z.strictObject({ by: z.literal('spots'), spots: z.array(spotSchema).max(60, 'At most 60 spots.') }),
]);

export const greenPlanSchema = z
  .strictObject({
    format: z.literal('inch-green'),
    version: z.literal(1),
    title: filledLine(80, 'A green needs a name.'),
    outline: outlineSchema,
    fringeM: z
      .number({ error: 'Enter the width as a number.' })
      .min(0, 'A width can’t be negative.')
      .max(10, 'A fringe is at most 10 m (33 ft) wide.'),
    /** What lies around, beyond the fringe and outside every area. */
    around: z.enum(['fairway', 'light_rough', 'heavy_rough', 'bare']).default('light_rough'),
    areas: z.array(areaSchema).max(MOST_AREAS, `At most ${MOST_AREAS} bunkers and areas.`).default([]),
    holes: z.array(holeSchema).max(MOST_HOLES, `At most ${MOST_HOLES} holes.`).default([]),
    slope: slopeSchema.nullable().default(null),
    /** Green speed by the Stimp reading, in feet. */
    stimpFt: z
      .number({ error: 'Enter the speed as a number, or leave it empty.' })
      .min(3, 'A green speed is 3 to 16 ft.')
      .max(16, 'A green speed is 3 to 16 ft.')
      .nullable()
      .default(null),
    firmness: z.enum(FIRMNESSES).nullable().default(null),
    stations: z.array(planStationSchema).max(MOST_STATIONS, `At most ${MOST_STATIONS} stations.`).default([]),
    groups: z.array(groupSchema).max(MOST_GROUPS, `At most ${MOST_GROUPS} groups.`).default([]),
    /** Where on earth the plan's origin is, in degrees; null where nobody said. */
    origin: z
      .strictObject({ lon: z.number().min(-180).max(180), lat: z.number().min(-85).max(85) })
      .nullable()
      .default(null),
  })
  .superRefine((plan, ctx) => {
    const refuse = (path: (string | number)[], message: string) => ctx.addIssue({ code: 'custom', path, message });
    for (const list of ['areas', 'holes', 'stations', 'groups'] as const) {
      const keys = plan[list].map((one) => one.key);
      keys.forEach((one, i) => keys.indexOf(one) < i && refuse([list, i, 'key'], 'Another one has this key.'));
    }
    plan.holes.forEach((hole, i) => {
      if (!contains(plan.outline, hole.at)) refuse(['holes', i, 'at'], `Hole ${hole.label} lies off the green: move it, or the outline.`);
      const twin = plan.holes.findIndex((other) => other.label === hole.label);
      if (twin < i) refuse(['holes', i, 'label'], `Two holes are called ${hole.label}.`);
    });
    plan.stations.forEach((station, i) => {
      const hole = plan.holes.find((one) => one.key === station.hole);
      if (!hole) refuse(['stations', i, 'hole'], `Station ${i + 1} plays to no hole: choose one.`);
      else if (distance(station.at, hole.at) < 0.3) refuse(['stations', i, 'at'], `Station ${i + 1} stands on its hole.`);
      if (station.sit === 'buried' && station.surface !== null && station.surface !== 'sand')
        refuse(['stations', i, 'sit'], 'Only a ball in sand is buried.');
      if (station.shotType && station.surface && !surfacesOf(station.shotType).includes(station.surface))
        refuse(['stations', i, 'shotType'], `A ${say(station.shotType)} is not played from ${say(station.surface)}.`);
    });
    plan.groups.forEach((group, i) => {
      if (group.station !== null && !plan.stations.some((one) => one.key === group.station))
        refuse(['groups', i, 'station'], `Group ${group.label} stands at no station: choose one.`);
    });
    const spots = plan.slope?.by === 'spots' ? faultOfSpots(plan.slope.spots) : null;
    if (spots) refuse(['slope', 'spots'], spots);
  });

/** A green to scale, with what lies around it and where is played from; all in metres. */
export type GreenPlan = z.infer<typeof greenPlanSchema>;
export type Hole = GreenPlan['holes'][number];
export type PlanStation = GreenPlan['stations'][number];
export type Area = GreenPlan['areas'][number];
export type PeopleGroup = GreenPlan['groups'][number];
