import { ask } from './database';
import { own, signUp } from './steps';
import { expect, test } from './test';

type Ids = { player_id: string; game_id: string; session_id: string; shot_id: string };

/** A player, a game, a session and a ball of the demo academy. */
async function demoIds(): Promise<Ids> {
  const [row] = await ask<Ids>(
    `select s.player_id, n.game_id, n.session_id, s.shot_id from shot s
     join session n using (academy_id, session_id)
     join auth_organization o on o.id = s.academy_id where o.slug = 'lantern-hollow' limit 1`,
  );
  return row!;
}

const voidOf = ({ session_id, shot_id }: Ids) => ({
  sessionId: session_id,
  events: [
    {
      eventId: '01999999-0000-7000-8000-000000000001',
      shotId: shot_id,
      sessionId: session_id,
      deviceId: '01999999-0000-7000-8000-000000000002',
      deviceSeq: 0,
      deviceAt: '2026-01-01T00:00:00.000Z',
      kind: 'void',
      payload: {},
    },
  ],
});

test.describe('somebody of another academy', () => {
  test.use({ storageState: { cookies: [], origins: [] } });

  test('gets nothing of a player, a game or a session by their addresses', async ({ page }) => {
    const ids = await demoIds();
    const home = await signUp(page, { academy: 'Next Door' });
    const paths = [
      `/players/${ids.player_id}`,
      `/players/${ids.player_id}/edit`,
      `/players/${ids.player_id}/putting`,
      `/players/${ids.player_id}/time`,
      `/players/${ids.player_id}/sessions`,
      `/players/${ids.player_id}/round`,

      `/games/${ids.game_id}`,
      `/games/${ids.game_id}/edit`,
      `/sessions/${ids.session_id}`,
    ];
    for (const base of ['/a/lantern-hollow', home])
      for (const path of [...paths, ...(base === home ? [] : ['', '/players', '/players/squad', '/games', '/logbook', '/settings'])]) {
        const response = await page.goto(base + path);
        expect([base + path, response?.status()]).toEqual([base + path, 404]);
        await expect(page.getByText('There is nothing here')).toBeVisible();
        expect(await page.content()).not.toContain('Ottilie');
      }
    expect((await page.request.get('/a/lantern-hollow/reference')).status()).toBe(404);
    expect((await page.request.get(`/api/v1/sessions/${ids.session_id}/bundle`)).status()).toBe(404);
    expect((await page.request.post('/api/v1/shot-events', { headers: own(page), data: voidOf(ids) })).status()).toBe(404);
    await page.goto(`/play#${ids.session_id}`);
    await expect(page.getByText('This session is not here')).toBeVisible();
    const [ball] = await ask<{ n: string }>('select count(*) n from shot where shot_id = $1', ids.shot_id);
    expect(ball!.n).toBe('1');
  });

  test('who is not signed in is asked to, and the programming interface refuses', async ({ page }) => {
    const ids = await demoIds();
    await page.goto(`/a/lantern-hollow/players/${ids.player_id}`);
    await expect(page).toHaveURL(/\/sign-in\?next=/);
    expect((await page.request.get(`/api/v1/sessions/${ids.session_id}/bundle`)).status()).toBe(401);
    expect((await page.request.post('/api/v1/shot-events', { headers: own(page), data: voidOf(ids) })).status()).toBe(401);
    await page.goto(`/play#${ids.session_id}`);
    await expect(page.getByRole('link', { name: 'Sign in' })).toBeVisible();
  });
});

test('a batch that makes no sense is refused with the reason', async ({ page }) => {
  const ids = await demoIds();
  const post = async (data: unknown) => {
    const response = await page.request.post('/api/v1/shot-events', { headers: own(page), data: data as object });
    return [response.status(), ((await response.json()) as { error: string }).error] as const;
  };
  expect(await post({})).toEqual([400, expect.stringMatching(/^sessionId: /)]);
  expect(await post({ ...voidOf(ids), events: [] })).toEqual([400, expect.stringMatching(/^events: /)]);
  const [event] = voidOf(ids).events;
  // Events are looked at one by one: the answer names those that never will be taken in.
  const refused = async (change: object) => {
    const response = await page.request.post('/api/v1/shot-events', {
      headers: own(page),
      data: { sessionId: ids.session_id, events: [{ ...event, ...change }] },
    });
    return [response.status(), await response.json()] as const;
  };
  const named = (why: unknown) => [409, { stored: 0, known: 0, refused: [{ eventId: event!.eventId, why }] }];
  expect(await refused({ kind: 'forget' })).toEqual(named(expect.stringMatching(/^kind: /)));
  const elsewhere = '01999999-0000-7000-8000-00000000000f';
  expect(await refused({ sessionId: elsewhere })).toEqual(named('This ball is of another session.'));
});
