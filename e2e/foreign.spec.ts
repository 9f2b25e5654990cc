import type { APIRequestContext, APIResponse } from '@playwright/test';
import { addCoach, makeOwnAcademy, signInTo, stored, type OwnAcademy } from './own-academy';
import {
  ACCOUNT_ACTIONS,
  ACTIONS,
  actionsBy,
  actionsOfTheBuild,
  answeringFiles,
  FAMILY_PAGES,
  OPEN_PAGES,
  OWNER_PAGES,
  PAGES,
  ROUTES,
  SHARED_PAGES,
  written,
} from './ways-in';
import { expect, test } from './test';

/** Every way into the program, tried by people who have no business there. */

test.use({ storageState: { cookies: [], origins: [] } });

const origin = process.env.E2E_URL!;
let victim: OwnAcademy;
let stranger: OwnAcademy;
test.beforeAll(async () => {
  victim = await makeOwnAcademy('Zephyrine');
  stranger = await makeOwnAcademy('Quillon');
});

test('every page, route and action is in the table', () => {
  expect([...Object.keys(PAGES), ...Object.keys(FAMILY_PAGES), ...OPEN_PAGES, ...Object.keys(ROUTES)].sort()).toEqual(
    answeringFiles().sort(),
  );
  expect([...Object.keys(ACTIONS), ...Object.keys(ACCOUNT_ACTIONS)].sort()).toEqual([...actionsOfTheBuild().keys()].sort());
  // Of every action at the desk or at home its file says whom it is for.
  expect([...actionsBy().keys()].sort()).toEqual(Object.keys(ACTIONS).sort());
});

/** Sends one action from a page of an academy. */
function act(request: APIRequestContext, slug: string, name: string, args: readonly unknown[]): Promise<APIResponse> {
  return request.post(`/a/${slug}`, {
    headers: {
      origin,
      'next-action': actionsOfTheBuild().get(name)!,
      'content-type': 'text/plain;charset=UTF-8',
      accept: 'text/x-component',
    },
    data: written([slug, ...args]),
    maxRedirects: 0,
  });
}

/** How something was answered, and with what. An action that sends somebody to the sign-in page, to the green or to nowhere answers with that page. */
async function answered(response: APIResponse): Promise<{ status: number; text: string }> {
  const text = await response.text();
  const away = /^\/(sign-in|play)/.test(response.headers()['x-action-redirect'] ?? '') || text.includes('NEXT_REDIRECT;');
  const nowhere = text.includes('NEXT_HTTP_ERROR_FALLBACK;404');
  return { status: away ? 303 : nowhere ? 404 : response.status(), text };
}

/** Tries every way in; gives how each was answered, and whether anything of the victim's was in an answer. */
async function walk(request: APIRequestContext, headers: Record<string, string> = {}) {
  const seen: { way: string; status: number; leaks: boolean }[] = [];
  const note = async (way: string, response: APIResponse) => {
    const { status, text } = await answered(response);
    seen.push({ way, status, leaks: text.includes('Zephyrine') });
  };
  for (const [file, path] of Object.entries({ ...PAGES, ...FAMILY_PAGES }))
    await note(file, await request.get(path(victim), { headers, maxRedirects: 0 }));
  for (const [file, routes] of Object.entries(ROUTES))
    for (const { method, path, body, type = 'application/json' } of routes)
      await note(
        `${method} ${file}`,
        await request.fetch(path(victim), {
          method,
          headers: { origin, 'content-type': type, ...headers },
          ...(body ? { data: JSON.stringify(body(victim)) } : {}),
        }),
      );
  for (const [name, args] of Object.entries(ACTIONS)) await note(name, await act(request, victim.slug, name, args(victim)));
  return seen;
}

/** None of these ways led anywhere, and none showed anything. */
function refusedAll(seen: Awaited<ReturnType<typeof walk>>): void {
  expect(seen.filter(({ leaks }) => leaks)).toEqual([]);
  expect(seen.filter(({ status }) => ![401, 403, 404, 303, 307].includes(status))).toEqual([]);
}

