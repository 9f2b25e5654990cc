import { spawnSync } from 'node:child_process';
import { DEMO_PLAYERS } from '@/core/demo/people';
import { cellsOf } from '@/core/skill/cells';
import { shippedReference } from '@/core/golf/reference';
import { counted } from '@/core/units/format';
import { sayCell } from '@/core/board/say-cell';
import { shotFileOf } from './shot-file';
import { addPlayer, designGame, press, signUp, startPlay } from './steps';
import { expect, test } from './test';

/** The boards: what a player's records say, and that the command line says the same. */

const HOME = '/a/lantern-hollow';
const cells = cellsOf(shippedReference);

test('each demo player’s planted weakness is named first, or among those that are too close to call', async ({ page }) => {
  for (const { form, effects } of DEMO_PLAYERS) {
    await page.goto(`${HOME}/players`);
    await page.getByRole('link', { name: new RegExp(`^${form.name}`) }).click();
    await page.getByRole('link', { name: 'per shot' }).click();
    const planted = cells.find(({ key }) => key === Object.keys(effects)[0])!;
    await expect(page.getByText(/^(Weakest: |Too early to name one)/)).toContainText(sayCell(planted));
  }
});

test('the command line says of the same balls what the board says', async ({ page }) => {
  const { path, playerId, level } = await shotFileOf('Maren');
  const run = spawnSync('npm', ['run', '-s', 'inch', '--', 'diagnose', path, '--level', String(level)], { encoding: 'utf8' });
  const answer = JSON.parse(run.stdout) as {
    balls: number;
    summary: string;
    cells: { shot_type: string; surface: string; band_min: number; balls: number; lost_per_shot: number; p_weakest3: number }[];
  };
  await page.goto(`${HOME}/players/${playerId}?all=1`);
  await expect(page.getByRole('heading', { level: 1 })).toContainText(`${answer.balls.toLocaleString('en')} balls`);
  await expect(page.getByText(/^Weakest: /)).toBeVisible();
  expect(answer.cells.length).toBeGreaterThanOrEqual(77);
  for (const cell of answer.cells) {
    const key = `${cell.shot_type}|${cell.surface}|${cell.band_min}`;
    const name = sayCell(cells.find((one) => one.key === key)!);
    const said = await page.getByRole('link', { name: new RegExp(`^${name.replaceAll('+', '\\+')}: `) }).getAttribute('aria-label');
    // The screen rounds to hundredths what the answer gives to ten-thousandths.
    const shown = Number(/: (−?\d\.\d\d) lost a shot, /.exec(said!)![1]!.replace('−', '-'));
    expect(Math.abs(shown - cell.lost_per_shot)).toBeLessThan(0.00506);
    expect(said).toContain(`${Math.round(100 * cell.p_weakest3)}% among the three weakest, ${counted(cell.balls, 'ball')}`);
  }
  const board = await page
    .getByText(/^Weakest: /)
    .locator('..')
    .innerText();
  expect(board.replaceAll(/\s+/g, ' ').trim()).toBe(answer.summary);
});

test('inside a cell, against others, and of some balls only', async ({ page }) => {
  await page.goto(`${HOME}/players`);
  await page.getByRole('link', { name: /^Ottilie/ }).click();
  await page.getByRole('link', { name: /^20–30 yd pitches from light rough: / }).click();
  await expect(page.getByRole('heading', { name: '20–30 yd pitches from light rough' })).toBeVisible();
  await expect(page.getByText(/^Misses on average: /)).toBeVisible();
  await expect(page.getByRole('img', { name: /^What is left, by distance/ })).toBeVisible();
  await expect(page.getByRole('img', { name: /^This shot over time/ })).toBeVisible();
  const lost = async () =>
    Number(
      (
        await page
          .getByText(/^lost a shot/)
          .locator('..')
          .locator('b')
          .innerText()
      ).replace('−', '-'),
    );
  const own = await lost();
  await page.getByLabel('Compare with').selectOption('5');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('compared with level 5');
  expect(await lost()).toBeGreaterThan(own);
  await page.getByLabel('Compare with').selectOption('squad');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('compared with the squad’s average');
  await page.getByRole('link', { name: 'Close' }).click();
  await expect(page.getByRole('heading', { name: 'Not practised' })).toBeVisible();

  const all = await page.getByRole('heading', { level: 1 }).innerText();
  await page.getByRole('button', { name: 'Filter' }).click();
  await page.getByLabel('Stance', { exact: true }).selectOption('downhill');
  await expect(page.getByText(/^[\d,]+ balls in this filter/)).toBeVisible();
  expect(await page.getByRole('heading', { level: 1 }).innerText()).not.toBe(all);
  await page.getByRole('link', { name: 'All balls' }).click();
  await expect(page.getByText(/^[\d,]+ balls in this filter/)).toBeHidden();
});

