import { ask } from './database';
import { examine } from './examine';
import { addPlayer, complaints, designGame, pressKey, signUp, startPlay, targetScale } from './steps';
import { expect, test } from './test';

test.use({ forecasts: true });

/** Every screen, looked at by axe at the narrowest size and the widest, for what sticks out sideways, and for what it complains about. */

test.describe.configure({ mode: 'parallel' });

const SIZES = [
  { width: 360, height: 740 },
  { width: 390, height: 844 },
  { width: 1280, height: 800 },
];

async function ids() {
  const [row] = await ask<{ player_id: string; game_id: string; session_id: string; green_id: string; weeks_id: string }>(
    `select s.player_id, n.game_id, n.session_id, (select green_id from green_version g where g.academy_id = o.id and plan ->> 'title' = 'Low green' limit 1),
     (select weeks_id from weeks w where w.academy_id = o.id limit 1) from shot s join session n using (academy_id, session_id)
     join auth_organization o on o.id = s.academy_id where o.slug = 'lantern-hollow' and n.completed_at is not null limit 1`,
  );
  return row!;
}

/** Here a page is laid out as at the narrowest: it is only looked at for what sticks out. */
const looksAlike = ({ width }: (typeof SIZES)[number]) => width === 390;

const ROOMS = async () => {
  const { player_id, game_id, session_id, green_id, weeks_id } = await ids();
  return [
    '',
    '/games',
    '/games/new',
    '/games/library',
    '/games/library/nearest-the-lamp',
    '/games/new?library=stone-and-hearth',
    '/games/new?library=weathervane',
    '/games/new?library=bag-check',
    `/games/${game_id}`,
    `/games/${game_id}/levels`,
    `/games/${game_id}/edit`,
    `/games/${game_id}/sheet`,
    `/games/${game_id}/at/s1`,
    `/games/new?green=${green_id}`,
    '/greens',
    '/greens/new',
    `/greens/${green_id}`,
    `/greens/${green_id}/plan`,
    '/plan',
    `/plan/game?for=${player_id}&green=${green_id}`,
    `/plan/game?for=${player_id}&what=compete`,
    `/plan/hour/new?for=${player_id}`,
    `/plan/hour/new?for=${player_id}&game=${game_id}`,
    `/plan/weeks/new?for=${player_id}`,
    `/plan/weeks/${weeks_id}`,
    `/plan/squad?green=${green_id}`,
    '/plan/squad/wall',
    '/players',
    '/players/new',
    '/players/links',
    '/players/groups',
    `/players/${player_id}`,
    `/players/${player_id}?per=round&all=1&cell=pitch%7Clight_rough%7C20`,
    `/players/${player_id}/putting`,
    `/players/${player_id}/time`,
    `/players/${player_id}/report`,
    `/players/${player_id}/sessions`,
    `/players/${player_id}/family`,
    `/players/${player_id}/round`,
    '/players/squad',
    '/players/squad/report',
    `/players/${player_id}/edit`,
    `/sessions/${session_id}`,
    '/logbook',
    '/logbook/import',
    '/logbook/result',
    '/settings',
    '/settings/people',
    '/settings/activity',
    '/settings/storage',
    // The account, which is outside the academy.
    '/../../account',
    '/../../family',
    '/tools',
    '/tools/landing',
    `/tools/landing?for=${player_id}&green=${green_id}`,
    '/tools/landing?l=sand',
    `/tools/putts?for=${player_id}`,
    `/tools/swing?for=${player_id}`,
    '/tools/measures',
    `/tools/outlook?for=${player_id}`,
  ];
};
/** The rooms are looked at in so many parts, side by side. */
const PARTS = 4;

for (const size of SIZES.filter((one) => !looksAlike(one))) {
  // At the narrowest, the widths that are laid out like it are looked at in the same go.
  const alsoWide = size === SIZES[0] ? SIZES.filter(looksAlike).map(({ width }) => width) : [];
  for (let part = 0; part < PARTS; part++)
    test(`the desk at ${size.width}x${size.height}, part ${part + 1}`, async ({ page }) => {
      test.setTimeout(300_000);
      const complained = complaints(page);
      await page.setViewportSize(size);
      for (const room of (await ROOMS()).filter((_, i) => i % PARTS === part)) {
        await page.goto(`/a/lantern-hollow${room}`);
        await examine(page, room || 'today', { alsoWide });
      }
      expect(complained).toEqual([]);
    });

  test(`a live board, a station, and scattered stations at ${size.width}x${size.height}`, async ({ page }) => {
    const complained = complaints(page);
    await page.setViewportSize(size);
    const { session_id } = await ids();
    await page.goto(`/a/lantern-hollow/sessions/${session_id}/board`);
    await expect(page.getByRole('region', { name: 'Live board' })).toBeVisible();
    await examine(page, 'live board', { alsoWide });
    // The plan of a green with a station chosen and two groups on it, and the stations that are scattered.
    await page.goto('/a/lantern-hollow/greens');
    await page.getByRole('link', { name: /Low green/ }).click();
    await page.getByRole('button', { name: 'Station 5', exact: true }).click();
    await examine(page, 'a station of a green', { alsoWide });
    await page.getByRole('button', { name: 'Scatter …' }).click();
    await page.getByRole('button', { name: 'Place them' }).click();
    await examine(page, 'scattered stations', { alsoWide });
    expect(complained).toEqual([]);
  });
}

