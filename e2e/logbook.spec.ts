import Papa from 'papaparse';
import { ask } from './database';
import { makeOwnAcademy, signInTo } from './own-academy';
import { expect, test } from './test';

/** The logbook: searched, filtered and paged in its address, and filed under tags. */

const HOME = '/a/lantern-hollow';

test('sessions are found by what was played, by whom and when; all of it stands in the address', async ({ page }) => {
  await page.goto(`${HOME}/logbook`);
  const rows = page.getByRole('row').filter({ has: page.getByRole('rowheader') });
  await expect(rows).toHaveCount(50);
  await page.getByLabel('Player', { exact: true }).selectOption('Maren');
  await expect(page).toHaveURL(/playerId=/);
  for (const name of await rows.getByRole('rowheader').allTextContents()) expect(name).toContain('Maren');
  await page.getByText('More filters and columns').click();
  await page.getByLabel('Lie').selectOption('Sand');
  await expect(page).toHaveURL(/surface=sand/);
  const inSand = await rows.count();
  expect(inSand).toBeGreaterThan(0);
  // Folded away or not, what narrows is in sight when the address is opened again.
  await page.reload();
  await expect(page.getByLabel('Lie')).toHaveValue('sand');
  await expect(rows).toHaveCount(inSand);
  await page.getByRole('button', { name: 'Conditions', pressed: true }).click();
  await expect(page).toHaveURL(/without=conditions/);
  await expect(page.getByRole('columnheader', { name: 'Conditions' })).toHaveCount(0);
  await page.getByLabel('Find a player, a game or a tag').fill('zzz');
  await expect(page.getByText('No session like that.')).toBeVisible();
  await page.getByRole('button', { name: 'Show all sessions' }).click();
  await expect(rows).toHaveCount(50);
  await expect(page.getByLabel('Find a player, a game or a tag')).toHaveValue('');
});

test('page by page, forward and back; the other way round and by game', async ({ page }) => {
  await page.goto(`${HOME}/logbook`);
  const first = page.getByRole('rowheader').first();
  const links = page.getByRole('row').getByRole('link');
  const shown = async () => links.evaluateAll((all) => all.map((link) => (link as HTMLAnchorElement).href));
  await expect(first).toBeVisible();
  const one = await shown();
  await page.getByRole('link', { name: 'Next 50' }).click();
  await expect(page).toHaveURL(/after=/);
  await expect.poll(shown).not.toEqual(one);
  expect((await shown()).filter((link) => one.includes(link))).toEqual([]);
  await page.goBack();
  await expect.poll(shown).toEqual(one);
  await page.getByLabel('Order').selectOption('oldest first');
  await expect(page).toHaveURL(/sort=oldest/);
  await expect.poll(shown).not.toEqual(one);
  await page.getByLabel('Order').selectOption('by game');
  await expect(page).toHaveURL(/sort=game/);
  await expect
    .poll(async () => {
      const games = await page.locator('tbody td:nth-child(4)').allTextContents();
      return games.length === 50 && games.every((game, i) => i === 0 || game.localeCompare(games[i - 1]!) >= 0);
    })
    .toBe(true);
});

test('a session is filed under tags, and found by them', async ({ page }) => {
  await page.goto(`${HOME}/logbook`);
  await page.getByRole('row').getByRole('link').first().click();
  const tags = page.getByLabel('Tags');
  await tags.fill('x'.repeat(31));
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'At most ten tags of 30 letters each.' })).toBeVisible();
  await expect(tags).toHaveValue('x'.repeat(31));
  await tags.fill('league night,  wind , League night');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();
  await expect(tags).toHaveValue('League night, wind');
  await page.goto(`${HOME}/logbook`);
  await page.getByText('More filters and columns').click();
  await page.getByLabel('Tag', { exact: true }).selectOption('wind');
  const rows = page.getByRole('row').filter({ has: page.getByRole('rowheader') });
  await expect(rows).toHaveCount(1);
  await expect(rows).toContainText('League night');
});

