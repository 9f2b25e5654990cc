import * as z from 'zod';

/** In which order the stations are played. */
export const ORDERS = ['blocked', 'serial', 'serial_twice', 'random', 'choice'] as const;
export const orderSchema = z.enum(ORDERS);
export type PlayingOrder = z.infer<typeof orderSchema>;
/** Whether stations are played out and back, one ball at each: the last one once at the turn, or twice. */
export const isOutAndBack = (order: PlayingOrder) => order === 'serial' || order === 'serial_twice';

export const SIDES = ['long', 'short', 'left', 'right'] as const;
export type Side = (typeof SIDES)[number];

const cost = z
  .number({ error: 'Enter the cost as a number.' })
  .min(0, 'A cost can’t be negative.')
  .max(100, 'At most 100.')
  .refine((value) => Number.isInteger(value * 2), 'Whole or half figures only.');

/** The rules that combine with any way of scoring; each default is the plain game. */
export const rulesSchema = z.strictObject({
  /** How the ball is put down. */
  ball: z.enum(['drop', 'place']).default('drop'),
  /**
   * Whether every ball is finished with the putter, and the strokes are recorded beside the score: each at once, or all after the last of
   * them was hit. A way of scoring that holes out anyway says only whether it is after all.
   */
  puttOut: z.enum(['no', 'each', 'after_all']).default('no'),
  /** Balls after this many seconds from the first one do not score. */
  timeLimitS: z
    .int({ error: 'Enter whole minutes or seconds.' })
    .min(30, 'At least half a minute.')
    .max(7200, 'At most two hours.')
    .nullable()
    .default(null),
  /** Only the first attempt scores; `until_works`: a failed ball is hit again, marked and without score, until it works. */
  attempts: z.enum(['first', 'until_works']).default('first'),
  /** No club twice in the game. */
  clubOnce: z.boolean().default(false),
  /** Two balls running are never hit with neighbouring clubs. */
  clubsApart: z.boolean().default(false),
  /** The player's most used club stays in the bag. */
  favouriteBanned: z.boolean().default(false),
  /** No shot twice: neither the same club with the same flight at one station. */
  shotOnce: z.boolean().default(false),
  /** One-sided zones: only a ball on this side of the hole counts as inside. */
  goodSide: z.enum(SIDES).nullable().default(null),
  /** What a ball on the wrong side costs, in what the score counts. */
  wrongSideCost: cost.default(0),
  /** What a ball that stays off the green costs; null where there is no such rule. */
  offGreenCost: cost.nullable().default(null),
  /** The game is over when everybody’s first round was perfect. */
  endOnPerfectRound: z.boolean().default(false),
  /** Players may be given a head start, so that unequal players meet evenly. */
  allowances: z.boolean().default(false),
});
export type Rules = z.infer<typeof rulesSchema>;

/** No rule beyond the game's own. */
export const PLAIN_RULES: Rules = rulesSchema.parse({});
