import { ask } from './database';
import { beginDesign, press, saveDesign, settled, signUp, addPlayer, typeFeet } from './steps';
import { expect, test } from './test';

/** A duel, from its design to what the desk says of it: calls, figures that are too close, no figures at all, a guest. */

test.use({ storageState: { cookies: [], origins: [] } });

test('a duel of two with calls: said before the ball, too close by eye, nearer without a figure, a halved round, a guest of no list', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const home = await signUp(page, 'alone');
  await addPlayer(page, home, 'Otto', '12');
  await beginDesign(page, home, {
    title: 'Across the Pond',
    scheme: 'nearest wins',
    stations: [{ shot: 'chip', distance: '15', balls: '6' }],
  });
  await page.getByLabel('First to, points').fill('3');
  await page.getByLabel('A kept call earns').fill('1');
  await saveDesign(page, 'Across the Pond');
  await page.getByRole('button', { name: 'Otto' }).click();
  await page.getByLabel('Guest’s name').fill('Coach Ada');
  await page.getByRole('button', { name: 'Add a guest' }).click();
  await page.getByRole('button', { name: 'Start with 2' }).click();
  await page.getByRole('button', { name: 'Ready' }).click();
  const sessionId = new URL(page.url()).hash.slice(1);
  const call = async (...chips: string[]) => {
    for (const chip of chips) await page.getByRole('radio', { name: chip, exact: true }).click();
    await press(page, chips.length > 0 ? 'Called' : 'Called aloud');
  };
  const tab = (name: RegExp) => page.getByRole('tab', { name });

  // Round 1: by eye 9 ft and 10 ft are too close to tell; the guest is nearer after all.
  await call('low', 'fade');
  await page.getByRole('radio', { name: 'by eye' }).click();
  await typeFeet(page, '9');
  await expect(page.getByRole('heading', { name: 'Called: low, fade. Kept?' })).toBeVisible();
  await press(page, 'not kept');
  await call();
  await expect(page.getByText('to beat: 9 ft')).toBeVisible();
  await typeFeet(page, '10');
  await press(page, 'not kept');
  const close = page.getByRole('group', { name: 'Too close to call' });
  await expect(close).toContainText('Too close to call: 9 ft and 10 ft. Who is nearer?');
  await close.getByRole('button', { name: 'Coach Ada' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Round 1' })).toHaveText('Round 1: Coach Ada');
  await expect(tab(/Coach Ada/)).toContainText('1');

  // Round 2, without a figure: in play, then farther.
  await call();
  await press(page, 'in play');
  await press(page, 'kept');
  await call();
  await expect(page.getByText('to beat: a ball in play')).toBeVisible();
  await press(page, 'farther');
  await press(page, 'not kept');
  await expect(page.getByRole('status').filter({ hasText: 'Round 2' })).toHaveText('Round 2: Otto');
  // Nearest, and a kept call.
  await expect(tab(/Otto/)).toContainText('2');

  // Round 3: both holed, nobody takes it.
  for (let seat = 0; seat < 2; seat++) {
    await call();
    await page.getByRole('button', { name: /^Holed/ }).click();
    await press(page, 'not kept');
  }
  await expect(page.getByText('halved, nobody takes it')).toBeVisible();

  // Round 4 ends it.
  await call();
  await typeFeet(page, '3');
  await press(page, 'not kept');
  await call();
  await press(page, 'farther');
  await press(page, 'not kept');
  await expect(page.getByRole('heading', { name: /Otto wins/ })).toBeVisible();
  await settled(page);
  await expect(page.getByText('all sent')).toBeVisible();
  const balls = await ask<{ name: string; called: string; nearer: boolean | null; executed: boolean }>(
    `select name, called, nearer, executed from shot join player using (academy_id, player_id) where session_id = $1
     order by turn_no, name = 'Coach Ada'`,
    sessionId,
  );
  expect(balls.slice(0, 4)).toEqual([
    { name: 'Otto', called: 'low, fade', nearer: false, executed: false },
    { name: 'Coach Ada', called: '', nearer: true, executed: false },
    { name: 'Otto', called: '', nearer: null, executed: true },
    { name: 'Coach Ada', called: '', nearer: false, executed: false },
  ]);
  // The guest stands on no list, the result does.
  await page.goto(`${home}/players`);
  await expect(page.getByText('Otto').first()).toBeVisible();
  await expect(page.getByText('Coach Ada')).toBeHidden();
  await page.getByText('1 player put away').click();
  await expect(page.getByText('Coach Ada')).toBeVisible();
  await page.goto(`${home}/logbook`);
  await expect(page.getByRole('row').filter({ hasText: 'Across the Pond' })).toContainText('3–1');
  await expect(page.getByRole('row').filter({ hasText: 'Across the Pond' })).toContainText('Otto won');
});