test('what was found goes out as a file: a row for each who played, all pages of it', async ({ page }) => {
  const rowsOf = async (query: string) => {
    const answer = await page.request.get(`${HOME}/logbook/file${query}`);
    expect(answer.headers()['content-disposition']).toBe('attachment; filename="sessions.csv"');
    return Papa.parse<Record<string, string>>((await answer.text()).trimEnd(), { header: true }).data;
  };
  await page.goto(`${HOME}/logbook`);
  await page.getByLabel('Player', { exact: true }).selectOption('Maren');
  await expect(page).toHaveURL(/playerId=/);
  const said = Number(/(\d+) sessions/.exec((await page.getByRole('heading', { level: 1 }).textContent())!)![1]);
  const link = page.getByRole('link', { name: 'Download these sessions' });
  const found = await rowsOf(new URL((await link.getAttribute('href'))!, page.url()).search);
  const hers = found.filter(({ player }) => player === 'Maren');
  expect(hers).toHaveLength(said);
  expect(hers.every(({ session_id, played_at, score }) => session_id && played_at && score)).toBe(true);
  const all = await rowsOf('');
  expect(new Set(all.map(({ session_id }) => session_id)).size).toBeGreaterThan(200);
  expect(new Set(all.map(({ session_id }) => session_id)).size).toBeGreaterThan(said);
});

test('bests and averages of a game, and how two stand against each other', async ({ page }) => {
  await page.goto(`${HOME}/logbook`);
  await page.getByLabel('Game', { exact: true }).selectOption('Sand Clock');
  const figures = page.getByRole('table', { name: 'Bests and averages' });
  await expect(figures.getByRole('row').nth(1)).toContainText('point');
  const all = await figures.getByRole('row').count();
  await page.getByLabel('Player', { exact: true }).selectOption('Maren');
  await expect(figures.getByRole('rowheader').first()).toContainText('Maren');
  await expect.poll(async () => figures.getByRole('row').count()).toBeLessThan(all);
  await page.getByLabel('Game', { exact: true }).selectOption('all games');
  await expect(figures).toHaveCount(0);
  await page.getByText('More filters and columns').click();
  const [mate] = await ask<{ id: string; name: string }>(
    `select other.player_id as id, p.name from session_player mine join session_player other using (academy_id, session_id)
     join player m on m.academy_id = mine.academy_id and m.player_id = mine.player_id and m.name = 'Maren'
     join player p on p.academy_id = other.academy_id and p.player_id = other.player_id
     join session s on s.academy_id = mine.academy_id and s.session_id = mine.session_id
     where other.player_id <> mine.player_id and s.game_id is not null and (s.completed_at is not null or s.stopped_at is not null) limit 1`,
  );
  if (mate) {
    await page.getByLabel('With', { exact: true }).selectOption(mate.id);
    await expect(page).toHaveURL(/against=/);
    await expect(page.getByText(new RegExp(`^Maren \\d+, ${mate.name} \\d+.*sessions? together\\.`))).toBeVisible();
  }
  // Whoever looks for nobody in particular looks for no partner either.
  await page.getByLabel('Player', { exact: true }).selectOption('all players');
  await expect(page).not.toHaveURL(/against=/);
});

