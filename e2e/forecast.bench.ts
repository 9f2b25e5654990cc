import { expect, test } from '@playwright/test';

/** How soon the designer answers an edit, and whether the page stays free meanwhile. */
const EDITS = 24;

test('an edit in the designer is answered', async ({ page }) => {
  test.setTimeout(120_000);
  for (const key of ['three-hoops', 'seven-doors', 'sand-glass']) {
    await page.goto(`/a/lantern-hollow/games/new?library=${key}`);
    const rows = page.locator('[data-row]');
    await expect(async () => {
      for (const rough of await rows.evaluateAll((all) => all.map((row) => (row as HTMLElement).dataset.rough)))
        expect(rough).toBe('false');
      expect(await rows.count()).toBeGreaterThanOrEqual(5);
    }).toPass();
    const chance = page.getByLabel('Goal, in ', { exact: false });
    const took: { rough: number; fine: number; longest: number }[] = [];
    for (let i = 0; i < EDITS; i++) {
      await chance.fill(String(12 + (i % 9)));
      took.push(
        await page.evaluate(
          () =>
            new Promise<{ rough: number; fine: number; longest: number }>((resolve) => {
              const start = performance.now();
              let [rough, last, longest] = [0, start, 0];
              const look = () => {
                const now = performance.now();
                longest = Math.max(longest, now - last);
                last = now;
                const all = [...document.querySelectorAll<HTMLElement>('[data-row]')];
                if (rough === 0 && all.every((row) => row.dataset.old === 'false')) rough = now - start;
                if (rough > 0 && all.every((row) => row.dataset.rough === 'false' && row.dataset.old === 'false'))
                  resolve({ rough, fine: now - start, longest });
                else requestAnimationFrame(look);
              };
              // The edit itself was drawn just before.
              requestAnimationFrame(look);
            }),
        ),
      );
    }
    const at = (of: 'rough' | 'fine' | 'longest', part: number) =>
      took
        .map((one) => one[of])
        .toSorted((a, b) => a - b)
        [Math.floor(part * (took.length - 1))]!.toFixed(0);
    console.log(
      `${key}: ${EDITS} edits, all rows rough after ${at('rough', 0.5)} ms (most ${at('rough', 1)} ms), all in full after ${at('fine', 0.5)} ms (most ${at('fine', 1)} ms); ` +
        `between two frames at most ${at('longest', 0.5)} ms (most ${at('longest', 1)} ms)`,
    );
  }
});
