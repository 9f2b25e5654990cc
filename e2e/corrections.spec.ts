import type { BrowserContext, Page } from '@playwright/test';
import { ask } from './database';
import { score, startPlay, targetScale, settled } from './steps';
import { expect, test } from './test';

/** What is said about a ball afterwards: corrected, measured, marked, removed, settled. */

test.use({ viewport: { width: 360, height: 740 } });

async function begin(page: Page, player: string): Promise<string> {
  await page.goto('/a/lantern-hollow/games');
  await page.getByRole('link', { name: /Half Moon/ }).click();
  await startPlay(page, player);
  return new URL(page.url()).hash.slice(1);
}

const key = async (page: Page, name: string) => {
  await page.getByRole('button', { name: new RegExp(`^${name}, `) }).click();
  await settled(page);
};
const sent = (page: Page) => expect(page.getByText('all sent')).toBeVisible({ timeout: 15_000 });
const menu = async (page: Page, entry: RegExp) => {
  await page.getByRole('button', { name: 'This session' }).click();
  await page.getByRole('button', { name: entry }).click();
};
const back = (page: Page) => page.getByRole('button', { name: 'Back' }).click();

test('all that can be said of a ball is kept with it, and how it is played stays for the next', async ({ page }) => {
  const sessionId = await begin(page, 'Bashir');
  await page.getByRole('button', { name: 'More' }).click();
  for (const chip of ['thin', 'sand', '1', 'heavy rough', 'sitting down', 'uphill', 'low', 'sand wedge'])
    await page.getByRole('radio', { name: chip, exact: true }).click();
  await page.getByLabel('Swing mark').fill('hip');
  await page.getByLabel(/^Played for/).fill('30');
  await page.getByLabel(/^Landed long/).fill('-2');
  await page.getByLabel('Note').fill('wind got up');
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'thin' })).toContainText('in sand, 1 penalty');
  await key(page, '20 ft');
  // The second ball keeps club, flight and swing; not the lie, nor what came of the first.
  await expect(page.getByRole('status').filter({ hasText: 'sand wedge' })).not.toContainText('thin');
  await key(page, '6 ft');
  await sent(page);
  const rows = await ask(
    `select mishit, finish, penalty, surface, sit, stance, trajectory, club_label, swing_mark, round(intended_m::numeric, 2)::float as intended,
     round(landing_error_m::numeric, 4)::float as landing, note from shot where session_id = $1 order by turn_no`,
    sessionId,
  );
  const stays = { trajectory: 'low', club_label: 'sand wedge', swing_mark: 'hip', intended: 27.43 };
  expect(rows).toEqual([
    {
      ...stays,
      mishit: 'thin',
      finish: 'sand',
      penalty: 1,
      surface: 'heavy_rough',
      sit: 'down',
      stance: 'uphill',
      landing: -0.6096,
      note: 'wind got up',
    },
    { ...stays, mishit: null, finish: null, penalty: 0, surface: 'fairway', sit: 'clean', stance: 'flat', landing: null, note: null },
  ]);
});

test('marks are one tap: a collision scores and is no evidence, a lie taken back is played again', async ({ page }) => {
  const sessionId = await begin(page, 'Inga');
  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('group', { name: 'Always show' }).getByRole('button', { name: 'marks' }).click();
  await page.getByRole('button', { name: 'Done' }).click();
  await page.getByRole('button', { name: 'new lie' }).click();
  await settled(page);
  await expect(score(page)).toHaveText('0');
  await page.getByRole('button', { name: 'collided' }).click();
  await key(page, '6 ft');
  await expect(score(page)).toHaveText('4');
  await sent(page);
  const rows = await ask('select turn_no, counts from shot where session_id = $1 order by server_seq', sessionId);
  expect(rows).toEqual([
    { turn_no: 0, counts: 'lie_rejected' },
    { turn_no: 0, counts: 'collided' },
  ]);
});

