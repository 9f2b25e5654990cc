import type { APIRequestContext, PlaywrightWorkerArgs } from '@playwright/test';
import fc from 'fast-check';
import { addCoach, makeOwnAcademy, signInTo, stored, type OwnAcademy } from './own-academy';
import { ACCOUNT_ACTIONS, ACTIONS, actionsOfTheBuild, PAGES, ROUTES, written } from './ways-in';
import { expect, test } from './test';

/** Two thousand things that nobody would send, to every way of writing, by whoever may sign in; none is stored, none breaks anything. */

test.use({ storageState: { cookies: [], origins: [] } });

const BODIES = 2000;
const AT_ONCE = 6;
const origin = process.env.E2E_URL!;

/** Values that fit no field at all, wherever they stand. */
const NOTHING_TAKES: readonly unknown[] = [
  // What a newer program may say beside what is known is taken, but not this.
  { x: `a${String.fromCharCode(0)}b` },
  [[]],
  `a${String.fromCharCode(0)}b`,
  'half of a pair: \ud83c',
  'x'.repeat(20_000),
  -1e308,
  1e308,
  2 ** 53,
];

type Path = (string | number)[];

/** Where the leaves of a value are. */
function leaves(value: unknown, at: Path = []): Path[] {
  if (value === null || typeof value !== 'object' || value instanceof Date) return [at];
  const inner = Object.entries(value).flatMap(([key, one]) => leaves(one, [...at, Array.isArray(value) ? Number(key) : key]));
  return inner.length > 0 ? inner : [at];
}

/** A value with another one in one place. */
function changed(value: unknown, [step, ...rest]: Path, to: unknown): unknown {
  if (step === undefined) return to;
  const copy = Array.isArray(value) ? [...(value as unknown[])] : { ...(value as Record<string, unknown>) };
  (copy as Record<string | number, unknown>)[step] = changed((value as Record<string | number, unknown>)[step], rest, to);
  return copy;
}

type Try = { way: string; send: (request: APIRequestContext) => Promise<{ status: number; text: string }> };

/** One thing to send, from a number. */
function makeTry(own: OwnAcademy, seed: number): Try {
  const random = (below: number) => (seed = (Math.imul(seed, 1_103_515_245) + 12_345) >>> 0) % below;
  const one = <T>(list: readonly T[]): T => list[random(list.length)]!;
  const spoiled = (value: unknown) => changed(value, one(leaves(value)), one(NOTHING_TAKES));
  const routes = Object.entries(ROUTES).flatMap(([file, all]) => all.filter(({ body }) => body).map((route) => ({ file, ...route })));
  const kind = random(10);
  if (kind < 4) {
    const { file, method, path, body, by } = one(routes.filter(({ file }) => !file.includes('reader')));
    const value = spoiled(body!(own));
    const raw = random(12) === 0 ? one(['', '{', '[1', 'null', '"x"', '[]', '{}', '\ufffd', 'x'.repeat(70_000)]) : JSON.stringify(value);
    const token =
      by === 'link'
        ? own.linkToken
        : by === 'reader'
          ? own.readerKey
          : by === 'report'
            ? own.reportToken
            : by === 'invitation'
              ? own.invitationToken
              : null;
    return {
      way: `${method} ${file}`,
      async send(request) {
        const headers = { origin, 'content-type': 'application/json', ...(token ? { authorization: `Bearer ${token}` } : {}) };
        const response = await request.fetch(path(own), { method, headers, data: raw });
        return { status: response.status(), text: raw.slice(0, 300) };
      },
    };
  }
  const all = { ...ACTIONS, ...Object.fromEntries(Object.entries(ACCOUNT_ACTIONS).map(([name, args]) => [name, () => args])) };
  const name = one(Object.keys(all).filter((each) => all[each]!(own).length > 0));
  const value = spoiled(all[name]!(own)) as unknown[];
  const args = name in ACCOUNT_ACTIONS ? value : [random(20) === 0 ? one(NOTHING_TAKES) : own.slug, ...value];
  // What the framework's own notation means, and what it can't mean.
  const raw = random(15) === 0 ? one(['', '[', 'null', '["$"]', '["$1"]', '["$D9999"]', '["$@7"]', '["$Q0"]', '["$K1"]']) : written(args);
  return {
    way: name,
    async send(request) {
      const response = await request.post(`/a/${own.slug}`, {
        headers: {
          origin,
          'next-action': actionsOfTheBuild().get(name)!,
          'content-type': 'text/plain;charset=UTF-8',
          accept: 'text/x-component',
        },
        data: raw,
        maxRedirects: 0,
      });
      return { status: response.status(), text: raw.slice(0, 300) };
    },
  };
}

