import { randomBytes } from 'node:crypto';
import type { Browser, Page } from '@playwright/test';
import { ask } from './database';
import { score, settled, startPlay, startTogether } from './steps';
import { expect, test } from './test';
import { signedInAnew } from './test-bed';

/** Personal links: a player's own phone, without an account. */

async function makeLink(page: Page, player: string): Promise<string> {
  await page.goto('/a/lantern-hollow/players');
  await page
    .getByRole('link', { name: new RegExp(`^${player}`) })
    .first()
    .click();
  await page.getByRole('link', { name: 'Sessions' }).click();
  await page.getByRole('button', { name: 'Make a link' }).click();
  return page.getByLabel('Address of the link').inputValue();
}

/** A phone that knows nobody. */
async function phone(browser: Browser): Promise<Page> {
  const context = await browser.newContext({
    viewport: { width: 360, height: 740 },
    hasTouch: true,
    storageState: { cookies: [], origins: [] },
  });
  return context.newPage();
}

async function startHalfMoonFor(page: Page, ...players: string[]): Promise<string> {
  await page.goto('/a/lantern-hollow/games');
  await page.getByRole('link', { name: /Half Moon/ }).click();
  if (players.length === 1) await startPlay(page, players[0]!);
  else {
    await page.getByLabel('several').click();
    await startTogether(page, ...players);
  }
  const sessionId = new URL(page.url()).hash.slice(1);
  await expect.poll(() => ask('select 1 from session where session_id = $1', sessionId)).toHaveLength(1);
  return sessionId;
}

const asked = (page: Page, path: string, token: string) =>
  page.evaluate(
    async ([address, key]) => {
      const response = await fetch(address!, { headers: { authorization: `Bearer ${key}` } });
      return response.status;
    },
    [path, token],
  );

test('a phone on which play was never opened asks for its session while the scripts still come, and once', async ({
  page,
  browser,
  baseURL,
}) => {
  const sessionId = await startHalfMoonFor(page, 'Bashir');
  const link = await makeLink(page, 'Bashir');
  const asks = async (on: Page, address: string, path: string) => {
    const asked: string[] = [];
    on.on('request', (request) => asked.push(new URL(request.url()).pathname));
    // The script of play waits until it was asked.
    await on.route('**/shell/play-*.js', async (route) => {
      await expect.poll(() => asked).toContain(path);
      await route.continue();
    });
    // Whoever follows a session live may be told to ask again.
    await on.route('**/live?*', (route) => route.abort());
    await on.goto(address);
    await expect(on.getByText('Bashir').first()).toBeVisible();
    expect(asked.filter((one) => one === path)).toHaveLength(1);
  };
  const fresh = await signedInAnew(browser, baseURL!);
  await asks(await fresh.newPage(), `/play#${sessionId}`, `/api/v1/sessions/${sessionId}/bundle`);
  await fresh.close();
  const own = await phone(browser);
  await asks(own, link, '/api/v1/link');
  await own.context().close();
});

test('by a link a player plays on an own phone, the coach sees it, and it ends when the coach says so', async ({ page, browser }) => {
  const sessionId = await startHalfMoonFor(page, 'Inga', 'Kofi');
  const link = await makeLink(page, 'Inga');
  const own = await phone(browser);
  await own.goto(link);
  await own.locator(`a[href="/play#${sessionId}"]`).click();
  await own.getByRole('button', { name: 'Ready' }).click();
  await own.getByRole('button', { name: /^6 ft, / }).click();
  await expect(score(own)).toHaveText('4');
  await expect(own.getByText('all sent')).toBeVisible();

  // The coach records the other's ball; the phone sees it and stays with its own player.
  await page.goto(`/play#${sessionId}`);
  await page.getByRole('tab', { name: /Kofi/ }).click();
  await page.getByRole('button', { name: /^12 ft, / }).click();
  await expect(own.getByRole('tab', { name: /Kofi/ })).toContainText('2');
  await expect(own.getByRole('tab', { name: /Inga/, selected: true })).toContainText('4');
  await expect(own.getByRole('tab', { name: /Kofi/ })).toBeDisabled();
  // Undo takes back one's own ball, though the other's is newer.
  await own.getByRole('button', { name: 'Undo' }).click();
  await expect(own.getByRole('tab', { name: /Inga/ })).toContainText('0');
  await expect(own.getByRole('tab', { name: /Kofi/ })).toContainText('2');
  // What is taken back is a fact too, and comes when it is sent.
  const byLink = async () => (await ask("select 1 from shot_event where session_id = $1 and actor like 'link:%'", sessionId)).length;
  await expect.poll(byLink).toBe(2);

  // Revoked: nothing new gets in, nothing recorded is lost, and the phone says why.
  await makeLinkPage(page, 'Inga');
  await page
    .getByRole('button', { name: /^Revoke/ })
    .first()
    .click();
  await expect(page.getByRole('button', { name: /^Revoke/ })).toHaveCount(0);
  const token = link.split('#')[1]!;
  expect(await asked(own, '/api/v1/link', token)).toBe(401);
  expect(await asked(own, `/api/v1/sessions/${sessionId}/bundle`, token)).toBe(401);
  await settled(own);
  await own.getByRole('button', { name: /^6 ft, / }).click();
  await expect(own.getByText(/1 waiting/)).toBeVisible();
  await own.goto(link);
  await own.reload();
  await expect(own.getByRole('heading', { name: 'This link no longer works' })).toBeVisible();
  await own.context().close();
});