test('a guess is measured at the collecting, a ball corrected, another removed: score and record follow, with who and when', async ({
  page,
}) => {
  const sessionId = await begin(page, 'Kofi');
  const { x, y, perFt } = await targetScale(page, 20);
  await page.mouse.click(x, y + 5 * perFt);
  await page.getByRole('button', { name: /^Record/ }).click();
  await settled(page);
  await key(page, '12 ft');
  await key(page, 'out');
  await expect(score(page)).toHaveText('6');

  await menu(page, /^Balls so far/);
  await page.getByRole('button', { name: /^Measure now/ }).click();
  for (const digit of ['7', 'ft', '6']) await page.getByRole('button', { name: digit, exact: true }).click();
  await page.getByRole('button', { name: /^Record/ }).click();
  await expect(page.getByRole('heading', { name: 'All measured' })).toBeVisible();
  await back(page);
  // The third ball was inside 20 ft after all, and the second never was.
  await page.getByRole('listitem').getByRole('button').first().click();
  await page.getByRole('button', { name: /^20 ft, / }).click();
  await page.getByRole('listitem').getByRole('button').nth(1).click();
  await page.getByRole('button', { name: /^Remove this ball/ }).click();
  await expect(page.getByRole('listitem')).toHaveCount(2);
  await back(page);
  await back(page);
  await expect(score(page)).toHaveText('3');
  await sent(page);
  const rows = await ask(
    'select turn_no, measured, round(left_m::numeric, 4)::float as left_m from shot where session_id = $1 order by turn_no',
    sessionId,
  );
  expect(rows).toEqual([
    { turn_no: 0, measured: 'tape', left_m: 2.286 },
    { turn_no: 2, measured: 'ring', left_m: null },
  ]);
  await page.goto(`/a/lantern-hollow/sessions/${sessionId}`);
  await page.getByText('3 changes after a ball was recorded').click();
  await expect(page.getByText(/Kofi, ball 1: 5 ft, short, by eye → 7 ft 6, short, taped/)).toBeVisible();
  await expect(page.getByText(/Kofi, ball 2: 6 ft to 12 ft removed/)).toBeVisible();
  await expect(page.getByText(/^Coach Ines · /).first()).toBeVisible();
});

test('a station that was measured again moves its balls; the day said once is on all of them', async ({ page }) => {
  const sessionId = await begin(page, 'Ottilie');
  await key(page, '6 ft');
  await menu(page, /^Stations/);
  await page.getByLabel('Really, yd').first().fill('500');
  await page.getByRole('button', { name: 'Keep' }).first().click();
  await expect(page.getByText('At most 150 m.')).toBeVisible();
  await page.getByLabel('Really, yd').first().fill('33');
  await page.getByRole('radio', { name: 'paced' }).first().click();
  await page.getByRole('button', { name: 'Keep' }).first().click();
  await expect(page.getByText('paced, for this session')).toBeVisible();
  await back(page);
  await page.getByRole('button', { name: /^The day/ }).click();
  await page.getByLabel(/^Speed/).fill('99');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('A green speed is 3 to 16 ft.')).toBeVisible();
  await page.getByLabel(/^Speed/).fill('9.5');
  await page.getByRole('radio', { name: 'firm' }).click();
  await page.getByLabel('Wind').fill('from behind');
  await page.getByRole('button', { name: 'Keep' }).click();
  await back(page);
  await expect(page.getByRole('heading', { name: '33 yd pitch' })).toBeVisible();
  await key(page, '12 ft');
  await sent(page);
  const rows = await ask(
    'select round(distance_m::numeric, 4)::float as m, stimp_ft, firmness, wind from shot where session_id = $1',
    sessionId,
  );
  const day = { stimp_ft: 9.5, firmness: 'firm', wind: 'from behind' };
  expect(rows).toEqual([
    { m: 30.1752, ...day },
    { m: 30.1752, ...day },
  ]);
});

test('two devices record the same ball without a network: both stay, and somebody says which one it is', async ({
  page,
  context,
  browser,
}) => {
  const sessionId = await begin(page, 'Ruaridh');
  const second: BrowserContext = await browser.newContext({
    storageState: await context.storageState(),
    viewport: { width: 360, height: 740 },
  });
  const other = await second.newPage();
  await other.goto(`/play#${sessionId}`);
  await other.getByRole('button', { name: 'Ready' }).click();
  await Promise.all([context.setOffline(true), second.setOffline(true)]);
  await key(page, '6 ft');
  await key(other, '20 ft');
  await context.setOffline(false);
  await sent(page);
  await second.setOffline(false);
  await sent(other);
  await page.reload();
  await expect(score(page)).toHaveText('4');
  await menu(page, /^Balls so far/);
  const twice = page.getByRole('region', { name: 'Recorded twice' });
  await expect(twice).toContainText('Ruaridh, ball 1 was recorded twice');
  await twice.getByRole('button', { name: 'Keep this' }).nth(1).click();
  await expect(twice).toHaveCount(0);
  await back(page);
  await back(page);
  await expect(score(page)).toHaveText('1');
  await expect(score(other)).toHaveText('1', { timeout: 15_000 });
  await sent(page);
  expect(await ask('select left_max_m > 6 as far from shot where session_id = $1', sessionId)).toEqual([{ far: true }]);
  await second.close();
});
