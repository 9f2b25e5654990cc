import type { Page } from '@playwright/test';
import { ask } from './database';
import { addPlayer, beginDesign, press, saveDesign, score, scoredBy, settled, signUp, startPlay, typeFeet } from './steps';
import { expect, test, withoutForecasts } from './test';

/*
 * What a coach can design beyond one phase of one score: designed in the interface, played to its end on a phone, and checked against values
 * worked out by hand.
 */
test.use({ storageState: { cookies: [], origins: [] } });

let page: Page;
let home: string;
const chip = (distance: string, balls: string, more: object = {}) => ({ shot: 'chip', distance, balls, ...more });

test.beforeAll(async ({ browser }) => {
  page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await withoutForecasts(page.context());
  home = await signUp(page, { academy: 'At the Desk' });
  await addPlayer(page, home, 'Otto', '12');
});
test.afterAll(() => page.close());
test.beforeEach(() => page.setViewportSize({ width: 1280, height: 800 }));

const phone = () => page.setViewportSize({ width: 390, height: 844 });
const sessionId = () => new URL(page.url()).hash.slice(1);
const done = () => page.getByRole('link', { name: 'Done' });
/** Waits until the server has all of a session. */
const finished = () =>
  expect.poll(() => ask('select 1 from session where session_id = $1 and completed_at is not null', sessionId())).toHaveLength(1);
const heading = (name: string | RegExp) => page.getByRole('heading', { name });

test('three phases: a warm-up not scored at its own station, low and high, then hits, then what counts', async () => {
  await beginDesign(page, home, { title: 'Three Parts', stations: [chip('12', '2')], scheme: 'ring points' });
  await page.getByRole('button', { name: 'Add a warm-up, not scored' }).click();
  await page.getByLabel('Swing thought').fill('brush the grass');
  for (const flight of ['low', 'high'])
    await page.getByRole('group', { name: 'Phase 1, before what counts' }).getByRole('button', { name: flight, exact: true }).click();
  await page.getByLabel('Balls at each').fill('2');
  await page.getByLabel('Played at').selectOption({ label: 'stations of its own' });
  const own = page.getByRole('group', { name: 'Phase 1, before what counts' });
  await own.getByLabel(/^Distance/).fill('8');
  await page.getByRole('button', { name: 'Add a phase', exact: true }).click();
  await page.getByLabel('Balls at each').fill('1');
  await saveDesign(page, 'Three Parts');
  await expect(page.getByText('Swing thought: brush the grass.')).toBeVisible();
  await expect(heading('Warm up')).toBeVisible();

  await phone();
  await startPlay(page, 'Otto');
  await expect(heading('8 yd chip')).toBeVisible();
  await expect(page.getByText('low', { exact: true })).toBeVisible();
  await press(page, 'all 2 hit');
  await expect(page.getByText('high', { exact: true })).toBeVisible();
  await press(page, 'one ball');
  await press(page, 'hit');
  await expect(page.getByText('Warm up is over.')).toBeVisible();
  await page.getByRole('button', { name: 'Ready' }).click();
  await expect(heading('12 yd chip')).toBeVisible();
  await press(page, '6 ft');
  await expect(page.getByText('Find the shot is over.')).toBeVisible();
  await page.getByRole('button', { name: 'Ready' }).click();
  await press(page, 'Holed', '2 ft');
  await expect(done()).toBeVisible();
  await expect(score(page)).toHaveText('10');
  const sums = 'select phase, counts, sum(n_balls)::int as n from shot where session_id = $1 group by phase, counts order by phase';
  const balls = () => ask<{ phase: number; counts: string; n: number }>(sums, sessionId());
  await expect
    .poll(async () => (await balls()).map(({ phase, counts, n }) => [phase, counts, n]))
    .toEqual([
      [0, 'practice_ball', 4],
      [1, 'ordinary', 1],
      [2, 'ordinary', 2],
    ]);
});

test('an open game with a plan: two stations of two balls, a par at each call, a goal; lie, stance and wind are kept', async () => {
  await page.goto(`${home}/games/new`);
  await page.getByLabel('Title').fill('Walk and Call');
  await page.getByRole('button', { name: 'Remove station 1' }).click();
  await page.getByLabel('Stations are called while you play').check();
  await page.getByLabel('Stations to call').fill('2');
  await page.getByLabel('Balls at each').fill('2');
  await scoredBy(page, 'hole out');
  await page.getByLabel('What counts').selectOption({ label: 'balls in par or better, most wins' });
  await page.getByLabel('Goal, in par or better').fill('3');
  await saveDesign(page, 'Walk and Call');
  await expect(page.getByText('3 of 4 balls in par or better.')).toBeVisible();

  await phone();
  await startPlay(page, 'Otto');
  await expect(page.getByText('Station 1 of 2, 2 balls there')).toBeVisible();
  await page.getByLabel('Distance to the hole, yd').fill('14');
  await page.getByRole('radio', { name: 'light rough' }).click();
  await page.getByRole('radio', { name: '3', exact: true }).click();
  await page.getByText('Lie, stance, wind').click();
  await page.getByRole('radio', { name: 'sitting down' }).click();
  await page.getByRole('radio', { name: 'uphill' }).click();
  await page.getByLabel('Wind').fill('into');
  await page.getByRole('button', { name: 'Play it' }).click();
  await expect(heading('14 yd chip')).toBeVisible();
  await expect(page.getByText('par 3')).toBeVisible();
  await press(page, '3', '4');
  // The two that are planned there are played: another station is called.
  await expect(page.getByText('Station 2 of 2, 2 balls there')).toBeVisible();
  await page.getByLabel('Distance to the hole, yd').fill('10');
  await page.getByRole('button', { name: 'Play it' }).click();
  await press(page, '2', '2');
  await expect(done()).toBeVisible();
  await expect(score(page)).toHaveText('3');
  await finished();
  const [first] = await ask<object>(
    'select surface, sit, stance, wind, par, strokes from shot where session_id = $1 order by turn_no limit 1',
    sessionId(),
  );
  expect(first).toEqual({ surface: 'light_rough', sit: 'down', stance: 'uphill', wind: 'into', par: 3, strokes: 3 });
  await page.goto(`${home}/logbook`);
  await expect(page.getByText('3 in par or better')).toBeVisible();
  await expect(page.getByRole('table').getByText('goal met')).toBeVisible();
});

