import type { BrowserContext, Page } from '@playwright/test';
import { DEMO_ASSISTANT } from '../core/demo/people';
import { score, startPlay, settled } from './steps';
import { openTestBed, signedIn, type TestBed } from './test-bed';
import { expect, test } from './test';

/** What breaks while people play, and that it costs no ball and doubles none. */

test.describe.configure({ mode: 'serial' });
let bed: TestBed;
let coach: BrowserContext;
test.beforeAll(async ({ browser }) => {
  bed = await openTestBed();
  coach = await signedIn(browser, bed.urls[0]);
});
test.afterAll(async () => {
  await coach?.close();
  await bed?.close();
});

const KEYS = ['6 ft', '12 ft', '20 ft', 'out'] as const;
const WORTH = { '6 ft': 4, '12 ft': 2, '20 ft': 1, out: 0 } as const;

/** A browser of its own with the coach's sign-in, that starts "Half Moon" for somebody. */
async function begin(player: string, browser = coach.browser()!): Promise<{ context: BrowserContext; page: Page; sessionId: string }> {
  const context = await browser.newContext({ baseURL: bed.urls[0], storageState: await coach.storageState() });
  const page = await context.newPage();
  await page.goto('/a/lantern-hollow/games');
  await page.getByRole('link', { name: /Half Moon/ }).click();
  await startPlay(page, player);
  return { context, page, sessionId: new URL(page.url()).hash.slice(1) };
}

/** Records balls one after another, and gives the score they come to. */
async function record(page: Page, from: number, balls: number): Promise<number> {
  let sum = 0;
  for (let n = from; n < from + balls; n++) {
    const key = KEYS[n % KEYS.length]!;
    await page.getByRole('button', { name: new RegExp(`^${key}, `) }).click();
    await settled(page);
    sum += WORTH[key];
  }
  return sum;
}

type Row = { turn_no: number; server_seq: string };
const ballsOf = (sessionId: string) =>
  bed.ask<Row>('select turn_no, server_seq from shot where session_id = $1 order by server_seq', sessionId);
const inOrder = (balls: number) => Array.from({ length: balls }, (_, n) => n);