test('a player without a ball, and with a few: usual figures, and no claim', async ({ page }) => {
  test.setTimeout(150_000);
  await page.context().clearCookies();
  const home = await signUp(page, { academy: 'Boards' });
  await addPlayer(page, home, 'Nova', '15');
  // What to play first and why, instead of figures that would only be the level's.
  await expect(page.getByRole('region', { name: 'First look' })).toContainText('40 balls from the ten places');
  await expect(page.getByRole('link', { name: /^6–10 ft putts: / })).toBeHidden();
  for (const [view, empty] of [
    ['Putting', 'No putt yet.'],
    ['Over time', 'No ball yet.'],
    ['Sessions', 'None finished yet.'],
  ] as const) {
    await page.getByRole('link', { name: view }).click();
    await expect(page.getByText(empty)).toBeVisible();
  }
  await page.goto(`${home}/players/squad`);
  await expect(page.getByText('No ball yet.')).toBeVisible();

  await designGame(page, home, {
    title: 'Four',
    stations: [{ shot: 'chip', distance: '12', balls: '4' }],
    rings: [
      ['3', '3'],
      ['6', '1'],
    ],
    holed: '5',
  });
  await startPlay(page, 'Nova');
  await press(page, '3 ft', '6 ft', '3 ft', 'out');
  await page.goto(`${home}/players`);
  await page.getByRole('link', { name: /^Nova/ }).click();
  await expect(page.getByText(/^Only 4 balls so far/)).toBeVisible();
  await page.getByRole('link', { name: /^10–20 yd chips from the fairway: / }).click();
  await expect(page.getByRole('heading', { name: '10–20 yd chips from the fairway' })).toBeVisible();
  await page.goto(`${home}/players/squad`);
  await expect(page.getByRole('row', { name: /Nova/ })).toBeVisible();

  // A shot that is dreaded, beside its records.
  await page.goto(`${home}/players`);
  await page.getByRole('link', { name: /^Nova/ }).click();
  await page.getByLabel('Shots').selectOption({ label: 'chips from the fairway' });
  await page.getByRole('button', { name: 'Rate' }).click();
  await expect(page.getByText(/dreads it\. The records (agree|don’t): .* 4 balls/)).toBeVisible();
  // Shown at once, and kept when it can be rated again.
  await expect(page.getByRole('button', { name: 'Rate' })).toBeEnabled();
  await page.reload();
  await expect(page.getByText(/dreads it\./)).toBeVisible();

  // The player's own round mix: no bunkers where there are none.
  const lostIn = async () => (await page.getByRole('link', { name: /^10–20 yd bunker shots: / }).getAttribute('aria-label'))!;
  await expect(page).toHaveURL(/per=round/);
  await page.getByRole('link', { name: /Show \d+ more shots/ }).click();
  await expect(page).toHaveURL(/all=1/);
  expect(await lostIn()).not.toContain(': 0.00 lost a round, 0.00 to 0.00');
  await page.getByRole('link', { name: 'the round mix' }).click();
  await page.getByLabel('bunker shot from sand, 10–20 yd, times a round').fill('none');
  await page.getByRole('button', { name: 'Save the round mix' }).click();
  await expect(page.getByText('Enter a number, such as 0.5.')).toBeVisible();
  await page.getByLabel('bunker shot from sand, 10–20 yd, times a round').fill('0');
  await page.getByRole('button', { name: 'Save the round mix' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await page.getByRole('link', { name: 'Back to the board' }).click();
  await expect(page).toHaveURL(/per=round/);
  await page.getByRole('link', { name: /Show \d+ more shots/ }).click();
  await expect(page).toHaveURL(/all=1/);
  expect(await lostIn()).toContain(': 0.00 lost a round, 0.00 to 0.00');

  // A yardstick of the coach's own.
  await page.goto(`${home}/settings`);
  const file = (text: string) => ({ name: 'ours.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await page.getByLabel('A reference table').setInputFiles(file('shot_type,surface,band_min,expected_strokes\nchip,fairway,10,two\n'));
  await expect(page.getByText('line 2: expected_strokes “two” is no number')).toBeVisible();
  await page.getByLabel('A reference table').setInputFiles(file('shot_type,surface,band_min,expected_strokes\nchip,fairway,10,1.5\n'));
  await expect(page.getByText('“our table” holds 1 skill.')).toBeVisible();
  await page.goto(`${home}/players`);
  await page.getByRole('link', { name: /^Nova/ }).click();
  await page.getByLabel('Compare with').selectOption('table');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('compared with “our table”');
  await page.getByRole('link', { name: /^10–20 yd chips from the fairway: / }).click();
  await expect(page.getByText('strokes expected; compared with 1.50')).toBeVisible();

  // The same figures as strokes gained: one sign everywhere.
  const board = `${new URL(page.url()).pathname}?all=1`;
  const cell = page.getByRole('link', { name: /^10–20 yd chips from the fairway: / });
  const figure = async () =>
    Number(/: ([−+]?\d\.\d\d) (lost|gained) /.exec((await cell.getAttribute('aria-label'))!)![1]!.replace('−', '-'));
  await page.goto(board);
  const lost = await figure();
  expect(lost).not.toBe(0);
  await page.goto(`${home}/settings`);
  await page.getByLabel('Strokes against a level').selectOption('gained');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await page.goto(board);
  expect(await figure()).toBe(-lost);
  await expect(page.getByText(/a plus gains/)).toBeVisible();
  await expect(page.getByText(/\d lost|lost a (shot|round)/)).toHaveCount(0);
  await page.goto(`${home}/players`);
  await expect(page.getByRole('columnheader', { name: 'Gained a round' })).toBeVisible();
  await page.goto(`${home}/players/squad`);
  await expect(page.getByRole('region', { name: 'Strokes gained, by player and skill' })).toBeVisible();
});

test('over time: a day divides before from since, and the best score is named', async ({ page }) => {
  await page.goto(`${HOME}/players`);
  await page.getByRole('link', { name: /^Ottilie/ }).click();
  await page.getByRole('link', { name: 'Over time' }).click();
  await expect(page).toHaveURL(/\/time/);
  await expect(page.getByText(/% sure|probably|too close to call/i).first()).toBeVisible();
  await expect(page.getByText(/^Best \d+ points/).first()).toBeVisible();
  await page.getByLabel('Before and since').fill('2020-01-01');
  await expect(page.getByText(/^All balls are on one side of/).first()).toBeVisible();
});

test('putting and the squad say who and what', async ({ page }) => {
  await page.goto(`${HOME}/players/squad`);
  await expect(page.getByRole('row')).toHaveCount(DEMO_PLAYERS.length + 2);
  await expect(page.getByText(/ could show /).first()).toBeVisible();
  // Sorted by a skill, who loses most with it comes first.
  await page.getByRole('button', { name: 'bump and run, fairway' }).click();
  await expect(page.getByRole('row').nth(1)).toContainText('Zélie');
  await page.getByRole('link', { name: 'Kofi', exact: true }).click();
  await page.getByRole('link', { name: 'Putting' }).click();
  await expect(page.getByText(/^(Line: |Line and pace are)/)).toBeVisible();
  await expect(page.getByRole('img', { name: /^Holed by distance\. .*3–6 ft: \d+ of \d+/ })).toBeVisible();
  await expect(page.getByText(/stopped short/)).toBeVisible();
});
