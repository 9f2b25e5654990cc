import * as z from 'zod';
import { levelSchema } from '../golf/level';
import { HANDS } from '../golf/words';
import { UNIT_SYSTEMS } from '../units/length';
import { ownLengths } from '../measures/own-lengths';
import { filledLine } from '../stored';

export const clubSchema = z.strictObject({
  clubId: z.uuid(),
  label: filledLine(20, 'Name the club.'),
  /** Null where nobody knows it: nothing is reckoned from it. */
  loftDeg: z
    .number({ error: 'Enter the loft in degrees, or leave it empty.' })
    .min(0, 'A loft is 0 to 80 degrees.')
    .max(80, 'A loft is 0 to 80 degrees.')
    .nullable(),
});

export const playerSchema = z
  .strictObject({
    name: filledLine(60, 'Enter a name or a nickname.'),
    level: levelSchema,
    handed: z.enum(HANDS),
    units: z.enum(UNIT_SYSTEMS),
    ...ownLengths,
    clubs: z.array(clubSchema).max(20, 'At most 20 clubs.'),
  })
  .superRefine(({ clubs }, ctx) => {
    clubs.forEach((club, i) => {
      if (clubs.findIndex((other) => other.label.toLowerCase() === club.label.toLowerCase()) < i)
        ctx.addIssue({ code: 'custom', path: ['clubs', i, 'label'], message: 'Another club has this name.' });
    });
  });
export type PlayerForm = z.infer<typeof playerSchema>;

/** A player who is known, as the form has them: of what else is known of them, nothing. */
export function formOf({ player, clubs }: { player: Omit<PlayerForm, 'clubs'>; clubs: PlayerForm['clubs'] }): PlayerForm {
  const { name, level, handed, units, paceM, clubM, putterM, shoeM } = player;
  return {
    name,
    level,
    handed,
    units,
    paceM,
    clubM,
    putterM,
    shoeM,
    clubs: clubs.map(({ clubId, label, loftDeg }) => ({ clubId, label, loftDeg })),
  };
}

/** At most so many swing lengths have a name. */
export const MOST_MARKS = 6;

/** A player's own names for how far the hands go, from low to high: "hip", "chest". */
export const swingMarksSchema = z
  .array(filledLine(20, 'Name the mark, or remove it.'))
  .max(MOST_MARKS, `At most ${MOST_MARKS} marks.`)
  .superRefine((marks, ctx) => {
    marks.forEach((mark, i) => {
      if (marks.findIndex((other) => other.toLowerCase() === mark.toLowerCase()) < i)
        ctx.addIssue({ code: 'custom', path: [i], message: 'Another mark has this name.' });
    });
  });

/** How much a player dreads shots, from 1 (likes them) to 5, by shot type and surface: "pitch|heavy_rough". */
export const dreadsSchema = z.record(
  z
    .string()
    .regex(/^[a-z_]+\|[a-z_]+$/)
    .max(40),
  z.int().min(1).max(5),
);

/** Uses in 18 holes by skill cell; null: as often as is usual at the level. */
export const roundMixSchema = z
  .record(
    z
      .string()
      .regex(/^[a-z_]+\|[a-z_]+\|\d+$/)
      .max(50),
    z.number({ error: 'Enter a number, such as 0.5.' }).min(0, 'Can’t be negative.').max(60, 'At most 60 a round.'),
  )
  .nullable();

/** A name for somebody who plays along once: a player who is put away from the start, so that their balls are nobody else's. */
export const guestSchema = filledLine(60, 'Give the guest a name.');

/** A player of whom nothing is known yet: a middling level, right-handed, nothing measured. */
export function newPlayer(name: string, units: PlayerForm['units']): PlayerForm {
  return { name, level: 18, handed: 'right', units, paceM: null, clubM: null, putterM: null, shoeM: null, clubs: [] };
}
