import { createHmac, randomBytes } from 'node:crypto';
import { ask } from './database';
import { linkTo, signIn } from './mails';
import { makeOwnAcademy, signInTo } from './own-academy';
import { expect, test } from './test';

/** Everything about getting in that goes by e-mail, or takes more than a password. */

test.use({ storageState: { cookies: [], origins: [] } });

/** The code of an authenticator app: RFC 6238 with a step of 30 seconds, SHA-1 and six figures. */
function codeOf(secret: string, at = Date.now()): string {
  const bits = [...secret].map((letter) => 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567'.indexOf(letter).toString(2).padStart(5, '0')).join('');
  const key = Buffer.from((bits.match(/.{8}/g) ?? []).map((byte) => parseInt(byte, 2)));
  const counter = Buffer.alloc(8);
  counter.writeBigUInt64BE(BigInt(Math.floor(at / 30_000)));
  const hash = createHmac('sha1', key).update(counter).digest();
  return String((hash.readUInt32BE(hash.at(-1)! & 15) & 0x7fffffff) % 1_000_000).padStart(6, '0');
}

test('the code that this test makes is that of RFC 6238', () => {
  // Appendix B: the secret "12345678901234567890", of whose eight figures these are the last six.
  expect([59_000, 1_111_111_109_000, 2_000_000_000_000].map((at) => codeOf('GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ', at))).toEqual([
    '287082',
    '081804',
    '279037',
  ]);
});

test('whoever signs up confirms the address by an e-mail, whose link holds once', async ({ page }) => {
  const email = `sorrel-${randomBytes(4).toString('hex')}@test.example`;
  await page.goto('/sign-up');
  await page.getByLabel('Your name').fill('Sorrel Vane');
  await page.getByLabel('E-mail').fill(email);
  await page.getByLabel('Password').fill('a-long-test-word');
  await page.getByRole('button', { name: 'Make the account' }).click();
  await expect(page.getByRole('heading', { name: 'Who plays?' })).toBeVisible();
  const first = await linkTo(page, email, 'Confirm your e-mail address');
  await page.goto('/account');
  await expect(page.getByText('not confirmed yet')).toBeVisible();
  await page.getByRole('button', { name: 'Send the e-mail again' }).click();
  await expect(page.getByText('Sent. Open the link')).toBeVisible();
  await page.goto(first);
  await page.getByRole('button', { name: 'Confirm my address' }).click();
  await expect(page.getByText('Your address is confirmed.')).toBeVisible();
  await page.goto('/account');
  await expect(page.getByText(`${email}: confirmed`)).toBeVisible();
  await page.goto(first);
  await page.getByRole('button', { name: 'Confirm my address' }).click();
  await expect(page.getByRole('main').getByRole('alert')).toContainText('This link was used before, or has ended.');
});

test('a forgotten password is chosen anew by an e-mail: once, and everybody else is signed out', async ({ page, playwright }) => {
  const own = await makeOwnAcademy('Betony');
  const elsewhere = await playwright.request.newContext({ baseURL: process.env.E2E_URL! });
  await signInTo(elsewhere, own);
  const home = () => elsewhere.get(`/api/v1/home?academy=${own.slug}`).then((answer) => answer.status());
  expect(await home()).toBe(200);

  await page.goto('/sign-in');
  await page.getByRole('link', { name: 'Forgot your password?' }).click();
  await page.getByLabel('E-mail').fill('nobody');
  await page.getByRole('button', { name: 'Send the link' }).click();
  await expect(page.getByText(/Enter an e-mail address/)).toBeVisible();
  // Whether there is such an account is not said.
  for (const email of ['stranger@test.example', own.email]) {
    await page.goto('/forgot');
    await page.getByLabel('E-mail').fill(email);
    await page.getByRole('button', { name: 'Send the link' }).click();
    await expect(page.getByRole('status')).toContainText(`If ${email} has an account, we’ve sent an e-mail`);
  }
  const link = await linkTo(page, own.email, 'Choose a new password');
  await expect(page.getByText('to stranger@test.example')).toHaveCount(0);
  // What the link opens with is kept nowhere.
  const token = new URL(link).hash.slice(1);
  expect(token).toMatch(/^\w{24,}$/);
  expect(await ask("select 1 from auth_verification where identifier || value like '%' || $1 || '%'", token)).toEqual([]);
  await page.goto(link);
  await page.getByLabel('New password').fill('password123');
  await page.getByRole('button', { name: 'Change password' }).click();
  await expect(page.getByText(/Too many people use this password/)).toBeVisible();
  await page.getByLabel('New password').fill('a-quite-other-word');
  await page.getByRole('button', { name: 'Change password' }).click();
  await expect(page.getByText('Password changed.')).toBeVisible();
  expect(await home()).toBe(401);
  await linkTo(page, own.email, 'Your password was changed');

  await page.goto(link);
  await page.reload();
  await page.getByLabel('New password').fill('yet-another-long-word');
  await page.getByRole('button', { name: 'Change password' }).click();
  await expect(page.getByRole('main').getByRole('alert')).toContainText('This link was used before, or has ended.');
  await signIn(page, own.email, 'a-quite-other-word');
  await expect(page).toHaveURL(`/a/${own.slug}`);
  await elsewhere.dispose();
});

test('signing in with a code, a recovery code once, and without again', async ({ page }) => {
  const own = await makeOwnAcademy('Comfrey');
  await signIn(page, own.email, own.password);
  await expect(page).toHaveURL(`/a/${own.slug}`);
  await page.goto(`/a/${own.slug}/settings`);
  await page.getByRole('link', { name: /^Password, two-step/ }).click();
  const step = page.getByRole('region', { name: 'Two-step sign-in' });
  const ask = async (button: string, password: string, then: string) => {
    await step.getByRole('button', { name: button }).click();
    await step.getByLabel('Your password').fill(password);
    await step.getByRole('button', { name: then }).click();
  };
  await ask('Turn on two-step sign-in', 'wrong', 'Continue');
  await expect(step.getByText('That’s not your password.')).toBeVisible();
  await step.getByLabel('Your password').fill(own.password);
  await step.getByRole('button', { name: 'Continue' }).click();
  await expect(step.getByRole('img', { name: 'The key for your app' })).toBeVisible();
  const secret = (await step.locator('code').innerText()).replaceAll(/\s/g, '');
  await step.getByLabel('Code').fill('12345');
  await step.getByRole('button', { name: 'Turn on', exact: true }).click();
  await expect(step.getByText(/Enter the six digits/)).toBeVisible();
  await step.getByLabel('Code').fill(codeOf(secret, Date.now() - 3_600_000));
  await step.getByRole('button', { name: 'Turn on', exact: true }).click();
  await expect(step.getByText('That code isn’t right, or has run out.')).toBeVisible();
  await step.getByLabel('Code').fill(codeOf(secret));
  await step.getByRole('button', { name: 'Turn on', exact: true }).click();
  await expect(step.getByText('Save these recovery codes.')).toBeVisible();
  const recovery = await step.getByRole('listitem').allInnerTexts();
  expect(recovery).toHaveLength(10);
  await step.getByRole('button', { name: 'I’ve saved them' }).click();
  await expect(step.getByText(/^On:/)).toBeVisible();

  const out = () => page.context().clearCookies();
  await out();
  await signIn(page, own.email, own.password);
  await page.getByLabel('Code').fill('000000');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText('That code isn’t right, or has run out.')).toBeVisible();
  // With the password alone nobody is in.
  expect((await page.request.get(`/api/v1/home?academy=${own.slug}`)).status()).toBe(401);
  await page.getByLabel('Code').fill(codeOf(secret));
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page).toHaveURL(`/a/${own.slug}`);

  for (const [time, said] of [
    ['first', ''],
    ['second', 'not one of your recovery codes'],
  ] as const) {
    await out();
    await signIn(page, own.email, own.password);
    await page.getByLabel('Code').fill(recovery[0]!);
    if (time === 'second') {
      await page.getByRole('button', { name: 'Sign in' }).click();
      await expect(page.getByText(said)).toBeVisible();
      await page.getByLabel('Code').fill(recovery[1]!);
      await page.getByLabel('Don’t ask on this device').check();
    }
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page).toHaveURL(`/a/${own.slug}`);
  }
  // This device is asked no more.
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page).toHaveURL('/sign-in');
  await signIn(page, own.email, own.password);
  await expect(page).toHaveURL(`/a/${own.slug}`);

  await page.goto('/account');
  await ask('Turn off', own.password, 'Turn off');
  await expect(step.getByRole('button', { name: 'Turn on two-step sign-in' })).toBeVisible();
  await out();
  await signIn(page, own.email, own.password);
  await expect(page).toHaveURL(`/a/${own.slug}`);
  await linkTo(page, own.email, 'Two-step sign-in was turned off for your account');
});