for (const [size, colorScheme] of [...SIZES.slice(0, 2).map((one) => [one, 'light'] as const), [SIZES[0]!, 'dark'] as const])
  test(`an hour at the green at ${size.width}x${size.height}, ${colorScheme}: readable, its keys in sight`, async ({ page }) => {
    const complained = complaints(page);
    await page.emulateMedia({ colorScheme });
    await page.setViewportSize(size);
    const hours = await ask<{ hour_id: string; title: string }>(
      `select hour_id, hour ->> 'title' as title from hour h join auth_organization o on o.id = h.academy_id where o.slug = 'lantern-hollow'`,
    );
    const at = (title: string) => `/play#hour~lantern-hollow%2F${hours.find((one) => one.title === title)!.hour_id}`;
    await page.goto(at('Lag putts before the league'));
    await expect(page.getByRole('button', { name: 'Start the clock' })).toBeVisible();
    await examine(page, 'an hour before it begins', { inTheSun: true });
    await page.goto('/');
    await page.goto(at('Pitches, then the Six'));
    await expect(page.getByText(/^Part 2 of 4/)).toBeVisible();
    await examine(page, 'an hour under way', { inTheSun: true, inSight: true });
    expect(complained).toEqual([]);
  });

for (const [size, colorScheme] of [...SIZES.map((one) => [one, 'light'] as const), [SIZES[0]!, 'dark'] as const])
  test(`play at ${size.width}x${size.height}, ${colorScheme}: readable, and everything in sight`, async ({ page }) => {
    const complained = complaints(page);
    await page.emulateMedia({ colorScheme });
    await page.setViewportSize(size);
    await page.goto('/a/lantern-hollow/games');
    await page.getByRole('link', { name: /Lantern Six/ }).click();
    await page.getByRole('button', { name: 'Ruaridh' }).click();
    await expect(page.getByText('Before the first ball')).toBeVisible();
    // Play is one column at every size.
    const axe = size === SIZES[0];
    const inSight = (name: string) => examine(page, name, { inTheSun: true, inSight: true, axe });
    await inSight('care');
    await page.getByRole('button', { name: 'Ready' }).click();
    await page.getByRole('button', { name: /^5 ft, / }).click();
    await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled();
    await inSight('keys');
    const { x, y, perFt } = await targetScale(page, 9);
    await page.mouse.click(x - 3 * perFt, y + 3 * perFt);
    await expect(page.getByText(/short left/)).toBeVisible();
    await inSight('place');
    await page.getByRole('button', { name: 'Cancel' }).click();
    await page.getByRole('button', { name: 'Type distance' }).click();
    await inSight('type');
    await page.getByRole('button', { name: 'Cancel' }).click();
    await page.getByRole('button', { name: 'More' }).click();
    await examine(page, 'more', { inTheSun: true, axe });
    await page.getByRole('radio', { name: 'thin' }).click();
    await page.getByRole('group', { name: 'Always show' }).getByRole('button', { name: 'marks' }).click();
    await page.getByRole('button', { name: 'Done' }).click();
    await inSight('marked');
    for (const panel of [/^Balls so far/, /^Stations/, /^The day/, /^Distance reader/]) {
      await page.getByRole('button', { name: 'This session' }).click();
      await examine(page, 'the session', { inTheSun: true, axe });
      await page.getByRole('button', { name: panel }).click();
      await examine(page, String(panel), { inTheSun: true, axe });
      await page.getByRole('button', { name: 'Back' }).click();
      await page.getByRole('button', { name: 'Back' }).click();
    }
    const ground = await page.evaluate(() => getComputedStyle(document.body).backgroundColor);
    expect(ground).toBe(colorScheme === 'dark' ? 'rgb(17, 24, 31)' : 'rgb(245, 241, 230)');
    expect(complained).toEqual([]);
  });

test.describe('before signing in', () => {
  test.use({ storageState: { cookies: [], origins: [] } });
  test('the doors', async ({ page }) => {
    const complained = complaints(page);
    for (const door of ['/sign-in', '/sign-up', '/forgot', '/reset', '/confirm', '/join', '/privacy', '/play', '/j', '/nowhere']) {
      await page.setViewportSize({ width: 360, height: 740 });
      await page.goto(door);
      await examine(page, door);
    }
    expect(complained.filter((text) => !/40[14]/.test(text))).toEqual([]);
  });
});

test.describe('an academy that has just begun', () => {
  test.use({ storageState: { cookies: [], origins: [] } });
  test('its first screens, and the end of a game', async ({ page }) => {
    const complained = complaints(page);
    await page.setViewportSize({ width: 360, height: 740 });
    const home = await signUp(page, { academy: 'New Here' }, 'Coach Test', () => examine(page, 'begin'));
    for (const room of ['', '/games', '/players', '/logbook']) {
      await page.goto(home + room);
      await examine(page, `empty ${room}`);
    }
    await addPlayer(page, home, 'Otto', '12');
    await examine(page, 'a player without balls');
    await designGame(page, home, {
      title: 'One',
      stations: [{ shot: 'putt', distance: '6', balls: '1' }],
      rings: [['1', '4']],
      holed: '6',
    });
    await startPlay(page, 'Otto');
    await pressKey(page, 'Holed', 6);
    await examine(page, 'summary', { inTheSun: true });
    expect(complained).toEqual([]);
  });
});

test('every page forbids foreign scripts', async ({ page }) => {
  for (const path of ['/a/lantern-hollow', '/play']) {
    const response = await page.goto(path);
    const policy = response!.headers()['content-security-policy']!;
    const scripts = policy.split(';').find((part) => part.trim().startsWith('script-src'))!;
    expect(scripts).not.toContain('unsafe-inline');
    if (path === '/play') expect(scripts.trim()).toBe("script-src 'self'");
    else expect(scripts).toMatch(/'nonce-/);
  }
});
