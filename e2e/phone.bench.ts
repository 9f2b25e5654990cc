import { gzipSync } from 'node:zlib';
import { expect, test, type CDPSession, type Page } from '@playwright/test';
import { signedInAnew } from './test-bed';
import { startPlay } from './steps';

/**
 * How soon a session can be scored on a slow phone: its processor a quarter as fast as this machine's, 1.6 Mbit/s and 150 ms to the server. And what
 * the pages of the desk weigh. `npm run bench:screen -- phone.bench`.
 */
const SLOWER = 4;
const NETWORK = { offline: false, latency: 150, downloadThroughput: 1_600_000 / 8, uploadThroughput: 750_000 / 8 };
const TIMES = 5;

const median = (all: readonly number[]) => all.toSorted((a, b) => a - b)[Math.floor(all.length / 2)]!;
const said = (all: readonly number[]) => `${(median(all) / 1000).toFixed(2)} s (${all.map((one) => (one / 1000).toFixed(2)).join(', ')})`;

async function slow(page: Page): Promise<CDPSession> {
  const phone = await page.context().newCDPSession(page);
  await phone.send('Network.enable');
  await phone.send('Network.emulateNetworkConditions', NETWORK);
  await phone.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  return phone;
}

/**
 * From going there to a button that can be pressed, in ms: a new phone is first told what to mind. The page itself notes when it is there: who looks for
 * it from outside takes a slow processor's time.
 */
async function untilKeys(page: Page, address: string): Promise<number> {
  await page.goto(address, { waitUntil: 'commit' });
  const noted = await page.waitForFunction(() => (globalThis as { keysAt?: number }).keysAt, null, { polling: 500, timeout: 30_000 });
  return (await noted.jsonValue())!;
}

/** Notes when a button of before the first ball, or of a ball, is there: ms since the page was gone to. */
function noteKeys() {
  const isKey = ({ textContent, ariaLabel }: Element) => textContent === 'Ready' || /^6 ft, /.test(ariaLabel ?? '');
  new MutationObserver((_, watch) => {
    if (![...document.querySelectorAll('button')].some(isKey)) return;
    watch.disconnect();
    // Once it is drawn.
    requestAnimationFrame(() => setTimeout(() => ((globalThis as { keysAt?: number }).keysAt = performance.now())));
  }).observe(document, { childList: true, subtree: true });
}

/** Until keys are there, wanted, in seconds. */
const WANTED_S = { first: 3, later: 1, offline: 1 } as const;

test('play on a slow phone', async ({ browser, page, baseURL }) => {
  test.setTimeout(300_000);
  await page.goto('/a/lantern-hollow/games');
  await page.getByRole('link', { name: /Half Moon/ }).click();
  await startPlay(page, 'Bashir');
  const address = `/play${new URL(page.url()).hash}`;
  const took: Record<'first' | 'later' | 'offline', number[]> = { first: [], later: [], offline: [] };
  let transferred = 0;
  for (let n = 0; n < TIMES; n++) {
    const context = await signedInAnew(browser, baseURL!);
    await context.addInitScript(noteKeys);
    const phone = await context.newPage();
    const session = await slow(phone);
    const counted = (event: { encodedDataLength: number }) => (transferred += event.encodedDataLength);
    session.on('Network.loadingFinished', counted);
    took.first.push(await untilKeys(phone, address));
    session.off('Network.loadingFinished', counted);
    await phone.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    await phone.waitForTimeout(3000);
    for (const which of ['later', 'offline'] as const) {
      if (which === 'offline') await session.send('Network.emulateNetworkConditions', { ...NETWORK, offline: true });
      await phone.goto('about:blank');
      took[which].push(await untilKeys(phone, address));
    }
    await context.close();
  }
  for (const [which, all] of Object.entries(took))
    console.log(`play on a slow phone, ${which}: median ${said(all)}; wanted: ${WANTED_S[which as keyof typeof took]} s`);
  console.log(`fetched at first: ${(transferred / TIMES / 1000).toFixed(0)} kB`);
});

/** What is wanted of every page, in kB, compressed. */
const WANTED_KB = { script: 350, html: 60 } as const;
const DESK = [
  '',
  '/players',
  '/players/squad',
  '/games',
  '/games/new',
  '/games/library',
  '/greens',
  '/logbook',
  '/plan',
  '/plan/hour/new',
  '/settings',
];

test('what the pages of the desk weigh', async ({ page }) => {
  const player = await (async () => {
    await page.goto('/a/lantern-hollow/players');
    return page.getByRole('link', { name: 'Bashir' }).getAttribute('href');
  })();
  const board = player!.split('?')[0]!;
  const pages = [...DESK.map((path) => `/a/lantern-hollow${path}`), board, `${board}/putting`, `${board}/time`, `${board}/report`];
  let most = 0;
  console.log(`wanted of every page: ${WANTED_KB.script} kB of script, ${WANTED_KB.html} kB of HTML`);
  for (const path of pages) {
    const session = await page.context().newCDPSession(page);
    await session.send('Network.enable');
    await session.send('Network.clearBrowserCache');
    const sizes = new Map<string, number>();
    const scripts = new Map<string, string>();
    session.on('Network.responseReceived', ({ requestId, type, response }) => type === 'Script' && scripts.set(requestId, response.url));
    session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => sizes.set(requestId, encodedDataLength));
    const answer = await page.goto(path, { waitUntil: 'load' });
    await page.waitForTimeout(500);
    const text = (await answer!.body()).toString();
    // What the page itself names is what it needs; the others are fetched ahead of a press on one of its links.
    const [own, ahead] = [true, false].map((named) =>
      [...scripts].reduce((sum, [id, url]) => sum + (text.includes(new URL(url).pathname) === named ? (sizes.get(id) ?? 0) : 0), 0),
    ) as [number, number];
    most = Math.max(most, own);
    const kB = (bytes: number) => `${(bytes / 1000).toFixed(0).padStart(4)} kB`;
    const html = gzipSync(text).length;
    const over = own > WANTED_KB.script * 1000 || html > WANTED_KB.html * 1000 ? '   falls short' : '';
    console.log(
      `${path.replace(/[0-9a-f]{8}-[0-9a-f-]+/, '…').padEnd(44)} ${kB(own)} of script, ${kB(ahead)} ahead, ${kB(html)} of HTML${over}`,
    );
    await session.detach();
  }
  expect(most).toBeGreaterThan(0);
});
