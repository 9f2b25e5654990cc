import type { Page } from '@playwright/test';
import { makeOwnAcademy, signInTo, withSquad } from './own-academy';
import { addPlayer, signUp } from './steps';
import { expect, test } from './test';

/** A squad in rounds: who is where when, on paper and on the wall. */

const HOME = '/a/lantern-hollow';

/** The table of rounds: for each round the stations of the groups. */
const table = (page: Page) =>
  page
    .getByRole('table')
    .getByRole('row')
    .evaluateAll((rows) => rows.slice(1).map((row) => [...row.querySelectorAll('td')].slice(0, -1).map((cell) => cell.textContent)));

test('the demo squad on the practice green: nobody twice at a station, no station twice in a round, and what can’t be is said', async ({
  page,
}) => {
  await page.goto(`${HOME}/plan`);
  await page.getByRole('link', { name: /^A squad in rounds/ }).click();
  await expect(page.getByRole('heading', { level: 1, name: '8 players in rounds' })).toBeVisible();
  await page.getByLabel('On', { exact: true }).selectOption('Low green');
  await expect(page.getByRole('heading', { level: 1, name: '8 players in rounds on Low green' })).toBeVisible();
  await expect(page.getByRole('img', { name: 'Low green with its stations' })).toBeVisible();
  const rounds = await table(page);
  expect(rounds).toHaveLength(6);
  for (const round of rounds) expect(new Set(round).size).toBe(round.length);
  rounds[0]!.forEach((_, group) => expect(new Set(rounds.map((round) => round[group])).size).toBe(rounds.length));
  // Somebody stays at home, and there is less time.
  await page.getByRole('button', { name: 'Kofi', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1, name: '7 players in rounds on Low green' })).toBeVisible();
  await page.getByLabel('Minutes in all').fill('30');
  await page.getByLabel('Minutes in all').press('Enter');
  await expect(page.getByText('In 30 minutes there is time for 3 of 6 rounds: everybody gets to 3 of the 6 stations.')).toBeVisible();
  expect(await table(page)).toHaveLength(3);
  await expect(page.getByRole('columnheader', { name: /Kofi/ })).toHaveCount(0);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Kofi', exact: true })).toBeHidden();
  await expect(page.getByRole('table')).toBeVisible();
});

test('on the wall: the minutes that are left, who goes where, and it goes on after it was loaded again', async ({ page }) => {
  await page.goto(`${HOME}/plan/squad?minutes=40&round=5`);
  await page.getByRole('link', { name: 'Show on the wall' }).click();
  await expect(page.getByText('Round 1 of 6')).toBeVisible();
  await expect(page.getByRole('timer')).toHaveText('5:00');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByRole('timer')).toHaveText(/^4:5\d$/);
  await page.reload();
  await expect(page.getByRole('timer')).toHaveText(/^4:\d\d$/);
  await expect(page.getByRole('listitem').filter({ hasText: 'with the coach' })).toHaveCount(1);
  // Six minutes later it is time to change, a minute after that the next round is on.
  const began = Number(new URL(page.url()).hash.slice(1));
  await page.evaluate((at) => (window.location.hash = String(at)), began - 5.5 * 60_000);
  await expect(page.getByText('Stop, collect, change')).toBeVisible();
  await page.evaluate((at) => (window.location.hash = String(at)), began - 7.5 * 60_000);
  await expect(page.getByText('Round 2 of 6')).toBeVisible();
  await page.evaluate((at) => (window.location.hash = String(at)), began - 90 * 60_000);
  await expect(page.getByText('Finished')).toBeVisible();
});

test.describe('an academy that begins', () => {
  test.use({ storageState: { cookies: [], origins: [] } });
  test('without players there is nobody to plan for; with two there are rounds', async ({ page }) => {
    const home = await signUp(page, { academy: 'Rounds' });
    await page.goto(`${home}/plan`);
    await expect(page.getByText('Plans are made for somebody')).toBeVisible();
    await page.goto(`${home}/plan/squad`);
    await expect(page.getByText('You need at least two players.')).toBeVisible();
    await addPlayer(page, home, 'Otto', '12');
    await addPlayer(page, home, 'Eva', '20');
    await page.goto(`${home}/plan/squad?stations=3`);
    expect(await table(page)).toHaveLength(3);
    await page.goto(`${home}/plan/game`);
    await expect(page.getByRole('article')).toHaveCount(3);
    await page.goto(`${home}/plan/hour/new`);
    await expect(page.getByRole('article')).toHaveCount(5);
  });
});

test('a squad of 11 on the practice green: groups within one of each other, nobody twice at a station', async ({ browser }) => {
  const own = await makeOwnAcademy('Elverdin');
  const greenId = await withSquad(own, 11);
  const context = await browser.newContext({ storageState: { cookies: [], origins: [] } });
  await signInTo(context.request, own);
  const page = await context.newPage();
  await page.goto(`/a/${own.slug}/plan/squad?green=${greenId}`);
  await expect(page.getByRole('heading', { level: 1, name: '11 players in rounds on Low green' })).toBeVisible();
  const heads = await page.getByRole('columnheader').allTextContents();
  const sizes = heads.map((text) => (text.match(/Elverdin/g) ?? []).length).filter((size) => size > 0);
  expect(sizes.reduce((a, b) => a + b)).toBe(11);
  expect(Math.max(...sizes) - Math.min(...sizes)).toBeLessThanOrEqual(1);
  const rounds = await table(page);
  for (const round of rounds) expect(new Set(round.filter(Boolean)).size).toBe(round.filter(Boolean).length);
  rounds[0]!.forEach((_, group) => {
    const visited = rounds.map((round) => round[group]).filter(Boolean);
    expect(new Set(visited).size).toBe(visited.length);
  });
  await context.close();
});

test('of more players than are arranged those are chosen who are there: looked for by name, or a group', async ({ browser }) => {
  const own = await makeOwnAcademy('Galdrin');
  await withSquad(own, 44);
  const context = await browser.newContext({ storageState: { cookies: [], origins: [] } });
  await signInTo(context.request, own);
  const page = await context.newPage();
  await page.goto(`/a/${own.slug}/plan/squad?stations=3`);
  await expect(page.getByText('You need at least two players. Choose who is here, or a group.')).toBeVisible();
  const find = page.getByLabel('Who is here?');
  await find.fill('nobody at all');
  await expect(page.getByText('No player matches “nobody at all”.')).toBeVisible();
  await find.fill('galdrin 2');
  const found = page.getByRole('group', { name: 'Found' });
  // Twice before anything was answered: both count.
  await found.getByRole('button', { name: 'Galdrin 21', exact: true }).click();
  await found.getByRole('button', { name: 'Galdrin 22', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1, name: '2 players in rounds' })).toBeVisible();
  const there = page.getByRole('group', { name: 'Who is here' });
  await expect(there.getByRole('button')).toHaveText(['Galdrin 21', 'Galdrin 22']);
  expect(await table(page)).toHaveLength(3);
  // Taken back with what was chosen, after it was loaded again.
  await page.reload();
  await there.getByRole('button', { name: 'Galdrin 21' }).click();
  await expect(page.getByText('You need at least two players.')).toBeVisible();
  await page.getByLabel('Players', { exact: true }).selectOption('Galdrin Group');
  await expect(there.getByRole('button')).toHaveCount(1);
  await expect(page).toHaveURL(/group=/);
  await context.close();
});
