import type { Page } from '@playwright/test';
import { makeOwnAcademy, signInTo, type OwnAcademy } from './own-academy';
import { expect, test } from './test';

/** Who leaves: a player put away or erased, an academy deleted, a sign-in ended. */

test.use({ storageState: { cookies: [], origins: [] } });

async function atDesk(page: Page, name: string): Promise<OwnAcademy> {
  const own = await makeOwnAcademy(name);
  await signInTo(page.request, own);
  return own;
}

test('a player is put away and brought back with everything', async ({ page }) => {
  const own = await atDesk(page, 'Larkspur');
  await page.goto(`/a/${own.slug}/players/${own.playerId}/edit`);
  await page.getByRole('button', { name: 'Put away' }).click();
  await expect(page).toHaveURL(/\/players$/);
  const here = page.getByRole('link', { name: /Larkspur Player/ });
  await expect(here).toBeHidden();
  await page.getByText('1 player put away').click();
  await here.click();
  await page.getByRole('link', { name: /^(Edit|Change)/ }).click();
  await page.getByRole('button', { name: 'Bring back' }).click();
  await expect(page).toHaveURL(new RegExp(`/players/${own.playerId}$`));
  await page.goto(`/a/${own.slug}/players`);
  await expect(here).toBeVisible();
  await expect(page.getByText(/put away/)).toBeHidden();
});

test('before a player is erased it is said what goes, and their name is asked for', async ({ page }) => {
  const own = await atDesk(page, 'Tamarisk');
  await page.goto(`/a/${own.slug}/players/${own.playerId}/edit`);
  await page.getByRole('button', { name: 'Erase …' }).click();
  await expect(page.getByText('1 ball, notes included')).toBeVisible();
  await expect(page.getByText(/1 place in sessions with others/)).toBeVisible();
  await page.getByLabel(/^Type/).fill('Tamarisk');
  await page.getByRole('button', { name: 'Erase for good' }).click();
  await expect(page.getByText('That’s not the name.')).toBeVisible();
  await expect(page.getByLabel(/^Type/)).toHaveValue('Tamarisk');
  await page.getByLabel(/^Type/).fill('Tamarisk Player');
  await page.getByRole('button', { name: 'Erase for good' }).click();
  await expect(page).toHaveURL(/\/players$/);
  await expect(page.getByText('Tamarisk Player')).toBeHidden();
  await page.goto(`/a/${own.slug}/sessions/${own.sessionId}`);
  await expect(page.getByText('Tamarisk Mate').first()).toBeVisible();
  expect(await page.content()).not.toContain('Tamarisk Player');
});

test('a phone forgets an erased player when it looks again', async ({ page, playwright }) => {
  const own = await atDesk(page, 'Juniper');
  await page.goto(`/play#${own.sessionId}`);
  await expect(page.getByText('Juniper Player').first()).toBeVisible();
  const desk = await playwright.request.newContext({ baseURL: process.env.E2E_URL! });
  await signInTo(desk, own);
  const events = () =>
    page.evaluate(async () => {
      const names = await indexedDB.databases();
      const open = indexedDB.open(names[0]!.name!);
      const db = await new Promise<IDBDatabase>((resolve) => (open.onsuccess = () => resolve(open.result)));
      const all = db.transaction('events').objectStore('events').getAll();
      const rows = await new Promise<unknown[]>((resolve) => (all.onsuccess = () => resolve(all.result as unknown[])));
      db.close();
      return JSON.stringify(rows);
    });
  expect(await events()).toContain('Juniper note of Player');
  const edit = await page.context().newPage();
  await edit.goto(`/a/${own.slug}/players/${own.playerId}/edit`);
  await edit.getByRole('button', { name: 'Erase …' }).click();
  await edit.getByLabel(/^Type/).fill('Juniper Player');
  await edit.getByRole('button', { name: 'Erase for good' }).click();
  await expect(edit).toHaveURL(/\/players$/);
  await expect.poll(events).not.toContain('Juniper note of Player');
  expect(await events()).toContain('Juniper note of Mate');
  await desk.dispose();
});

test('an academy is deleted in a week, and every page offers to keep it', async ({ page }) => {
  const own = await atDesk(page, 'Sorrel');
  await page.goto(`/a/${own.slug}/settings`);
  await page.getByRole('button', { name: 'Delete …' }).click();
  await page.getByLabel(/^Type/).fill('Academy Sorrel');
  await page.getByRole('button', { name: 'Delete in a week' }).click();
  const notice = page.getByRole('alert').filter({ hasText: 'Academy Sorrel will be deleted on' });
  await expect(notice).toBeVisible();
  await page.goto(`/a/${own.slug}/games`);
  await notice.getByRole('button', { name: 'Keep it' }).click();
  await expect(notice).toBeHidden();
});

test('another password ends all other sign-ins', async ({ page, playwright }) => {
  const own = await atDesk(page, 'Yarrow');
  const elsewhere = await playwright.request.newContext({ baseURL: process.env.E2E_URL! });
  await signInTo(elsewhere, own);
  const bundle = () => elsewhere.get(`/api/v1/sessions/${own.sessionId}/bundle`).then((answer) => answer.status());
  expect(await bundle()).toBe(200);
  await page.goto('/account');
  const change = async (now: string, next: string) => {
    await page.getByLabel('Password now').fill(now);
    await page.getByLabel('New password').fill(next);
    await page.getByRole('button', { name: 'Change it' }).click();
  };
  await change('wrong', 'a-quite-other-word');
  await expect(page.getByText('That’s not your password.')).toBeVisible();
  await change('a-long-test-word', 'password123');
  await expect(page.getByText(/Too many people use this password/)).toBeVisible();
  await change('a-long-test-word', 'a-quite-other-word');
  await expect(page.getByText('Changed. You’re signed out everywhere else.')).toBeVisible();
  expect(await bundle()).toBe(401);
  await page.reload();
  await expect(page.getByLabel('Password now')).toBeVisible();
  await elsewhere.dispose();
});
