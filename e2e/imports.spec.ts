import { randomBytes } from 'node:crypto';
import { ask } from './database';
import { expect, test } from './test';

/** Tables that somebody kept elsewhere: looked at, put right, brought in, and taken back. */

// The table is read in a worker.
test.use({ forecasts: true });

const HOME = '/a/lantern-hollow';

/** A file whose words are nobody else's: what it brings is told from all else. */
const notes = (tag: string) =>
  [
    'Name;Date;Time;Shot;Lie;Distance;Left (m);Club;Comments',
    `Quill ${tag};3.5.2026;18:05;Chip;Fringe;12,5;1,25;PW;${tag} "soft, wet"`,
    `Quill ${tag};3.5.2026;18:06;Putting;;2,5;in;Putter;${tag}`,
    `Ruaridh;3.5.2026;18:07;Pitch;Light rough;22;3,1;SW;${tag}`,
    `Ruaridh;3.5.2026;18:08;drive;Light rough;22;3,1;SW;${tag}`,
    `Ruaridh;31.2.2026;18:09;Chip;Fringe;22;1,9;SW;${tag}`,
  ].join('\n');
const file = (name: string, text: string) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
const ballsOf = (tag: string) => ask(`select shot_type, player_id from shot where note like $1`, `${tag}%`);

test('a notebook comes in: what cannot be told is asked, bad rows are put right, doubles are passed over, and all of it is taken back', async ({
  page,
}) => {
  const tag = `n${randomBytes(4).toString('hex')}`;
  await page.goto(`${HOME}/logbook`);
  await page.getByRole('link', { name: 'Import a file' }).click();
  await expect(page.getByRole('button', { name: 'Open a file' })).toBeEnabled();
  await page.getByLabel('A file of balls or scores').setInputFiles(file('notes.csv', notes(tag)));
  // The unit of “Distance” stands nowhere: it is asked for, and nothing is offered before.
  await expect(page.getByText('In which unit is the distance to the hole?')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Import/ })).toHaveCount(0);
  await page.getByLabel('Unit of “Distance”').selectOption('metres');
  await expect(page.getByText('3 of 5 rows can be imported')).toBeVisible();
  const shown = page.getByRole('table', { name: 'The first rows as they will be saved' });
  await expect(shown.getByRole('row')).toHaveCount(4);
  await expect(shown.getByRole('row').nth(2)).toContainText('holed');

  const bad = page.getByRole('region', { name: 'Rows that can’t be imported' });
  await expect(bad.getByRole('listitem')).toHaveCount(2);
  await expect(bad).toContainText('isn’t a day of the calendar');
  const wrong = bad.getByRole('listitem').filter({ hasText: 'drive' });
  await wrong.getByLabel('Shot').fill('pitch');
  await wrong.getByRole('button', { name: 'Fix' }).click();
  await expect(page.getByText('4 of 5 rows can be imported')).toBeVisible();
  await expect(bad.getByRole('listitem')).toHaveCount(1);
  const [saved] = await Promise.all([page.waitForEvent('download'), bad.getByRole('button', { name: /^Save these rows/ }).click()]);
  expect(saved.suggestedFilename()).toBe('rows-left-out.csv');

  // A known name is that player; another is a new one.
  await expect(page.getByLabel('Who Ruaridh is')).not.toHaveValue('');
  await expect(page.getByLabel(`Who Quill ${tag} is`)).toHaveValue('');
  await page.getByRole('button', { name: 'Import 4 balls' }).click();
  await expect(page.getByText('4 balls imported.')).toBeVisible();
  expect(await ballsOf(tag)).toHaveLength(4);

  // The same file once more, in another tab: read as before, and nothing new.
  const tab = await page.context().newPage();
  await tab.goto(`${HOME}/logbook/import`);
  await tab.getByLabel('A file of balls or scores').setInputFiles(file('notes.csv', notes(tag)));
  await expect(tab.getByText('columns read as last time')).toBeVisible();
  await tab.getByRole('button', { name: 'Import 3 balls' }).click();
  await expect(tab.getByText('Nothing new. 3 rows were already here.')).toBeVisible();
  await tab.close();

  await page.getByRole('link', { name: 'Open the logbook' }).click();
  await page.getByLabel('Find a player, a game or a tag').fill(`Quill ${tag}`);
  const rows = page.getByRole('row').filter({ has: page.getByRole('rowheader') });
  await expect(rows).toHaveCount(1);
  await expect(rows).toContainText('2 balls');
  await rows.getByRole('link').first().click();
  await expect(page.getByText('balls without a game')).toBeVisible();
  await expect(page.getByRole('link', { name: 'Keep as a game' })).toHaveCount(0);

  await page.goto(`${HOME}/logbook/import`);
  const line = page.getByRole('listitem').filter({ hasText: 'notes.csv' }).filter({ hasText: '4 balls' });
  await line.getByRole('button', { name: 'Undo' }).click();
  await line.getByRole('button', { name: 'Yes, remove 4 balls' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'notes.csv' }).filter({ hasText: 'undone' }).first()).toBeVisible();
  expect(await ballsOf(tag)).toEqual([]);
  expect(await ask('select 1 from player where name = $1', `Quill ${tag}`)).toEqual([]);
});

