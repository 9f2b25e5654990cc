import * as z from 'zod';

/** A measure of somebody's own, in metres; null where it was never measured. */
export const ownLength = (name: string, minM: number, maxM: number, range: string) =>
  z
    .number({ error: 'Enter a length, or leave it empty.' })
    .min(minM, `A ${name} is ${range}.`)
    .max(maxM, `A ${name} is ${range}.`)
    .nullable();

/** What a player, or a coach, measures with. */
export const ownLengths = {
  paceM: ownLength('pace', 0.3, 1.5, '12 to 60 in (0.3 to 1.5 m)'),
  clubM: ownLength('club', 0.6, 1.4, '24 to 55 in (0.6 to 1.4 m)'),
  putterM: ownLength('putter', 0.5, 1.4, '20 to 55 in (0.5 to 1.4 m)'),
  /** Not sent by pages that were open before there was one. */
  shoeM: z.preprocess((value: number | null) => value ?? null, ownLength('shoe', 0.15, 0.45, '6 to 18 in (0.15 to 0.45 m)')),
};
