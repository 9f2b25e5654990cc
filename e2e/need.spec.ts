import { ask } from './database';
import { settled } from './steps';
import { expect, test } from './test';

const HOME = '/a/lantern-hollow';

test('practice by need: the program says what comes next, without a network too, never the same twice, and not what can’t be hit here', async ({
  page,
  context,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${HOME}/players`);
  await page.getByRole('link', { name: /^Teodor/ }).click();
  await page.getByRole('link', { name: 'Make a game of it' }).click();
  const need = page.getByRole('region', { name: 'Practise by need' });
  await expect(need).toContainText(/more balls until the three weakest shots are clear|too close to separate|already clear/);
  await need.getByRole('button', { name: 'Play it' }).click();
  await page.getByRole('button', { name: 'Ready' }).click();
  const next = page.getByRole('region', { name: /\d+ (yd|ft|m) / });
  await expect(next).toContainText('5 balls');
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await context.setOffline(true);
  const names: string[] = [];
  const notHere: string[] = [];
  for (let set = 0; set < 3; set++) {
    await expect(next).toBeVisible();
    if (set === 1) {
      // No such place here: neither now nor later.
      const refused = (await next.getByRole('heading').textContent())!;
      notHere.push(refused);
      await next.getByRole('button', { name: 'Not here' }).click();
      await expect(next.getByRole('heading')).not.toHaveText(refused);
    }
    const name = (await next.textContent())!;
    names.push(name);
    await next.getByRole('button', { name: 'Play it' }).click();
    for (let ball = 0; ball < 5; ball++) {
      await page
        .getByRole('button', { name: /^(In |\d+ ft|\d+\.\d m|Holed)/ })
        .first()
        .click();
      await settled(page);
    }
  }
  expect(names[0]).not.toBe(names[1]);
  expect(names[1]).not.toBe(names[2]);
  expect(names.some((name) => notHere.some((refused) => name.includes(refused)))).toBe(false);
  // Where blocked practice is wanted, the same place again; it is left before a ball is hit.
  await next.getByRole('button', { name: 'Again here' }).click();
  await expect(page.getByRole('button', { name: 'Call another' })).toBeVisible();
  await expect(next).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  // Anything else can be called by hand, and taken back.
  await next.getByRole('button', { name: 'Another shot' }).click();
  await expect(page.getByRole('heading', { name: 'Call a station' })).toBeVisible();
  await page.getByRole('button', { name: 'Back' }).click();
  await expect(next).toBeVisible();
  const sessionId = new URL(page.url()).hash.slice(1);
  await context.setOffline(false);
  const balls = async () => (await ask<{ balls: number }>('select balls from session where session_id = $1', sessionId))[0]?.balls;
  await expect.poll(balls, { timeout: 30_000 }).toBe(15);
  // It was for this one time: it stands in no list.
  const [row] = await ask<{ listed: boolean; title: string }>(
    `select g.listed, s.spec ->> 'title' as title from session s join game g using (academy_id, game_id) where s.session_id = $1`,
    sessionId,
  );
  expect(row).toEqual({ listed: false, title: 'Teodor: by need' });
});
