import { randomUUID } from 'node:crypto';
import { ask } from './database';
import { signIn } from './mails';
import { makeOwnAcademy } from './own-academy';
import { expect, test } from './test';

/** What the owner sees of the records themselves: how many, for how long, what was refused, and which phones are silent. */

test.use({ storageState: { cookies: [], origins: [] } });

test('the owner sees what is stored, refused and silent, and says how long sessions are kept', async ({ page }) => {
  const own = await makeOwnAcademy('Burnet');
  await signIn(page, own.email, own.password);
  const send = (change: object) =>
    page.request.post('/api/v1/shot-events', {
      headers: { origin: process.env.E2E_URL! },
      data: {
        sessionId: own.sessionId,
        sentAt: new Date().toISOString(),
        events: [
          {
            ...own.balls[0]!,
            ...{ eventId: randomUUID(), shotId: randomUUID(), deviceSeq: 7 },
            payload: { ...own.balls[0]!.payload, turnNo: 3, ...change },
          },
        ],
      },
    });
  expect((await send({})).status()).toBe(200);
  for (let times = 0; times < 2; times++) expect((await send({ playerId: randomUUID() })).status()).toBe(409);
  await page.goto(`/a/${own.slug}/settings`);
  await page.getByRole('link', { name: /^What’s stored/ }).click();
  await expect(page.getByRole('definition')).toHaveText(['2', '1', '3', 'about 1 MB']);
  await expect(page.getByText('None: the one phone or browser sent balls since.')).toBeVisible();
  const refused = page.getByRole('region', { name: 'Balls that were refused' });
  await expect(refused.getByRole('listitem')).toContainText('Burnet Game: 2 balls');
  await expect(refused.getByRole('listitem')).toContainText('Its player is not in this session.');

  await ask("update device set last_at = now() - interval '4 days' where academy_id = $1", own.academyId);
  await page.reload();
  await expect(page.getByText('1 of 1. One that recorded without a network')).toBeVisible();

  await ask("update session set started_at = now() - interval '25 months' where session_id = $1", own.sessionId);
  await page.getByRole('combobox', { name: 'How long sessions are kept' }).selectOption('for 3 years');
  await page.getByRole('button', { name: 'See what would be deleted' }).click();
  await expect(page.getByText('Nothing is that old yet.')).toBeVisible();
  await page.getByRole('combobox', { name: 'How long sessions are kept' }).selectOption('for 2 years');
  await page.getByRole('button', { name: 'See what would be deleted' }).click();
  await expect(page.getByText(/^1 session with 3 balls of 2 players, the oldest from /)).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('combobox', { name: 'How long sessions are kept' })).toHaveValue('');
  await page.getByRole('combobox', { name: 'How long sessions are kept' }).selectOption('for 2 years');
  await page.getByRole('button', { name: 'See what would be deleted' }).click();
  await page.getByRole('button', { name: 'Keep sessions for 2 years' }).click();
  await expect(page.getByText('Each session is deleted 2 years after it was played.')).toBeVisible();
  expect(await ask('select keep_years from academy where academy_id = $1', own.academyId)).toEqual([{ keep_years: 2 }]);
  await page.goto(`/a/${own.slug}/settings/activity`);
  await expect(page.getByText('changed how long sessions are kept: 2 years')).toBeVisible();
});
