import type { Page } from '@playwright/test';
import { expect } from './test';

/** The link of the newest e-mail to an address with such a subject, as the demo shows it. */
export async function linkTo(page: Page, address: string, subject: string): Promise<string> {
  const mail = page
    .getByRole('article', { name: subject })
    .filter({ hasText: `to ${address}` })
    .first();
  await expect(async () => {
    await page.goto('/outbox');
    await expect(mail).toBeVisible({ timeout: 1000 });
  }).toPass();
  return (await mail.getByRole('link').getAttribute('href'))!;
}

/** Signs in with what is typed. */
export async function signIn(page: Page, email: string, password: string): Promise<void> {
  await page.goto('/sign-in');
  await page.getByLabel('E-mail').fill(email);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByLabel('Password')).toBeHidden();
}
