import { readFileSync } from 'node:fs';
import { makeOwnAcademy, signInTo } from './own-academy';
import { expect, test } from './test';

/** Who changed, or looked at, what: the owner reads it, narrows it, takes it away as a file; nobody else does. */

test.use({ storageState: { cookies: [], origins: [] } });

test('the owner sees who did what, looks for it, and downloads it; a coach does not', async ({ page, playwright }) => {
  const own = await makeOwnAcademy('Teasel');
  await signInTo(page.request, own);
  await page.goto(`/a/${own.slug}/players/${own.playerId}/edit`);
  await page.getByLabel('Name or nickname').fill('Teasel Renamed');
  await page.getByRole('button', { name: 'Save the change' }).click();
  await expect(page).not.toHaveURL(/edit/);
  expect((await page.request.get(`/a/${own.slug}/logbook/shots`)).headers()['content-type']).toContain('text/csv');

  await page.goto(`/a/${own.slug}/settings`);
  await page.getByRole('link', { name: 'Who changed or viewed what' }).click();
  const rows = page.getByRole('table', { name: 'Activity' }).getByRole('row');
  await expect(rows.filter({ hasText: 'changed the player Teasel Renamed' }).first()).toContainText('Coach');
  await expect(rows.filter({ hasText: 'viewed Teasel Renamed' })).toHaveCount(1);
  await expect(rows.nth(1)).toContainText('downloaded balls of everybody');
  await page.getByLabel('What', { exact: true }).selectOption('views');
  await expect(rows).toHaveCount(2);
  await expect(page).toHaveURL(/kind=looks/);
  await page.getByLabel('What', { exact: true }).selectOption('files in and out');
  await expect(rows.nth(1)).toContainText('downloaded balls');
  await page.getByLabel('To', { exact: true }).fill('2020-01-02');
  await expect(page.getByRole('status')).toContainText('No activity like that.');
  await page.getByRole('button', { name: 'Show all activity' }).click();
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Download', exact: true }).click()]);
  const lines = readFileSync(await file.path(), 'utf8').split('\n');
  expect(lines[0]).toBe('happened_at,who,what,about_id,done');
  expect(lines.some((line) => /^\d{4}-.*Z,Coach,savePlayer,[0-9a-f-]{36},changed the player Teasel Renamed$/.test(line))).toBe(true);

  const helper = await playwright.request.newContext({ baseURL: process.env.E2E_URL! });
  await signInTo(helper, { ...own, email: own.helperEmail });
  for (const path of ['', '/file'])
    expect((await helper.get(`/a/${own.slug}/settings/activity${path}`, { maxRedirects: 0 })).status()).not.toBe(200);
  await helper.dispose();
});

test('of somebody who is erased no name stays in it', async ({ page }) => {
  const own = await makeOwnAcademy('Woad');
  await signInTo(page.request, own);
  await page.goto(`/a/${own.slug}/players/${own.playerId}/edit`);
  await page.getByRole('button', { name: 'Erase …' }).click();
  await page.getByLabel(/^Type/).fill('Woad Player');
  await page.getByRole('button', { name: 'Erase for good' }).click();
  await expect(page).toHaveURL(/\/players$/);
  await page.goto(`/a/${own.slug}/settings/activity`);
  const table = page.getByRole('table', { name: 'Activity' });
  await expect(table).toContainText('erased a player');
  await expect(table).toContainText('viewed (since removed)');
  await expect(table).not.toContainText('Woad Player');
});