test('a coach of another academy gets nothing and changes nothing', async ({ playwright }) => {
  const request = await playwright.request.newContext({ baseURL: origin });
  await signInTo(request, stranger);
  const before = await stored(victim.academyId);
  const seen = await walk(request);
  expect(seen.length).toBeGreaterThan(60);
  refusedAll(seen);
  // From their own academy's pages they reach no further.
  const own: Record<string, string> = {};
  for (const [name, args] of Object.entries(ACTIONS)) {
    if (
      [
        'deleteAcademyAction',
        'saveSettings',
        'saveOwnTable',
        'removeOwnTable',
        'keepAcademyAction',
        'saveTodayAction',
        'saveRetentionAction',
      ].includes(name)
    )
      continue;
    const response = await act(request, stranger.slug, name, args(victim));
    own[name] = `${response.status()} ${(await response.text()).includes('Zephyrine') && !/Game|Action/.test(name)}`;
  }
  expect(Object.entries(own).filter(([, answer]) => !/^(200|404) false$/.test(answer))).toEqual([]);
  expect(await stored(victim.academyId)).toEqual(before);
  await request.dispose();
});

test('the owner opens every page of the desk, a coach all but the owner’s, and none of the owner’s actions', async ({ playwright }) => {
  const own = await makeOwnAcademy('Quercus');
  const coachEmail = await addCoach(own);
  for (const [role, email] of Object.entries({ owner: own.email, coach: coachEmail })) {
    const request = await playwright.request.newContext({ baseURL: origin });
    await signInTo(request, { ...own, email });
    const shut: string[] = [];
    for (const [file, path] of Object.entries(PAGES))
      if ((await answered(await request.get(path(own), { maxRedirects: 0 }))).status !== 200) shut.push(file);
    expect([role, shut]).toEqual([role, role === 'owner' ? [] : OWNER_PAGES]);
    // A guardian's pages are for whoever was asked to look after that player, whatever else they are.
    for (const path of Object.values(FAMILY_PAGES)) expect((await answered(await request.get(path(own)))).status).toBe(404);
    if (role === 'coach') {
      const before = await stored(own.academyId);
      const owners = [...actionsBy()].filter(([, by]) => by === 'owner').map(([name]) => name);
      expect(owners.length).toBeGreaterThan(5);
      for (const name of owners) {
        const { status } = await answered(await act(request, own.slug, name, ACTIONS[name]!(own)));
        expect([name, status]).toEqual([name, 404]);
      }
      expect((await request.get(`/api/v1/archive?academy=${own.slug}`)).status()).toBe(403);
      expect(await stored(own.academyId)).toEqual(before);
    }
    await request.dispose();
  }
});

