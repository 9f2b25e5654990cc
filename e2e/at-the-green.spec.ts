import type { Page } from '@playwright/test';
import { ask } from './database';
import { addPlayer, beginDesign, press, saveDesign, score, settled, signUp, startPlay } from './steps';
import { expect, test, withoutForecasts } from './test';

/* Ways in which people practise, from the designer to the record. */
test.use({ storageState: { cookies: [], origins: [] } });

let page: Page;
let home: string;
test.beforeAll(async ({ browser }) => {
  page = await browser.newPage({ viewport: { width: 390, height: 844 } });
  await withoutForecasts(page.context());
  home = await signUp(page, { academy: 'By the Green' });
  await addPlayer(page, home, 'Otto', '12');
  await addPlayer(page, home, 'Mia', '20');
});
test.afterAll(() => page.close());

const sessionId = () => new URL(page.url()).hash.slice(1);
type Row = { station_key: string; holed: boolean; far: number | null; bearing_deg: number | null };
const recorded = (session: string) =>
  ask<Row>(
    `select station_key, holed, round(left_max_m / 0.3048)::int as far, bearing_deg::int as bearing_deg
     from shot where session_id = $1 order by turn_no`,
    session,
  );
const less = async (line: string, times: number) => {
  for (let i = 0; i < times; i++) await page.getByRole('button', { name: `${line}: one less` }).click();
};

test('ten balls are hit, then counted at the hole: a set at each spot, undone and put back as one', async () => {
  await beginDesign(page, home, {
    title: 'Ten and ten',
    stations: [
      { shot: 'chip', distance: '12', balls: '10' },
      { shot: 'pitch', distance: '30', balls: '10' },
    ],
  });
  await saveDesign(page, 'Ten and ten');
  await startPlay(page, 'Otto');
  await expect(page.getByText('Station 1')).toBeVisible();
  await page.getByRole('button', { name: 'Tally' }).click();
  await page.getByRole('button', { name: 'Holed: one more' }).click();
  for (let i = 0; i < 4; i++) await page.getByRole('button', { name: '2 ft: one more' }).click();
  await page.getByRole('button', { name: 'out: the rest' }).click();
  await page.getByRole('radio', { name: 'all short' }).click();
  await page.getByRole('button', { name: 'Record 10 balls' }).click();
  await expect(page.getByRole('heading', { name: '30 yd pitch' })).toBeVisible();
  const after = await score(page).textContent();
  // One press takes the whole set back, one puts it back.
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(score(page)).toHaveText('0');
  await page.getByRole('button', { name: 'put it back' }).click();
  await expect(score(page)).toHaveText(after!);
  // Of the second set three are missing: they are played one by one.
  await page.getByRole('button', { name: 'Tally' }).click();
  await less('balls hit', 3);
  await page.getByRole('button', { name: 'out: the rest' }).click();
  await page.getByRole('button', { name: 'Record 7 balls' }).click();
  await expect(page.getByText('3 balls left', { exact: false })).toBeVisible();
  await press(page, 'Holed', 'Holed', 'Holed');
  await expect(page.getByRole('link', { name: 'Done' })).toBeVisible();
  await expect.poll(async () => (await recorded(sessionId())).length).toBe(20);
  const rows = await recorded(sessionId());
  expect(rows.slice(0, 10).map(({ holed, far, bearing_deg }) => [holed, far, bearing_deg])).toEqual([
    [true, null, null],
    ...Array(4).fill([false, 2, 180]),
    ...Array(5).fill([false, null, 180]),
  ]);
  expect(rows.slice(10).filter(({ holed }) => holed)).toHaveLength(3);
  // The row on Today says what came of it.
  await page.goto(home);
  await expect(page.getByRole('listitem').filter({ hasText: 'Ten and ten' }).filter({ hasText: 'Otto' })).toContainText(
    /20 balls.*\d+ points/,
  );
});

test('a squad where each plays all balls at a station, then everybody at their own pace', async () => {
  await beginDesign(page, home, {
    title: 'Round the squad',
    stations: [
      { shot: 'chip', distance: '8', balls: '2' },
      { shot: 'chip', distance: '16', balls: '2' },
    ],
  });
  await saveDesign(page, 'Round the squad');
  const game = page.url();
  const turn = (name: string) => page.getByRole('tab', { name, selected: true });
  const play = async (order: readonly string[]) => {
    for (const name of order) {
      await expect(turn(name)).toBeVisible();
      await press(page, 'Holed');
      await settled(page);
    }
    await expect(page.getByRole('link', { name: 'Done' })).toBeVisible();
  };
  const start = async (way: string) => {
    await page.goto(game);
    await page.getByLabel('several').check();
    for (const player of ['Otto', 'Mia']) await page.getByRole('button', { name: player }).click();
    await page.getByRole('button', { name: 'Start with 2' }).click();
    await page.getByRole('radio', { name: way }).click();
    await page.getByRole('button', { name: 'Ready' }).click();
  };
  await start('each station');
  await play(['Otto', 'Otto', 'Mia', 'Mia', 'Otto', 'Otto', 'Mia', 'Mia']);
  await start('own pace');
  await play(['Otto', 'Otto', 'Otto', 'Otto', 'Mia', 'Mia', 'Mia', 'Mia']);
  // As it was before for whoever plays next on this phone.
  await start('each ball');
  await play(['Otto', 'Mia', 'Otto', 'Mia', 'Otto', 'Mia', 'Otto', 'Mia']);
});

