import type { Page } from '@playwright/test';
import { ask } from './database';
import { expect, test } from './test';

const HOME = '/a/lantern-hollow';

const cards = (page: Page) => page.getByRole('article');

test('from a player’s board to a game made for them, to its first ball, in four taps', async ({ page }) => {
  await page.goto(`${HOME}/players`);
  await page.getByRole('link', { name: /^Bashir/ }).click();
  await page.getByRole('link', { name: 'Make a game of it' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'A game for Bashir' })).toBeVisible();
  const points = page.getByRole('article', { name: /^Bashir: points from 6 places$/ });
  await expect(points.getByText(/^(Weakest: .*\. )?To find out: /)).toBeVisible();
  await points.getByRole('button', { name: 'Play it' }).click();
  await page.getByRole('button', { name: 'Ready' }).click();
  await page.getByRole('button', { name: /^Holed/ }).click();
  await expect(page.getByLabel('Score', { exact: true })).toHaveText('5');
});

test('the order is a sentence in the address; each purpose has three games of different kinds, with a forecast', async ({ page }) => {
  await page.goto(`${HOME}/plan/game`);
  await page.getByLabel('For whom').selectOption('Ottilie');
  await expect(page.getByRole('heading', { level: 1, name: 'A game for Ottilie' })).toBeVisible();
  for (const [what, kinds] of [
    ['find out what is weak', ['ring points', 'total left', 'ring points']],
    ['warm up', ['hits', 'ladder', 'streak']],
    ['take strokes off', ['ring points', 'hole out', 'landing zone']],
  ] as const) {
    await page.getByLabel('What for').selectOption(what);
    for (const [i, kind] of kinds.entries()) {
      await expect(cards(page).nth(i)).toContainText(kind);
      await expect(cards(page).nth(i).getByText('8 games in 10')).toBeVisible();
    }
  }
  // Another hour, another length; what is asked can be sent and gone back to.
  const balls = async () => Number(/(\d+) balls/.exec((await cards(page).first().textContent()) ?? '')![1]);
  const twenty = await balls();
  await page.getByLabel('Minutes').selectOption('45');
  await expect.poll(balls).toBeGreaterThan(twenty);
  await expect(page).toHaveURL(/minutes=45/);
  await page.reload();
  await expect(page.getByLabel('Minutes')).toHaveValue('45');
});

test('a proposed game opens in the designer as it was proposed', async ({ page }) => {
  await page.goto(`${HOME}/plan/game`);
  await page.getByLabel('For whom').selectOption('Ottilie');
  const title = 'Ottilie: hole out from 6 places';
  await page.getByRole('article', { name: title }).getByRole('link', { name: 'Open in the designer' }).click();
  await expect(page.getByLabel('Title')).toHaveValue(title);
  await expect(page.getByRole('button', { name: /^Move station \d/ })).toHaveCount(6);
  await page.getByRole('button', { name: 'Save the game' }).click();
  await expect(page.getByRole('heading', { level: 1, name: title })).toBeVisible();
});

test('two compete with a head start for the weaker, and begin with it', async ({ page }) => {
  await page.goto(`${HOME}/plan/game?what=compete`);
  await page.getByLabel('For whom').selectOption('Kofi');
  await expect(page.getByText('Competing takes two: add another player.')).toBeVisible();
  await page.getByLabel('Another player').selectOption('Zélie');
  const points = page.getByRole('article', { name: 'Points from 6 places' });
  await expect(points.getByText(/^Of all pairs the least even is \d+ to \d+\.$/)).toBeVisible();
  const start = points
    .getByRole('row', { name: /^Zélie/ })
    .getByRole('cell')
    .nth(2);
  await expect(start).toHaveText(/^\+\d/);
  const given = Number((await start.textContent())!.slice(1));
  await points.getByRole('button', { name: 'Play it' }).click();
  await page.getByRole('button', { name: 'Ready' }).click();
  await page
    .getByRole('button', { name: /^Holed|^In |^\d/ })
    .first()
    .click();
  const sessionId = new URL(page.url()).hash.slice(1);
  const starts = () =>
    ask<{ name: string; allowance: number }>(
      'select p.name, s.allowance from session_player s join player p using (academy_id, player_id) where session_id = $1 order by position',
      sessionId,
    );
  await expect.poll(starts).toEqual([
    { name: 'Kofi', allowance: 0 },
    { name: 'Zélie', allowance: given },
  ]);
});

test('on a green its stations are used, and what it lacks is said', async ({ page }) => {
  await page.goto(`${HOME}/plan/game`);
  await page.getByLabel('For whom').selectOption('Kofi');
  await page.getByLabel('Green', { exact: true }).selectOption('Top green');
  await expect(cards(page)).toHaveCount(3);
  await expect(cards(page).first().getByRole('img', { name: 'Top green with the stations of this game' })).toBeVisible();
  await expect(cards(page).first().getByText('Walk round the stations')).toBeVisible();
  // It has no putts, and nobody's weakest shots are all beside it.
  await page.getByLabel('Green', { exact: true }).selectOption('Low green');
  await expect(page.getByText(/^Low green has no station for .*, the first choice\./).first()).toBeVisible();
});

test('everybody at once is asked for with one choice', async ({ page }) => {
  await page.goto(`${HOME}/plan/game`);
  await page.getByLabel('Another player').selectOption('everybody');
  await expect(page.getByRole('heading', { level: 1, name: 'A game for 8 players' })).toBeVisible();
  await expect(cards(page).first().getByRole('row')).toHaveCount(9);
  await page.getByRole('button', { name: 'Inga : leave out' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'A game for 7 players' })).toBeVisible();
});
