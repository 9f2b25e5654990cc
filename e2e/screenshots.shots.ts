import { expect, test, type Page } from '@playwright/test';
import { pressKey, startPlay, startTogether, targetScale } from './steps';

/** The pictures of docs/screenshots, from the demo data: `npm run screenshots`. */
const folder = 'docs/screenshots';
const base = '/a/lantern-hollow';

/** Takes the picture when no key is resting and no pointer hovers. */
async function shoot(page: Page, name: string): Promise<void> {
  await page.mouse.move(0, 0);
  await page.waitForTimeout(600);
  await page.screenshot({ path: `${folder}/${name}.png` });
}

test('the desk', async ({ page }) => {
  await page.goto(`${base}/games`);
  await shoot(page, 'games');
  await page.getByRole('link', { name: /Lantern Six/ }).click();
  await expect(page.getByText('Play it now')).toBeVisible();
  await expect(page.getByText(/10,000 games a row$/)).toBeVisible();
  await page.getByRole('link', { name: 'Change' }).click();
  await expect(page.getByLabel('Title')).toBeVisible();
  for (const name of ['Ottilie', 'Teodor']) await page.getByLabel('Forecast it for a player').selectOption({ label: name });
  await expect(page.locator('[data-rough="false"][data-old="false"]')).toHaveCount(7);
  await shoot(page, 'designer');
  await page.goto(base);
  await shoot(page, 'today');
  await page.goto(`${base}/players`);
  await page.getByRole('link', { name: /Ottilie/ }).click();
  await page.getByRole('link', { name: 'per shot' }).click();
  await page.getByRole('link', { name: /^20–30 yd pitches from light rough: / }).click();
  await expect(page.getByRole('img', { name: /^What is left/ })).toBeVisible();
  await shoot(page, 'player');
  await page.getByRole('link', { name: 'Putting' }).click();
  await expect(page.getByRole('img', { name: /^Holed by distance/ })).toBeVisible();
  await shoot(page, 'putting');
  await page.getByRole('link', { name: 'Over time' }).click();
  await expect(page.getByRole('img', { name: /^putting: / })).toBeVisible();
  await shoot(page, 'over-time');
  await page.getByRole('link', { name: 'Report', exact: true }).click();
  await expect(page.getByRole('article', { name: /^Report/ })).toBeVisible();
  await shoot(page, 'report');
  await page.goto(`${base}/players/squad`);
  await expect(page.getByText('Who could help whom')).toBeVisible();
  await shoot(page, 'squad');
});

test('the logbook', async ({ page }) => {
  await page.goto(`${base}/logbook`);
  await page.getByLabel('Game', { exact: true }).selectOption('Hollow Ramble');
  await expect(page.getByText('Bests and averages')).toBeVisible();
  await shoot(page, 'logbook');
});

test('tools, and a file that comes in', async ({ page }) => {
  await page.goto(`${base}/greens`);
  await page.getByRole('link', { name: /Low green/ }).click();
  await page.getByRole('button', { name: 'Station 2', exact: true }).click();
  await page.getByRole('link', { name: 'Where to land it' }).click();
  await page.getByLabel('Player', { exact: true }).selectOption('Inga');
  await expect(page.getByRole('heading', { name: /^Bold or careful/ })).toBeVisible();
  await expect(page.getByText(/^Careful /).first()).toBeVisible();
  await shoot(page, 'landing');
  await page.goto(`${base}/logbook/import`);
  await expect(page.getByRole('button', { name: 'Open a file' })).toBeEnabled();
  await page.getByLabel('A file of balls or scores').setInputFiles({
    name: 'notebook.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      [
        'Name;Date;Time;Shot;Lie;Distance (yd);Left (ft);Club;Notes',
        'Maren;3.5.2026;18:05;Chip;Fringe;12;4,5;PW;soft',
        'Maren;3.5.2026;18:06;Pitch;Light rough;22;9;SW;',
        'Tobias;3.5.2026;18:09;Bunker;;15;12;SW;',
        'Tobias;3.5.2026;18:10;Drive;Fairway;25;6;SW;',
        'Maren;3.5.2026;18:12;Putt;;8;in;Putter;',
      ].join('\n'),
    ),
  });
  await expect(page.getByText('4 of 5 rows can be imported')).toBeVisible();
  await shoot(page, 'import');
});

