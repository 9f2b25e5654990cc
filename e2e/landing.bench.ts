import { expect, test } from '@playwright/test';
import { measureFrames } from './frames';

test('dragging a landing spot, with the plan of its green beside it', async ({ page }) => {
  await page.goto('/a/lantern-hollow/greens');
  await page.getByRole('link', { name: /Low green/ }).click();
  await page.getByRole('button', { name: 'Station 1', exact: true }).click();
  await page.getByRole('link', { name: 'Where to land it' }).click();
  const spot = page.getByRole('slider', { name: /^Landing spot of / });
  await expect(spot).toBeVisible();
  await page.waitForLoadState('networkidle');
  const before = await spot.getAttribute('aria-valuetext');
  const box = (await spot.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await measureFrames(page, 'a landing spot', [x, y], (i) => [x - 90 * (1 - Math.cos(i / 12)), y]);
  expect(await spot.getAttribute('aria-valuetext')).not.toBe(before);
});