test('an assistant reads about the players of their groups, and gets nothing else of the desk', async ({ playwright }) => {
  const request = await playwright.request.newContext({ baseURL: origin });
  await signInTo(request, { ...victim, email: victim.helperEmail });
  const before = await stored(victim.academyId);
  // Whoever played in the same session is named there, and nowhere else.
  const named = ['a/[academy]/logbook/page.tsx', 'a/[academy]/sessions/[session]/page.tsx'];
  const secret = ['Zephyrine note for coaches', 'Zephyrine note of Mate'];
  const wrong: string[] = [];
  for (const [file, path] of Object.entries({ ...PAGES, ...FAMILY_PAGES })) {
    const { status, text } = await answered(await request.get(path(victim), { maxRedirects: 0 }));
    const opens = SHARED_PAGES.includes(file);
    const leaks = [...secret, ...(named.includes(file) ? [] : ['Zephyrine Mate'])].filter((words) => text.includes(words));
    if (opens ? status !== 200 : ![303, 307, 404].includes(status) || text.includes('Zephyrine Player')) wrong.push(`${file} ${status}`);
    if (leaks.length > 0) wrong.push(`${file} says ${leaks.join(', ')}`);
    // The same about somebody of another group.
    if (!opens || !file.includes('[player]')) continue;
    const other = await answered(await request.get(path({ ...victim, playerId: victim.mateId }), { maxRedirects: 0 }));
    if (other.status !== 404 || other.text.includes('Zephyrine Mate')) wrong.push(`${file} of another ${other.status}`);
  }
  for (const [name, args] of Object.entries(ACTIONS)) {
    const { status, text } = await answered(await act(request, victim.slug, name, args(victim)));
    if (actionsBy().get(name) === 'assistant') {
      if (status !== 200) wrong.push(`${name} ${status}`);
      // Where the framework hands an action on to another page of its own, being sent away comes out as an answer with nothing in it.
    } else if ((![303, 404].includes(status) && text !== '{}') || /Zephyrine (Player|Mate|note)/.test(text))
      wrong.push(`${name} ${status}`);
  }
  expect(wrong).toEqual([]);
  // A note and a rating of the player whom they see, and no more.
  const theirs = ['activity', 'player', 'note'];
  const rest = (all: Record<string, string>) => Object.fromEntries(Object.entries(all).filter(([table]) => !theirs.includes(table)));
  const after = await stored(victim.academyId);
  expect(rest(after)).toEqual(rest(before));
  const dreads = await act(request, victim.slug, 'saveDreadsAction', [victim.mateId, { 'pitch|fairway': 5 }]);
  expect((await answered(dreads)).status).toBe(404);
  expect(rest(await stored(victim.academyId))).toEqual(rest(before));
  expect((await stored(victim.academyId)).player).toBe(after.player);
  await request.dispose();
});

/** What a guardian may do with the player about whom they read. */
const FAMILY_ACTIONS = ['giveConsentAction', 'takeConsentBackAction', 'askErasureAction', 'cancelErasureAction'];

test('a guardian reads about one player, and gets nothing else of the academy', async ({ playwright }) => {
  const request = await playwright.request.newContext({ baseURL: origin });
  await signInTo(request, { ...victim, email: victim.guardianEmail });
  const before = await stored(victim.academyId);
  const seen = await walk(request);
  const own = ({ way }: (typeof seen)[number]) => way in FAMILY_PAGES || FAMILY_ACTIONS.includes(way);
  refusedAll(seen.filter((one) => !own(one)));
  expect(seen.filter(own).map(({ status }) => status)).toEqual(Array.from({ length: 7 }, () => 200));
  // What they did themselves is another now; the rest of the academy is as it was.
  // Taking the consent back ended the link to their player's report.
  const theirs = ['activity', 'consent', 'erasure_request', 'report'];
  const rest = (all: Record<string, string>) => Object.fromEntries(Object.entries(all).filter(([table]) => !theirs.includes(table)));
  expect(rest(await stored(victim.academyId))).toEqual(rest(before));
  // Of whoever played beside their player nothing is on their pages, and no other player opens with the same address.
  const page = await (await request.get(`/family/${victim.slug}/${victim.playerId}`)).text();
  expect([page.includes('Zephyrine Player'), page.includes('Zephyrine Mate'), page.includes('coach note')]).toEqual([true, false, false]);
  for (const path of Object.values(FAMILY_PAGES))
    expect((await request.get(path({ ...victim, playerId: victim.mateId }))).status()).toBe(404);
  for (const name of FAMILY_ACTIONS) {
    const { status } = await answered(await act(request, victim.slug, name, ACTIONS[name]!({ ...victim, playerId: victim.mateId })));
    expect([name, status]).toEqual([name, 404]);
  }
  expect(rest(await stored(victim.academyId))).toEqual(rest(before));
  await request.dispose();
});

