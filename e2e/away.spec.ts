import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { DEMO_COACH } from '../core/demo/people';
import { score, settled } from './steps';
import { openTestBed, type TestBed } from './test-bed';
import { expect, test } from './test';

/** Starting, playing and ending games where the server is really gone: nothing of this is emulated. */

let bed: TestBed;
const folders: string[] = [];
test.beforeAll(async () => {
  bed = await openTestBed();
});
test.afterAll(async () => {
  await bed?.close();
  for (const folder of folders) rmSync(folder, { recursive: true, force: true });
});

/** A phone with a memory of its own, that can be switched off and on. */
function aPhone() {
  const folder = mkdtempSync(join(tmpdir(), 'inch-phone-'));
  folders.push(folder);
  const { launchOptions } = test.info().project.use;
  const on = () =>
    chromium.launchPersistentContext(folder, {
      ...launchOptions,
      baseURL: bed.urls[0],
      viewport: { width: 390, height: 844 },
      hasTouch: true,
    });
  return { on };
}

async function signIn(context: BrowserContext): Promise<Page> {
  const page = await context.newPage();
  await page.goto('/sign-in?next=%2Fplay');
  await page.getByLabel('E-mail').fill(DEMO_COACH.email);
  await page.getByLabel('Password').fill(DEMO_COACH.password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('heading', { name: 'Start a game' })).toBeVisible();
  await page.getByRole('button', { name: 'Keep them on this phone' }).click();
  await expect(page.getByText(/are kept here/)).toBeVisible();
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  return page;
}

async function start(page: Page, game: RegExp, ...players: string[]): Promise<string> {
  await page.getByRole('button', { name: game }).click();
  for (const name of players) await page.getByRole('button', { name }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.getByRole('button', { name: 'Ready' }).click();
  await expect(page.getByRole('button', { name: /^6 ft, / })).toBeVisible();
  return new URL(page.url()).hash.slice(1);
}

async function hit(page: Page, ...keys: string[]): Promise<void> {
  for (const key of keys) {
    await page.getByRole('button', { name: new RegExp(`^${key}, `) }).click();
    await settled(page);
  }
}

test('the server is gone: two phones start a game, play and end it, one is restarted in between; all of it is stored once', async () => {
  test.setTimeout(240_000);
  const phones = [aPhone(), aPhone()];
  let first = await phones[0]!.on();
  const second = await phones[1]!.on();
  try {
    await Promise.all([signIn(first), signIn(second)]);
    await bed.does('kill program');

    // Both begin the same game for the same player, and neither can know.
    const page = await first.newPage();
    await page.goto('/play');
    await expect(page.getByText(/^No network: this is how it stood on/)).toBeVisible();
    const sessionId = await start(page, /Half Moon/, 'Bashir');
    await hit(page, '6 ft', '12 ft', '20 ft');
    const other = await second.newPage();
    await other.goto('/play');
    const otherId = await start(other, /Half Moon/, 'Bashir');
    await hit(other, 'out', '6 ft');
    // Somebody only looks at a third game.
    await other.goto('/play');
    await other.getByRole('button', { name: /Low Road/ }).click();
    await other.getByRole('button', { name: 'Inga' }).click();
    await other.getByRole('button', { name: 'Start', exact: true }).click();
    await expect(other.getByRole('button', { name: 'Ready' })).toBeVisible();
    const lookedAt = new URL(other.url()).hash.slice(1);

    // The phone is switched off and on; the session is where it was.
    await first.close();
    first = await phones[0]!.on();
    const again = await first.newPage();
    await again.goto('/play');
    await again.getByRole('link', { name: /Half Moon.*only on this phone so far/ }).click();
    await expect(score(again)).toHaveText('7');
    await hit(again, '6 ft');
    await again.getByRole('button', { name: 'This session' }).click();
    await again.getByRole('button', { name: /End here/ }).click();
    await again.getByLabel(/Player’s note/).fill('Wet balls');
    await again.getByLabel(/Coach’s note/).click();
    await expect(again.getByText(/7 waiting/)).toBeVisible();

    await bed.does('start program');
    await expect(again.getByText('all sent')).toBeVisible({ timeout: 90_000 });
    await other.goto(`/play#${otherId}`);
    await expect(other.getByText('all sent')).toBeVisible({ timeout: 90_000 });
    const sessions = await bed.ask<{
      session_id: string;
      title: string;
      stopped: boolean;
      own_note: string;
      balls: number;
      apart: boolean;
    }>(
      `select session_id, spec ->> 'title' as title, stopped_at is not null as stopped, balls,
        coalesce((select text from note n where n.session_id = session.session_id and n.author = 'player'), '') as own_note,
        abs(extract(epoch from started_at - (select min(played_at) from shot s where s.session_id = session.session_id))) < 120 as apart
       from session join session_player using (academy_id, session_id) where session_id = any($1) order by session_id`,
      [sessionId, otherId, lookedAt],
    );
    // Told apart by their ids, which are in the order of their beginning; each begun when its first ball was hit, or shortly before.
    expect(sessions).toEqual([
      { session_id: sessionId, title: expect.stringMatching(/Half Moon/), stopped: true, own_note: 'Wet balls', balls: 4, apart: true },
      { session_id: otherId, title: expect.stringMatching(/Half Moon/), stopped: false, own_note: '', balls: 2, apart: true },
    ]);
    const rows = await bed.ask<{ turn_no: number }>('select turn_no from shot where session_id = $1 order by server_seq', sessionId);
    expect(rows.map((row) => row.turn_no)).toEqual([0, 1, 2, 3]);
    // At the desk both stand there.
    await other.goto('/play');
    await expect(other.getByText('only on this phone so far')).toBeHidden();
    await expect(other.locator(`a[href="/play#${otherId}"]`)).toBeVisible();
    await expect(other.locator(`a[href="/play#${sessionId}"]`)).toBeVisible();

    // Forgotten, the phone knows nobody any more.
    await again.goto('/play');
    await again.getByRole('button', { name: 'Forget this phone' }).click();
    await again.getByRole('button', { name: 'Forget', exact: true }).click();
    await expect(again.getByRole('heading', { name: 'Forgotten' })).toBeVisible();
    await bed.does('kill program');
    await again.goto('/play');
    await expect(again.getByRole('heading', { name: 'No network' })).toBeVisible();
    expect(await again.locator('body').innerText()).not.toContain('Bashir');
  } finally {
    await first.close();
    await second.close();
  }
});
