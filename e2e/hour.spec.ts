import type { Page } from '@playwright/test';
import { ask } from './database';
import { settled } from './steps';
import { expect, test } from './test';

/** A planned hour: made at the desk, run at the green, without a network, to its end. */

const HOME = '/a/lantern-hollow';

const parts = (page: Page) => page.getByRole('article');
const minutes = (page: Page) =>
  page.getByLabel(/^Minutes of /).evaluateAll((inputs) => inputs.map((input) => Number((input as HTMLInputElement).value)));
const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0);

/** Until nothing is being filled any more. */
async function filled(page: Page): Promise<void> {
  for (const unfilled of ['The game: A game', 'Varied lies: Many places'])
    await expect(page.getByRole('article', { name: unfilled })).toHaveCount(0);
  await expect(page.locator('[aria-busy="true"]')).toHaveCount(0);
}

/** Plans an hour for a player and saves it. @returns its id */
async function plan(page: Page, player: string, minutesInAll: number, school?: string): Promise<string> {
  await page.goto(`${HOME}/players`);
  await page.getByRole('link', { name: new RegExp(`^${player}`) }).click();
  await page.getByRole('link', { name: 'Plan an hour' }).click();
  await expect(page.getByLabel('Title')).toHaveValue(`50 minutes for ${player}`);
  await page.getByLabel('Minutes in all').fill(String(minutesInAll));
  await page.getByLabel('Minutes in all').press('Enter');
  await expect.poll(async () => sum(await minutes(page))).toBe(minutesInAll);
  if (school) await page.getByLabel('How the time is divided').selectOption(school);
  await filled(page);
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('link', { name: 'Start the clock' })).toBeVisible();
  await expect(page).toHaveURL(/\/plan\/hour\/[0-9a-f-]{36}$/);
  return page.url().split('/').at(-1)!;
}

test('parts add up however they are changed: typed, dragged, by key; another game, kept, left out, taken back', async ({ page }) => {
  await page.goto(`${HOME}/plan/hour/new`);
  await expect(parts(page)).toHaveCount(5);
  expect(sum(await minutes(page))).toBe(50);
  const first = page.getByLabel(/^Minutes of /).first();
  await first.fill('14');
  await first.press('Enter');
  await expect.poll(() => minutes(page)).toEqual([14, 3, 12, 9, 12]);
  const handle = page.getByRole('slider').nth(1);
  await handle.focus();
  await page.keyboard.press('ArrowRight');
  await expect.poll(() => minutes(page)).toEqual([14, 4, 11, 9, 12]);
  const box = (await handle.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + 100, box.y + 10, { steps: 5 });
  await page.mouse.up();
  const dragged = await minutes(page);
  expect(sum(dragged)).toBe(50);
  expect(dragged[1]).toBeGreaterThan(5);
  // Thrown again, another game; what is kept stays when all is divided anew.
  const putting = parts(page).filter({ hasText: 'Putting' });
  const before = await putting.getAttribute('aria-label');
  await putting.getByRole('button', { name: 'Another for Putting' }).click();
  await expect.poll(() => putting.getAttribute('aria-label')).not.toBe(before);
  const kept = await putting.getAttribute('aria-label');
  await putting.getByLabel('Keep').check();
  await page.getByLabel('How the time is divided').selectOption('Test, practise, test again');
  await expect(parts(page).first()).toContainText('Test');
  await filled(page);
  await expect(parts(page).filter({ hasText: 'Putting' })).toHaveAttribute('aria-label', kept!);
  const test = (await parts(page).first().getAttribute('aria-label'))!.replace('Test: ', '');
  await expect(parts(page).last()).toHaveAttribute('aria-label', `The game: ${test}`);
  await page.getByRole('button', { name: 'Leave out Landing spot' }).click();
  await expect(parts(page)).toHaveCount(4);
  expect(sum(await minutes(page))).toBe(50);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(parts(page)).toHaveCount(5);
  await page.getByLabel('Add a part').selectOption('Something else');
  await parts(page).filter({ hasText: 'Something else' }).getByLabel('What is done').fill('');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Say what is done.')).toBeVisible();
  expect(sum(await minutes(page))).toBe(50);
});

