import { complaints, press } from './steps';
import { expect, test } from './test';

/** The first five minutes: from an account to the first ball, to the first result, and to what comes next. */

test.use({ storageState: { cookies: [], origins: [] }, viewport: { width: 390, height: 844 } });

/** Twenty putts, then twenty chips and pitches: what a middling player makes of them. */
const PUTTS = ['3 ft', 'Holed', '3 ft', '6 ft'] as const;
const CHIPS = ['6 ft', '12 ft', '3 ft', '24 ft'] as const;

test('a player alone is at the first ball after twelve taps at most, and the first look says what to practise next', async ({ page }) => {
  test.setTimeout(240_000);
  const complained = complaints(page);
  let taps = 0;
  const fill = async (label: string, text: string) => {
    taps++;
    await page.getByLabel(label).fill(text);
  };
  const tap = async (name: string | RegExp) => {
    taps++;
    await page.getByRole('button', { name }).click();
  };
  await page.goto('/sign-up');
  await fill('Your name', 'Wren');
  await fill('E-mail', `wren-${Date.now()}@test.example`);
  await fill('Password', 'a long enough one');
  await tap('Make the account');
  taps++;
  await page.getByLabel('I practise alone').check();
  await expect(page.getByLabel('Your handicap')).toHaveValue('18');
  await expect(page.getByLabel('You play')).toHaveValue('right');
  await tap('Begin');
  await expect(page.getByRole('region', { name: 'First look' })).toContainText('40 balls from the ten places');
  await expect(page.getByText(/squad/i)).toHaveCount(0);
  const home = new URL(page.url()).pathname;
  await tap('Wren');
  await tap('Ready');
  await tap('3 ft');
  await expect(page.getByText('39 balls left')).toBeVisible();
  expect(taps).toBeLessThanOrEqual(12);

  for (let ball = 1; ball < 40; ball++) await press(page, (ball < 20 ? PUTTS : CHIPS)[ball % 4]!);
  await expect(page.getByText('40 of 40 balls')).toBeVisible();
  await expect(page.getByText('all sent')).toBeVisible();

  await page.goto(home);
  await expect(page.getByRole('heading', { name: 'Practise next' })).toBeVisible();
  const wren = page.getByRole('listitem').filter({ has: page.getByRole('link', { name: 'Wren', exact: true }) });
  await expect(wren).toContainText('40 balls');
  await expect(wren.getByRole('img', { name: /lost a round/ })).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText(/squad/i)).toHaveCount(0);
  await page.getByRole('link', { name: 'Wren', exact: true }).click();
  await expect(page.getByText(/^(Weakest: |Too early to name one|No (clear )?weakness)/)).toBeVisible();
  expect(complained).toEqual([]);
});

test('a squad is offered the first look once somebody is in it, and ready games beside designing', async ({ page }) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto('/sign-up');
  await page.getByLabel('Your name').fill('Coach Ada');
  await page.getByLabel('E-mail').fill(`ada-${Date.now()}@test.example`);
  await page.getByLabel('Password').fill('a long enough one');
  await page.getByRole('button', { name: 'Make the account' }).click();
  await page.getByLabel('Name of the academy').fill('Heron Field');
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByRole('link', { name: 'Add a player' }).click();
  await page.getByLabel('Name or nickname').fill('Mia');
  await page.getByRole('button', { name: 'Add the player' }).click();
  // A player without a ball: what to play first, and no figures.
  await expect(page.getByRole('region', { name: 'First look' }).getByRole('button', { name: 'Mia' })).toBeVisible();
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(page.getByRole('region', { name: 'First look' }).getByRole('button', { name: 'Mia' })).toBeVisible();
  await page.getByRole('link', { name: 'Ready games' }).click();
  await expect(page.getByRole('link', { name: 'First Look', exact: true })).toBeVisible();
});

test('a form that is pressed before its script runs sends nothing and loses nothing', async ({ page }) => {
  await page.route('**/*.js', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 1_500));
    await route.continue();
  });
  await page.goto('/sign-up', { waitUntil: 'commit' });
  const make = page.getByRole('button', { name: 'Make the account' });
  await expect(make).toBeDisabled();
  await page.getByLabel('Your name').fill('Early Bird');
  await page.getByLabel('Your name').press('Enter');
  await expect(make).toBeEnabled({ timeout: 20_000 });
  expect(new URL(page.url()).search).toBe('');
  await make.click();
  await expect(page.getByText(/Enter an e-mail address/)).toBeVisible();
});
