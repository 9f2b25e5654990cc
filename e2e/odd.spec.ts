import { ask } from './database';
import { addPlayer, designGame, pressKey, signUp, startPlay, settled } from './steps';
import { expect, test } from './test';

test.use({ storageState: { cookies: [], origins: [] } });

const LONG_NAME = 'Wilhelmina-Konstantina van der Oberwinterhausen-Brightwater';
const LONG_TITLE = 'The very long evening ladder of seventeen low chips and one brave lob over the bunker';

test('long names stay in their place on a phone', async ({ page }) => {
  const home = await signUp(page, { academy: 'An academy with a name that does not end where it should' });
  await addPlayer(page, home, LONG_NAME, '12');
  await designGame(page, home, {
    title: LONG_TITLE.slice(0, 80),
    stations: [{ shot: 'bump and run', distance: '15', from: 'light rough', balls: '1' }],
    rings: [
      ['3.5', '10'],
      ['6.25', '5'],
      ['12.75', '1'],
    ],
    holed: '20',
  });
  await page.setViewportSize({ width: 360, height: 740 });
  const fits = async (where: string) => {
    const wider = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect([where, wider <= 0]).toEqual([where, true]);
  };
  await page.reload();
  await fits('game');
  await startPlay(page, LONG_NAME);
  await fits('play');
  const cut = await page
    .locator('main button')
    .evaluateAll((all) => all.filter((one) => one.scrollWidth > one.clientWidth + 1).map((one) => one.textContent));
  expect(cut).toEqual([]);
  await pressKey(page, '6.3 ft', 5);
  await fits('summary');
  for (const room of ['', '/players', '/logbook', '/games']) {
    await page.goto(home + room);
    await fits(room || 'today');
  }
});

test('opening a game and leaving makes no session; starting with a double click makes one', async ({ page }) => {
  const home = await signUp(page, { academy: 'Twice' });
  await addPlayer(page, home, 'Otto', '12');
  await designGame(page, home, {
    title: 'Quick',
    stations: [{ shot: 'putt', distance: '6', balls: '2' }],
    rings: [['1', '4']],
    holed: '6',
  });
  await page.getByRole('button', { name: 'Otto' }).dblclick();
  await expect(page).toHaveURL(/\/play#/);
  const play = page.url();
  await expect(page.getByText('Before the first ball')).toBeVisible();
  // Opened and left: nobody has begun anything, here or in the database.
  const sessions = () => ask(`select session_id from session join auth_organization o on o.id = academy_id where o.name = 'Twice'`);
  await page.goto(home);
  await expect(page.getByRole('button', { name: 'Go on' })).toBeHidden();
  expect(await sessions()).toEqual([]);
  await page.goto(play);
  await page.getByRole('button', { name: 'Ready' }).click();
  await pressKey(page, 'Holed', 6);
  await expect(page.getByText('all sent')).toBeVisible();
  await page.goto(home);
  await expect(page.getByRole('link', { name: /^Go on/ })).toHaveCount(1);
  expect(await sessions()).toHaveLength(1);
});

test('the whole way by keyboard: a station added and moved, the game saved, played and left', async ({ page }) => {
  const home = await signUp(page, 'alone', 'Zip');
  await page.goto(`${home}/games/new`);
  const press = (...keys: string[]) => keys.reduce((before, key) => before.then(() => page.keyboard.press(key)), Promise.resolve());
  await page.getByLabel('Title').focus();
  await page.keyboard.type('By hand');
  await page.getByLabel('Balls', { exact: true }).focus();
  await press('Control+a');
  await page.keyboard.type('2');
  await page.getByRole('button', { name: 'Add station' }).focus();
  await press('Enter');
  await page.getByLabel('Balls', { exact: true }).focus();
  await press('Control+a');
  await page.keyboard.type('1');
  // Moved with its button, and back and forth with the arrow keys on its grip, which keeps the focus.
  await page.getByRole('button', { name: 'Station 2 earlier' }).focus();
  await press('Space');
  await expect(page.getByRole('button', { name: /^1\. 10 yd chip/ })).toContainText('1ball');
  await page.getByRole('button', { name: 'Move station 1', exact: true }).focus();
  await press('ArrowDown');
  await expect(page.getByRole('button', { name: /^2\. 10 yd chip/ })).toContainText('1ball');
  await expect(page.getByRole('button', { name: 'Move station 2', exact: true })).toBeFocused();
  await press('ArrowUp');
  await expect(page.getByRole('button', { name: /^1\. 10 yd chip/ })).toContainText('1ball');
  // An edge of the target, with the arrow keys: half a foot a step.
  await page.getByRole('slider', { name: 'Edge of ring 1' }).focus();
  await press('ArrowRight', 'ArrowRight');
  await expect(page.getByLabel(/^From the hole/).first()).toHaveValue('3');
  await page.getByLabel('Title').focus();
  await press('Enter');
  await expect(page.getByRole('heading', { name: 'By hand' })).toBeVisible();
  await page.getByRole('button', { name: 'Zip' }).focus();
  await press('Enter');
  await page.getByRole('button', { name: 'Ready' }).focus();
  await press('Enter');
  const keysReady = () => expect(page.getByRole('button', { name: /^Holed, / })).toBeEnabled();
  const score = page.getByLabel('Score', { exact: true });
  await keysReady();
  await press('h');
  await expect(score).toHaveText('6');
  await keysReady();
  await press('u');
  await expect(score).toHaveText('0');
  await settled(page);
  await press('1');
  await expect(score).toHaveText('4');
  await expect(page.getByText('all sent')).toBeVisible();
  await page.getByRole('link', { name: 'Leave play, to Today' }).focus();
  await press('Enter');
  await expect(page.getByText('Zip, By hand, ball 2 of 3')).toBeVisible();
});

test('a player’s page prints as a table without the controls', async ({ page }) => {
  const home = await signUp(page, { academy: 'Paper' });
  await addPlayer(page, home, 'Otto', '12');
  await designGame(page, home, { title: 'One', stations: [{ shot: 'putt', distance: '6', balls: '1' }], rings: [['1', '4']], holed: '6' });
  await startPlay(page, 'Otto');
  await pressKey(page, 'Holed', 6);
  await expect(page.getByText('all sent')).toBeVisible();
  await page.getByRole('link', { name: 'Otto’s skills' }).click();
  await expect(page.getByRole('table')).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('table')).toBeVisible();
  await expect(page.getByRole('navigation')).toBeHidden();
  await expect(page.getByRole('link', { name: 'Change' })).toBeHidden();
  const pdf = await page.pdf({ format: 'A4' });
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
});
