import { randomUUID } from 'node:crypto';
import type { APIRequestContext } from '@playwright/test';
import { makeOwnAcademy, signInTo } from './own-academy';
import { expect, test } from './test';

/** What one sender, one link or one clock may not do to the others. */

test.use({ storageState: { cookies: [], origins: [] } });
const origin = process.env.E2E_URL!;

/** A sender of its own, as the proxy in front names it: the program under test trusts this machine as one. */
const from = (sender: string) => ({ origin, 'x-forwarded-for': sender });
const signIn = (request: APIRequestContext, email: string, password: string, sender: string) =>
  request.post('/api/auth/sign-in/email', { headers: from(sender), data: { email, password } });

test('a stranger’s guesses make the stranger wait, and nobody else', async ({ request }) => {
  const own = await makeOwnAcademy('Bramble');
  const answers: number[] = [];
  for (let n = 0; n < 12; n++) answers.push((await signIn(request, own.email, `wrong ${n}`, '198.51.100.66')).status());
  expect(answers.slice(0, 5)).toEqual([401, 401, 401, 401, 401]);
  expect(answers.filter((status) => status === 429).length).toBeGreaterThan(3);
  const waiting = await signIn(request, own.email, 'a-long-test-word', '198.51.100.66');
  expect(waiting.status()).toBe(429);
  expect(await waiting.json()).toMatchObject({ message: expect.stringMatching(/^Wait (a second|\d+ seconds), then try again\.$/) });
  expect(Number(waiting.headers()['retry-after'])).toBeGreaterThan(0);
  expect((await signIn(request, own.email, 'a-long-test-word', '198.51.100.67')).status()).toBe(200);
});

test('an account that is there and one that can’t be made are answered alike; a common password is refused', async ({ request }) => {
  const own = await makeOwnAcademy('Heather');
  const signUp = (email: string, password: string) =>
    request.post('/api/auth/sign-up/email', { headers: from('198.51.100.70'), data: { name: 'Ana', email, password } });
  const taken = await signUp(own.email, 'another-long-word');
  expect([taken.status(), await taken.json()]).toEqual([
    400,
    { code: 'NOT_MADE', message: 'We couldn’t make this account. If you already have one, sign in instead.' },
  ]);
  const common = await signUp(`ana-${randomUUID()}@club.example`, 'Password123');
  expect([common.status(), ((await common.json()) as { code: string }).code]).toEqual([400, 'COMMON_PASSWORD']);
});

test('a link has its share: balls an hour, sessions a day, streams; the coach is not held up by it', async ({ request, playwright }) => {
  const own = await makeOwnAcademy('Sedge');
  const headers = { authorization: `Bearer ${own.linkToken}` };
  const mates = own.balls[1]!;
  const batch = (count: number) => ({
    sessionId: own.sessionId,
    events: Array.from({ length: count }, () => ({ ...mates, eventId: randomUUID(), kind: 'amend', payload: { leftM: 2 } })),
  });
  const post = (count: number) => request.post('/api/v1/shot-events', { headers, data: batch(count) }).then((answer) => answer.status());
  expect([await post(200), await post(200), await post(200), await post(1)]).toEqual([200, 200, 200, 429]);
  const again = () =>
    request.post('/api/v1/link', { headers, data: { sessionId: randomUUID(), gameId: own.gameId } }).then((one) => one.status());
  const starts: number[] = [];
  for (let n = 0; n < 21; n++) starts.push(await again());
  expect(starts).toEqual([...Array.from({ length: 20 }, () => 200), 429]);
  const following = await Promise.all(
    Array.from({ length: 8 }, () => fetch(`${origin}/api/v1/sessions/${own.sessionId}/live`, { headers })),
  );
  expect(following.map(({ status }) => status).toSorted()).toEqual([200, 200, 200, 200, 200, 200, 429, 429]);
  await Promise.all(following.map(({ body }) => body?.cancel()));
  await expect
    .poll(async () => {
      const one = await fetch(`${origin}/api/v1/sessions/${own.sessionId}/live`, { headers });
      await one.body?.cancel();
      return one.status;
    })
    .toBe(200);
  const coach = await playwright.request.newContext({ baseURL: origin });
  await signInTo(coach, own);
  expect((await coach.post('/api/v1/shot-events', { headers: { origin }, data: batch(1) })).status()).toBe(200);
  await coach.dispose();
});

test('a station that the game does not have is refused, for a ball and for a distance', async ({ request }) => {
  const own = await makeOwnAcademy('Fescue');
  const headers = { authorization: `Bearer ${own.linkToken}` };
  const ball = { ...own.balls[1]!, eventId: randomUUID(), shotId: randomUUID() };
  const nowhere = { ...ball, payload: { ...ball.payload, stationKey: 'nowhere' } };
  const answer = await request.post('/api/v1/shot-events', { headers, data: { sessionId: own.sessionId, events: [nowhere] } });
  expect([answer.status(), await answer.json()]).toEqual([
    409,
    { stored: 0, known: 0, refused: [{ eventId: ball.eventId, why: 'Its station isn’t in this game.' }] },
  ]);
  const coach = request;
  await signInTo(coach, own);
  const told = await coach.put(`/api/v1/sessions/${own.sessionId}`, {
    headers: { origin },
    data: { say: 'station', station: { key: 'nowhere', distanceM: 5, source: 'tape' } },
  });
  expect([told.status(), await told.json()]).toEqual([400, { error: 'This station isn’t in the game.' }]);
});

test('a phone whose clock is a year ahead is said on the session’s page, and its ball counts as played today', async ({ page }) => {
  const own = await makeOwnAcademy('Campion');
  await signInTo(page.request, own);
  const ahead = new Date(Date.now() + 365 * 86_400_000).toISOString();
  const ball = own.balls[0]!;
  const event = { ...ball, eventId: randomUUID(), shotId: randomUUID(), deviceAt: ahead };
  const data = { sessionId: own.sessionId, events: [{ ...event, payload: { ...ball.payload, ballNo: 2, turnNo: 1, playedAt: ahead } }] };
  expect((await page.request.post('/api/v1/shot-events', { headers: { origin }, data })).status()).toBe(200);
  await page.goto(`/a/${own.slug}/sessions/${own.sessionId}`);
  await expect(page.getByText(/clock/)).toContainText('1 ball');
  await page.goto(`/a/${own.slug}/players`);
  await expect(page.getByRole('row').filter({ hasText: 'Campion Player' })).toContainText('today');
  expect((await page.goto(`/a/${own.slug}/players/${own.playerId}`))!.status()).toBe(200);
  expect((await page.goto(`/a/${own.slug}/players/squad`))!.status()).toBe(200);
});
