import { expect, test } from '@playwright/test';
import { shippedReference as reference } from '../core/skill/reference';
import { ask } from './database';
import { addPlayer, complaints, designGame, pressKey, score, signUp, startPlay, targetScale } from './steps';

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
  await expect(page.getByText('Now a game to play.')).toBeVisible();
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
  // A press within a third of a second of the last one is taken for the same thumb: wait until keys are taken again.
  const keysReady = () => expect(page.getByRole('button', { name: /^Holed, / })).toBeEnabled();
  await keysReady();
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

  // The player's table: rows, counts, medians and shares by hand; strokes lost by an integration of its own.
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.getByRole('link', { name: 'Otto’s skills' }).click();
  const row = (name: RegExp) => page.getByRole('row', { name });
  const cells = async (name: RegExp) => (await row(name).getByRole('cell').allInnerTexts()).map((text) => text.replace(/\s+/g, ' ').trim());
  const left = Number(balls[4]!.left_m) / 0.3048;
  const putts = (feet: number) => reference.putts(10, feet * 0.3048);
  const chipLost = (1 + 4 + inside(0, 3) + 0 + inside(10, 400) + putts(4.25) + putts(left)) / 5 - 2.549;
  const puttLost = (5 + 2 * evenly(0, 3) + putts(2)) / 5 - putts(8);
  const chip = await cells(/^chip fairway/);
  expect(chip.toSpliced(2, 1)).toEqual(['chip fairway', '10–20 yd', '5', '4 ft 3', '80%', '20%']);
  expect(Math.abs(lost(chip[2]!) - chipLost)).toBeLessThan(0.012);
  const putt = await cells(/^putt green/);
  expect(putt.toSpliced(2, 1)).toEqual(['putt green', '6–10 ft', '5', '0 in – 3 ft leave of 3', '100%', '40%']);
  expect(Math.abs(lost(putt[2]!) - puttLost)).toBeLessThan(0.012);

  // Today has nothing left to finish, and the session among the last ones.
  await page.goto(home);
  await expect(page.getByText('Nothing is waiting.')).toBeVisible();
  await page.getByRole('link', { name: /Otto, Two Spots/ }).click();
  await expect(score(page)).toHaveText('38');
  expect(complained).toEqual([]);
});

const lost = (text: string) => Number(text.split(' ')[0]!.replace('−', '-'));

/** Level 10's expected putts from somewhere between two distances in feet, as a chip of 15 yd from the fairway leaves them. */
function inside(from: number, to: number): number {
  const { medianLeftFt, logSpread } = reference.shot(10, 'chip', 'fairway', 15 * 0.9144)!;
  let weight = 0;
  let sum = 0;
  const steps = 4000;
  for (let i = 0; i < steps; i++) {
    const feet = from + ((i + 0.5) / steps) * (to - from);
    const z = Math.log(feet / medianLeftFt) / logSpread;
    const density = Math.exp((-z * z) / 2) / feet;
    weight += density;
    sum += density * Math.max(1, reference.putts(10, feet * 0.3048));
  }
  return sum / weight;
}

/** The same where every distance is as likely as another. */
function evenly(from: number, to: number): number {
  const steps = 4000;
  return (
    Array.from({ length: steps }, (_, i) => Math.max(1, reference.putts(10, (from + ((i + 0.5) / steps) * (to - from)) * 0.3048))).reduce(
      (a, b) => a + b,
      0,
    ) / steps
  );
}