test('greens and the sheet', async ({ page }) => {
  await page.goto(`${base}/greens`);
  await page.getByRole('link', { name: /Low green/ }).click();
  await page.getByRole('button', { name: 'Station 5', exact: true }).click();
  await expect(page.getByText('carry to the edge')).toBeVisible();
  await shoot(page, 'green');
  await page.setViewportSize({ width: 860, height: 1180 });
  await page.goto(`${base}/games`);
  await page.getByRole('link', { name: /Round the Low Green/ }).click();
  await page.getByRole('link', { name: 'Set it up' }).click();
  await expect(page.getByRole('heading', { name: 'Bring' })).toBeVisible();
  await shoot(page, 'sheet');
});

test('play', async ({ page }) => {
  test.setTimeout(120_000);
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${base}/games`);
  await page.getByRole('link', { name: /Low Road/ }).click();
  await page.getByRole('button', { name: 'Zélie' }).waitFor();
  await startPlay(page, 'Inga');
  let score = 0;
  for (const [key, points] of [
    ['5 ft', 2],
    ['2 ft', 4],
    ['out', 0],
    ['9 ft', 1],
  ] as const)
    await pressKey(page, key, (score += points));
  const { x, y, perFt } = await targetScale(page, 9);
  for (const [right, beyond] of [
    [-1.5, -3.8],
    [2.2, 1.6],
  ] as const) {
    await page.mouse.click(x + right * perFt, y - beyond * perFt);
    await page.getByRole('button', { name: /^Record/ }).click();
    await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled();
  }
  await shoot(page, 'play');
  await page.mouse.click(x - 2.6 * perFt, y + 3.4 * perFt);
  await page.getByRole('button', { name: /^Record/ }).click();
  await page.getByRole('button', { name: 'Type distance' }).click();
  for (const key of ['4', 'ft', '3']) await page.getByRole('button', { name: key, exact: true }).click();
  await page.getByRole('button', { name: /^Record/ }).click();
  for (let ball = 9; ball <= 28; ball++) {
    await page
      .getByRole('button', { name: /^(5 ft|9 ft|out), / })
      .nth(ball % 3)
      .click();
    await page.waitForTimeout(420);
  }
  await expect(page.getByText('28 of 28 balls')).toBeVisible();
  await shoot(page, 'summary');
});

test('plans', async ({ page }) => {
  await page.goto(`${base}/plan/game?minutes=30`);
  await page.getByLabel('For whom').selectOption('Ottilie');
  await expect(page.getByRole('heading', { level: 1, name: 'A game for Ottilie' })).toBeVisible();
  await expect(page.getByRole('article')).toHaveCount(3);
  const ottilie = new URL(page.url()).searchParams.get('for')!;
  await page.goto(`${base}/plan/hour/new?for=${ottilie}`);
  await expect(page.getByRole('article')).toHaveCount(5);
  await shoot(page, 'hour');
  await page.goto(`${base}/plan`);
  await page.getByRole('link', { name: /^Eight weeks to the spring league/ }).click();
  await expect(page.getByRole('region', { name: /^Verdict on/ })).toBeVisible();
  await shoot(page, 'weeks');
  await page.goto(`${base}/plan`);
  await page.setViewportSize({ width: 390, height: 844 });
  const hour = await page.getByRole('link', { name: /^Pitches, then the Six/ }).getAttribute('href');
  await page.goto(`/play#hour~lantern-hollow%2F${hour!.split('/').at(-1)!}`);
  await expect(page.getByText(/^Part 2 of 4/)).toBeVisible();
  await shoot(page, 'hour-clock');
});

test('a player’s own phone', async ({ page, browser }) => {
  await page.goto(`${base}/games`);
  await page.getByRole('link', { name: /Half Moon/ }).click();
  await page.getByLabel('several').click();
  await startTogether(page, 'Bashir', 'Inga', 'Kofi', 'Ottilie', 'Ruaridh');
  for (const [n, key] of ['12 ft', '6 ft', 'out', '20 ft', '12 ft', '6 ft', '6 ft', '20 ft', 'out', '12 ft', '20 ft', 'Holed'].entries()) {
    await page.getByRole('button', { name: new RegExp(`^${key}, `) }).click();
    await page.waitForTimeout(420 + n);
  }
  await page.goto(`${base}/players`);
  await page.getByRole('link', { name: /^Inga/ }).click();
  await page.getByRole('link', { name: 'Sessions' }).click();
  await page.getByRole('button', { name: 'Make a link' }).click();
  const link = await page.getByLabel('Address of the link').inputValue();
  const phone = await browser.newPage({ viewport: { width: 390, height: 844 }, storageState: { cookies: [], origins: [] } });
  await phone.goto(link);
  await expect(phone.getByRole('heading', { name: 'To play' })).toBeVisible();
  await shoot(phone, 'link');
  await phone.close();
});
