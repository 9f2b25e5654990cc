import type { Page } from '@playwright/test';
import { ask } from './database';
import { addPlayer, beginDesign, press, saveDesign, score, signUp, startPlay, startTogether, typeFeet, settled } from './steps';
import { expect, test, withoutForecasts } from './test';

/*
 * Every way of scoring: designed in the interface, played to its end, and its score checked against values worked out
 * by hand. Odd endings too.
 */
test.use({ storageState: { cookies: [], origins: [] } });

let page: Page;
let home: string;
const chip = (distance: string, balls?: string) => ({ shot: 'chip', distance, ...(balls ? { balls } : {}) });

test.beforeAll(async ({ browser }) => {
  page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await withoutForecasts(page.context());
  home = await signUp(page, { academy: 'Ten Ways' });
  await addPlayer(page, home, 'Otto', '12');
  await addPlayer(page, home, 'Mia', '20');
});
test.afterAll(() => page.close());

const summary = () => page.getByRole('link', { name: 'Done' });

test('ring points, out and back: 4 + 0, then 2 + 6, in feet dragged on the target', async () => {
  await beginDesign(page, home, { title: 'Rings', stations: [chip('8', '2'), chip('12', '2')] });
  await page.getByLabel('Order').selectOption({ label: 'out and back, one ball where you turn' });
  // From 2 ft by pixels to 3 ft: the rings are drawn 1.35 ** n metres wide, the grip follows the pointer in half feet.
  const grip = page.getByRole('slider', { name: 'Edge of ring 1' });
  await grip.scrollIntoViewIfNeeded();
  const box = (await grip.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height - 30];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 6, y, { steps: 3 });
  await page.mouse.move(x + 22, y, { steps: 5 });
  await page.mouse.up();
  const dragged = Number(
    await page
      .getByLabel(/^From the hole/)
      .first()
      .inputValue(),
  );
  expect([dragged > 2, (dragged * 2) % 1]).toEqual([true, 0]);
  await page
    .getByLabel(/^From the hole/)
    .first()
    .fill('3');
  await expect(page.getByText('at most 24')).toBeVisible();
  await saveDesign(page, 'Rings');
  await startPlay(page, 'Otto');
  await expect(page.getByRole('heading', { name: '8 yd chip' })).toBeVisible();
  await press(page, '3 ft');
  await expect(page.getByRole('heading', { name: '12 yd chip' })).toBeVisible();
  await press(page, 'out', '5 ft', 'Holed');
  await expect(summary()).toBeVisible();
  await expect(score(page)).toHaveText('12');
});

test('total left: 4 ft 6, holed, and outside 20 ft, are 24 ft 6 in all', async () => {
  await beginDesign(page, home, { title: 'Feet', scheme: 'total left', stations: [chip('10', '3')] });
  await page.getByRole('textbox', { name: /^Not measured/ }).fill('20');
  await page.getByLabel(/^Goal, in all/).fill('24');
  await expect(page.getByText('24 ft over 3 balls: 8 ft each on average.')).toBeVisible();
  await saveDesign(page, 'Feet');
  await startPlay(page, 'Otto');
  await page.keyboard.type('4f6');
  await page.keyboard.press('Enter');
  await expect(score(page)).toHaveText('4 ft 6');
  await settled(page);
  await typeFeet(page, 'h');
  await press(page, 'outside.20.ft');
  await expect(score(page)).toHaveText('24 ft 6');
  await expect(page.getByText(/missed by/)).toContainText('missed by 6 in');
});

test('hits inside two club-lengths of the player’s own, and a goal in hits', async () => {
  await beginDesign(page, home, { title: 'Clubs', scheme: 'hits', stations: [chip('15', '3')] });
  await page.getByLabel('Zones in').selectOption('club');
  await page.getByLabel('Whose').selectOption('player');
  await page.getByLabel(/^A hit is inside/).fill('2');
  await page.getByLabel('Goal, in hits').fill('2');
  await expect(page.getByText('2 of 3 balls.')).toBeVisible();
  await saveDesign(page, 'Clubs');
  await startPlay(page, 'Otto');
  await press(page, '2 clubs', 'out', 'Holed');
  await expect(score(page)).toHaveText('2');
  await expect(page.getByText('reached')).toBeVisible();
});

test('landing zone: land and finish, one of three does both', async () => {
  await beginDesign(page, home, {
    title: 'Land',
    scheme: 'landing zone',
    stations: [{ shot: 'pitch', distance: '20', balls: '3', carry: '12' }],
  });
  await page.getByLabel('It must also finish near the hole').check();
  await page.getByLabel(/^Finish inside/).fill('8');
  await page.getByRole('slider', { name: 'Lands at, station 1' }).focus();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByRole('textbox', { name: /^Lands at/ })).toHaveValue('12.5');
  await saveDesign(page, 'Land');
  await startPlay(page, 'Otto');
  await press(page, 'landed only', 'near only', 'landed . near');
  await expect(score(page)).toHaveText('1');
  await expect(page.getByText('landed in the zone')).toBeVisible();
});