async function makeLinkPage(page: Page, player: string) {
  await page.goto('/a/lantern-hollow/players');
  await page
    .getByRole('link', { name: new RegExp(`^${player}`) })
    .first()
    .click();
  await page.getByRole('link', { name: 'Sessions' }).click();
}

test('a link opens nobody else’s session, writes no other’s ball, and 200 made-up links open nothing', async ({ page, browser }) => {
  const others = await startHalfMoonFor(page, 'Teodor');
  const token = (await makeLink(page, 'Ottilie')).split('#')[1]!;
  const own = await phone(browser);
  await own.goto('/j');
  const paths = [`/api/v1/sessions/${others}/bundle`, `/api/v1/sessions/${others}/live`];
  for (const path of paths) expect(await asked(own, path, token)).toBe(404);
  const put = await own.evaluate(
    async ([address, key]) =>
      (
        await fetch(address!, {
          method: 'PUT',
          headers: { authorization: `Bearer ${key}`, 'content-type': 'application/json' },
          body: JSON.stringify({ say: 'stopped', stopped: true }),
        })
      ).status,
    [`/api/v1/sessions/${others}`, token],
  );
  expect(put).toBe(404);
  // The desk is no place for a link.
  await own.goto('/a/lantern-hollow');
  await expect(own).toHaveURL(/sign-in/);

  const academy = token.split('.')[0]!;
  await own.goto('/j');
  const answers = await own.evaluate(
    async (made) => {
      const seen: number[] = [];
      // All from one made-up sender, as the proxy in front would name it.
      for (const key of made)
        seen.push((await fetch('/api/v1/link', { headers: { authorization: `Bearer ${key}`, 'x-forwarded-for': '203.0.113.7' } })).status);
      return seen;
    },
    Array.from({ length: 200 }, () => `${academy}.${randomBytes(32).toString('base64url')}`),
  );
  expect(answers).toHaveLength(200);
  expect(answers.filter((status) => status !== 401 && status !== 429)).toEqual([]);
  expect(answers.filter((status) => status === 429).length).toBeGreaterThan(150);
  // Nobody else has to wait for it.
  expect(await asked(own, '/api/v1/link', token)).toBe(200);
  await own.context().close();
});

test('an opened link works without a network, and starts a game of one’s own again', async ({ page, browser }) => {
  const link = await makeLink(page, 'Maren');
  const own = await phone(browser);
  await own.goto(link);
  await expect(own.getByRole('heading', { name: 'To play' })).toBeVisible();
  await own
    .getByRole('button', { name: /^Again/ })
    .first()
    .click();
  await expect(own).toHaveURL(/\/play#/);
  await own.getByRole('button', { name: 'Ready' }).click();
  const sessionId = new URL(own.url()).hash.slice(1);
  await own.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await own.context().setOffline(true);
  await own.getByRole('button', { name: /^Holed/ }).click();
  await own.reload();
  await expect(own.getByRole('progressbar', { name: 'Balls played' })).toHaveAttribute('aria-valuenow', '1');
  await own.goto(link);
  await expect(own.getByText(/^No network: this is how it stood on/)).toBeVisible();
  // Another one, begun without a network.
  await own
    .getByRole('button', { name: /^Again/ })
    .first()
    .click();
  await own.getByRole('button', { name: 'Ready' }).click();
  const offlineId = new URL(own.url()).hash.slice(1);
  await own.getByRole('button', { name: /^Holed/ }).click();
  await expect(own.getByRole('progressbar', { name: 'Balls played' })).toHaveAttribute('aria-valuenow', '1');
  await own.goto(link);
  await expect(own.locator(`a[href="/play#${offlineId}"]`)).toContainText('only on this phone so far');
  await own.context().setOffline(false);
  await expect(own.getByText('all sent')).toBeVisible({ timeout: 20_000 });
  const balls = async (id: string) => (await ask<{ n: number }>('select count(*)::int as n from shot where session_id = $1', id))[0]!.n;
  await expect.poll(async () => [await balls(sessionId), await balls(offlineId)]).toEqual([1, 1]);

  // Forgotten, it is not kept anew behind one's back.
  await own.getByRole('button', { name: 'Forget this phone' }).click();
  await own.getByRole('button', { name: 'Forget', exact: true }).click();
  await expect(own.getByRole('heading', { name: 'Forgotten' })).toBeVisible();
  const kept = () =>
    own.evaluate(
      () =>
        new Promise<number>((resolve) => {
          const opening = indexedDB.open('inch-device');
          opening.onsuccess = () => {
            const asked = opening.result.transaction('homes').objectStore('homes').count();
            asked.onsuccess = () => resolve(asked.result);
          };
        }),
    );
  expect(await kept()).toBe(0);
  await own.context().close();
});