test('whoever guesses codes has to wait, with a new sign-in too; the address they come from is not kept', async ({ page }) => {
  const own = await makeOwnAcademy('Tansy');
  const post = (path: string, data: object) =>
    page.request.post(`/api/auth/${path}`, { headers: { origin: process.env.E2E_URL!, 'x-forwarded-for': '198.51.100.44' }, data });
  const start = () => post('sign-in/email', { email: own.email, password: own.password });
  await start();
  const { totpURI } = (await (await post('two-factor/enable', { password: own.password })).json()) as { totpURI: string };
  const secret = new URL(totpURI).searchParams.get('secret')!;
  expect((await post('two-factor/verify', { code: codeOf(secret), trustDevice: false })).status()).toBe(200);
  expect(
    await ask("select 1 from auth_session where user_id in (select id from auth_user where email = $1) and ip_address <> ''", own.email),
  ).toEqual([]);
  const wrong = codeOf(secret, Date.now() - 7_200_000);
  const answers: string[] = [];
  for (let tries = 0; tries < 14; tries++) {
    if (tries % 4 === 0) {
      await page.context().clearCookies();
      await start();
    }
    answers.push(((await (await post('two-factor/verify', { code: wrong, trustDevice: false })).json()) as { code: string }).code);
  }
  expect(answers).toEqual([...Array<string>(10).fill('WRONG_CODE'), ...Array<string>(4).fill('WAIT')]);
  // The right code waits as well.
  await page.context().clearCookies();
  await start();
  expect((await post('two-factor/verify', { code: codeOf(secret), trustDevice: false })).status()).toBe(429);
});