/** Somebody of each role, signed in: the owner first. */
async function everybody(
  { request: of }: PlaywrightWorkerArgs['playwright'],
  own: OwnAcademy,
): Promise<[APIRequestContext, ...APIRequestContext[]]> {
  const signedIn = async (email: string) => {
    const request = await of.newContext({ baseURL: origin });
    await signInTo(request, { ...own, email });
    return request;
  };
  return [
    await signedIn(own.email),
    ...(await Promise.all([addCoach(own), own.helperEmail, own.guardianEmail].map(async (email) => signedIn(await email)))),
  ];
}

test('two thousand bodies that make no sense: nothing fails, nothing is stored', async ({ playwright }) => {
  test.setTimeout(300_000);
  const own = await makeOwnAcademy('Umbriel');
  const people = await everybody(playwright, own);
  const [request, ...others] = people;
  // That balls were refused is kept, and why; of what they were nothing.
  const all = async () => ({ ...(await stored(own.academyId)), refused_event: '' });
  const before = await all();
  const seeds = fc.sample(fc.integer({ min: 1, max: 2 ** 31 - 1 }), { seed: 20, numRuns: BODIES });
  const started = Date.now();
  const failed: { way: string; status: number; text: string }[] = [];
  const kinds = new Map<number, number>();
  const next = seeds[Symbol.iterator]();
  await Promise.all(
    Array.from({ length: AT_ONCE }, async () => {
      for (const seed of next) {
        const { way, send } = makeTry(own, seed);
        // Two thirds come from the owner, to whom all ways are open.
        const by = seed % 3 > 0 ? request : others[Math.floor(seed / 3) % others.length]!;
        const { status, text } = await send(by);
        kinds.set(status, (kinds.get(status) ?? 0) + 1);
        if (status >= 500) failed.push({ way, status, text });
      }
    }),
  );
  console.log(`${BODIES} bodies in ${((Date.now() - started) / 1000).toFixed(0)} s: ${JSON.stringify(Object.fromEntries(kinds))}`);
  expect(failed.slice(0, 20)).toEqual([]);
  expect(await all()).toEqual(before);
  // Whatever was sent, every page can still be read.
  for (const [file, path] of Object.entries(PAGES)) expect([file, (await request.get(path(own))).status()]).toEqual([file, 200]);
  for (const one of people) await one.dispose();
});

test('addresses that make no sense are 4xx', async ({ playwright }) => {
  const own = await makeOwnAcademy('Ariel');
  const people = await everybody(playwright, own);
  const strange = [
    '%00',
    '%E0%A4%A',
    '..%2f..%2fetc',
    'x'.repeat(3000),
    "';--",
    '%ED%A0%BC',
    '01999999-0000-7000-8000-00000000000z',
    '%0A',
    '-1',
    'NaN',
  ];
  const bases = [
    `/a/${own.slug}`,
    `/a/${own.slug}/players/${own.playerId}`,
    `/a/${own.slug}/players/squad`,
    `/a/${own.slug}/games/${own.gameId}/sheet`,
  ];
  const params = ['club', 'to', 'from', 'cell', 'against', 'game', 'sit', 'since', 'by', 'minutes', 'copy', 'level', 'paper'];
  for (const [who, request] of people.entries())
    for (const value of strange) {
      const filled = params.map(
        (name) => `${name}=${value.startsWith('%') ? value : encodeURIComponent(value.replace('\ud83c', '\ufffd'))}`,
      );
      const paths = [
        ...['players', 'games', 'sessions', 'greens', 'games/library'].map((path) => `/a/${own.slug}/${path}/${value}`),
        ...[`/a/${value}`, `/api/v1/sessions/${value}/bundle`, `/family/${value}/${own.playerId}`, `/family/${own.slug}/${value}`],
        ...bases.map((base) => `${base}?${filled.join('&')}`),
      ];
      for (const path of paths) expect([who, path, (await request.get(path)).status() < 500]).toEqual([who, path, true]);
    }
  const [request] = people;
  for (const bad of ['not an origin', 'http://', 'null', 'http://[']) {
    const response = await request.post(`/a/${own.slug}`, { headers: { origin: bad, 'next-action': 'x' }, data: '[]' });
    expect([bad, response.status() < 500]).toEqual([bad, true]);
  }
  for (const one of people) await one.dispose();
});