test('hole out: 2, 1, 3 from the rough against par 7, level by level', async () => {
  await beginDesign(page, home, {
    title: 'Doors',
    scheme: 'hole out',
    stations: [
      { ...chip('8', '1'), par: '2' },
      { ...chip('14', '1'), par: '2' },
      { ...chip('20', '1'), par: '3' },
    ],
  });
  await page.getByLabel('One more stroke from level').fill('18');
  await page.getByLabel('Goal, in strokes').fill('7');
  await expect(page.getByText('7 over three stations: two in two, one in three.')).toBeVisible();
  await saveDesign(page, 'Doors');
  await startPlay(page, 'Otto');
  await press(page, '2', '1 · holed it');
  await expect(page.getByText('one under through two')).toBeVisible();
  await press(page, 'rough', '3');
  await expect(score(page)).toHaveText('6');
  await expect(page.getByText('one under through three (par 7)')).toBeVisible();
  await expect(page.getByText('2 of 3', { exact: true })).toBeVisible();
  // Mia is of level 20: her par is one more at each, 10 in all.
  await page.getByRole('link', { name: 'Again' }).click();
  await startPlay(page, 'Mia');
  await press(page, '3', '3', '2');
  await expect(page.getByText('two under through three (par 10)')).toBeVisible();
});

const rungs = ['4', '6', '8'].map((distance) => ({ shot: 'putt', distance }));

test('ladder: up, down to the floor, undone, and passed with six balls', async () => {
  await beginDesign(page, home, { title: 'Rungs', scheme: 'ladder', stations: rungs });
  await page.getByLabel(/^Climbs inside/).fill('0');
  await saveDesign(page, 'Rungs');
  await startPlay(page, 'Otto');
  // The floor: a miss on the first rung stays there.
  await press(page, 'Missed');
  await expect(page.getByText('rung 1 of 3')).toBeVisible();
  await press(page, 'Holed', 'Missed', 'Holed', 'Missed');
  await expect(page.getByText('rung 1 of 3')).toBeVisible();
  await press(page, 'Undo');
  await expect(page.getByText('rung 2 of 3')).toBeVisible();
  await press(page, 'Holed', 'Holed');
  await expect(page.getByText('passed the last rung')).toBeVisible();
  await expect(score(page)).toHaveText('6');
});

test('ladder off its bottom: the end, with the rung it reached', async () => {
  await beginDesign(page, home, { title: 'Edge', scheme: 'ladder', stations: rungs });
  await page.getByLabel(/^Climbs inside/).fill('0');
  await page.getByLabel('The lowest rung is').selectOption({ label: 'the edge: below it, the end' });
  await page.getByLabel('The score is').selectOption({ label: 'the highest rung' });
  await saveDesign(page, 'Edge');
  await startPlay(page, 'Otto');
  await press(page, 'Holed', 'Missed', 'Missed');
  await expect(page.getByText('off the bottom')).toBeVisible();
  await expect(score(page)).toHaveText('1');
});

test('ladder for two by turns: the second has one more ball, and it ends level', async () => {
  await beginDesign(page, home, { title: 'Stairs', scheme: 'ladder', stations: rungs.slice(0, 2) });
  await page.getByLabel(/^Climbs inside/).fill('0');
  await page.getByLabel('The score is').selectOption({ label: 'the highest rung' });
  await page.getByText('By turns').click();
  await saveDesign(page, 'Stairs');
  await page.getByText('several').click();
  await startTogether(page, 'Otto', 'Mia');
  await press(page, 'Holed', 'Holed', 'Holed');
  await expect(page.getByRole('tab', { name: /Mia/ })).toHaveAttribute('aria-selected', 'true');
  await press(page, 'Holed');
  await expect(page.getByRole('heading', { name: 'Level: Otto and Mia, 2 rungs' })).toBeVisible();
});

test('nearest wins: a level round, then first to two, with a head start of half a point', async () => {
  await beginDesign(page, home, { title: 'Duel', scheme: 'nearest wins', stations: [chip('10', '6')] });
  await page.getByLabel('First to, points').fill('2');
  await page.getByText('Head starts may be given').click();
  await saveDesign(page, 'Duel');
  await page.getByRole('button', { name: 'Otto' }).click();
  await page.getByRole('button', { name: 'Mia' }).click();
  await page.getByLabel('Head start, Mia').fill('0,5');
  await page.getByRole('button', { name: 'Start with 2' }).click();
  await page.getByRole('button', { name: 'Ready' }).click();
  await typeFeet(page, '4', '4');
  await expect(page.getByRole('tab', { name: /Mia/ })).toContainText('0.5');
  await typeFeet(page, '3', '5', 'h', '1');
  await expect(page.getByRole('heading', { name: 'Otto wins, 2 points' })).toBeVisible();
});

