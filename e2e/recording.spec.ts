import { ask } from './database';
import { pressKey, score, startPlay, settled } from './steps';
import { expect, test } from './test';

const waitingLine = /waiting|all sent/;

/** Starts "Half Moon" of the demo for somebody; rings at 6, 12 and 20 ft worth 4, 2 and 1, holed 10. */
async function startHalfMoon(page: import('@playwright/test').Page, player: string) {
  await page.goto('/a/lantern-hollow/games');
  await page.getByRole('link', { name: /Half Moon/ }).click();
  await startPlay(page, player);
  return new URL(page.url()).hash.slice(1);
}

const ballsOf = async (sessionId: string) =>
  (await ask<{ turn_no: number }>('select turn_no from shot where session_id = $1 order by turn_no', sessionId)).map((row) => row.turn_no);

test('a double press is one ball', async ({ page }) => {
  const sessionId = await startHalfMoon(page, 'Bashir');
  await page.getByRole('button', { name: /^6 ft, / }).dblclick();
  await expect(score(page)).toHaveText('4');
  await settled(page);
  await expect(score(page)).toHaveText('4');
  await expect(page.getByText('all sent')).toBeVisible();
  expect(await ballsOf(sessionId)).toEqual([0]);
});

test('two tabs play one game: each shows what the other recorded, and a turn is taken once', async ({ page, context }) => {
  const sessionId = await startHalfMoon(page, 'Kofi');
  const other = await context.newPage();
  await other.goto(`/play#${sessionId}`);
  await other.getByRole('button', { name: 'Ready' }).click();
  await pressKey(page, '6 ft', 4);
  await expect(score(other)).toHaveText('4');
  // Both press at about the same moment: whether that is one ball or two, no turn is taken twice and both tabs agree.
  await Promise.all([page.getByRole('button', { name: /^12 ft, / }).click(), other.getByRole('button', { name: /^12 ft, / }).click()]);
  await Promise.all([settled(page), settled(other)]);
  // The line "all sent" may still be that of the ball before, so what is waited for is that the record and both screens say the same.
  let turns: number[] = [];
  await expect(async () => {
    turns = await ballsOf(sessionId);
    expect([
      [0, 1],
      [0, 1, 2],
    ]).toContainEqual(turns);
    const total = String(4 + 2 * (turns.length - 1));
    expect([await score(page).textContent(), await score(other).textContent()]).toEqual([total, total]);
  }).toPass({ timeout: 15_000 });
  const total = 4 + 2 * (turns.length - 1);
  await settled(other);
  await other.getByRole('button', { name: 'Undo' }).click();
  await expect(score(page)).toHaveText(String(total - 2));
  await expect.poll(() => ballsOf(sessionId)).toEqual(turns.slice(0, -1));
});

test('without a network balls are kept on the device, said to be waiting, and sent once it is back', async ({ page, context }) => {
  const sessionId = await startHalfMoon(page, 'Inga');
  await pressKey(page, '6 ft', 4);
  await expect(page.getByText('all sent')).toBeVisible();
  await context.setOffline(true);
  await pressKey(page, '12 ft', 6);
  await pressKey(page, 'Holed', 16);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(score(page)).toHaveText('6');
  await expect(page.getByText('3 waiting · no network')).toBeVisible();
  expect(await ballsOf(sessionId)).toEqual([0]);
  await context.setOffline(false);
  await expect(page.getByText('all sent')).toBeVisible({ timeout: 15_000 });
  expect(await ballsOf(sessionId)).toEqual([0, 1]);
});

test('a game left in the middle waits on Today, and can be ended and taken back there', async ({ page }) => {
  const sessionId = await startHalfMoon(page, 'Maren');
  // Maren reads metres: 6, 12 and 20 ft are 1.8, 3.7 and 6.1 m.
  await pressKey(page, '1.8 m', 4);
  await expect(page.getByText(waitingLine)).toHaveText('all sent');
  await page.getByRole('link', { name: 'Leave play, to Today' }).click();
  const line = page.getByRole('listitem').filter({ has: page.locator(`a[href="/play#${sessionId}"]`) });
  await expect(line).toContainText('Maren, Half Moon, ball 2 of 28');
  await line.getByRole('button', { name: /^End/ }).click();
  await expect(page.getByText('Ended Maren, Half Moon. 1 ball kept.')).toBeVisible();
  await expect(line).toBeHidden();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await line.getByRole('link', { name: /^Go on/ }).click();
  await expect(score(page)).toHaveText('4');
});
