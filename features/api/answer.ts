import 'server-only';
import * as z from 'zod';
import type { TokenScope } from '@/core/people/api-token';
import { sayIssue } from '@/core/stored';
import { deskOfKey, deskOfUser, type Desk } from '@/server/actor';
import { tokenHolder } from '@/server/door';
import { log } from '@/server/log';
import { makeQuota } from '@/server/quota';
import { TooMany } from '@/server/turns';
import type { Endpoint } from './endpoint';
import { Refusal } from './endpoint';
import { ENDPOINTS } from './endpoints';
import { openApi } from './open-api';

const MOST_BYTES = 1_000_000;
/** So much may be asked with one key. */
const share = makeQuota('api', { most: 3_000, windowMs: 10 * 60_000 });

const answer = (status: number, body: object, headers: HeadersInit = {}) =>
  Response.json(body, { status, headers: { 'cache-control': 'no-store', ...headers } });

/**
 * The desk for which somebody asks: by a key, which has to be good for that; or signed in, from the program's own pages, for the academy that the
 * address names.
 */
async function deskFor(request: Request, scope: TokenScope): Promise<Desk> {
  if (!request.headers.has('authorization')) {
    const slug = new URL(request.url).searchParams.get('academy') ?? '';
    const desk = await deskOfUser(request.headers, slug);
    if (desk === 'signed out') throw new Refusal(401, 'Send a key as “Authorization: Bearer …”. The owner makes keys in the settings.');
    if (!desk) throw new Refusal(404, 'There is no such academy.');
    return desk;
  }
  const holder = await tokenHolder(request.headers);
  if (holder === 'too many tries') throw new Refusal(429, 'Too many tries. Wait 15 minutes.');
  const desk = typeof holder === 'string' ? null : deskOfKey(holder);
  if (typeof holder === 'string' || !desk) throw new Refusal(401, 'This key isn’t valid, or has ended.');
  if (!holder.scopes.includes(scope)) throw new Refusal(403, `This key is not good for that: it takes “${scope}”.`);
  if (!(await share(holder.tokenId, 1))) throw new Refusal(429, 'That’s a lot of requests. Wait ten minutes.');
  return desk;
}

/** Answers with what it gives, or with what is wrong as JSON; a failure of ours says nothing more. */
export async function atApi(request: Request, scope: TokenScope, give: (desk: Desk) => Promise<Response>): Promise<Response> {
  try {
    return await give(await deskFor(request, scope));
  } catch (error) {
    if (error instanceof Refusal) return answer(error.status, { error: error.message });
    if (error instanceof TooMany) return answer(503, { error: 'Too busy right now. Try again.' }, { 'retry-after': '2' });
    log.error({ err: error }, 'a request of the programming interface failed');
    return answer(503, { error: 'Something went wrong on our side. Try again.' });
  }
}

function read<T>(schema: z.ZodType<T>, said: unknown): T {
  const found = schema.safeParse(said);
  if (!found.success) throw new Refusal(400, sayIssue(found.error));
  return found.data;
}

async function bodyOf(request: Request): Promise<unknown> {
  const text = await request.text();
  if (text.length > MOST_BYTES) throw new Refusal(413, 'This is too large.');
  try {
    return JSON.parse(text);
  } catch {
    throw new Refusal(400, 'Send JSON.');
  }
}

/** The endpoint of an address, and the id in it. */
function endpointAt(method: string, path: readonly string[]): { found: Endpoint; id: string } | 'no such path' | 'no such method' {
  const here = ENDPOINTS.filter(({ path: pattern }) => {
    const parts = pattern.slice(1).split('/');
    return parts.length === path.length && parts.every((part, i) => part === '{id}' || part === path[i]);
  });
  const found = here.find((one) => one.method === method);
  if (!found) return here.length > 0 ? 'no such method' : 'no such path';
  return { found, id: path[found.path.slice(1).split('/').indexOf('{id}')] ?? '' };
}

/** Answers what another program asks under `/api/v1`. */
export async function answerApi(request: Request, path: readonly string[]): Promise<Response> {
  if (request.method === 'GET' && path.join('/') === 'openapi.json') return answer(200, openApi());
  const at = endpointAt(request.method, path);
  if (at === 'no such path') return answer(404, { error: 'There is nothing at this address. /api/v1/openapi.json says what there is.' });
  if (at === 'no such method') return answer(405, { error: 'This can’t be done at this address.' });
  const { found, id } = at;
  return atApi(request, found.scope, async (desk) => {
    if (found.path.includes('{id}')) read(z.uuid('This is no id.'), id);
    const { academy: _, ...said } = Object.fromEntries(new URL(request.url).searchParams);
    const query = read(found.query, said);
    const body = found.body ? read(found.body, await bodyOf(request)) : null;
    const given = await found.give({ desk, id, query, body } as never);
    return answer(200, found.answer.parse(given) as object);
  });
}
