import { randomBytes } from 'node:crypto';
import type { Page } from '@playwright/test';
import { newPlayer } from '../core/people/player';
import { unzipped } from '../db/testing/unzipped';
import { ask } from './database';
import { linkTo, signIn } from './mails';
import { makeOwnAcademy } from './own-academy';
import { expect, test } from './test';

/** Guardians: asked by e-mail, they read about one player, agree or don't, take everything with them, and ask for an end of it. */

test.use({ storageState: { cookies: [], origins: [] } });

const ofPlayer = (table: string, playerId: string) =>
  ask<{ n: number }>(`select count(*)::int as n from ${table} where player_id = $1`, playerId).then(([row]) => row!.n);

/** What a press of the page saves as a file, as its files by name. */
async function saved(page: Page, name: string): Promise<Map<string, Buffer>> {
  const button = page.getByRole('button', { name }).or(page.getByRole('link', { name }));
  const [download] = await Promise.all([page.waitForEvent('download'), button.click()]);
  return unzipped(await download.path());
}
const rowsIn = (files: Map<string, Buffer>, name: string) => files.get(name)!.toString().split('\n').filter(Boolean).length;

test('a guardian is invited, agrees, reads along, and sees nobody else', async ({ page, browser }) => {
  const own = await makeOwnAcademy('Tansy');
  const base = `/a/${own.slug}/players/${own.mateId}`;
  await signIn(page, own.email, own.password);
  await page.goto(`${base}/family`);
  // Without a year of birth nobody is asked for anything.
  await expect(page.getByRole('heading', { name: 'Consent' })).toHaveCount(0);
  const year = new Date().getUTCFullYear() - 13;
  await page.getByLabel('Year of birth').fill('13');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Enter a year, such as 2014.')).toBeVisible();
  await page.getByLabel('Year of birth').fill(String(year));
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Not given yet.')).toBeVisible();
  // The name is one word now, and stays so.
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Tansy (?!Mate)/);
  await page.goto(`${base}/edit`);
  await page.getByLabel('Name or nickname').fill('Tansy Mate');
  await page.getByRole('button', { name: 'Save the change' }).click();
  await expect(page.getByText('Without a guardian’s consent: a first name or nickname, one word.')).toBeVisible();
  await expect(page.getByLabel('Name or nickname')).toHaveValue('Tansy Mate');

  // Nor does another program bring it back.
  const byKey = await page.request.put(`/api/v1/players/${own.mateId}?academy=${own.slug}`, {
    headers: { authorization: `Bearer ${own.key}` },
    data: newPlayer('Tansy Mate', 'metric'),
  });
  expect([byKey.status(), await byKey.text()]).toEqual([400, expect.stringContaining('one word')]);

  const email = `tansy-${randomBytes(4).toString('hex')}@test.example`;
  await page.goto(`${base}/family`);
  await page.getByRole('button', { name: 'Add a guardian' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Ada Mate');
  await page.getByRole('button', { name: 'Save guardian' }).click();
  await expect(page.getByText('Enter an e-mail address or a phone number.')).toBeVisible();
  await page.getByLabel('E-mail').fill(email);
  await page.getByRole('button', { name: 'Save guardian' }).click();
  const line = page.getByRole('listitem').filter({ hasText: 'Ada Mate' });
  await expect(line).toContainText('contact only, no account');
  await line.getByRole('button', { name: 'Invite' }).click();
  await expect(line).toContainText('invited, until');
  await line.getByRole('button', { name: 'Cancel the invitation' }).click();
  await expect(line).toContainText('contact only, no account');
  await line.getByRole('button', { name: 'Invite' }).click();
  await expect(line).toContainText('invited, until');

  const home = await browser.newPage({ storageState: { cookies: [], origins: [] } });
  await home.goto(await linkTo(home, email, 'invites you to follow Tansy’s golf'));
  await expect(home.getByText('invites you to see how Tansy is doing at Academy Tansy.')).toBeVisible();
  await home.getByRole('link', { name: 'Make an account' }).click();
  await home.getByLabel('Your name').fill('Ada Mate');
  await home.getByLabel('E-mail').fill(email);
  await home.getByLabel('Password').fill('a-long-test-word');
  await home.getByRole('button', { name: 'Make the account' }).click();
  await home.getByRole('button', { name: 'Accept' }).click();
  await expect(home).toHaveURL(`/family/${own.slug}/${own.mateId}`);
  await expect(home.getByRole('heading', { name: 'Do you agree?' })).toBeVisible();
  await home.getByRole('button', { name: 'I agree' }).click();
  await expect(home.getByRole('heading', { name: 'Your consent' })).toBeVisible();
  await expect(home.getByText(/Given by Ada Mate, .*, with their own account/)).toBeVisible();
  // The front door leads there too, the desk and other players don't open.
  await home.goto('/');
  await expect(home).toHaveURL(`/family/${own.slug}/${own.mateId}`);
  for (const path of [`/a/${own.slug}`, `${base}`, `/family/${own.slug}/${own.playerId}`])
    expect([path, (await home.request.get(path)).status()]).toEqual([path, 404]);

  // With consent the whole name is taken.
  await page.goto(`${base}/edit`);
  await page.getByLabel('Name or nickname').fill('Tansy Mate');
  await page.getByRole('button', { name: 'Save the change' }).click();
  await expect(page).toHaveURL(base);
  await home.reload();
  await home.getByRole('button', { name: 'Withdraw …' }).click();
  await home.getByRole('button', { name: 'Withdraw consent' }).click();
  await expect(home.getByRole('heading', { name: 'Do you agree?' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Tansy (?!Mate)/);

  // Removed, they read nothing any more at once.
  await page.goto(`${base}/family`);
  await line.getByRole('button', { name: 'Remove Ada Mate …' }).click();
  await line.getByRole('button', { name: 'Remove Ada Mate', exact: true }).click();
  await expect(line).toHaveCount(0);
  expect((await home.request.get(`/family/${own.slug}/${own.mateId}`)).status()).toBe(404);
  await home.close();
});

test('everything about a player is what the database has of them; an erasure is asked for, declined, and done', async ({
  page,
  browser,
}) => {
  const own = await makeOwnAcademy('Betony');
  const { playerId, slug } = own;
  const home = await browser.newPage({ storageState: { cookies: [], origins: [] } });
  await signIn(home, own.guardianEmail, own.password);
  await expect(home).toHaveURL(`/family/${slug}/${playerId}`);
  const files = await saved(home, 'Download everything');
  expect(files.get('read-me.txt')!.toString()).toContain('Everything that Academy Betony keeps about Betony Player');
  expect(files.get('report.pdf')!.subarray(0, 5).toString()).toBe('%PDF-');
  expect(JSON.parse(files.get('report.json')!.toString())).toMatchObject({ player: 'Betony Player' });
  for (const table of ['player', 'club', 'note', 'session_player', 'group_player', 'guardian', 'consent', 'hour_player', 'weeks_player'])
    expect([table, rowsIn(files, `tables/${table}.jsonl`)]).toEqual([table, await ofPlayer(table, playerId)]);
  const [events] = await ask<{ n: number }>(`select count(*)::int as n from shot_event where payload ->> 'playerId' = $1`, playerId);
  expect([rowsIn(files, 'tables/shot_event.jsonl'), rowsIn(files, 'balls.csv') - 1]).toEqual([events!.n, events!.n]);
  const all = [...files.entries()].filter(([name]) => name !== 'report.pdf').map(([, content]) => content.toString());
  expect(all.join()).not.toContain('Betony Mate');
  expect(all.join()).toContain('Betony note for coaches');

  await home.getByRole('button', { name: 'Ask to erase everything …' }).click();
  await home.getByLabel('Anything to add?').fill('We are moving away.');
  await home.getByRole('button', { name: 'Send the request' }).click();
  await expect(home.getByText(/^You asked Academy Betony on/)).toBeVisible();

  // The owner hears of it by e-mail, and every coach on the first page.
  await signIn(page, own.email, own.password);
  const answer = new URL(await linkTo(page, own.email, 'Somebody asked to erase Betony Player'));
  for (const path of [`/a/${slug}/players`, `/a/${slug}`]) {
    await page.goto(path);
    await expect(page.getByText('to erase Betony Player').getByRole('link', { name: 'answer' })).toHaveAttribute('href', answer.pathname);
  }
  await page.getByText('to erase Betony Player').getByRole('link', { name: 'answer' }).click();
  await expect(page.getByRole('heading', { name: 'Betony Guardian asks to erase Betony Player' })).toBeVisible();
  await expect(page.getByText('“We are moving away.”')).toBeVisible();
  await page.getByRole('button', { name: 'Decline …' }).click();
  await page.getByRole('button', { name: 'Decline', exact: true }).click();
  await expect(page.getByText('Enter a reason. They’ll see it.')).toBeVisible();
  await page.getByLabel('Reason, which they will see').fill('The league needs the results until May.');
  await page.getByRole('button', { name: 'Decline', exact: true }).click();
  await expect(page.getByRole('heading', { name: /asks to erase/ })).toHaveCount(0);

  await home.reload();
  await expect(home.getByText('“The league needs the results until May.”')).toBeVisible();
  await home.getByRole('button', { name: 'Ask to erase everything …' }).click();
  await home.getByRole('button', { name: 'Send the request' }).click();
  await expect(home.getByText(/^You asked/)).toBeVisible();
  await page.reload();
  await page.getByRole('link', { name: 'Erase Betony Player …' }).click();
  await page.getByRole('button', { name: 'Erase …' }).click();
  await page.getByLabel(/to erase them/).fill('Betony Player');
  await page.getByRole('button', { name: 'Erase for good' }).click();
  await expect(page).toHaveURL(`/a/${slug}/players`);
  await home.reload();
  await expect(home.getByText('There is nothing here')).toBeVisible();
  await home.goto('/family');
  await expect(home.getByText('Nobody here yet.')).toBeVisible();
  for (const table of ['guardian', 'erasure_request', 'consent']) expect([table, await ofPlayer(table, playerId)]).toEqual([table, 0]);
  await home.close();

  // All of it is in the record of activity, without a name.
  await page.goto(`/a/${slug}/settings/activity`);
  for (const done of ['downloaded everything about', 'asked to erase', 'declined to erase'])
    await expect(page.getByText(`${done} (since removed)`).first()).toBeVisible();
  await expect(page.getByText('erased a player')).toBeVisible();
});

test('by their personal link a player takes everything with them, and asks for an end of it', async ({ page, browser }) => {
  const own = await makeOwnAcademy('Yarrow');
  const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, storageState: { cookies: [], origins: [] } });
  const at = await phone.newPage();
  await at.goto(`/j#${own.linkToken}`);
  await at.getByText('Your data').click();
  const files = await saved(at, 'Download everything');
  expect(files.get('read-me.txt')!.toString()).toContain('Yarrow Mate');
  expect([...files.values()].join()).not.toContain('Yarrow Player');
  await at.getByRole('button', { name: 'Ask to erase everything …' }).click();
  await at.getByRole('button', { name: 'Send the request' }).click();
  await expect(at.getByText(/^You asked on/)).toBeVisible();
  await signIn(page, own.email, own.password);
  await page.goto(`/a/${own.slug}/players/${own.mateId}/family`);
  await expect(page.getByRole('heading', { name: 'Yarrow Mate asks to be erased' })).toBeVisible();
  // They think again, without a network first.
  await phone.setOffline(true);
  await at.getByRole('button', { name: 'Cancel the request' }).click();
  await expect(at.getByText('No connection. Try again.')).toBeVisible();
  await phone.setOffline(false);
  await at.getByRole('button', { name: 'Cancel the request' }).click();
  await expect(at.getByRole('button', { name: 'Ask to erase everything …' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('heading', { name: /asks to be erased/ })).toHaveCount(0);
  await phone.close();
});
