import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { ask } from './database';
import { press, saveDesign, score, startPlay } from './steps';
import { expect, test } from './test';

const games = '/a/lantern-hollow/games';

test('from the first page a library game is at its first ball in six taps', async ({ page }) => {
  await page.goto('/a/lantern-hollow');
  let taps = 0;
  const tap = async (role: 'link' | 'button', name: string | RegExp) => {
    taps += 1;
    await page.getByRole(role, { name }).first().click();
  };
  await tap('link', 'Games');
  await tap('link', 'Library');
  await tap('link', /Doorstep/);
  await tap('button', 'Inga');
  await tap('button', 'Ready');
  await tap('button', /^3 ft/);
  await expect(score(page)).toHaveText('3');
  expect(taps).toBeLessThanOrEqual(6);
  // Playing it again takes the academy's own copy, and does not make a second one.
  await page.goto(`${games}/library/doorstep`);
  await startPlay(page, 'Inga');
  await page.goto(games);
  await expect(page.getByRole('link', { name: /^Doorstep/ })).toHaveCount(1);
});

test('a game goes out as a file and comes in again, byte for byte; a broken one is refused with place and reason', async ({ page }) => {
  await page.goto(games);
  await page.getByRole('link', { name: /Lantern Six/ }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save as a file' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('lantern-six.inch-game.json');
  const text = readFileSync(await file.path(), 'utf8');

  const chooseFile = (content: string) =>
    page.getByLabel('Game file').setInputFiles({ name: 'mine.inch-game.json', mimeType: 'application/json', buffer: Buffer.from(content) });
  await page.goto(games);
  await chooseFile(text.replace('"balls": 6', '"balls": 600'));
  await expect(page.getByRole('alert').filter({ hasText: 'was not taken in' })).toContainText(
    'stations 1, balls: At most 60 balls at one station',
  );
  await chooseFile(text.replace('Lantern Six', 'Lantern Seven'));
  await expect(page.getByRole('heading', { name: 'Lantern Seven' })).toBeVisible();
  const back = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save as a file' }).click();
  expect(readFileSync(await (await back).path(), 'utf8')).toBe(text.replace('Lantern Six', 'Lantern Seven'));
});

test('a game is duplicated, put away and brought back; a short one keeps the mix', async ({ page }) => {
  await page.goto(`${games}/new?library=three-hoops`);
  await page.getByLabel('Title').fill('Put Away');
  await page.getByRole('button', { name: 'Save the game' }).click();
  await expect(page.getByRole('heading', { name: 'Put Away' })).toBeVisible();
  const address = page.url();
  await page.getByRole('link', { name: 'Duplicate' }).click();
  await expect(page.getByLabel('Title')).toHaveValue('Put Away, copy');
  await page.goto(address);
  await page.getByRole('button', { name: 'Put away' }).click();
  await expect(page.getByText('its results stay')).toBeVisible();
  await page.goto(games);
  await expect(page.getByRole('link', { name: /^Put Away/ })).toBeHidden();
  await page.getByText(/put away$/).click();
  await page.getByRole('link', { name: /^Put Away/ }).click();
  await page.getByRole('button', { name: 'Bring back' }).click();
  await expect(page.getByText('its results stay')).toBeHidden();
  await page.getByLabel('Minutes').fill('5');
  await expect(page.getByText(/6 balls.*of 12/)).toBeVisible();
  await page.getByRole('button', { name: 'Save it as a game' }).click();
  await expect(page.getByRole('heading', { name: 'Put Away, short' })).toBeVisible();
});

test('a change of a game with results is a new version, and the best of the old one is not its mark', async ({ page }) => {
  await page.goto(`${games}/new?library=porch-light`);
  await page.getByLabel('Title').fill('Versions');
  await saveDesign(page, 'Versions');
  const address = page.url();
  await startPlay(page, 'Bashir');
  await press(page, 'Holed', 'Holed', 'Holed', 'Holed', 'Holed', 'Holed');
  await expect(page.getByText('first time: the mark to beat')).toBeVisible();
  await expect(page.getByText('all sent')).toBeVisible();
  await page.goto(address);
  await startPlay(page, 'Bashir');
  await press(page, 'Holed', 'out', 'Holed', 'Holed', 'Holed', 'Holed');
  await expect(page.getByText(/best 6, of 1 earlier session/)).toBeVisible();
  await page.goto(`${address}/edit`);
  await page.getByLabel('Goal, in hits').fill('5');
  await page.getByRole('button', { name: 'Save the change' }).click();
  await expect(page.getByText(/version 2/)).toBeVisible();
  await startPlay(page, 'Bashir');
  await press(page, 'Holed', 'out', 'out', 'Holed', 'Holed', 'Holed');
  await expect(page.getByText('first time: the mark to beat')).toBeVisible();
});

test('the command line gives the score of the screen for the same game and balls', async ({ page }, info) => {
  await page.goto(`${games}/library/three-hoops`);
  await startPlay(page, 'Kofi');
  await press(page, '3 ft', 'out', 'Holed', '10 ft', '6 ft', '6 ft', 'out', '3 ft', '3 ft', 'Holed', 'out', '6 ft');
  await expect(page.getByRole('link', { name: 'Done' })).toBeVisible();
  const shown = Number(await score(page).textContent());
  await expect(page.getByText('all sent')).toBeVisible();
  const sessionId = new URL(page.url()).hash.slice(1);
  const [session] = await ask<{ spec: object }>('select spec from session where session_id = $1', sessionId);
  const shots = await ask<{ station_key: string; ball_no: number; holed: boolean; left_min_m: number | null; left_max_m: number | null }>(
    'select station_key, ball_no, holed, left_min_m, left_max_m from shot where session_id = $1 order by server_seq',
    sessionId,
  );
  const feet = (metres: number | null) => (metres === null ? '' : metres / 0.3048);
  const rows = shots.map((shot) => [shot.station_key, shot.ball_no, shot.holed, feet(shot.left_min_m), feet(shot.left_max_m)].join(','));
  const [game, table] = [info.outputPath('game.json'), info.outputPath('shots.csv')];
  writeFileSync(game, JSON.stringify(session!.spec));
  writeFileSync(table, `station,ball,holed,left_min_ft,left_max_ft\n${rows.join('\n')}\n`);
  const answer = JSON.parse(execFileSync('npm', ['run', '-s', 'inch', '--', 'score', game, table], { encoding: 'utf8' })) as Record<
    string,
    unknown
  >;
  expect(answer).toMatchObject({ total: shown, unit: 'points', over: true });
  // 4 + 0 + 6 + 1 + 2 + 2 + 0 + 4 + 4 + 6 + 0 + 2
  expect(shown).toBe(31);
  const refused = () => execFileSync('npm', ['run', '-s', 'inch', '--', 'score', table, game], { encoding: 'utf8', stdio: 'pipe' });
  expect(refused).toThrow(/it isn’t JSON/);
});

test('stations are dragged into another order', async ({ page }) => {
  await page.goto(`${games}/new?library=three-hoops`);
  await page.waitForLoadState('networkidle');
  const from = (await page.getByRole('button', { name: 'Move station 3', exact: true }).boundingBox())!;
  const to = (await page.getByRole('button', { name: 'Move station 1', exact: true }).boundingBox())!;
  await page.mouse.move(from.x + 8, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(from.x + 8, from.y - 20, { steps: 5 });
  await page.mouse.move(to.x + 8, to.y + 4, { steps: 10 });
  await page.mouse.up();
  await expect(page.getByRole('button', { name: /^1\. 17 yd chip/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^3\. 13 yd chip/ })).toBeVisible();
});
