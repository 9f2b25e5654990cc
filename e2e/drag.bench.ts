import { expect, test } from '@playwright/test';
import { writeGeoJson } from '@/core/green/geojson';
import { greenPlanSchema } from '@/core/green/plan';
import { along, ofBearing, snapPoint, type Point } from '@/core/geometry/point';

/** Frames that are measured, after some to warm up. */
const FRAMES = 240;
const WARM_UP = 40;

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
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('Performance.enable');
  const spentMs = async () => {
    const { metrics } = await cdp.send('Performance.getMetrics');
    const of = (name: string) => metrics.find((one) => one.name === name)!.value;
    return (of('ScriptDuration') + of('LayoutDuration') + of('RecalcStyleDuration')) * 1000;
  };
  /** Until the frame that draws what was done is done. */
  const frame = () => page.evaluate(() => new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve))));
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  // What measuring itself costs, with nothing moving.
  const still: number[] = [];
  for (let i = 0; i < 60; i++) {
    const before = await spentMs();
    await frame();
    still.push((await spentMs()) - before);
  }
  const frames: number[] = [];
  for (let i = 0; i < FRAMES + WARM_UP; i++) {
    const before = await spentMs();
    await page.mouse.move(x - 60 * (1 - Math.cos(i / 12)), y + 40 * Math.sin(i / 9));
    await frame();
    if (i >= WARM_UP) frames.push((await spentMs()) - before);
  }
  await page.mouse.up();
  const at = (list: number[], part: number) => list.toSorted((a, b) => a - b)[Math.floor(part * (list.length - 1))]!.toFixed(1);
  console.log(
    `script, style and layout of a frame while dragging, ${FRAMES} frames: median ${at(frames, 0.5)} ms, 95th percentile ${at(frames, 0.95)} ms, most ${at(frames, 1)} ms ` +
      `(of which measuring takes ${at(still, 0.5)} ms)`,
  );
  await expect(page.getByRole('heading', { name: /^Station 11/ })).toBeVisible();
});
