import { expect, test } from '@playwright/test';
import { writeGeoJson } from '@/core/green/geojson';
import { greenPlanSchema } from '@/core/green/plan';
import { along, ofBearing, snapPoint, type Point } from '@/core/geometry/point';
import { measureFrames } from './frames';

/** A green of 400 points, 12 bunkers of 40 points and 40 stations. */
function large() {
  const ring = (middle: Point, points: number, radius: (deg: number) => number) =>
    Array.from({ length: points }, (_, i) => snapPoint(along(middle, ofBearing((i * 360) / points), radius((i * 360) / points))));
  return greenPlanSchema.parse({
    format: 'inch-green',
    version: 1,
    title: 'Large',
    outline: ring([0, 0], 400, (deg) => 16 + 2 * Math.sin((deg * Math.PI) / 60)),
    fringeM: 1,
    areas: Array.from({ length: 12 }, (_, i) => ({
      key: `a${i}`,
      kind: 'sand',
      outline: ring(along([0, 0], ofBearing(i * 30), 23), 40, () => 2),
    })),
    holes: Array.from({ length: 6 }, (_, i) => ({
      key: `h${i}`,
      label: String(i + 1),
      at: snapPoint(along([0, 0], ofBearing(i * 60), 9)),
    })),
    slope: { by: 'fall', towardsDeg: 200, percent: 2 },
    stations: Array.from({ length: 40 }, (_, i) => ({
      key: `s${i}`,
      hole: `h${i % 6}`,
      at: snapPoint(along([0, 0], ofBearing(i * 9 + 4), 28 + (i % 3) * 4)),
    })),
  });
}

test('dragging a station on a large green', async ({ page }) => {
  await page.goto('/a/lantern-hollow/greens');
  await page
    .getByLabel('File of a green')
    .setInputFiles({ name: 'large.geojson', mimeType: 'application/geo+json', buffer: Buffer.from(writeGeoJson(large())) });
  const station = page.getByRole('button', { name: 'Station 11', exact: true });
  await expect(station).toBeVisible();
  await page.waitForLoadState('networkidle');
  const box = (await station.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await measureFrames(page, 'a station', [x, y], (i) => [x - 60 * (1 - Math.cos(i / 12)), y + 40 * Math.sin(i / 9)]);
  await expect(page.getByRole('heading', { name: /^Station 11/ })).toBeVisible();
});