test('low against high from one lie, by what was left', async () => {
  await beginDesign(page, home, { title: 'Low or High', stations: [chip('20', '2')], scheme: 'shot matrix' });
  await page.getByLabel('What counts').selectOption({ label: 'what each left to the hole' });
  for (const shape of ['straight', 'draw', 'fade', 'medium']) await page.getByRole('button', { name: shape, exact: true }).click();
  await page.getByLabel('Balls', { exact: true }).fill('2');
  await saveDesign(page, 'Low or High');
  await expect(page.getByText('The same shot, low and high: distances left are added up and compared.')).toBeVisible();

  await phone();
  await startPlay(page, 'Otto');
  await typeFeet(page, '3', '5', '10', '14');
  await expect(done()).toBeVisible();
  await expect(score(page)).toHaveText('32 ft');
  await expect(page.getByRole('row', { name: /^low 2 balls/ })).toContainText('4 ft');
  await expect(page.getByRole('row', { name: /^high 2 balls/ })).toContainText('12 ft');
  await finished();
  await page.goto(`${home}/logbook`);
  await page.getByRole('link', { name: /Low or High/ }).click();
  await expect(page.getByRole('row', { name: /^low 2 balls/ })).toBeVisible();
});

test('out and back, once or twice where it turns: the coach sees which', async () => {
  const three = [chip('45', '2'), chip('35', '2'), chip('25', '1')];
  await beginDesign(page, home, { title: 'Once', stations: three, scheme: 'hits' });
  await page.getByLabel('Order').selectOption({ label: 'out and back, one ball where you turn' });
  await expect(page.getByText('45, 35, 25, 35, 45', { exact: true })).toBeVisible();
  await saveDesign(page, 'Once');
  const playThrough = async (order: string[]) => {
    await phone();
    await startPlay(page, 'Otto');
    for (const distance of order) {
      await expect(heading(`${distance} yd chip`)).toBeVisible();
      await press(page, 'Holed');
    }
    await expect(done()).toBeVisible();
    await expect(score(page)).toHaveText(String(order.length));
    await settled(page);
    await page.setViewportSize({ width: 1280, height: 800 });
  };
  await playThrough(['45', '35', '25', '35', '45']);
  await beginDesign(page, home, { title: 'Twice', stations: [...three.slice(0, 2), chip('25', '2')], scheme: 'hits' });
  await page.getByLabel('Order').selectOption({ label: 'out and back, two balls where you turn' });
  await expect(page.getByText('45, 35, 25, 25, 35, 45', { exact: true })).toBeVisible();
  await saveDesign(page, 'Twice');
  await playThrough(['45', '35', '25', '25', '35', '45']);
});

test('all chips are hit, then putted out: each counts once it is holed, and undo takes the last putts back first', async () => {
  await beginDesign(page, home, { title: 'Hit, Then Putt', stations: [chip('15', '3')], scheme: 'hole out' });
  await page.getByLabel('Putting out').selectOption({ label: 'after all balls are hit' });
  await page.getByLabel('What counts').selectOption({ label: 'balls in par or better, most wins' });
  await saveDesign(page, 'Hit, Then Putt');
  await phone();
  await startPlay(page, 'Otto');
  await press(page, 'on the green', '1 · holed it', 'in the rough');
  await expect(heading('Now putt them out')).toBeVisible();
  await expect(page.getByText(/^Ball 1/)).toBeVisible();
  await press(page, '2');
  await expect(page.getByText(/^Ball 3/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(/^Ball 1/)).toBeVisible();
  await press(page, '3');
  await press(page, '4');
  await expect(done()).toBeVisible();
  await expect(score(page)).toHaveText('1');
  const strokes = () => ask<object>('select holed, strokes from shot where session_id = $1 order by turn_no', sessionId());
  await expect.poll(strokes).toEqual([
    { holed: false, strokes: 3 },
    { holed: true, strokes: null },
    { holed: false, strokes: 4 },
  ]);
  await finished();
});

test('trying another way of scoring and coming back keeps the balls and the figures; distances in paces', async () => {
  await beginDesign(page, home, { title: 'To and Fro', stations: [chip('12', '7')], scheme: 'ring points' });
  await page.getByLabel('Points', { exact: true }).first().fill('9');
  await scoredBy(page, 'ladder');
  await scoredBy(page, 'ring points');
  await expect(page.getByLabel('Balls', { exact: true })).toHaveValue('7');
  await expect(page.getByLabel('Points', { exact: true }).first()).toHaveValue('9');
  await page.getByLabel('Unit').selectOption('pace');
  await expect(page.getByLabel(/^Distance/)).toHaveValue('12');
  // A zone keeps its size: 6 ft are no six flagsticks.
  await scoredBy(page, 'hits');
  await page.getByLabel(/^A hit is inside/).fill('6');
  await page.getByLabel('Zones in').selectOption('flagstick');
  await expect(page.getByLabel(/^A hit is inside/)).toHaveValue('0.75');
});
