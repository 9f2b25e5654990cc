import type { Page } from '@playwright/test';
import { examine } from './examine';
import { settled } from './steps';
import { expect, test } from './test';

/** Every way of scoring, recorded with a thumb on a small phone: nothing below the fold, one or two taps a ball, three where a shot is called. */

test.use({ viewport: { width: 360, height: 740 } });

/** A ready game of each way of scoring, who plays it, and what is pressed for one plain ball. */
const WAYS: [scheme: string, game: string, players: string[], taps: (string | RegExp)[]][] = [
  ['ring points', 'three-hoops', ['Bashir'], [/^3 ft, /]],
  ['ring points of two', 'three-hoops', ['Bashir', 'Inga'], [/^3 ft, /]],
  ['hits', 'roll-call', ['Bashir'], [/^2 clubs$/]],
  ['total left', 'reckoning', ['Bashir'], ['6', /^Record/]],
  ['total left, far away', 'reckoning', ['Inga'], [/^outside/]],
  ['landing zone', 'stepping-stones', ['Bashir'], [/^landed/]],
  ['land and finish', 'stone-and-hearth', ['Bashir'], [/^landed/]],
  ['hole out', 'seven-doors', ['Bashir'], [/^2$/]],
  ['ladder', 'rope-ladder', ['Bashir'], [/^Holed/]],
  ['nearest wins', 'nearest-the-lamp', ['Bashir', 'Inga'], ['4', /^Record/]],
  ['nearest wins, with a call', 'say-it-first', ['Bashir', 'Inga'], ['Called aloud', /^Holed/, 'kept']],
  ['one-sided zones', 'past-the-cup', ['Bashir'], [/^1 flag/, 'past the hole']],
  ['shot matrix', 'weathervane', ['Bashir'], [/^as asked/]],
  ['club trial', 'bag-check', ['Bashir'], [/^Holed/]],
  ['streak', 'unbroken', ['Bashir'], [/^Holed|^in/]],
];

const balls = async (page: Page) => Number(await page.getByRole('progressbar', { name: 'Balls played' }).getAttribute('aria-valuenow'));

for (const [scheme, game, players, taps] of WAYS)
  test(`${scheme}: ${taps.length === 1 ? 'one tap' : `${taps.length} taps`}`, async ({ page }) => {
    await page.goto(`/a/lantern-hollow/games/library/${game}`);
    // A game that one can play alone asks whether several do.
    if (players.length > 1 && !['nearest-the-lamp', 'say-it-first'].includes(game)) await page.getByLabel('several').click();
    for (const player of players) await page.getByRole('button', { name: player, exact: true }).click();
    if (players.length > 1) await page.getByRole('button', { name: `Start with ${players.length}` }).click();
    await page.getByRole('button', { name: 'Ready' }).click();
    // Where the player chooses what is next, that comes first; it is no part of recording.
    const choice = page.getByRole('region', { name: 'What next?' });
    if (await choice.isVisible()) await choice.getByRole('button').first().click();
    expect(await balls(page)).toBe(0);
    for (const tap of taps) {
      await examine(page, `${scheme}, before ${String(tap)}`, { inTheSun: true, inSight: true });
      await page
        .locator('main')
        .getByRole('button', { name: tap, exact: typeof tap === 'string' })
        .first()
        .click();
    }
    await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled();
    await expect(page.getByText('all sent')).toBeVisible();
    await examine(page, `${scheme}, after a ball`, { inTheSun: true, inSight: true });
  });

test('at a desk a game is played with keys alone', async ({ page }) => {
  await page.goto('/a/lantern-hollow/games/library/three-hoops');
  await expect(page.getByRole('button', { name: 'Bashir', exact: true })).toBeEnabled();
  await page.getByRole('button', { name: 'Bashir', exact: true }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Ready' })).toBeVisible();
  await page.getByRole('button', { name: 'Ready' }).focus();
  await page.keyboard.press('Enter');
  const score = page.getByLabel('Score', { exact: true });
  for (const [key, total] of [
    ['1', '4'],
    ['2', '6'],
    ['h', '12'],
    ['0', '12'],
    ['u', '12'],
    ['u', '6'],
  ] as const) {
    await settled(page);
    await page.keyboard.press(key);
    await expect(score).toHaveText(total);
  }
});
