import { ask } from './database';
import { score, startPlay, settled } from './steps';
import { expect, test } from './test';

/** Play without a network, from the moment a session was opened. */

const WORTH = [
  ['6 ft', 4],
  ['12 ft', 2],
  ['20 ft', 1],
  ['out', 0],
] as const;

test('the network is cut, 20 balls are recorded, the page is killed and opened again: all 20 reach the server once, in order', async ({
  page,
  context,
}) => {
  await page.setViewportSize({ width: 360, height: 740 });
  await page.goto('/a/lantern-hollow/games');
  await page.getByRole('link', { name: /Half Moon/ }).click();
  await startPlay(page, 'Bashir');
  const sessionId = new URL(page.url()).hash.slice(1);
  // The worker that keeps the page on the device is there from the first visit on.
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  let sum = 0;
  const record = async (on: typeof page, from: number, balls: number) => {
    for (let n = from; n < from + balls; n++) {
      const [key, points] = WORTH[n % WORTH.length]!;
      await on.getByRole('button', { name: new RegExp(`^${key}, `) }).click();
      await settled(on);
      sum += points;
    }
  };
  await record(page, 0, 3);
  await expect(page.getByText('all sent')).toBeVisible();
  await context.setOffline(true);
  await record(page, 3, 11);
  await page.close();

  const again = await context.newPage();
  await again.setViewportSize({ width: 360, height: 740 });
  await again.goto(`/play#${sessionId}`);
  await expect(score(again)).toHaveText(String(sum));
  await expect(again.getByText('11 waiting · no network')).toBeVisible();
  await record(again, 14, 9);
  await expect(again.getByText('20 waiting · no network')).toBeVisible();
  await context.setOffline(false);
  await expect(again.getByText('all sent')).toBeVisible({ timeout: 15_000 });
  await expect(score(again)).toHaveText(String(sum));
  const rows = await ask<{ turn_no: number }>('select turn_no from shot where session_id = $1 order by server_seq', sessionId);
  expect(rows.map((row) => row.turn_no)).toEqual(Array.from({ length: 23 }, (_, n) => n));
  const events = await ask<{ n: number }>('select count(*)::int as n from shot_event where session_id = $1', sessionId);
  expect(events[0]!.n).toBe(23);
});

test('what the worker keeps is the pages of play and of the tools, and nothing that names anybody', async ({ page }) => {
  await page.goto('/play');
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await page.goto('/a/lantern-hollow/players');
  await page.goto('/play');
  const kept = async () =>
    page.evaluate(async () => {
      const urls: string[] = [];
      for (const name of await caches.keys())
        for (const request of await (await caches.open(name)).keys()) urls.push(new URL(request.url).pathname);
      return urls.sort();
    });
  await expect.poll(async () => (await kept()).length).toBeGreaterThan(5);
  for (const path of await kept())
    expect(path).toMatch(/^\/(play|play\/tools|j|icon\.svg|shell\/([a-z]+-[-\w]+\.(js|css|woff2|png)|manifest\.webmanifest))$/);
});

test('an ended session that nobody could tell of is told when the network is back', async ({ page, context }) => {
  await page.goto('/a/lantern-hollow/games');
  await page.getByRole('link', { name: /Half Moon/ }).click();
  await startPlay(page, 'Kofi');
  const sessionId = new URL(page.url()).hash.slice(1);
  await page.getByRole('button', { name: /^6 ft, / }).click();
  const stored = async () => (await ask('select 1 from shot where session_id = $1', sessionId)).length;
  await expect.poll(stored).toBe(1);
  await expect(page.getByText('all sent')).toBeVisible();
  await context.setOffline(true);
  await page.getByRole('button', { name: 'This session' }).click();
  await page.getByRole('button', { name: /End here/ }).click();
  await page.getByLabel(/Player’s note/).fill('Too quick');
  await page.getByLabel(/Coach’s note/).click();
  await expect(page.getByText('2 waiting · no network')).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByText('all sent')).toBeVisible({ timeout: 15_000 });
  const [row] = await ask<{ stopped: boolean; own_note: string }>(
    `select stopped_at is not null as stopped,
      coalesce((select text from note n where n.session_id = session.session_id and n.author = 'player'), '') as own_note
     from session where session_id = $1`,
    sessionId,
  );
  expect(row).toEqual({ stopped: true, own_note: 'Too quick' });
  // The balls stay as evidence, and it can be gone on with.
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(score(page)).toHaveText('4');
});

test('scripts and styles of all pages come small to whoever can read that, and are the same; the worker is looked for anew each time', async ({
  page,
  request,
}) => {
  const named = async (path: string) => {
    await page.goto(path);
    return page.evaluate(() =>
      [...document.querySelectorAll('script[src], link[rel=stylesheet]')].map((one) => one.outerHTML.match(/"(\/[^"]+)"/)![1]!),
    );
  };
  for (const path of ['/play', '/play/tools', '/a/lantern-hollow']) {
    const files = await named(path);
    expect(files.length).toBeGreaterThan(1);
    // Styles in use are not among those that were left out.
    await expect(page.locator('body')).toHaveCSS('margin', '0px');
    await expect(page.locator('body')).toHaveCSS('font-family', /^"?Archivo/);
    for (const file of files) {
      const [small, whole] = await Promise.all(
        ['br', 'identity'].map((accepts) => request.get(file, { headers: { 'accept-encoding': accepts } })),
      );
      expect([file, small!.headers()['content-encoding'], whole!.headers()['content-encoding']]).toEqual([file, 'br', undefined]);
      for (const name of ['content-type', 'cache-control', 'x-content-type-options'])
        expect(small!.headers()[name]?.toLowerCase()).toBe(whole!.headers()[name]?.toLowerCase());
      expect(await small!.text()).toBe(await whole!.text());
    }
  }
  const worker = await request.get('/shell/worker.js', { headers: { 'accept-encoding': 'br' } });
  expect(worker.headers()).toMatchObject({ 'cache-control': 'no-cache', 'service-worker-allowed': '/' });
});