/** The same by an assistant, with a player of their group, from where play begins. */
async function beginAsAssistant(player: string): ReturnType<typeof begin> {
  const context = await signedIn(coach.browser()!, bed.urls[0], DEMO_ASSISTANT);
  const page = await context.newPage();
  await page.goto('/play');
  await page.getByRole('button', { name: /^Half Moon/ }).click();
  await page.getByRole('button', { name: player }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.getByRole('button', { name: 'Ready' }).click();
  return { context, page, sessionId: new URL(page.url()).hash.slice(1) };
}

test('the database is away for 10 s while three browsers record, one of them an assistant’s', async () => {
  const players = await Promise.all([beginAsAssistant('Bashir'), begin('Inga'), begin('Kofi')]);
  const before = await Promise.all(players.map(({ page }) => record(page, 0, 4)));
  for (const { page } of players) await expect(page.getByText('all sent')).toBeVisible();
  await bed.does('stop database');
  const stopped = Date.now();
  const during = await Promise.all(players.map(({ page }) => record(page, 4, 8)));
  for (const { page } of players) await expect(page.getByText(/8 waiting/)).toBeVisible();
  await expect.poll(() => Date.now() - stopped, { timeout: 15_000 }).toBeGreaterThan(10_000);
  await bed.does('start database');
  const back = Date.now();
  const after = await Promise.all(players.map(({ page }) => record(page, 12, 4)));
  for (const { page } of players) await expect(page.getByText('all sent')).toBeVisible({ timeout: 60_000 });
  const settled = Date.now() - back;
  for (const [i, { page, sessionId, context }] of players.entries()) {
    await expect(score(page)).toHaveText(String(before[i]! + during[i]! + after[i]!));
    expect((await ballsOf(sessionId)).map((row) => row.turn_no)).toEqual(inOrder(16));
    await context.close();
  }
  console.log(
    `database away ${back - stopped} ms: 3 x 16 balls recorded, 48 stored once, in order; all sent ${settled} ms after it was back`,
  );
});

test('the program is killed while somebody records, and started again', async () => {
  const { page, context, sessionId } = await begin('Maren');
  // Maren reads metres: 6, 12 and 20 ft are 1.8, 3.7 and 6.1 m.
  const press = async (key: string) => {
    await page.getByRole('button', { name: new RegExp(`^${key}, `) }).click();
    await settled(page);
  };
  await press('1.8 m');
  await expect(page.getByText('all sent')).toBeVisible();
  await bed.does('kill program');
  for (let n = 0; n < 5; n++) await press('3.7 m');
  await page.reload();
  await expect(score(page)).toHaveText('14');
  await bed.does('start program');
  const back = Date.now();
  await press('6.1 m');
  await expect(page.getByText('all sent')).toBeVisible({ timeout: 60_000 });
  await expect(score(page)).toHaveText('15');
  expect((await ballsOf(sessionId)).map((row) => row.turn_no)).toEqual(inOrder(7));
  console.log(`program killed: 5 balls and a reload without it; 7 stored once, in order, ${Date.now() - back} ms after it was back`);
  await context.close();
});

test('the same batch sent three times is stored once', async () => {
  const { page, context, sessionId } = await begin('Ottilie');
  const answers: unknown[] = [];
  await page.route('**/api/v1/shot-events', async (route) => {
    for (let times = 0; times < 3; times++) {
      const response = await route.fetch();
      answers.push(await response.json());
      if (times === 2) await route.fulfill({ response });
    }
  });
  await record(page, 0, 3);
  await expect(page.getByText('all sent')).toBeVisible();
  expect((await ballsOf(sessionId)).map((row) => row.turn_no)).toEqual(inOrder(3));
  const stored = answers.reduce<number>((sum, answer) => sum + (answer as { stored: number }).stored, 0);
  expect(stored).toBe(3);
  console.log(`3 balls in ${answers.length} posts: ${stored} stored`);
  await page.unrouteAll({ behavior: 'ignoreErrors' });
  await context.close();
});

test('a device whose clock is two hours slow records beside one that is right', async () => {
  const right = await begin('Ruaridh');
  const slow = await coach.browser()!.newContext({ baseURL: bed.urls[0], storageState: await coach.storageState() });
  const other = await slow.newPage();
  await other.clock.install({ time: new Date(Date.now() - 2 * 3_600_000) });
  await other.goto(`/play#${right.sessionId}`);
  await other.getByRole('button', { name: 'Ready' }).click();
  let sum = 0;
  for (let n = 0; n < 6; n++) {
    const [by, watching] = n % 2 === 0 ? [right.page, other] : [other, right.page];
    const key = KEYS[n % 3]!;
    sum += WORTH[key];
    await by.getByRole('button', { name: new RegExp(`^${key}, `) }).click();
    // Both show it before the other device records the next.
    await expect(score(by)).toHaveText(String(sum));
    await expect(score(watching)).toHaveText(String(sum));
    await settled(by);
  }
  await other.reload();
  await expect(score(other)).toHaveText(String(sum));
  const rows = await bed.ask<{ turn_no: number; behind_s: number }>(
    `select s.turn_no, extract(epoch from e.received_at - e.device_at)::int as behind_s from shot s
     join shot_event e on e.academy_id = s.academy_id and e.shot_id = s.shot_id where s.session_id = $1 order by s.server_seq`,
    right.sessionId,
  );
  expect(rows.map((row) => row.turn_no)).toEqual(inOrder(6));
  expect(rows.filter((row) => row.behind_s > 7000)).toHaveLength(3);
  console.log(`clocks 2 h apart: 6 balls of two devices, stored once, in the order of play, both show ${sum}`);
  await right.context.close();
  await slow.close();
});

test('a ball recorded through one instance is on the board of the other', async () => {
  const { page, context } = await begin('Teodor');
  const board = await context.newPage();
  await page.getByRole('button', { name: 'This session' }).click();
  const address = await page.getByRole('link', { name: /Live board/ }).getAttribute('href');
  await page.getByRole('button', { name: 'Back' }).click();
  await board.goto(bed.urls[1] + address!);
  await expect(board.getByLabel('Score of Teodor')).toHaveText('0');
  const times: number[] = [];
  for (const [n, key] of KEYS.slice(0, 3).entries()) {
    const sum = KEYS.slice(0, n + 1).reduce((all, one) => all + WORTH[one], 0);
    const pressed = Date.now();
    await page.getByRole('button', { name: new RegExp(`^${key}, `) }).click();
    await board.waitForFunction((text) => document.querySelector('output')?.textContent === text, String(sum), { polling: 20 });
    times.push(Date.now() - pressed);
    await settled(page);
  }
  console.log(`two instances, one database: on the other board after ${times.join(', ')} ms`);
  await context.close();
});