test('nearest wins with all balls played, and a duel that ties', async () => {
  await beginDesign(page, home, { title: 'Tie', scheme: 'nearest wins', stations: [chip('10', '2')] });
  await page.getByLabel('First to, points').fill('');
  await page.getByLabel('A kept call earns').fill('1');
  await saveDesign(page, 'Tie');
  await startTogether(page, 'Mia', 'Otto');
  for (const [feet, kept] of [
    ['2', 'kept'],
    ['6', 'not kept'],
    ['9', 'not kept'],
    ['3', 'kept'],
  ] as const) {
    await press(page, 'Called aloud');
    await typeFeet(page, feet);
    await press(page, kept);
  }
  // One nearest and one kept call each.
  await expect(page.getByRole('heading', { name: 'Level: Mia and Otto, 2 points' })).toBeVisible();
});

test('shot matrix: four combinations once, three as asked; what was asked is on record', async () => {
  await beginDesign(page, home, { title: 'Windows', scheme: 'shot matrix', stations: [{ shot: 'pitch', distance: '25' }] });
  for (const value of ['medium', 'straight']) await page.getByRole('button', { name: value, exact: true }).click();
  await expect(page.getByText('4 different shots at each station')).toBeVisible();
  await saveDesign(page, 'Windows');
  await startPlay(page, 'Otto');
  await expect(page.getByText('low draw')).toBeVisible();
  await press(page, 'as asked', 'not', 'as asked', 'as asked');
  await expect(score(page)).toHaveText('3');
  const session = new URL(page.url()).hash.slice(1);
  const shots = () =>
    ask<{ trajectory: string; shape: string; executed: boolean }>(
      'select trajectory, shape, executed from shot where session_id = $1 order by turn_no',
      session,
    );
  const said = async () => (await shots()).map((shot) => `${shot.trajectory} ${shot.shape} ${shot.executed}`);
  await expect.poll(said).toEqual(['low draw true', 'low fade false', 'high draw true', 'high fade true']);
});

test('club trial, neighbours kept apart: the clubs are ranked by what they left', async () => {
  await beginDesign(page, home, { title: 'Bag', scheme: 'club trial', stations: [chip('15', '1')] });
  await page.getByText('Clubs and repeats').click();
  await page.getByText('Never a neighbour of the club before').click();
  await saveDesign(page, 'Bag');
  await startPlay(page, 'Otto');
  await expect(page.getByText('with the PW')).toBeVisible();
  // PW 6, 58° 2, 8 iron 12, 54° 4: 24 ft in all.
  await typeFeet(page, '6', '2', '12', '4');
  await expect(score(page)).toHaveText('24 ft');
  const clubs = page.getByRole('table').filter({ hasText: 'Left on average' }).getByRole('rowheader');
  await expect(clubs).toHaveText(['58° 1 ball', '54° 1 ball', 'PW 1 ball', '8 iron 1 ball']);
  // Of one ball each nobody can tell.
  await expect(page.getByText('The 58° and the 54° are too close to call.')).toBeVisible();
});

test('streak across an undo: two, broken, undone, three in a row with four balls', async () => {
  await beginDesign(page, home, { title: 'Run', scheme: 'streak', stations: [{ shot: 'putt', distance: '4', balls: '8' }] });
  await page.getByLabel(/^The run goes on inside/).fill('0');
  await page.getByLabel('Over with, in a row').fill('3');
  await page.getByLabel('The score is').selectOption({ label: 'the balls it took' });
  await saveDesign(page, 'Run');
  await startPlay(page, 'Otto');
  await press(page, 'Missed', 'Holed', 'Holed');
  await expect(page.getByText('run 2 · longest 2')).toBeVisible();
  await press(page, 'Missed');
  await expect(page.getByText('run 0 · longest 2')).toBeVisible();
  await press(page, 'Undo');
  await expect(page.getByText('run 2 · longest 2')).toBeVisible();
  await press(page, 'Holed');
  await expect(score(page)).toHaveText('4');
});

test('a perfect first round ends the game and reaches its goal', async () => {
  await beginDesign(page, home, { title: 'Clean', scheme: 'hits', stations: [chip('6', '3'), chip('9', '3')] });
  await page.getByLabel('Order').selectOption({ label: 'out and back, one ball where you turn' });
  await page.getByText('A perfect first round ends the game').click();
  await page.getByLabel('Goal, in hits').fill('5');
  await saveDesign(page, 'Clean');
  await startPlay(page, 'Otto');
  await press(page, '6 ft', 'Holed');
  await expect(page.getByText('a perfect first round')).toBeVisible();
  await expect(page.getByText('reached')).toBeVisible();
  await expect(score(page)).toHaveText('2');
});

