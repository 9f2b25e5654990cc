import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { makeOwnAcademy, signInTo, stored } from './own-academy';
import { expect, test } from './test';

/** All of an academy out as one file, and in again, by hand. */

test.use({ storageState: { cookies: [], origins: [] } });

test('an archive is saved in one academy and brought into another, once; a damaged one changes nothing', async ({ page }) => {
  const [from, to] = [await makeOwnAcademy('Corvina'), await makeOwnAcademy('Sorrel')];
  await signInTo(page.request, from);
  await page.goto(`/a/${from.slug}/settings`);
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Download an archive' }).click()]);
  expect(download.suggestedFilename()).toMatch(new RegExp(`^${from.slug}-\\d{4}-\\d\\d-\\d\\d\\.zip$`));
  const folder = mkdtempSync(join(tmpdir(), 'inch-archive-'));
  const whole = join(folder, 'whole.zip');
  await download.saveAs(whole);
  await expect(page.getByText(/\.zip, \d+\.\d MB\./)).toBeVisible();

  // Into the academy that it is from it can't go twice.
  await page.setInputFiles('input[aria-label="An archive"]', whole);
  await expect(page.getByText('This archive is from this academy')).toBeVisible();

  await page.context().clearCookies();
  await signInTo(page.request, to);
  await page.goto(`/a/${to.slug}/settings`);
  const before = await stored(to.academyId);
  const cut = join(folder, 'cut.zip');
  writeFileSync(cut, readFileSync(whole).subarray(0, 9_000));
  await page.setInputFiles('input[aria-label="An archive"]', cut);
  await expect(page.getByText('This isn’t an archive of this program. Nothing was changed.')).toBeVisible();
  expect(await stored(to.academyId)).toEqual(before);

  await page.setInputFiles('input[aria-label="An archive"]', whole);
  await expect(page.getByText('Added: 2 players, 1 game, 1 green, 1 planned session and 1 session.')).toBeVisible();
  const after = await stored(to.academyId);
  await page.setInputFiles('input[aria-label="An archive"]', whole);
  await expect(page.getByText('Nothing new in it.')).toBeVisible();
  expect(await stored(to.academyId)).toEqual(after);
  await page.goto(`/a/${to.slug}/players`);
  await expect(page.getByText('Corvina Player')).toBeVisible();
  await expect(page.getByText('Sorrel Player')).toBeVisible();
});
