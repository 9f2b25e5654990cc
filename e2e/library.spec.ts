import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { press, saveDesign, score, startPlay } from './steps';

const games = '/a/lantern-hollow/games';

test('from the first page a library game is at its first ball in six taps', async ({ page }) => {
  await page.goto('/a/lantern-hollow');
  let taps = 0;
  const tap = async (role: 'link' | 'button', name: string | RegExp) => {
    taps += 1;
    await page.getByRole(role, { name }).first().click();
  };
  await tap('link', 'Games');
  await tap('link', 'Library');
  await tap('link', /Doorstep/);
  await tap('button', 'Inga');
  await tap('button', 'Ready');
  await tap('button', /^3 ft/);
  await expect(score(page)).toHaveText('3');
  expect(taps).toBeLessThanOrEqual(6);
  // Playing it again takes the academy's own copy, and does not make a second one.
  await page.goto(`${games}/library/doorstep`);
  await startPlay(page, 'Inga');
  await page.goto(games);
  await expect(page.getByRole('link', { name: /^Doorstep/ })).toHaveCount(1);
});

test('a game goes out as a file and comes in again, byte for byte; a broken one is refused with place and reason', async ({ page }) => {
  await page.goto(games);
  await page.getByRole('link', { name: /Lantern Six/ }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save as a file' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('lantern-six.inch-game.json');
  const text = readFileSync(await file.path(), 'utf8');

  const chooseFile = (content: string) =>
    page.getByLabel('Game file').setInputFiles({ name: 'mine.inch-game.json', mimeType: 'application/json', buffer: Buffer.from(content) });
  await page.goto(games);
  await chooseFile(text.replace('"balls": 6', '"balls": 600'));
  await expect(page.getByRole('alert').filter({ hasText: 'was not taken in' })).toContainText(
    'stations 1, balls: At most 60 balls at one station',
  );
  await chooseFile(text.replace('Lantern Six', 'Lantern Seven'));
  await expect(page.getByRole('heading', { name: 'Lantern Seven' })).toBeVisible();
  const back = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save as a file' }).click();
  expect(readFileSync(await (await back).path(), 'utf8')).toBe(text.replace('Lantern Six', 'Lantern Seven'));
});

test('a game is duplicated, put away and brought back; a short one keeps the mix', async ({ page }) => {
  await page.goto(`${games}/new?library=three-hoops`);
  await page.getByLabel('Title').fill('Put Away');
  await page.getByRole('button', { name: 'Save the game' }).click();
  await expect(page.getByRole('heading', { name: 'Put Away' })).toBeVisible();
  const address = page.url();
  await page.getByRole('link', { name: 'Duplicate' }).click();
  await expect(page.getByLabel('Title')).toHaveValue('Put Away, copy');
  await page.goto(address);
  await page.getByRole('button', { name: 'Put away' }).click();
  await expect(page.getByText('its results stay')).toBeVisible();
  await page.goto(games);
  await expect(page.getByRole('link', { name: /^Put Away/ })).toBeHidden();
  await page.getByText(/put away$/).click();
  await page.getByRole('link', { name: /^Put Away/ }).click();
  await page.getByRole('button', { name: 'Bring back' }).click();
  await expect(page.getByText('its results stay')).toBeHidden();
  await page.getByLabel('Minutes').fill('5');
  await expect(page.getByText(/6 balls.*of 12/)).toBeVisible();
  await page.getByRole('button', { name: 'Save it as a game' }).click();
  await expect(page.getByRole('heading', { name: 'Put Away, short' })).toBeVisible();
});

test('a change of a game with results is a new version, and the best of the old one is not its mark', async ({ page }) => {
  await page.goto(`${games}/new?library=porch-light`);
  await page.getByLabel('Title').fill('Versions');
  await saveDesign(page, 'Versions');
  const address = page.url();
  await startPlay(page, 'Bashir');
  await press(page, 'Holed', 'Holed', 'Holed', 'Holed', 'Holed', 'Holed');
  await expect(page.getByText('first time: the mark to beat')).toBeVisible();
  await expect(page.getByText('all sent')).toBeVisible();
  await page.goto(address);
  await startPlay(page, 'Bashir');
  await press(page, 'Holed', 'out', 'Holed', 'Holed', 'Holed', 'Holed');
  await expect(page.getByText(/best 6, of 1 earlier round/)).toBeVisible();
  await page.goto(`${address}/edit`);
  await page.getByLabel('Goal, in hits').fill('5');
  await page.getByRole('button', { name: 'Save the change' }).click();
  await expect(page.getByText(/version 2/)).toBeVisible();
  await startPlay(page, 'Bashir');
  await press(page, 'Holed', 'out', 'out', 'Holed', 'Holed', 'Holed');
  await expect(page.getByText('first time: the mark to beat')).toBeVisible();
});
