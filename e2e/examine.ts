import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

type Wanted = {
  /** In play, text must stand out seven to one: it is read in full sun and at dusk. */
  inTheSun?: boolean;
  /** Nothing that is needed lies below the fold, and every key is as large as a thumb. */
  inSight?: boolean;
  /** Whether axe looks at it: at another width of the same layout it sees the same. */
  axe?: boolean;
  /** Widths of the same layout, in which nothing may stick out either. */
  alsoWide?: readonly number[];
};

/** A screen, looked at by axe and for what sticks out. */
export async function examine(
  page: Page,
  name: string,
  { inTheSun = false, inSight = false, axe = true, alsoWide = [] }: Wanted = {},
): Promise<void> {
  if (axe) await examineByAxe(page, name, inTheSun);
  const size = page.viewportSize()!;
  for (const width of [size.width, ...alsoWide]) {
    if (width !== size.width) await page.setViewportSize({ ...size, width });
    // A picture of the page is laid out by then.
    const wider = await page.evaluate(
      () => new Promise<number>((say) => requestAnimationFrame(() => say(document.documentElement.scrollWidth - window.innerWidth))),
    );
    expect([name, width, wider <= 0]).toEqual([name, width, true]);
  }
  if (alsoWide.length > 0) await page.setViewportSize(size);
  if (!inSight) return;
  const taller = await page.evaluate(() => document.documentElement.scrollHeight - window.innerHeight);
  expect([name, taller <= 0]).toEqual([name, true]);
  const small = await page
    .locator('main button')
    .evaluateAll((all) => all.map((one) => one.getBoundingClientRect()).filter(({ width, height }) => width < 48 || height < 48).length);
  expect([name, small]).toEqual([name, 0]);
}

async function examineByAxe(page: Page, name: string, inTheSun: boolean): Promise<void> {
  // A key that changes its colours is looked at once it has them.
  await page.evaluate(() => Promise.allSettled(document.getAnimations().map((one) => one.finished)).then(() => undefined));
  const { violations } = await new AxeBuilder({ page })
    .options({
      runOnly: { type: 'tag', values: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'best-practice'] },
      rules: { 'color-contrast-enhanced': { enabled: inTheSun } },
      resultTypes: ['violations'],
    })
    // There are no frames to look into: without them it needs no page of its own.
    .setLegacyMode()
    .analyze();
  const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
  expect(serious.map(({ id, nodes }) => `${name}: ${id}: ${nodes.map((node) => node.html).join(' | ')}`)).toEqual([]);
}