test('one side only, again until it works, two phases: each asked and scored as it says', async () => {
  await beginDesign(page, home, { title: 'Past', scheme: 'hits', stations: [{ shot: 'putt', distance: '20', balls: '2' }] });
  await page.getByLabel('Counts on').selectOption('long');
  await page.getByLabel('Attempts').selectOption('until_works');
  await page.getByRole('button', { name: 'Add a phase', exact: true }).click();
  await page.getByLabel('Balls at each').fill('1');
  await saveDesign(page, 'Past');
  await startPlay(page, 'Otto');
  await expect(page.getByText('Find the shot')).toBeVisible();
  await press(page, '6 ft');
  // The phase that counts is announced, with what there is to do.
  await expect(page.getByText('Find the shot is over.')).toBeVisible();
  await expect(page.getByText('Two balls.')).toBeVisible();
  await page.getByRole('button', { name: 'Ready' }).click();
  await press(page, '6 ft', 'short of it');
  await expect(page.getByText('again, attempt 2')).toBeVisible();
  await press(page, '6 ft', 'past the hole', 'Holed');
  // The first ball was short and only its second attempt worked: one hit of two; the phase before had one of one.
  await expect(score(page)).toHaveText('1');
  await expect(page.getByText('Find the shot: 1 hit, 1 ball')).toBeVisible();
  await expect(page.getByText('1 ball hit again')).toBeVisible();
});

test('an open game grows while it is played, and is kept as a game', async () => {
  await page.goto(`${home}/games/library/wander`);
  await startPlay(page, 'Otto');
  await page.getByRole('radio', { name: 'pitch' }).click();
  await page.getByRole('radio', { name: 'light rough' }).click();
  await page.getByRole('button', { name: 'Play it' }).click();
  await expect(page.getByText('Enter the distance to the hole as a number.')).toBeVisible();
  await page.getByLabel('Distance to the hole, yd').fill('22');
  await page.getByRole('button', { name: 'Play it' }).click();
  await press(page, '3 ft', '6 ft');
  await page.getByRole('button', { name: 'Call another' }).click();
  await page.getByRole('radio', { name: 'putt', exact: true }).click();
  await page.getByLabel('Distance to the hole, ft').fill('10');
  await page.getByRole('button', { name: 'Play it' }).click();
  await press(page, 'Holed');
  await expect(score(page)).toHaveText('12');
  await expect(page.getByText('all sent')).toBeVisible();
  await page.getByRole('button', { name: 'That’s it' }).click();
  await expect(page.getByText('an open game')).toBeVisible();
  await page.getByRole('link', { name: 'Keep as a game' }).click();
  await expect(page.getByRole('button', { name: /^1\. 22 yd pitch/ })).toContainText('2balls');
  await expect(page.getByRole('button', { name: /^2\. 10 ft putt/ })).toContainText('1ball');
  await saveDesign(page, 'Wander, kept');
  await page.goto(home);
  await expect(page.getByRole('link', { name: /Go on.*with Wander/ })).toHaveCount(0);
});

test('the player chooses; no club twice', async () => {
  await beginDesign(page, home, { title: 'Choice', stations: [chip('8', '1'), chip('16', '1')] });
  await page.getByLabel('Order').selectOption({ label: 'the player chooses' });
  await page.getByText('Clubs and repeats').click();
  await page.getByText('No club twice').click();
  await saveDesign(page, 'Choice');
  await startPlay(page, 'Otto');
  await page.getByRole('button', { name: /^16 yd chip/ }).click();
  await press(page, 'PW', 'Holed');
  await expect(page.getByRole('heading', { name: '8 yd chip' })).toBeVisible();
  await expect(page.getByRole('button', { name: /^PW/ })).toBeDisabled();
  await press(page, '54°', '2 ft');
  await expect(score(page)).toHaveText('10');
});

test('time runs out: the game is over although balls are left', async () => {
  await page.clock.install();
  await beginDesign(page, home, { title: 'Clock', scheme: 'hits', stations: [chip('10', '9')] });
  await page.getByLabel(/^Time limit/).fill('0.5');
  await saveDesign(page, 'Clock');
  await startPlay(page, 'Otto');
  await page.getByRole('button', { name: '6 ft' }).click();
  await page.clock.runFor(10_000);
  await expect(page.getByRole('timer')).toHaveText(/0:(19|20)/);
  await page.clock.runFor(25_000);
  await expect(page.getByText('time is over')).toBeVisible();
  await expect(score(page)).toHaveText('1');
});