test('a coach’s own way of dividing the time is kept, and taken away', async ({ page }) => {
  await page.goto(`${HOME}/plan/hour/new`);
  await page.getByText('Change it').click();
  await page.getByLabel('Blocked practice').selectOption('more each week');
  await page.getByLabel('Weeks so far').fill('4');
  await page.getByLabel('Name').fill('Winter rebuild');
  await page.getByRole('button', { name: 'Keep as your own' }).click();
  await expect(page.getByText('Kept.')).toBeVisible();
  expect((await minutes(page))[0]).toBeGreaterThan(20);
  await page.goto(`${HOME}/plan/hour/new`);
  await page.getByLabel('How the time is divided').selectOption('Winter rebuild');
  await expect.poll(async () => (await minutes(page))[0]).toBeGreaterThan(20);
  await page.getByText('Change it').click();
  await page.getByRole('button', { name: 'Remove' }).click();
  await expect(page.getByText('Removed.')).toBeVisible();
});

test('a 40-minute hour is run to its end without a network: a game in it, a part left early, a part skipped; later the desk knows', async ({
  page,
  context,
}) => {
  const hourId = await plan(page, 'Kofi', 40);
  await page.setViewportSize({ width: 390, height: 844 });
  await page.getByRole('link', { name: 'Start the clock' }).click();
  await expect(page.getByText('Kofi · 40 min')).toBeVisible();
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Start the clock' }).click();
  await expect(page.getByText(/^Part 1 of \d/)).toBeVisible();
  await expect(page.getByRole('timer')).toHaveText(/^\d+:\d\d$/);
  const of = Number(/of (\d)/.exec((await page.getByText(/^Part 1 of \d/).textContent())!)![1]);
  await page.getByRole('button', { name: 'Next part' }).click();
  await expect(page.getByText(new RegExp(`^Part 2 of ${of}.*early, fitted in$`))).toBeVisible();
  await page.getByRole('button', { name: 'Skip this' }).click();
  for (let part = 3; part < of; part++) {
    await expect(page.getByText(new RegExp(`^Part ${part} of`))).toBeVisible();
    await page.getByRole('button', { name: 'Next part' }).click();
  }
  // The game: straight into play and back.
  await expect(page.getByText(new RegExp(`^Part ${of} of ${of} · The game`))).toBeVisible();
  await page.getByRole('button', { name: 'Play', exact: true }).click();
  await page.getByRole('button', { name: 'Ready' }).click();
  await page
    .getByRole('button', { name: /^(Holed|Yes|In |Inside)/ })
    .first()
    .click();
  await settled(page);
  await page.getByRole('link', { name: /^Leave play/ }).click();
  // Killed and opened again, it is where it was.
  await expect(page.getByRole('button', { name: 'Go on playing' })).toBeVisible();
  const address = page.url();
  await page.close();
  const again = await context.newPage();
  await again.setViewportSize({ width: 390, height: 844 });
  await again.goto(address);
  await expect(again.getByRole('button', { name: 'Go on playing' })).toBeVisible();
  await again.getByRole('button', { name: 'Finish' }).click();
  await expect(again.getByText(/^Done \w+ \d+ \w+: \d+ min of 40 planned\.$/)).toBeVisible();
  await expect(again.getByText('left out')).toHaveCount(1);
  await context.setOffline(false);
  await expect(again.getByText('all sent')).toBeVisible({ timeout: 30_000 });
  const [row] = await ask<{ run: { endedAt: string; parts: { state: string; sessionId: string | null }[] } }>(
    'select run from hour_run where hour_id = $1',
    hourId,
  );
  expect(row!.run.parts.map(({ state }) => state)).toEqual(['done', 'skipped', ...Array<string>(of - 2).fill('done')]);
  const [session] = await ask<{ balls: number }>('select balls from session where session_id = $1', row!.run.parts.at(-1)!.sessionId!);
  expect(session!.balls).toBe(1);
  await again.setViewportSize({ width: 1280, height: 800 });
  await again.goto(`${HOME}/plan`);
  await expect(
    again
      .getByRole('listitem')
      .filter({ hasText: '50 minutes for Kofi' })
      .getByText(/^done in \d+ min$/),
  ).toBeVisible();
});

