import { expect, test } from '@playwright/test';
import { DEMO_COACH } from '../core/demo/people';

test('the demo coach signs in', async ({ page }) => {
  await page.goto('/');
  await expect(page).toHaveURL(/\/sign-in$/);
  await page.getByLabel('E-mail').fill(DEMO_COACH.email);
  await page.getByLabel('Password').fill('not this one');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText('Wrong e-mail or password.')).toBeVisible();
  await page.getByLabel('Password').fill(DEMO_COACH.password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page).toHaveURL(/\/a\/lantern-hollow$/);
  await page.context().storageState({ path: 'test-results/coach.json' });
});
