import { randomBytes } from 'node:crypto';
import type { APIRequestContext } from '@playwright/test';
import { ask } from './database';
import { linkTo, signIn } from './mails';
import { makeOwnAcademy, signInTo } from './own-academy';
import { expect, test } from './test';

/** Who works in an academy: asked by e-mail, with what they may do, and with an end. */

test.use({ storageState: { cookies: [], origins: [] } });

/** Whom a phone at the green is given to start games with. */
async function kitOf(request: APIRequestContext, slug: string): Promise<string[]> {
  const home = (await (await request.get(`/api/v1/home?academy=${slug}`)).json()) as { kit: { players: { name: string }[] } };
  return home.kit.players.map(({ name }) => name);
}

test('an assistant is invited by e-mail, makes an account, and works there with their group', async ({ page, browser }) => {
  const own = await makeOwnAcademy('Lovage');
  await signIn(page, own.email, own.password);
  await page.goto(`/a/${own.slug}/settings`);
  await page.getByRole('link', { name: /^Invite somebody/ }).click();
  await expect(page.getByText('Lovage Helper')).toBeVisible();
  const email = `lovage-${randomBytes(4).toString('hex')}@test.example`;
  const invite = page.getByRole('region', { name: 'Invite somebody' });
  await invite.getByRole('button', { name: 'Send the invitation' }).click();
  await expect(invite.getByText(/Enter an e-mail address/)).toBeVisible();
  // Whoever works here is not asked again.
  await invite.getByLabel('E-mail').fill(own.email);
  await invite.getByRole('button', { name: 'Send the invitation' }).click();
  await expect(invite.getByText('Somebody with this address is here already.')).toBeVisible();
  await invite.getByLabel('E-mail').fill(email.toUpperCase());
  await invite.getByLabel(/^assistant/).check();
  await invite.getByLabel('Lovage Group').check();
  await invite.getByRole('button', { name: 'Send the invitation' }).click();
  await expect(invite.getByRole('status')).toHaveText(`Sent to ${email.toUpperCase()}.`);
  await expect(page.getByText('as assistant for Lovage Group')).toHaveCount(2);

  const other = await browser.newPage({ storageState: { cookies: [], origins: [] } });
  const link = await linkTo(other, email, 'invites you to Academy Lovage');
  await other.goto(link);
  await expect(other.getByText('asks you to join Academy Lovage as an assistant.')).toBeVisible();
  // The token stands in no address any more.
  await expect(other).toHaveURL(/\/join$/);
  await other.getByRole('link', { name: 'Make an account' }).click();
  await other.getByLabel('Your name').fill('Rowan Teal');
  await other.getByLabel('E-mail').fill(email);
  await other.getByLabel('Password').fill('a-long-test-word');
  await other.getByRole('button', { name: 'Make the account' }).click();
  await other.getByRole('button', { name: 'Join Academy Lovage' }).click();
  // An assistant's work is at the green.
  await expect(other).toHaveURL(`/play#academy~${own.slug}`);
  await expect(other.getByRole('link', { name: /Lovage Game/ })).toBeVisible();
  // The e-mail reached them: that confirms the address.
  expect(await ask('select email_verified as ok from auth_user where email = $1', email)).toEqual([{ ok: true }]);
  await other.goto(link);
  await expect(other.getByRole('main').getByRole('alert')).toContainText('This invitation was cancelled, used before, or has ended.');
  // At the green they are with their group, and with nobody else.
  expect(await kitOf(other.request, own.slug)).toEqual(['Lovage Player']);
  // From there they read about their group at the desk, and nothing there changes a player.
  await other.goto(`/play#academy~${own.slug}`);
  await other.getByRole('link', { name: 'To the desk' }).click();
  await expect(other.getByRole('navigation', { name: 'Rooms' }).getByRole('link')).toHaveText(['Play', 'Players', 'Logbook']);
  await other.getByRole('link', { name: 'Lovage Player' }).click();
  await expect(other.getByRole('heading', { name: /^Lovage Player/ })).toBeVisible();
  await expect(other.getByRole('link', { name: 'Change' })).toHaveCount(0);
  for (const [tab, heading] of [
    ['Sessions', 'Sessions'],
    ['Over time', /^(Is this a real change\?|Lovage Player)/],
    ['Report', /^Lovage Player/],
  ] as const) {
    await other.getByRole('navigation', { name: 'Of this player' }).getByRole('link', { name: tab }).click();
    await expect(other.getByRole('heading', { name: heading }).first()).toBeVisible();
    await expect(other.getByRole('button', { name: /link|PDF/i })).toHaveCount(0);
  }
  // What a player dreads is heard at practice: an assistant notes it.
  await other.getByRole('navigation', { name: 'Of this player' }).getByRole('link', { name: 'Skills' }).click();
  await other.getByLabel('Rating').selectOption('dreads it');
  await other.getByRole('button', { name: 'Rate' }).click();
  await expect(other.getByText(/: dreads it\./)).toBeVisible();
  // The way out of the desk leads to their account, and out.
  await other.getByRole('link', { name: /Rowan Teal/ }).click();
  await other.getByRole('button', { name: 'Sign out', exact: true }).click();
  await expect(other).toHaveURL(/\/sign-in/);
  await other.close();

  await page.reload();
  const list = page.getByRole('listitem').filter({ hasText: 'Rowan Teal' });
  await expect(list).toContainText('looks after Lovage Group');
});

