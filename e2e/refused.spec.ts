import { ask } from './database';
import { own, pressKey, score, startPlay } from './steps';
import { expect, test } from './test';

type Batch = { events: { kind: string; payload: { turnNo?: number; note?: string | null } }[] };

test('a ball that can’t be stored is set aside with its reason: the others are stored, its turn is open again, and somebody settles it', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/a/lantern-hollow/games');
  await page.getByRole('link', { name: /Half Moon/ }).click();
  await startPlay(page, 'Kofi');
  const sessionId = new URL(page.url()).hash.slice(1);
  // What a faulty device would say of its second ball.
  await page.route('**/api/v1/shot-events', async (route) => {
    const batch = route.request().postDataJSON() as Batch;
    for (const { kind, payload } of batch.events)
      if (kind === 'record' && payload.turnNo === 1) payload.note = `odd${String.fromCharCode(0)}`;
    await route.continue({ postData: JSON.stringify(batch) });
  });
  await pressKey(page, '6 ft', 4);
  await page.getByRole('button', { name: /^12 ft, / }).click();
  await expect(page.getByText('1 not saved: see ⋯')).toBeVisible();
  await expect(score(page)).toHaveText('4');
  const stored = () => ask<{ turn_no: number }>('select turn_no from shot where session_id = $1 order by turn_no', sessionId);
  expect((await stored()).map((row) => row.turn_no)).toEqual([0]);

  await page.getByRole('button', { name: 'This session' }).click();
  await page.getByRole('button', { name: /^Not saved/ }).click();
  const aside = page.getByRole('region', { name: 'Not saved' });
  await expect(aside).toContainText('Kofi, ball 2: 6 ft to 12 ft');
  await expect(aside).toContainText('This has a character that can’t be saved');
  // Sent again as it is, it is refused again.
  const refusedAgain = page.waitForResponse('**/api/v1/shot-events');
  await aside.getByRole('button', { name: 'Send again' }).click();
  expect((await refusedAgain).status()).toBe(409);
  await expect(aside).toBeVisible();
  // Once the cause is gone it is taken.
  await page.unroute('**/api/v1/shot-events');
  await aside.getByRole('button', { name: 'Send again' }).click();
  await expect(page.getByText('Everything is saved.')).toBeVisible();
  await expect.poll(async () => (await stored()).map((row) => row.turn_no)).toEqual([0, 1]);
});

test('what a database can’t hold is a 4xx with a sentence, whatever is sent', async ({ page }) => {
  await page.goto('/a/lantern-hollow');
  const [row] = await ask<{ event: object; session_id: string }>(
    `select jsonb_build_object('eventId', gen_random_uuid(), 'shotId', gen_random_uuid(), 'sessionId', session_id, 'kind', 'record',
       'payload', payload, 'deviceId', device_id, 'deviceSeq', 1, 'deviceAt', '2026-05-01T10:00:00Z') as event, session_id
     from shot_event e join auth_organization o on o.id = e.academy_id where kind = 'record' and o.slug = 'lantern-hollow' limit 1`,
  );
  const { event, session_id: sessionId } = row!;
  const payload = (event as { payload: object }).payload;
  const bad = [
    { ...event, payload: { ...payload, note: `x${String.fromCharCode(0)}` } },
    { ...event, payload: { ...payload, note: '\ud83c' } },
    { ...event, payload: { ...payload, clubLabel: `a${String.fromCharCode(0)}` } },
    { ...event, payload: { ...payload, turnNo: 2 ** 31 } },
    { ...event, payload: { ...payload, ballNo: 2 ** 40 } },
    { ...event, payload: { ...payload, playedAt: '0000-05-01T10:00:00Z' } },
    { ...event, deviceSeq: 2 ** 31 },
    { ...event, deviceAt: '0001-01-01T00:00:00+14:00' },
  ];
  for (const one of bad) {
    const response = await page.request.post('/api/v1/shot-events', { headers: own(page), data: { sessionId, events: [one] } });
    expect([response.status(), await response.json()]).toEqual([
      409,
      { stored: 0, known: 0, refused: [expect.objectContaining({ why: expect.stringMatching(/\S/) })] },
    ]);
  }
  const signUp = (name: string) =>
    page.request.post('/api/auth/sign-up/email', {
      headers: own(page),
      data: { name, email: `odd-${Date.now()}@club.example`, password: 'long enough 123' },
    });
  for (const name of ['x'.repeat(5000), `a${String.fromCharCode(0)}`, ' ']) expect((await signUp(name)).status()).toBe(400);
  expect((await page.goto('/a/lantern-hollow/players/squad?club=%00&to=9999-12-31'))!.status()).toBe(200);
  for (const data of [
    { sessionId, events: [] },
    { sessionId: 'x', events: bad },
    { sessionId, events: 'no' },
  ])
    expect((await page.request.post('/api/v1/shot-events', { headers: own(page), data })).status()).toBe(400);
  const told = (text: string) =>
    page.request.put(`/api/v1/sessions/${sessionId}`, {
      headers: own(page),
      data: { say: 'note', playerId: (payload as { playerId: string }).playerId, whose: 'coach', text },
    });
  expect((await told(`a${String.fromCharCode(0)}b`)).status()).toBe(400);
});
