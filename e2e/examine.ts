import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

type Wanted = {
  /** In play, text must stand out seven to one: it is read in full sun and at dusk. */
  inTheSun?: boolean;
  /** Nothing that is needed lies below the fold, and every key is as large as a thumb. */
  inSight?: boolean;
  /** Whether axe looks at it: at another width of the same layout it sees the same. */
  axe?: boolean;
};

/** A screen, looked at by axe and for what sticks out. */
export async function examine(page: Page, name: string, { inTheSun = false, inSight = false, axe = true }: Wanted = {}): Promise<void> {
  if (axe) await examineByAxe(page, name, inTheSun);
  const wider = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect([name, wider <= 0]).toEqual([name, true]);
  if (!inSight) return;
  const taller = await page.evaluate(() => document.documentElement.scrollHeight - window.innerHeight);
  expect([name, taller <= 0]).toEqual([name, true]);
  const small = await page
    .locator('main button')
    .evaluateAll((all) => all.map((one) => one.getBoundingClientRect()).filter(({ width, height }) => width < 48 || height < 48).length);
  expect([name, small]).toEqual([name, 0]);
}

async function examineByAxe(page: Page, name: string, inTheSun: boolean): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    .options({ rules: { 'color-contrast-enhanced': { enabled: inTheSun } } })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'best-practice'])
    .analyze();
  const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
  expect(serious.map(({ id, nodes }) => `${name}: ${id}: ${nodes.map((node) => node.html).join(' | ')}`)).toEqual([]);
}
