import { randomUUID } from 'node:crypto';
import { newPlayer } from '../core/people/player';
import { makeOwnAcademy, signInTo, stored, type OwnAcademy } from './own-academy';
import { ROUTES } from './ways-in';
import { expect, test } from './test';

/** What other programs ask, with keys made in the settings. */

test.use({ storageState: { cookies: [], origins: [] } });
const origin = process.env.E2E_URL!;
let own: OwnAcademy;
test.beforeAll(async () => {
  own = await makeOwnAcademy('Lysander');
});

const bearer = (key: string) => ({ authorization: `Bearer ${key}` });

test('the description names every address, and each that is read answers', async ({ playwright }) => {
  const request = await playwright.request.newContext({ baseURL: origin });
  const described = (await (await request.get('/api/v1/openapi.json')).json()) as {
    openapi: string;
    paths: Record<string, Record<string, { responses: object; requestBody?: { content: Record<string, { schema: object }> } }>>;
  };
  expect(described.openapi).toBe('3.1.0');
  const told = Object.entries(described.paths).flatMap(([path, methods]) => Object.keys(methods).map((method) => `${method} ${path}`));
  const tried = ['api/v1/[...path]/route.ts', 'api/v1/archive/route.ts'].flatMap((file) =>
    ROUTES[file]!.map(({ method, path }) => `${method.toLowerCase()} ${pattern(path(own))}`),
  );
  expect(told.toSorted()).toEqual([...new Set(tried)].toSorted());
  // A body is described by what is looked at when it comes.
  expect(JSON.stringify(described.paths['/api/v1/players/{id}']!.put!.requestBody)).toContain('"level"');
  for (const { method, path } of ROUTES['api/v1/[...path]/route.ts']!) {
    if (method !== 'GET') continue;
    const [at] = path(own).split('?');
    const response = await request.get(at!, { headers: bearer(own.key) });
    expect([at, response.status()]).toEqual([at, 200]);
  }
  await request.dispose();
});

/** "/api/v1/games/<id>?academy=here" is "/api/v1/games/{id}". */
const pattern = (path: string) => path.replace(/\?.*/, '').replaceAll(/[0-9a-f-]{36}/g, '{id}');

test('what is saved is read again as it was, and a result and a table of scores come in', async ({ playwright }) => {
  const request = await playwright.request.newContext({ baseURL: origin, extraHTTPHeaders: bearer(own.key) });
  const send = async (method: 'PUT' | 'POST', path: string, data?: unknown) => {
    const response = await request.fetch(`/api/v1/${path}`, { method, ...(data === undefined ? {} : { data }) });
    return { status: response.status(), said: (await response.json()) as Record<string, unknown> };
  };
  const read = async (path: string) => (await (await request.get(`/api/v1/${path}`)).json()) as Record<string, never>;

  const playerId = randomUUID();
  const form = { ...newPlayer('Ottoline', 'metric'), clubs: [{ clubId: randomUUID(), label: 'wedge', loftDeg: 52 }] };
  expect(await send('PUT', `players/${playerId}`, form)).toEqual({ status: 200, said: { saved: true } });
  expect(await read(`players/${playerId}`)).toEqual({ ...form, playerId, archived: false });
  expect(await send('PUT', `players/${playerId}`, { ...form, level: 900 })).toMatchObject({ status: 400, said: { error: /^level: / } });

  const [gameId, spec] = [randomUUID(), { ...own.spec, title: 'By another program' }];
  expect(await send('PUT', `games/${gameId}`, { game: spec })).toEqual({ status: 200, said: { version: 1 } });
  expect(await read(`games/${gameId}`)).toMatchObject({ gameId, version: 1, game: spec, archived: false });

  const result = { playerId, day: '2026-05-03', title: 'Nine holes elsewhere', score: 31, unit: 'strokes', note: '' };
  const sessionId = randomUUID();
  for (let i = 0; i < 2; i++) expect((await send('PUT', `results/${sessionId}`, result)).status).toBe(200);
  const { sessions } = (await read('logbook?find=elsewhere')) as unknown as {
    sessions: { sessionId: string; unit: string; players: object[] }[];
  };
  expect(sessions).toMatchObject([{ sessionId, unit: 'strokes', players: [{ playerId, name: 'Ottoline', score: 31 }] }]);

  const importId = randomUUID();
  const mapping = { version: 1, kind: 'scores', header: true, columns: {}, all: {}, units: {}, dates: null };
  const start = { importId, kind: 'scores', fileName: 'theirs.csv', columns: [], mapping, players: [] };
  expect((await send('POST', 'imports', start)).status).toBe(200);
  const rows = {
    columns: ['player', 'played_at', 'game', 'score'],
    rows: [{ line: 2, cells: [playerId, '2026-05-04T12:00:00Z', 'Club ladder', '7'] }],
  };
  expect(await send('POST', `imports/${importId}/rows`, rows)).toEqual({ status: 200, said: { problems: [] } });
  expect(await send('POST', `imports/${importId}/keep`)).toMatchObject({ status: 200, said: { state: 'kept', kept: 1, left: 0 } });
  expect((await read('logbook?find=ladder')) as object).toMatchObject({ sessions: [{ game: 'Club ladder' }], next: null });
  expect(await send('POST', `imports/${importId}/undo`)).toMatchObject({ status: 200, said: { state: 'undone' } });

  for (const [path, status] of [
    ['nothing', 404],
    [`players/${randomUUID()}`, 404],
    ['players/x', 400],
    ['logbook?sort=sideways', 400],
    ['players/x/board/more', 404],
  ] as const)
    expect([path, (await request.get(`/api/v1/${path}`)).status()]).toEqual([path, status]);
  expect((await request.put('/api/v1/players', { data: {} })).status()).toBe(405);
  await request.dispose();
});

test('a key made in the settings is good for what it says, until it is revoked', async ({ page, playwright }) => {
  await signInTo(page.request, own);
  await page.goto(`/a/${own.slug}/settings`);
  await page.getByRole('button', { name: 'Make a key …' }).click();
  await page.getByRole('button', { name: 'Make the key' }).click();
  await expect(page.getByText('Say what it is for.')).toBeVisible();
  await page.getByLabel('What it’s for').fill('the club’s website');
  await page.getByRole('button', { name: 'Make the key' }).click();
  const key = await page.getByLabel('The new key').inputValue();
  const request = await playwright.request.newContext({ baseURL: origin, extraHTTPHeaders: bearer(key) });
  const before = await stored(own.academyId);
  expect((await request.get('/api/v1/players')).status()).toBe(200);
  expect((await request.put(`/api/v1/players/${own.playerId}`, { data: newPlayer('Changed', 'metric') })).status()).toBe(403);
  expect((await request.get('/api/v1/archive')).status()).toBe(403);
  expect(await stored(own.academyId)).toEqual(before);
  // It is no way into the pages, or into play.
  expect((await request.get(`/api/v1/sessions/${own.sessionId}/bundle`)).status()).toBe(401);
  expect((await request.get(`/a/${own.slug}`, { maxRedirects: 0 })).status()).toBe(307);
  await page.reload();
  await expect(page.getByText(/last used today/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Revoke the key for the club’s website' }).click();
  await expect(page.getByText('the club’s website')).toHaveCount(0);
  expect((await request.get('/api/v1/players')).status()).toBe(401);
  await request.dispose();
});
