import { ask } from './database';
import { beginDesign, press, saveDesign, score, settled, startPlay } from './steps';
import { expect, test } from './test';

/*
 * What is pressed at the green, and how fast: no press is lost, and the last thing done is what is undone.
 */
const ballsOf = (sessionId: string) =>
  ask<{ turn_no: number }>('select turn_no from shot where session_id = $1 order by turn_no', sessionId);

test('fifteen presses at five a second, on a phone that is busy: fifteen balls', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/a/lantern-hollow/games');
  await page.getByRole('link', { name: /Half Moon/ }).click();
  await startPlay(page, 'Kofi');
  const sessionId = new URL(page.url()).hash.slice(1);
  const box = (await page.getByRole('button', { name: /^6 ft, / }).boundingBox())!;
  const device = await page.context().newCDPSession(page);
  await device.send('Emulation.setCPUThrottlingRate', { rate: 6 });
  // As the operating system hands them over: each when the finger came down, however long the page takes.
  const point = { x: box.x + box.width / 2, y: box.y + box.height / 2, button: 'left' as const, clickCount: 1 };
  const sent: Promise<unknown>[] = [];
  const began = Date.now() / 1000;
  for (let n = 0; n < 15; n++) {
    const at = (seconds: number) => ({ ...point, timestamp: began + n / 5 + seconds });
    sent.push(device.send('Input.dispatchMouseEvent', { type: 'mousePressed', ...at(0) }));
    sent.push(device.send('Input.dispatchMouseEvent', { type: 'mouseReleased', ...at(0.05) }));
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  await Promise.all(sent);
  await device.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  await settled(page);
  await expect(page.getByText(/^(Double tap|That tap didn’t count)/)).toHaveCount(0);
  await expect(score(page)).toHaveText('60');
  await expect.poll(async () => (await ballsOf(sessionId)).map((row) => row.turn_no)).toEqual(Array.from({ length: 15 }, (_, n) => n));
});

test('distances typed without looking up all arrive', async ({ page }) => {
  await page.goto('/a/lantern-hollow/games/library/reckoning');
  await startPlay(page, 'Kofi');
  const sessionId = new URL(page.url()).hash.slice(1);
  // On a keyboard without a pause: one key right after the other, the digits of the next ball before the screen has changed.
  const feet = [4, 12, 7, 31, 10, 9, 25, 3, 14];
  await page.evaluate(
    async (keys) => {
      for (const key of keys) {
        window.dispatchEvent(new KeyboardEvent('keydown', { key }));
        await new Promise((resolve) => setTimeout(resolve));
      }
    },
    feet.flatMap((one) => [...String(one), 'Enter']),
  );
  await settled(page);
  const left = () =>
    ask<{ feet: number }>('select round(left_m / 0.3048) as feet from shot where session_id = $1 order by turn_no', sessionId);
  await expect.poll(async () => (await left()).map((row) => Number(row.feet))).toEqual(feet);
});

test('a thumb that bounces is one ball, and it is said', async ({ page }) => {
  await page.goto('/a/lantern-hollow/games');
  await page.getByRole('link', { name: /Half Moon/ }).click();
  await startPlay(page, 'Inga');
  await page.getByRole('button', { name: /^6 ft, / }).dblclick();
  await expect(page.getByText('Double tap: counted once.')).toBeVisible();
  await settled(page);
  await expect(score(page)).toHaveText('4');
});

test('a choice is undone before the ball before it, and a ball that was removed is put back', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await beginDesign(page, '/a/lantern-hollow', { title: 'Undone clubs', stations: [{ shot: 'chip', distance: '8', balls: '4' }] });
  await page.getByText('Clubs and repeats').click();
  await page.getByText('No club twice').click();
  await saveDesign(page, 'Undone clubs');
  await startPlay(page, 'Teodor');
  const [first, second] = (await page.getByRole('region', { name: 'Which club?' }).getByRole('button').allTextContents()).slice(0, 2);
  await press(page, first!, 'Holed');
  await expect(score(page)).toHaveText('6');
  await press(page, second!);
  // What was chosen stands on the ball's screen.
  await expect(page.getByRole('heading', { name: '8 yd chip' }).locator('..')).toContainText(second!);
  await press(page, 'Undo');
  await expect(page.getByRole('heading', { name: 'Which club?' })).toBeVisible();
  await expect(score(page)).toHaveText('6');
  await press(page, 'Undo');
  await expect(score(page)).toHaveText('0');
  await expect(page.getByText('Removed: holed')).toBeVisible();
  await page.getByRole('button', { name: 'put it back' }).click();
  await expect(score(page)).toHaveText('6');
  await expect(page.getByText(/^Removed/)).toHaveCount(0);
  await expect(page.getByRole('button', { name: new RegExp(`^${first}`) })).toBeDisabled();
});
