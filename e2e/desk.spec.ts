import { ask } from './database';
import { addPlayer, designGame, pressKey, signUp, startPlay } from './steps';
import { expect, test } from './test';

test.use({ storageState: { cookies: [], origins: [] } });

test('a player alone has an academy of one, and changes clubs, lengths and units', async ({ page }) => {
  const home = await signUp(page, 'alone', 'Zip');
  await expect(page.getByText('Start with a first look')).toBeVisible();
  await page.getByRole('link', { name: 'Players' }).click();
  await page.getByRole('link', { name: 'Zip', exact: true }).click();
  await expect(page.getByRole('region', { name: 'First look' })).toBeVisible();
  await page.getByRole('link', { name: 'Change' }).click();
  await page.getByLabel('Plays').selectOption('left');
  await page.getByLabel('One pace').fill('30');
  await page.getByRole('button', { name: 'Add club' }).click();
  await page.getByLabel('Club', { exact: true }).last().fill('sand wedge');
  await page.getByLabel('Loft, °').last().fill('fifty');
  await page.getByRole('button', { name: 'Save the change' }).click();
  await expect(page.getByText('Enter the loft in degrees, or leave it empty.')).toBeVisible();
  await expect(page.getByLabel('Loft, °').last()).toHaveValue('fifty');
  await page.getByLabel('Loft, °').last().fill('56');
  await page.getByRole('button', { name: 'Save the change' }).click();
  await expect(page.getByRole('heading', { name: /left-handed/ })).toBeVisible();
  await page.getByRole('link', { name: 'Change' }).click();
  await expect(page.getByLabel('One pace')).toHaveValue('30');
  await page.getByLabel('Units').selectOption('metric');
  await expect(page.getByLabel('One pace')).toHaveValue('0.762');
  await page.goto(`${home}/settings`);
  await page.getByLabel('Units').selectOption('metric');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await page.goto(`${home}/games/new`);
  await expect(page.getByLabel(/^From the hole/).first()).toHaveValue('0.6');
});

test('changing a game that has results makes a new version; the old session stays as it was', async ({ page }) => {
  const home = await signUp(page, { academy: 'Versions' });
  await addPlayer(page, home, 'Otto', '12');
  await designGame(page, home, {
    title: 'Once',
    stations: [{ shot: 'pitch', distance: '20', from: 'light rough', balls: '1' }],
    rings: [['3', '4']],
    holed: '6',
  });
  await page.getByRole('link', { name: 'Change' }).click();
  await page.getByLabel('Title').fill('Once, better');
  await page.getByRole('button', { name: 'Save the change' }).click();
  await expect(page.getByText('version 1')).toBeVisible();
  await startPlay(page, 'Otto');
  await pressKey(page, 'Holed', 6);
  await page.getByRole('link', { name: 'Again' }).click();
  await page.getByRole('link', { name: 'Change' }).click();
  await page.getByLabel('Points', { exact: true }).first().fill('9');
  await page.getByRole('button', { name: 'Save the change' }).click();
  await expect(page.getByText('version 2')).toBeVisible();
  await page.goto(`${home}/logbook`);
  await page.getByRole('link', { name: /Once, better/ }).click();
  await expect(page.getByLabel('Score', { exact: true })).toHaveText('6');
});

test('signing out forgets what the device had kept', async ({ page }) => {
  const home = await signUp(page, { academy: 'Leaving' });
  await addPlayer(page, home, 'Otto', '12');
  await designGame(page, home, { title: 'Bye', stations: [{ shot: 'putt', distance: '6', balls: '3' }], rings: [['1', '4']], holed: '6' });
  await startPlay(page, 'Otto');
  await pressKey(page, 'Holed', 6);
  await expect(page.getByText('all sent')).toBeVisible();
  const session = page.url();
  await page.goto(home);
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page).toHaveURL(/\/sign-in$/);
  await page.goto(session);
  await expect(page.getByText('Sign in to play')).toBeVisible();
});

test('what a device could not send while it played goes out from the next page of the desk', async ({ page }) => {
  const home = await signUp(page, { academy: 'Left Behind' });
  await addPlayer(page, home, 'Otto', '12');
  await designGame(page, home, {
    title: 'One Putt',
    stations: [{ shot: 'putt', distance: '6', balls: '1' }],
    rings: [['1', '4']],
    holed: '6',
  });
  const academy = `select count(*)::int as n from shot join auth_organization o on o.id = academy_id where o.name = 'Left Behind'`;
  const balls = async () => (await ask<{ n: number }>(academy))[0]!.n;
  // The server cannot be reached from play at all.
  await page.route('**/api/v1/**', (route) => route.abort());
  await startPlay(page, 'Otto');
  await pressKey(page, 'Holed', 6);
  await expect(page.getByText(/waiting/)).toBeVisible();
  expect(await balls()).toBe(0);
  // The game is left, and play is not opened again.
  await page.goto('about:blank');
  await page.unroute('**/api/v1/**');
  await page.goto(`${home}/logbook`);
  await expect(page.getByRole('link', { name: /^Otto.*One Putt$/ })).toBeVisible();
  expect(await balls()).toBe(1);
});