test('an invitation is for whoever has that address, and can be cancelled', async ({ page }) => {
  const [own, other] = [await makeOwnAcademy('Hyssop'), await makeOwnAcademy('Savory')];
  const link = `/join#${own.invitationToken}`;
  await signIn(page, other.email, other.password);
  await expect(page).toHaveURL(`/a/${other.slug}`);
  await page.goto(link);
  await expect(page.getByText(`you’re signed in as ${other.email}`)).toBeVisible();
  const answer = await page.request.post('/api/v1/invitation', {
    headers: { authorization: `Bearer ${own.invitationToken}`, origin: process.env.E2E_URL! },
  });
  expect(answer.status()).toBe(401);
  await page.getByRole('button', { name: /^Sign out and continue/ }).click();
  await expect(page.getByRole('link', { name: 'Make an account' })).toBeVisible();
  await signIn(page, own.email, own.password);
  await page.goto(`/a/${own.slug}/settings/people`);
  await page.getByRole('button', { name: /^Cancel the invitation/ }).click();
  await expect(page.getByText('Invitations sent')).toHaveCount(0);
  await page.goto(link);
  await expect(page.getByRole('main').getByRole('alert')).toContainText('cancelled');
});

test('a role is changed, somebody removed, the academy handed over and left; each at once', async ({ page, playwright }) => {
  const own = await makeOwnAcademy('Angelica');
  const helper = await playwright.request.newContext({ baseURL: process.env.E2E_URL! });
  await signInTo(helper, { ...own, email: own.helperEmail });
  const sees = async () => {
    const names = await kitOf(helper, own.slug);
    return names.includes('Angelica Mate');
  };
  const desk = async () => (await helper.get(`/a/${own.slug}/players/groups`, { maxRedirects: 0 })).status();
  expect([await sees(), await desk()]).toEqual([false, 307]);
  await signIn(page, own.email, own.password);
  await page.goto(`/a/${own.slug}/settings/people`);
  await page.getByLabel('Role of Angelica Helper').selectOption('coach');
  await expect(page.getByRole('button', { name: 'Hand over to Angelica Helper' })).toBeVisible();
  expect([await sees(), await desk()]).toEqual([true, 200]);

  await page.getByRole('button', { name: 'Hand over to Angelica Helper' }).click();
  await page.getByLabel(/^Type Academy Angelica to make/).fill('something');
  await page.getByRole('button', { name: 'Hand over', exact: true }).click();
  await expect(page.getByText('That’s not the name.')).toBeVisible();
  await page.getByLabel(/^Type Academy Angelica to make/).fill('Academy Angelica');
  await page.getByRole('button', { name: 'Hand over', exact: true }).click();
  await expect(page.getByRole('region', { name: 'Invite somebody' })).toHaveCount(0);
  // Whoever was the owner is a coach, who can leave, and deletes nothing.
  await page.goto(`/a/${own.slug}/settings`);
  await expect(page.getByRole('button', { name: 'Delete …' })).toHaveCount(0);
  await page.goto('/account');
  await page.getByRole('button', { name: 'Leave Academy Angelica …' }).click();
  await page.getByLabel(/^Type Academy Angelica to leave/).fill('Academy Angelica');
  await page.getByRole('button', { name: 'Leave', exact: true }).click();
  await expect(page.getByRole('region', { name: 'Your academies' })).toHaveCount(0);
  expect((await page.request.get(`/api/v1/home?academy=${own.slug}`)).status()).toBe(404);
  expect(await desk()).toBe(200);
  await helper.dispose();
});