test('nobody who is not signed in gets in, and a made-up token opens nothing', async ({ playwright }) => {
  const request = await playwright.request.newContext({ baseURL: origin });
  const before = await stored(victim.academyId);
  const tries: Record<string, string>[] = [
    {},
    { authorization: `Bearer ${victim.academyId}.${'x'.repeat(43)}`, 'x-forwarded-for': '203.0.113.91' },
  ];
  for (const headers of tries) {
    const seen = await walk(request, headers);
    refusedAll(seen);
  }
  expect(await stored(victim.academyId)).toEqual(before);
  await request.dispose();
});

test('a personal link of another academy opens nothing of this one', async ({ playwright }) => {
  const request = await playwright.request.newContext({ baseURL: origin });
  const before = await stored(victim.academyId);
  const seen = await walk(request, { authorization: `Bearer ${stranger.linkToken}` });
  // Their own page is open to them.
  refusedAll(seen.filter(({ way }) => !way.includes('api/v1/link')));
  expect(seen.filter(({ leaks }) => leaks)).toEqual([]);
  expect(await stored(victim.academyId)).toEqual(before);
  await request.dispose();
});

test('a link sees of the others what the game needs, and no note on their balls', async ({ playwright }) => {
  const request = await playwright.request.newContext({ baseURL: origin });
  const headers = { authorization: `Bearer ${victim.linkToken}` };
  const bundle = await (await request.get(`/api/v1/sessions/${victim.sessionId}/bundle`, { headers })).text();
  expect(bundle).toContain('Zephyrine Player');
  expect(bundle).toContain('Zephyrine note of Mate');
  expect(bundle).not.toContain('Zephyrine note of Player');
  expect(bundle).not.toContain('Zephyrine coach note');
  await request.dispose();
});

test('what is written has to come from the program’s own pages, as JSON', async ({ playwright }) => {
  const request = await playwright.request.newContext({ baseURL: origin });
  await signInTo(request, victim);
  const before = await stored(victim.academyId);
  for (const [file, routes] of Object.entries(ROUTES))
    for (const { method, path, body, empty } of routes) {
      if (method === 'GET') continue;
      const send = (headers: Record<string, string>) =>
        request.fetch(path(victim), { method, headers, data: JSON.stringify(body?.(victim) ?? {}) });
      const json = { 'content-type': 'application/json' };
      const plain: Record<string, string>[] = empty ? [] : [{ origin, 'content-type': 'text/plain' }];
      const ways = [json, { ...json, origin: 'https://elsewhere.example' }, { ...json, origin: 'null' }, ...plain];
      for (const headers of ways) {
        const status = (await send(headers)).status();
        expect([file, headers, [401, 403, 415].includes(status)]).toEqual([file, headers, true]);
      }
    }
  expect(await stored(victim.academyId)).toEqual(before);
  await request.dispose();
});

test('a link that is revoked while it follows a session hears no more', async ({ playwright, page }) => {
  const request = await playwright.request.newContext({ baseURL: origin });
  await signInTo(request, victim);
  await page.goto('/sign-in');
  const ended = page.evaluate(
    async ([path, token]) => {
      const response = await fetch(path!, { headers: { authorization: `Bearer ${token}` } });
      (window as unknown as { following: boolean }).following = response.ok;
      const reader = response.body!.getReader();
      for (;;) if ((await reader.read()).done) return 'ended';
    },
    [`/api/v1/sessions/${victim.sessionId}/live`, victim.linkToken],
  );
  await page.waitForFunction(() => (window as unknown as { following?: boolean }).following);
  await act(request, victim.slug, 'revokeLinkAction', [victim.linkId]);
  const revoked = Date.now();
  expect(await ended).toBe('ended');
  console.log(`a revoked link's stream ended after ${Date.now() - revoked} ms`);
  expect((await request.get('/api/v1/link', { headers: { authorization: `Bearer ${victim.linkToken}` } })).status()).toBe(401);
  await request.dispose();
});