test('three holes from one spot: the phone, the sheet and the cards say which', async () => {
  await beginDesign(page, home, {
    title: 'Three flags',
    stations: [
      { shot: 'chip', distance: '15', balls: '1' },
      { shot: 'chip', distance: '15', balls: '1' },
      { shot: 'chip', distance: '15', balls: '1' },
    ],
  });
  for (const [i, hole] of ['A', 'B', 'C'].entries()) {
    await page.getByRole('button', { name: new RegExp(`^${i + 1}\\. 15 yd chip`) }).click();
    await page.getByText('Hole, name, note').click();
    await page.getByLabel('Hole', { exact: true }).fill(hole);
    if (i === 1) await page.getByLabel('Note', { exact: true }).fill('land it past the ridge');
  }
  await saveDesign(page, 'Three flags');
  const game = page.url();
  await page.goto(`${game}/sheet`);
  await expect(page.getByText('land it past the ridge')).toHaveCount(2);
  for (const hole of ['A', 'B', 'C']) await expect(page.getByText(`from hole ${hole}`, { exact: false })).toBeVisible();
  await page.goto(game);
  await startPlay(page, 'Mia');
  await expect(page.getByText('Station 1 · hole A')).toBeVisible();
  await press(page, 'Holed');
  await expect(page.getByText('Station 2 · hole B')).toBeVisible();
  await expect(page.getByText('land it past the ridge')).toBeVisible();
  await press(page, 'Holed', 'out');
  await expect.poll(async () => (await recorded(sessionId())).length).toBe(3);
});

test('nine up and downs with a goal: par, strokes and up and downs as they come, and what came of it everywhere', async () => {
  await beginDesign(page, home, {
    title: 'Nine to save',
    scheme: 'hole out',
    stations: [
      { shot: 'chip', distance: '10', balls: '3', par: '2' },
      { shot: 'pitch', distance: '25', balls: '3', par: '2' },
      { shot: 'bunker shot', distance: '15', balls: '3', par: '3' },
    ],
  });
  await page.getByLabel('Goal, in strokes').fill('20');
  await saveDesign(page, 'Nine to save');
  const game = page.url();
  await startPlay(page, 'Otto');
  const strokes = ['2', '1 · holed it', '3', '2', '2', '3', '3', '2', '2'];
  await press(page, ...strokes.slice(0, 3));
  await expect(score(page)).toHaveText('6');
  const facts = page.locator('main dl');
  await expect(facts).toContainText('up and down2 of 3');
  await press(page, ...strokes.slice(3));
  // 20 strokes against a par of 21; six of nine in two or fewer.
  await expect(score(page)).toHaveText('20');
  await expect(page.getByText('reached')).toBeVisible();
  await expect(page.locator('main dl').first()).toContainText('6 of 9');
  await page.getByRole('link', { name: 'Done' }).click();
  await page.goto(game);
  await expect(page.getByRole('listitem').filter({ hasText: '20 strokes' })).toContainText('goal met');
  // Once more, a stroke worse: it says so beside it.
  await startPlay(page, 'Otto');
  await press(page, ...strokes.with(0, '3'));
  await expect(score(page)).toHaveText('21');
  await expect(page.getByText('missed by 1')).toBeVisible();
  await expect(page.getByText('all sent')).toBeVisible();
  await page.goto(game);
  await expect(page.getByRole('listitem').filter({ hasText: '21 strokes' })).toContainText('goal missed · 1 worse than last time');
});

test('a club game putted out: each club once, the strokes to finish, and a club that was chosen is undone first', async () => {
  await beginDesign(page, home, { title: 'Every club once', stations: [{ shot: 'chip', distance: '12', balls: '3' }] });
  await page.getByText('Clubs and repeats').click();
  await page.getByText('No club twice').click();
  await page.getByLabel('Putting out').selectOption({ label: 'each ball at once' });
  await saveDesign(page, 'Every club once');
  await startPlay(page, 'Mia');
  await press(page, 'PW');
  await press(page, '2 ft');
  await press(page, '2');
  await press(page, '58°');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: /^PW/ })).toBeDisabled();
  await press(page, '54°', 'Holed');
  await press(page, '58°', 'out', '3');
  await expect(page.getByRole('link', { name: 'Done' })).toBeVisible();
  await expect(page.getByText('all sent')).toBeVisible();
  const rows = await ask<{ club_label: string; strokes: number | null; holed: boolean }>(
    'select club_label, strokes, holed from shot where session_id = $1 order by turn_no',
    sessionId(),
  );
  expect(rows).toEqual([
    { club_label: 'PW', strokes: 2, holed: false },
    { club_label: '54°', strokes: null, holed: true },
    { club_label: '58°', strokes: 3, holed: false },
  ]);
});