test('whoever uses it stays signed in: 30 days count from the last use, on pages and at the green', async ({ page }) => {
  const own = await makeOwnAcademy('Yarrow');
  await signIn(page, own.email, own.password);
  await expect(page).toHaveURL(`/a/${own.slug}`);
  const DAY_S = 86_400;
  const cookie = async () => (await page.context().cookies()).find(({ name }) => name.endsWith('session_token'))!;
  const daysLeft = async () => {
    const [row] = await ask<{ days: number }>(
      `select extract(epoch from expires_at - now())::float / ${DAY_S} as days from auth_session s join auth_user u on u.id = s.user_id where u.email = $1`,
      own.email,
    );
    return [Math.round(row!.days), Math.round(((await cookie()).expires - Date.now() / 1000) / DAY_S)];
  };
  /** As it is after 25 days in which nobody was here. */
  const unused = async () => {
    await ask(
      `update auth_session set expires_at = now() + interval '5 days', updated_at = now() - interval '25 days'
       where user_id = (select id from auth_user where email = $1) returning id`,
      own.email,
    );
    await page.context().clearCookies({ name: 'renewed' });
    await page.context().addCookies([{ ...(await cookie()), expires: Date.now() / 1000 + 5 * DAY_S }]);
    expect(await daysLeft()).toEqual([5, 5]);
  };
  await unused();
  await page.goto(`/a/${own.slug}/players`);
  expect(await daysLeft()).toEqual([30, 30]);
  await expect(page.getByText('Yarrow Player')).toBeVisible();
  await page.reload();
  await expect(page.getByText('Yarrow Player')).toBeVisible();
  await unused();
  expect((await page.request.get(`/api/v1/home?academy=${own.slug}`)).status()).toBe(200);
  expect(await daysLeft()).toEqual([30, 30]);
});

