import type { Page } from '@playwright/test';

/** Frames that are measured, after some to warm up. */
const FRAMES = 240;
const WARM_UP = 40;

/**
 * Drags something about, a frame for each step, and prints what script, style and layout of a frame take.
 * @param from where it is taken hold of, in pixels
 * @param to where it is at each step
 */
export async function measureFrames(page: Page, what: string, from: [number, number], to: (step: number) => [number, number]) {
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('Performance.enable');
  const spentMs = async () => {
    const { metrics } = await cdp.send('Performance.getMetrics');
    const of = (name: string) => metrics.find((one) => one.name === name)!.value;
    return (of('ScriptDuration') + of('LayoutDuration') + of('RecalcStyleDuration')) * 1000;
  };
  /** Until the frame that draws what was done is done. */
  const frame = () => page.evaluate(() => new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve))));
  await page.mouse.move(...from);
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
    await page.mouse.move(...to(i));
    await frame();
    if (i >= WARM_UP) frames.push((await spentMs()) - before);
  }
  await page.mouse.up();
  const at = (list: number[], part: number) => list.toSorted((a, b) => a - b)[Math.floor(part * (list.length - 1))]!.toFixed(1);
  console.log(
    `script, style and layout of a frame while dragging ${what}, ${FRAMES} frames: median ${at(frames, 0.5)} ms, 95th percentile ${at(frames, 0.95)} ms, most ${at(frames, 1)} ms ` +
      `(of which measuring takes ${at(still, 0.5)} ms)`,
  );
}
