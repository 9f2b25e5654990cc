import type { Page } from '@playwright/test';
import { ask } from './database';
import { pressKey, score, startPlay } from './steps';
import { expect, test } from './test';

/*
 * A phone and a server of different versions: what either says that the other does not know is changed on its way between them, as a program
 * of another version would say it.
 */
const BUNDLE = '**/api/v1/sessions/*/bundle*';
const EVENTS = '**/api/v1/shot-events';

// The phone asks again by itself: what is on its way when a test ends is nobody's business.
test.afterEach(({ page }) => page.unrouteAll({ behavior: 'ignoreErrors' }));

/** Begins a game of rings on a phone. @returns its session */
async function begin(page: Page): Promise<string> {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/a/lantern-hollow/games');
  await page.getByRole('link', { name: /Half Moon/ }).click();
  await startPlay(page, 'Kofi');
  return new URL(page.url()).hash.slice(1);
}

type Said = Record<string, unknown> & { events: { event: Record<string, unknown> }[]; spec: object; conditions: object };

/** What a newer server answers. */
async function newerServer(page: Page, change: (bundle: Said) => object) {
  await page.route(BUNDLE, async (route) => {
    const response = await route.fetch();
    await route.fulfill({ response, json: change((await response.json()) as Said) });
  });
}

test('a phone with an older program plays on beside a newer server: nothing it records is lost', async ({ page }) => {
  const sessionId = await begin(page);
  await pressKey(page, '6 ft', 4);
  // The same one, however often the phone asks.
  const film = { version: 9, kind: 'film', eventId: crypto.randomUUID(), sessionId, shotId: crypto.randomUUID() };
  await newerServer(page, (bundle) => ({
    ...bundle,
    version: 9,
    tide: 'low',
    conditions: { version: 9, dew: true, stimpFt: 9 },
    events: [{ seq: 1e9, event: film }],
  }));
  await page.reload();
  await expect(page.getByText('1 not shown: reload')).toBeVisible();
  await expect(score(page)).toHaveText('4');
  await pressKey(page, '12 ft', 6);
  const balls = () => ask<{ turn_no: number }>('select turn_no from shot where session_id = $1 order by turn_no', sessionId);
  await expect.poll(async () => (await balls()).length).toBe(2);
  // The day that it sends back has what it did not know of it.
  await page.getByRole('button', { name: 'This session' }).click();
  await page.getByRole('button', { name: /^The day/ }).click();
  await page.getByRole('radio', { name: 'firm' }).click();
  await page.getByRole('button', { name: 'Keep' }).click();
  const day = () => ask<{ conditions: object }>('select conditions from session where session_id = $1', sessionId);
  await expect.poll(async () => (await day())[0]!.conditions).toEqual({ version: 9, dew: true, stimpFt: 9, firmness: 'firm' });
});

test('a game of a newer server is not played as if it were understood, and the phone says why', async ({ page, browser }) => {
  const sessionId = await begin(page);
  await expect.poll(() => ask('select 1 from session where session_id = $1', sessionId)).toHaveLength(1);
  const context = await browser.newContext({ storageState: await page.context().storageState() });
  const other = await context.newPage();
  await newerServer(other, (bundle) => ({ ...bundle, spec: { ...bundle.spec, version: 9 } }));
  await other.goto(`/play#${sessionId}`);
  await expect(other.getByText('This game needs a newer version of the program')).toBeVisible();
  await context.close();
});

test('what a phone with a newer program says is taken in with all that is not known of it', async ({ page }) => {
  const sessionId = await begin(page);
  await page.route(EVENTS, async (route) => {
    const batch = route.request().postDataJSON() as { events: { payload: object }[] };
    const events = batch.events.map((event) => ({ ...event, version: 9, tide: 'low', payload: { ...event.payload, spinRpm: 4000 } }));
    await route.continue({ postData: JSON.stringify({ ...batch, wifi: true, events }) });
  });
  await pressKey(page, '6 ft', 4);
  await expect(page.getByText('all sent')).toBeVisible();
  const [event] = await ask<{ version: number; more: object; spin: number }>(
    "select version, more, (payload ->> 'spinRpm')::integer as spin from shot_event where session_id = $1",
    sessionId,
  );
  expect(event).toEqual({ version: 9, more: { tide: 'low' }, spin: 4000 });
  await page.reload();
  await expect(score(page)).toHaveText('4');
});