test('by a personal link a player finds the hour on their own phone, plays its game, and the desk knows', async ({ page, browser }) => {
  const hourId = await plan(page, 'Zélie', 30);
  await page.goto(`${HOME}/players`);
  await page.getByRole('link', { name: /^Zélie/ }).click();
  await page.getByRole('link', { name: 'Sessions' }).click();
  await page.getByRole('button', { name: 'Make a link' }).click();
  const link = await page.getByLabel('Address of the link').inputValue();
  const phone = await browser.newPage({ viewport: { width: 390, height: 844 }, storageState: { cookies: [], origins: [] } });
  await phone.goto(link);
  await phone.getByRole('link', { name: /^50 minutes for Zélie/ }).click();
  await phone.getByRole('button', { name: 'Start the clock' }).click();
  while (!(await phone.getByText(/· The game/).isVisible())) {
    await phone.getByRole('button', { name: 'Next part' }).click();
    await phone.waitForTimeout(150);
  }
  await phone.getByRole('button', { name: 'Play', exact: true }).click();
  await phone.getByRole('button', { name: 'Ready' }).click();
  await phone
    .getByRole('button', { name: /^(Holed|Yes|In |Inside)/ })
    .first()
    .click();
  // The ball goes after the key that records it.
  const balls = async () =>
    (
      await ask<{ balls: number }>(
        `select s.balls from hour_run r join session s on s.academy_id = r.academy_id
         and s.session_id::text in (select p ->> 'sessionId' from jsonb_array_elements(r.run -> 'parts') p) where r.hour_id = $1`,
        hourId,
      )
    )[0]?.balls;
  await expect.poll(balls).toBe(1);
  await phone.close();
  // Put away, it is in no list; brought back, it is.
  await page.goto(`${HOME}/plan/hour/${hourId}`);
  await page.getByRole('button', { name: 'Put this hour away' }).click();
  await expect(page).toHaveURL(/\/plan$/);
  await expect(page.getByRole('link', { name: /^50 minutes for Zélie/ })).toBeHidden();
  await page.getByText(/^\d+ plans? put away$/).click();
  await page.getByRole('listitem').filter({ hasText: '50 minutes for Zélie' }).getByRole('button', { name: 'Bring back' }).click();
  await expect(page.getByRole('link', { name: /^50 minutes for Zélie/ })).toBeVisible();
});

test('test, practise, test again: the first part is the game of the last', async ({ page }) => {
  const hourId = await plan(page, 'Inga', 45, 'Test, practise, test again');
  const [row] = await ask<{ hour: { parts: { kind: string; luck: number | null; game: { gameId: string } | null }[] } }>(
    'select hour from hour where hour_id = $1',
    hourId,
  );
  const [test, last] = [row!.hour.parts[0]!, row!.hour.parts.at(-1)!];
  expect([test.kind, last.kind, test.game!.gameId === last.game!.gameId]).toEqual(['test', 'game', true]);
  expect(test.luck).toBeGreaterThan(0);
});

test('it prints as a sheet: parts, what to bring, no buttons', async ({ page }) => {
  await page.goto(`${HOME}/plan/hour/new`);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByText(/^For /)).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Bring' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  await expect(page.getByRole('button', { name: /^Another for/ }).first()).toBeHidden();
});

test('a part that was made for the hour is no game of the lists, and starts from it all the same', async ({ page }) => {
  const hourId = await plan(page, 'Maren', 60, 'Mixed from the start');
  const made = await ask<{ title: string; listed: boolean }>(
    `select v.spec->>'title' as title, g.listed from hour_game h join game g using (academy_id, game_id)
     join game_version v using (academy_id, game_id) where h.hour_id = $1`,
    hourId,
  );
  expect(made.length).toBeGreaterThan(2);
  const hidden = made.filter(({ listed }) => !listed);
  expect(hidden.length).toBeGreaterThan(0);
  await page.goto(`${HOME}/games`);
  for (const { title } of hidden) await expect(page.getByRole('link', { name: title, exact: true })).toHaveCount(0);
});
