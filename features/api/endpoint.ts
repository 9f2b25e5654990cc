import * as z from 'zod';
import type { TokenScope } from '@/core/people/api-token';
import type { Desk } from '@/server/actor';

/** A refusal with its status. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    message: string,
  ) {
    super(message);
  }
}
export const NOT_HERE = new Refusal(404, 'There is nothing of this id here.');

/** What is asked for: the ids in the address, what stands behind the question mark, what was sent. */
type Asked<Query, Body> = { desk: Desk; id: string; query: Query; body: Body };

/**
 * One thing that another program can ask of the academy. Everything about it stands here: how it is answered, and how the description of the
 * interface (`openApi`) tells it.
 */
export type Endpoint = {
  method: 'GET' | 'PUT' | 'POST';
  /** Under `/api/v1`; `{id}` is an id. */
  path: string;
  scope: TokenScope;
  summary: string;
  query: z.ZodType;
  /** null: nothing is sent. */
  body: z.ZodType | null;
  answer: z.ZodType;
  give: (asked: Asked<never, never>) => Promise<unknown>;
};

const NOTHING = z.strictObject({});

/** Makes one, with what it asks for and gives held to its schemas. */
export function endpoint<Answer extends z.ZodType, Query extends z.ZodType = typeof NOTHING, Body extends z.ZodType | null = null>(of: {
  method: Endpoint['method'];
  path: string;
  scope: TokenScope;
  summary: string;
  query?: Query;
  body?: Body;
  answer: Answer;
  give: (asked: Asked<z.output<Query>, Body extends z.ZodType ? z.output<Body> : null>) => Promise<z.input<Answer>>;
}): Endpoint {
  return { query: NOTHING, body: null, ...of } as Endpoint;
}

/** A moment as JSON has it. */
export const moment = z
  .date()
  .transform((at) => at.toISOString())
  .pipe(z.iso.datetime());
/** What answers a change. */
export const saved = z.object({ saved: z.literal(true) });
export const SAVED = { saved: true } as const;
