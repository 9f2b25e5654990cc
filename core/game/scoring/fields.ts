import * as z from 'zod';
import { METRES_PER, toMetres, type UnitSystem } from '../../units/length';

/** Parts that the schemas of several schemes share. */

/** No ring and no zone is wider, in metres. */
export const WIDEST_M = 100 * METRES_PER.ft;

export const pointsSchema = z
  .int({ error: 'Enter a whole number of points.' })
  .min(0, 'Points can’t be negative.')
  .max(1000, 'At most 1000 points.');

/** From the hole to a ring's edge. */
export const edgeSchema = z
  .number({ error: 'Enter the distance from the hole as a number.' })
  .gt(0, 'Enter a distance above 0.')
  .max(WIDEST_M, 'A ring is at most 100 ft (30.5 m) wide.');

/** The radius of a zone round the hole; 0 is the hole itself. */
export const zoneSchema = z
  .number({ error: 'Enter the distance from the hole as a number.' })
  .min(0, 'A distance can’t be negative.')
  .max(WIDEST_M, 'A zone is at most 100 ft (30.5 m) wide.');

/** A count between two limits, with sentences. */
export const countSchema = (min: number, max: number, what: string) =>
  z.int({ error: 'Enter a whole number.' }).min(min, `${what}: at least ${min}.`).max(max, `${what}: at most ${max}.`);

/** A round figure in the units of whoever designs: feet, or metres. */
export const round = (system: UnitSystem, feet: number, metres: number) => (system === 'metric' ? metres : toMetres(feet, 'ft'));