test('sessions that are selected go out as a file, and one of them is played or planned again with the same player', async ({ page }) => {
  await page.goto(`${HOME}/logbook`);
  const rows = page.getByRole('row').filter({ has: page.getByRole('rowheader') });
  await expect(rows).toHaveCount(50);
  const bar = page.getByRole('group', { name: 'Selected sessions' });
  await expect(bar).toHaveCount(0);
  await page.locator('tbody label').nth(3).click();
  await page.locator('tbody label').nth(7).click();
  await expect(bar).toContainText('2 sessions selected');
  const saved = async (name: string) => {
    const [download] = await Promise.all([page.waitForEvent('download'), bar.getByRole('link', { name, exact: true }).click()]);
    const text = await (await download.createReadStream()).toArray();
    return Papa.parse<Record<string, string>>(
      Buffer.concat(text as Buffer[])
        .toString('utf8')
        .trim(),
      { header: true },
    ).data;
  };
  const sessions = await saved('Download');
  expect(sessions).toHaveLength(2);
  const balls = await saved('Download the balls');
  expect(new Set(balls.map((row) => row.session_id))).toEqual(new Set(sessions.map((row) => row.session_id)));
  // Everything else is done with one alone.
  await expect(bar.getByRole('link', { name: 'Plan it again' })).toHaveCount(0);
  await page.locator('tbody label').nth(3).click();
  const [player, game] = await Promise.all([
    rows.nth(7).getByRole('rowheader').getByRole('link').textContent(),
    rows.nth(7).locator('td:nth-child(4)').textContent(),
  ]);
  const name = player!.split(',')[0]!;
  await bar.getByRole('link', { name: 'Plan it again' }).click();
  await expect(page).toHaveURL(/plan\/hour\/new\?for=.*game=/);
  await expect(page.getByLabel('Title')).toHaveValue(`${game}, ${name}`);
  await page.goBack();
  await page.locator('tbody label').nth(7).click();
  await bar.getByRole('link', { name: 'Play it again' }).click();
  await expect(page.getByRole('heading', { name: game! })).toBeVisible();
});

test.describe('ten thousand sessions', () => {
  test.use({ storageState: { cookies: [], origins: [] } });

  test('are searched, filtered and paged like ten', async ({ page }) => {
    const own = await makeOwnAcademy('Tansy');
    await ask(
      `with made as (
         insert into session (academy_id, session_id, game_id, game_version, spec, started_at, completed_at, tags)
         select s.academy_id, gen_random_uuid(), s.game_id, s.game_version, s.spec, at, at, case when n % 1000 = 7 then '{needle}' else '{}' end::text[]
         from session s, generate_series(1, 10000) n, lateral (select '2026-06-01T12:00:00Z'::timestamptz - n * interval '3 hours' as at) t
         where s.academy_id = $1 and s.session_id = $2 returning academy_id, session_id)
       insert into session_player (academy_id, session_id, player_id, position, level, score)
       select academy_id, session_id, $3, 0, 18, 21 from made`,
      own.academyId,
      own.sessionId,
      own.playerId,
    );
    // As an import or an archive of so many does at its end.
    await ask('analyze session, session_player');
    await signInTo(page.request, own);
    await page.goto(`/a/${own.slug}/logbook`);
    const rows = page.getByRole('row').filter({ has: page.getByRole('rowheader') });
    await expect(page.getByText('more than 1,000 sessions')).toBeVisible();
    await expect(rows).toHaveCount(50);
    await page.getByLabel('Find a player, a game or a tag').fill('needle');
    await expect(page).toHaveURL(/find=needle/);
    await expect(rows).toHaveCount(10);
    await expect(page.getByText('10 sessions', { exact: true })).toBeVisible();
    await page.goto(`/a/${own.slug}/logbook?from=2026-05-20&to=2026-05-21`);
    await expect(rows).toHaveCount(16);
    await page.goto(`/a/${own.slug}/logbook?sort=oldest`);
    const seen = new Set<string>();
    for (let n = 0; n < 4; n++) {
      await expect(rows).toHaveCount(50);
      for (const link of await rows.getByRole('link').evaluateAll((all) => all.map((one) => (one as HTMLAnchorElement).href)))
        seen.add(link);
      const before = page.url();
      await page.getByRole('link', { name: 'Next 50' }).click();
      await page.waitForURL((url) => url.href !== before);
      await expect
        .poll(async () =>
          seen.has(
            await rows
              .getByRole('link')
              .first()
              .evaluate((one) => (one as HTMLAnchorElement).href),
          ),
        )
        .toBe(false);
    }
    expect(seen.size).toBe(200);
  });
});