test('whoever is removed is out at once, at the green too', async ({ page, playwright }) => {
  const own = await makeOwnAcademy('Burnet');
  const helper = await playwright.request.newContext({ baseURL: process.env.E2E_URL! });
  await signInTo(helper, { ...own, email: own.helperEmail });
  const ask = () => helper.get(`/api/v1/sessions/${own.sessionId}/bundle`);
  const bundle = async () => (await ask()).status();
  expect(await bundle()).toBe(200);
  // Of somebody of another group who plays in it they get what the game needs.
  const text = await (await ask()).text();
  expect(['Burnet Mate', 'Burnet note of Player', 'Burnet note of Mate'].map((one) => text.includes(one))).toEqual([true, true, false]);
  await signIn(page, own.email, own.password);
  await page.goto(`/a/${own.slug}/settings/people`);
  await page.getByRole('button', { name: 'Remove Burnet Helper' }).click();
  await page.getByRole('button', { name: 'Remove Burnet Helper' }).last().click();
  await expect(page.getByText('Burnet Helper')).toHaveCount(0);
  expect(await bundle()).toBe(404);
  await helper.dispose();
});

test('groups are made, changed and removed, and players are found by them', async ({ page }) => {
  const own = await makeOwnAcademy('Chervil');
  await signIn(page, own.email, own.password);
  await page.goto(`/a/${own.slug}/players`);
  await page.getByRole('link', { name: 'Groups', exact: true }).click();
  const groups = page.getByRole('main').getByRole('listitem');
  await expect(groups.filter({ hasText: 'Chervil Group' })).toContainText('looked after by Chervil Helper');
  await page.getByRole('button', { name: 'Add a group' }).click();
  await page.getByRole('button', { name: 'Save group' }).click();
  await expect(page.getByText('Give the group a name.')).toBeVisible();
  await page.getByLabel('Name of the group').fill('Adults');
  await page.getByLabel('Chervil Mate').check();
  await page.getByRole('button', { name: 'Save group' }).click();
  await expect(groups.filter({ hasText: 'Adults' })).toContainText('Chervil Mate');
  await page.goto(`/a/${own.slug}/players`);
  await page.getByLabel('Group').selectOption('Adults');
  await expect(page.getByRole('link', { name: 'Chervil Mate' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Chervil Player' })).toHaveCount(0);
  await page.goto(`/a/${own.slug}/players/groups`);
  await page.getByRole('button', { name: 'Change Adults' }).click();
  await page.getByLabel('Name of the group').fill('Grown-ups');
  await page.getByRole('button', { name: 'Save group' }).click();
  await page.getByRole('button', { name: 'Remove Grown-ups …' }).click();
  await page.getByRole('button', { name: 'Remove Grown-ups', exact: true }).click();
  await expect(page.getByText('Grown-ups')).toHaveCount(0);
});