test('where one is signed in is listed, and each can be ended', async ({ page, playwright }) => {
  const own = await makeOwnAcademy('Agrimony');
  const phones = await Promise.all(
    ['Firefox/140.0', 'Firefox/141.0', 'Firefox/142.0'].map((version) =>
      playwright.request.newContext({
        baseURL: process.env.E2E_URL!,
        extraHTTPHeaders: { 'user-agent': `Mozilla/5.0 (Android 15; Mobile; rv:140.0) Gecko/140.0 ${version}` },
      }),
    ),
  );
  for (const phone of phones) await signInTo(phone, own);
  const inside = () =>
    Promise.all(phones.map((phone) => phone.get(`/api/v1/home?academy=${own.slug}`).then((answer) => answer.status() === 200)));
  expect(await inside()).toEqual([true, true, true]);
  await signIn(page, own.email, own.password);
  await expect(page).toHaveURL(`/a/${own.slug}`);
  await page.goto('/account');
  const list = page.getByRole('region', { name: 'Where you’re signed in' });
  await expect(list.getByText('Firefox on Android')).toHaveCount(3);
  await list
    .getByRole('button', { name: /^Sign out Firefox/ })
    .first()
    .click();
  await expect(list.getByText('Firefox on Android')).toHaveCount(2);
  expect((await inside()).filter(Boolean)).toHaveLength(2);
  await list.getByRole('button', { name: 'Sign out everywhere else' }).click();
  await expect(list.getByText('Firefox on Android')).toHaveCount(0);
  expect(await inside()).toEqual([false, false, false]);
  await expect(list.getByText(', this one')).toBeVisible();
  await Promise.all(phones.map((phone) => phone.dispose()));
});

test('an account has another name, and another address once its link was opened; the old address hears of it', async ({ page }) => {
  const own = await makeOwnAcademy('Campion');
  await signIn(page, own.email, own.password);
  await page.goto('/account');
  await page.getByLabel('As others see it').fill('');
  await page.getByRole('button', { name: 'Save name' }).click();
  await expect(page.getByText('Enter your name.')).toBeVisible();
  await page.getByLabel('As others see it').fill('Coach Campion');
  await page.getByRole('button', { name: 'Save name' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await page.goto(`/a/${own.slug}/settings/people`);
  await expect(page.getByText('Coach Campion (you)')).toBeVisible();

  const next = `new-${own.email}`;
  await page.goto('/account');
  await page.getByRole('button', { name: 'Change e-mail …' }).click();
  const email = page.getByRole('region', { name: 'Your e-mail' });
  await email.getByLabel('New e-mail').fill(next);
  await email.getByLabel('Your password').fill('not-my-password');
  await email.getByRole('button', { name: 'Send the link' }).click();
  await expect(email.getByText('That’s not your password.')).toBeVisible();
  await email.getByLabel('Your password').fill(own.password);
  await email.getByRole('button', { name: 'Send the link' }).click();
  await expect(email.getByText(`Open the link in the e-mail to ${next}.`)).toBeVisible();
  // Until then nothing is another.
  await expect(email.getByText(`${own.email}:`)).toBeVisible();
  // An address that somebody has is not taken from them, and is not said to be theirs.
  await email.getByRole('button', { name: 'Change e-mail …' }).click();
  await email.getByLabel('New e-mail').fill(own.helperEmail);
  await email.getByLabel('Your password').fill(own.password);
  await email.getByRole('button', { name: 'Send the link' }).click();
  await expect(email.getByText(`Open the link in the e-mail to ${own.helperEmail}.`)).toBeVisible();

  await page.goto(await linkTo(page, next, 'Confirm your e-mail address'));
  await page.getByRole('button', { name: 'Confirm my address' }).click();
  await expect(page.getByText('Your address is confirmed.')).toBeVisible();
  await page.goto('/outbox');
  await expect(page.getByRole('article', { name: 'The e-mail address of your account was changed' }).first()).toContainText(
    `to ${own.email}`,
  );
  await expect(page.getByText(`to ${own.helperEmail}`)).toHaveCount(0);
  await page.context().clearCookies();
  await signIn(page, next, own.password);
  await expect(page).toHaveURL(`/a/${own.slug}`);
});