test('scores noted by hand stand in the logbook beside what was played', async ({ page }) => {
  const tag = `s${randomBytes(4).toString('hex')}`;
  await page.goto(`${HOME}/logbook/import`);
  const rows = [
    'date,player,test,result,unit,notes',
    `2026-05-03,Ruaridh,Wall ${tag},"7,5",s,dry`,
    `2026-05-04,Ruaridh,Wall ${tag},eight,s,`,
  ];
  await page.getByLabel('A file of balls or scores').setInputFiles(file('tests.csv', rows.join('\n')));
  await expect(page.getByLabel('It holds')).toHaveValue('scores');
  await expect(page.getByRole('region', { name: 'Rows that can’t be imported' })).toContainText('Score: “eight” is not a number');
  await page.getByRole('button', { name: 'Import 1 score' }).click();
  await expect(page.getByText('1 score imported.')).toBeVisible();
  await page.getByRole('link', { name: 'Open the logbook' }).click();
  await page.getByLabel('Find a player, a game or a tag').fill(tag);
  const line = page.getByRole('row').filter({ has: page.getByRole('rowheader') });
  await expect(line).toHaveCount(1);
  await expect(line).toContainText('7.5 s');
  await expect(line).toContainText('entered by hand');
  await line.getByRole('link').first().click();
  await expect(page.getByText('Entered by hand, without the balls')).toBeVisible();
  await expect(page.getByLabel('Score')).toHaveText('7.5 s');
});

test('a single result is noted, with its faults beside their fields, and taken away again', async ({ page }) => {
  const tag = `r${randomBytes(4).toString('hex')}`;
  await page.goto(`${HOME}/logbook`);
  await page.getByRole('link', { name: 'Add a result' }).click();
  await expect(page.getByLabel('Score')).toHaveValue('');
  await page.getByRole('button', { name: 'Save the result' }).click();
  await expect(page.getByText('What was played?')).toBeVisible();
  await expect(page.getByText('Enter a number.')).toBeVisible();
  await page.getByLabel('Player').selectOption('Ruaridh');
  await page.getByLabel('Game or test').fill(`Shuttle run ${tag}`);
  await page.getByLabel('Score').fill('7,5');
  await page.getByLabel('Unit').fill('s');
  await page.getByLabel('Note').fill('indoors');
  await page.getByRole('button', { name: 'Save the result' }).dblclick();
  await expect(page.getByRole('heading', { name: `Ruaridh · Shuttle run ${tag}` })).toBeVisible();
  await expect(page.getByLabel('Score')).toHaveText('7.5 s');
  expect(await ask('select 1 from session where title = $1', `Shuttle run ${tag}`)).toHaveLength(1);
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await page.getByRole('button', { name: 'Yes, remove it' }).click();
  await expect(page).toHaveURL(/logbook$/);
  expect(await ask('select 1 from session where title = $1', `Shuttle run ${tag}`)).toEqual([]);
});

test('a long file is stopped halfway, and nothing of it stays', async ({ page }) => {
  const tag = `l${randomBytes(4).toString('hex')}`;
  const rows = Array.from({ length: 12_000 }, (_, i) => {
    const day = new Date(Date.UTC(2025, 0, 1 + (i % 300))).toISOString().slice(0, 10);
    return `${day},Ruaridh,chip,fringe,${10 + (i % 7)},${1 + (i % 9)},${tag} ${i}`;
  });
  await page.goto(`${HOME}/logbook/import`);
  await page
    .getByLabel('A file of balls or scores')
    .setInputFiles(file('long.csv', ['date,player,shot,lie,distance yd,left ft,notes', ...rows].join('\n')));
  await page.getByRole('button', { name: 'Import 12,000 balls' }).click();
  await expect(page.getByRole('progressbar')).toBeVisible();
  await page.getByRole('button', { name: 'Stop and undo' }).click();
  await expect(page.getByText('Undone. Everything from this file has been removed.')).toBeVisible({ timeout: 30_000 });
  expect(await ballsOf(tag)).toEqual([]);
  expect(await ask(`select 1 from import_row where says::text like $1`, `%${tag}%`)).toEqual([]);
});

test('what is no table is refused in a sentence, and nothing is stored', async ({ page }) => {
  await page.goto(`${HOME}/logbook/import`);
  await expect(page.getByRole('button', { name: 'Open a file' })).toBeEnabled();
  const input = page.getByLabel('A file of balls or scores');
  const wrong = page.getByRole('main').getByRole('alert');
  await input.setInputFiles({
    name: 'picture.csv',
    mimeType: 'image/png',
    buffer: Buffer.concat([Buffer.from([0x89, 0x50, 0, 0, 0]), randomBytes(3000)]),
  });
  await expect(wrong).toContainText('isn’t a text file');
  await input.setInputFiles(file('empty.csv', ''));
  await expect(wrong).toHaveText('This file is empty.');
  await input.setInputFiles(file('good.csv', notes('x')));
  await expect(wrong).toHaveCount(0);
});

test('balls go out as they are filtered, and come in again as known', async ({ page }) => {
  await page.goto(`${HOME}/logbook?surface=sand`);
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Download their balls' }).click()]);
  const path = (await download.path())!;
  await page.goto(`${HOME}/logbook/import`);
  await page.getByLabel('A file of balls or scores').setInputFiles(path);
  await expect(page.getByRole('region', { name: 'Rows that can’t be imported' })).toHaveCount(0);
  await page.getByRole('button', { name: /^Import/ }).click();
  await expect(page.getByText(/Nothing new\. [\d,]+ rows were already here/)).toBeVisible({ timeout: 60_000 });
});
