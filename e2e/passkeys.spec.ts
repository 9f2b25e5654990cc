import type { Page } from '@playwright/test';
import { ask } from './database';
import { linkTo, signIn } from './mails';
import { makeOwnAcademy } from './own-academy';
import { expect, test } from './test';

/** Signing in with a passkey, on a device that the browser makes up. */

// Browsers keep passkeys for names, not for numbers: this machine by its name.
test.use({ storageState: { cookies: [], origins: [] }, baseURL: process.env.E2E_URL!.replace('127.0.0.1', 'localhost') });

/** Gives the page's browser a device with a screen lock, and the way to lock it for good. */
async function makeDevice(page: Page) {
  const browser = await page.context().newCDPSession(page);
  await browser.send('WebAuthn.enable');
  const { authenticatorId } = await browser.send('WebAuthn.addVirtualAuthenticator', {
    options: {
      ...{ protocol: 'ctap2', transport: 'internal', hasResidentKey: true },
      ...{ hasUserVerification: true, isUserVerified: true, automaticPresenceSimulation: true },
    },
  });
  return {
    knowsOwner: (isUserVerified: boolean) => browser.send('WebAuthn.setUserVerified', { authenticatorId, isUserVerified }),
    /** The device goes on without the account: somebody forgot it there. */
    forget: () => browser.send('WebAuthn.clearCredentials', { authenticatorId }),
  };
}

test('a passkey is added with the password, signs in without it and without a code, and is removed', async ({ page }) => {
  const own = await makeOwnAcademy('Mallow');
  const device = await makeDevice(page);
  await signIn(page, own.email, own.password);
  await expect(page).toHaveURL(`/a/${own.slug}`);
  await page.goto('/account');
  const keys = page.getByRole('region', { name: 'Passkeys' });
  await keys.getByRole('button', { name: 'Add a passkey' }).click();
  await keys.getByLabel('Your password').fill('wrong');
  await keys.getByRole('button', { name: 'Continue' }).click();
  await expect(keys.getByText('That’s not your password.')).toBeVisible();
  await keys.getByLabel('Your password').fill(own.password);
  await keys.getByRole('button', { name: 'Continue' }).click();
  await expect(keys.getByRole('listitem')).toContainText('added today');
  await linkTo(page, own.email, 'A passkey was added to your account');
  // The same device a second time.
  await page.goto('/account');
  await keys.getByRole('button', { name: 'Add a passkey' }).click();
  await keys.getByLabel('Your password').fill(own.password);
  await keys.getByRole('button', { name: 'Continue' }).click();
  await expect(keys.getByText('This device already has a passkey for your account.')).toBeVisible();
  await keys.getByRole('button', { name: 'Cancel' }).click();

  // It stands for the password and the code of an app.
  await ask('update auth_user set two_factor_enabled = true where email = $1 returning id', own.email);
  const out = () => page.context().clearCookies();
  await out();
  const sent = page.waitForRequest((request) => request.url().endsWith('/passkey/sign-in'));
  await page.goto('/sign-in');
  await page.getByRole('button', { name: 'Use a passkey' }).click();
  await expect(page).toHaveURL(`/a/${own.slug}`);
  // What the device answered holds once, with the question that was asked.
  const headers = { origin: new URL(page.url()).origin };
  const again = await page.request.post('/api/auth/passkey/sign-in', { headers, data: (await sent).postDataJSON() as object });
  expect(again.status()).toBe(401);

  // Somebody who holds the device and can't unlock it doesn't get in, whatever their browser is told to ask.
  await out();
  await device.knowsOwner(false);
  await page.route('**/passkey/ask', async (route) => {
    const answer = await route.fetch();
    await route.fulfill({ response: answer, json: { ...((await answer.json()) as object), userVerification: 'discouraged' } });
  });
  await page.goto('/sign-in');
  await page.getByRole('button', { name: 'Use a passkey' }).click();
  await expect(page.getByRole('main').getByRole('alert')).toContainText('This passkey isn’t known here.');
  await page.unroute('**/passkey/ask');
  expect((await page.request.get(`/api/v1/home?academy=${own.slug}`)).status()).toBe(401);
  await device.knowsOwner(true);
  await page.getByRole('button', { name: 'Use a passkey' }).click();
  await expect(page).toHaveURL(`/a/${own.slug}`);

  await page.goto('/account');
  await keys.getByRole('button', { name: /^Remove the passkey for / }).click();
  await expect(keys.getByRole('listitem')).toHaveCount(0);
  await linkTo(page, own.email, 'A passkey was removed from your account');
  await out();
  await page.goto('/sign-in');
  await page.getByRole('button', { name: 'Use a passkey' }).click();
  await expect(page.getByRole('main').getByRole('alert')).toContainText('This passkey isn’t known here.');
  await device.forget();
  await page.getByRole('button', { name: 'Use a passkey' }).click();
  await expect(page.getByRole('main').getByRole('alert')).toContainText('Try again.');
});

test('nobody removes somebody else’s passkey, or has one without the password', async ({ page, playwright }) => {
  const own = await makeOwnAcademy('Burdock');
  const other = await makeOwnAcademy('Teasel');
  await makeDevice(page);
  await signIn(page, own.email, own.password);
  await expect(page).toHaveURL(`/a/${own.slug}`);
  await page.goto('/account');
  const keys = page.getByRole('region', { name: 'Passkeys' });
  await keys.getByRole('button', { name: 'Add a passkey' }).click();
  await keys.getByLabel('Your password').fill(own.password);
  await keys.getByRole('button', { name: 'Continue' }).click();
  await expect(keys.getByRole('listitem')).toHaveCount(1);
  const count = () =>
    ask('select p.id from auth_passkey p join auth_user u on u.id = p.user_id where u.email in ($1, $2)', own.email, other.email);
  const [kept] = (await count()) as { id: string }[];
  const origin = new URL(page.url()).origin;
  const stranger = await playwright.request.newContext({ baseURL: origin, extraHTTPHeaders: { origin } });
  const post = (path: string, data: object) => stranger.post(`/api/auth/passkey/${path}`, { data });
  await stranger.post('/api/auth/sign-in/email', { data: { email: other.email, password: other.password } });
  expect((await post('remove', { id: kept!.id })).status()).toBe(404);
  expect((await post('new', { password: 'wrong' })).status()).toBe(400);
  // An answer to a question that was never asked.
  expect((await post('add', { response: { id: 'x'.repeat(22) }, name: 'Phone' })).status()).toBe(400);
  for (const path of ['generate-register-options', 'list-user-passkeys', 'verify-registration', 'update-passkey'])
    expect([path, (await stranger.get(`/api/auth/passkey/${path}`)).status()]).toEqual([path, 404]);
  expect(await count()).toEqual([kept]);
  await stranger.dispose();
});

test('under an address made of numbers no passkey is offered', async ({ browser }) => {
  const page = await browser.newPage({ baseURL: process.env.E2E_URL!, storageState: { cookies: [], origins: [] } });
  await page.goto('/sign-in');
  await expect(page.getByRole('button', { name: 'Sign in', exact: true })).toBeEnabled();
  await expect(page.getByRole('button', { name: 'Use a passkey' })).toHaveCount(0);
  await page.close();
});
