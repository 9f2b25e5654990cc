import { ask } from './database';
import { addPlayer, complaints, designGame, pressKey, score, signUp, startPlay, targetScale } from './steps';
import { expect, test } from './test';

/*
 * The whole loop as a coach goes it: an account, a player of level 10, a game of two stations, ten balls by all ways
 * of entry with one undone and a reload in the middle, the summary, and the player's table. Worked out by hand:
 *
 *   15 yd chip from the fairway; rings 3 ft = 4, 6 ft = 2, 10 ft = 1, holed = 6
 *     1  key "3 ft"                  4    4
 *     2  key "Holed"                 6   10
 *     3  key "out"                   0   10
 *     4  typed 4 ft 3, taped         2   12
 *     5  tapped 3 ft right and 4 ft short, then nudged 4 x 3 in to the left:
 *        2 right, 4 short: 4.47 ft   2   14
 *   (reload)
 *   8 ft putt
 *     6  key "Holed"                 6   20
 *     7  key "out", undone; "3 ft"   4   24
 *     8  keyboard 1                  4   28
 *     9  typed 2 ft, by eye          4   32
 *    10  keyboard H                  6   38
 */
test.use({ storageState: { cookies: [], origins: [] } });

test('designs a game, plays ten balls by all ways of entry, and finds everything right', async ({ page }) => {
  test.setTimeout(150_000);
  const complained = complaints(page);
  const home = await signUp(page, { academy: 'First Loop' });
  await expect(page.getByText('Begin with who plays.')).toBeVisible();
  await addPlayer(page, home, 'Otto', '10');
  await page.goto(home);
  await expect(page.getByText('Start with a first look')).toBeVisible();
  await designGame(page, home, {
    title: 'Two Spots',
    stations: [
      { shot: 'chip', distance: '15', from: 'fairway', balls: '5' },
      { shot: 'putt', distance: '8', balls: '5' },
    ],
    rings: [
      ['3', '4'],
      ['6', '2'],
      ['10', '1'],
    ],
    holed: '6',
    goal: '30',
  });

  await page.setViewportSize({ width: 360, height: 740 });
  await startPlay(page, 'Otto');
  await expect(page.getByRole('heading', { name: '15 yd chip' })).toBeVisible();
  await expect(page.getByText('then the same again')).toBeVisible();
  await pressKey(page, '3 ft', 4);
  await pressKey(page, 'Holed', 10);
  await pressKey(page, 'out', 10);

  await page.getByRole('button', { name: 'Type distance' }).click();
  await page
    .getByRole('button', { name: 'taped' })
    .or(page.getByRole('radio', { name: 'taped' }))
    .click();
  for (const key of ['4', 'ft', '3']) await page.getByRole('button', { name: key, exact: true }).click();
  await page.getByRole('button', { name: 'Record 4 ft 3 in' }).click();
  await expect(score(page)).toHaveText('12');

  const { x, y, perFt } = await targetScale(page, 10);
  await page.mouse.click(x + 3 * perFt, y + 4 * perFt);
  await expect(page.getByText('short right · 2 points · by eye')).toBeVisible();
  await expect(page.getByText('then 8 ft putt')).toBeVisible();
  for (let i = 0; i < 4; i++) await page.getByRole('button', { name: 'A little left' }).click();
  await page.getByRole('button', { name: /^Record 4 ft/ }).click();
  await expect(score(page)).toHaveText('14');

  await page.reload();
  await expect(score(page)).toHaveText('14');
  await expect(page.getByRole('heading', { name: '8 ft putt' })).toBeVisible();

  await pressKey(page, 'Holed', 20);
  await pressKey(page, 'out', 20);
  await expect(page.getByText('3 balls left')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('4 balls left')).toBeVisible();
  await pressKey(page, '3 ft', 24);
  const keysReady = () => expect(page.getByRole('button', { name: /^Holed, / })).toBeEnabled();
  await keysReady();
  // The same key within the time in which a thumb bounces would be no second ball.
  await page.waitForTimeout(150);
  await page.keyboard.press('1');
  await expect(score(page)).toHaveText('28');
  await page.getByRole('button', { name: 'Type distance' }).click();
  await page.getByRole('radio', { name: 'by eye' }).click();
  await page.keyboard.press('2');
  await expect(page.getByRole('button', { name: 'Record 2 ft' })).toBeEnabled();
  await page.keyboard.press('Enter');
  await expect(score(page)).toHaveText('32');
  await expect(page.getByText('goal 30 · reached')).toBeVisible();
  await keysReady();
  await page.keyboard.press('h');

  // The summary, on the device and at the desk.
  await expect(page.getByText('first time: the mark to beat')).toBeVisible();
  await expect(score(page)).toHaveText('38');
  await expect(page.getByText('goal 30: reached')).toBeVisible();
  await expect(page.getByText('all sent')).toBeVisible();
  await expect(page.getByRole('row', { name: /15 yd chip/ })).toContainText(/5 balls\s*14/);
  await expect(page.getByRole('row', { name: /8 ft putt/ })).toContainText(/5 balls\s*24/);

  // Each ball in the database, in its turn; twelve events, because an undo is a fact of its own.
  const sessionId = new URL(page.url()).hash.slice(1);
  const balls = await ask<Record<string, unknown>>(
    'select turn_no, ball_no, shot_type, holed, left_m, left_min_m, left_max_m, bearing_deg, measured from shot where session_id = $1 order by turn_no',
    sessionId,
  );
  const ft = (feet: number) => Math.round(feet * 3048) / 10000;
  expect(balls.map((b) => [b.turn_no, b.ball_no, b.shot_type, b.holed, b.left_m, b.left_min_m, b.left_max_m, b.measured])).toEqual([
    [0, 1, 'chip', false, null, 0, ft(3), 'ring'],
    [1, 2, 'chip', true, null, null, null, 'ring'],
    [2, 3, 'chip', false, null, ft(10), null, 'ring'],
    [3, 4, 'chip', false, 1.2954, null, null, 'tape'],
    [4, 5, 'chip', false, expect.closeTo(ft(4.472), 1), null, null, 'eye'],
    [5, 1, 'putt', true, null, null, null, 'ring'],
    [6, 2, 'putt', false, null, 0, ft(3), 'ring'],
    [7, 3, 'putt', false, null, 0, ft(3), 'ring'],
    [8, 4, 'putt', false, ft(2), null, null, 'eye'],
    [9, 5, 'putt', true, null, null, null, 'ring'],
  ]);
  expect(Number(balls[4]!.bearing_deg)).toBeGreaterThan(148);
  expect(Number(balls[4]!.bearing_deg)).toBeLessThan(159);
  const events = await ask<{ kind: string }>('select kind from shot_event where session_id = $1 order by server_seq', sessionId);
  expect(events.map((event) => event.kind).filter((kind) => kind === 'void')).toHaveLength(1);
  expect(events).toHaveLength(12);

  // The player's board: what stands behind two of its cells, by hand.
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.getByRole('link', { name: 'Otto’s skills' }).click();
  await expect(page.getByText('Only 10 balls so far')).toBeVisible();
  await page.getByRole('link', { name: /^10–20 yd chips from the fairway: .* 5 balls$/ }).click();
  await expect(page.getByText('Median 4 ft 3 of 5; 1 holed.')).toBeVisible();
  await page.getByRole('link', { name: 'Putting' }).click();
  await expect(page.getByRole('row', { name: /^6–10 ft 2 of 5/ })).toBeVisible();

  // Today has nothing left to finish, and the session among the last ones.
  await page.goto(home);
  await expect(page.getByText('All sessions are finished.')).toBeVisible();
  await page
    .getByRole('complementary')
    .getByRole('link', { name: /Two Spots/ })
    .click();
  await expect(score(page)).toHaveText('38');
  expect(complained).toEqual([]);
});
