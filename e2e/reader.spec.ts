import { execFile } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import type { Page } from '@playwright/test';
import { ask } from './database';
import { score, startPlay, settled } from './steps';
import { expect, test } from './test';

/** A device that reads distances: it offers, the player takes or does not. */

const reader = (url: string, key: string, ...distances: string[]) =>
  new Promise<{ code: number; said: string }>((resolve) => {
    execFile('node_modules/.bin/tsx', ['scripts/reader.ts', '--url', url, '--key', key, ...distances], (error, out, err) =>
      resolve({ code: error ? Number(error.code) : 0, said: out + err }),
    );
  });

async function begin(page: Page, player: string): Promise<string> {
  await page.goto('/a/lantern-hollow/games/library/reckoning');
  await startPlay(page, player);
  return new URL(page.url()).hash.slice(1);
}

async function keyOf(page: Page): Promise<string> {
  await page.getByRole('button', { name: 'This session' }).click();
  await page.getByRole('button', { name: /^Distance reader/ }).click();
  // A session that has just begun is on its way to the server; until it is there the panel says so.
  await expect(async () => {
    await page.getByRole('button', { name: 'Make a key' }).click();
    await expect(page.getByLabel('Key').or(page.getByRole('alert'))).toBeVisible();
    await expect(page.getByLabel('Key')).toBeVisible({ timeout: 1 });
  }).toPass();
  const key = (await page.getByLabel('Key').textContent())!.trim();
  await page.getByRole('button', { name: 'Back' }).click();
  await page.getByRole('button', { name: 'Back' }).click();
  return key;
}

test('what the reader reads is offered on the pad; taken, it is the ball’s; not taken, it is nothing', async ({ page, baseURL }) => {
  const sessionId = await begin(page, 'Bashir');
  const key = await keyOf(page);
  expect(await reader(baseURL!, key, '4 ft 3')).toEqual({ code: 0, said: '1.2954 m handed in\n' });
  const offer = page.getByRole('button', { name: /^The reader says/ });
  await expect(offer).toContainText('4 ft 3');
  expect(await reader(baseURL!, key, '2.5 m')).toEqual({ code: 0, said: '2.5 m handed in\n' });
  await expect(offer).toContainText('8 ft 2');
  await offer.click();
  await expect(score(page)).toHaveText('8 ft 2');
  await expect(offer).toHaveCount(0);
  await settled(page);
  // The next is offered too, and passed over for a typed one.
  expect((await reader(baseURL!, key, '12 ft')).code).toBe(0);
  await expect(offer).toContainText('12 ft');
  await page.keyboard.type('3');
  await page.keyboard.press('Enter');
  await expect(page.getByText('all sent')).toBeVisible();
  await expect.poll(async () => (await ask('select 1 from shot where session_id = $1', sessionId)).length).toBe(2);
  const rows = await ask(
    'select measured, round(left_m::numeric, 4)::float as m from shot where session_id = $1 order by turn_no',
    sessionId,
  );
  expect(rows).toEqual([
    { measured: 'laser', m: 2.5 },
    { measured: 'tape', m: 0.9144 },
  ]);
});

test('late, doubled, absurd and foreign readings change nothing', async ({ page, request }) => {
  const sessionId = await begin(page, 'Inga');
  const key = await keyOf(page);
  const reading = { readingId: randomUUID(), seq: 10, distanceM: 3, ageMs: 0 };
  const post = async (change: object, token = key) => {
    const response = await request.post('/api/v1/readings', {
      headers: { authorization: `Bearer ${token}` },
      data: { ...reading, readingId: randomUUID(), ...change },
    });
    return response.status();
  };
  expect(await post({ readingId: reading.readingId })).toBe(200);
  await expect(page.getByRole('button', { name: /^The reader says/ })).toContainText('9 ft 10');
  const refused = {
    doubled: await post({ readingId: reading.readingId, seq: 11 }),
    'late, by its count': await post({ seq: 9, distanceM: 5 }),
    'late, by its age': await post({ seq: 12, ageMs: 31_000 }),
    'absurdly far': await post({ seq: 13, distanceM: 400 }),
    'absurdly near': await post({ seq: 14, distanceM: 0.001 }),
    'no number': await post({ seq: 15, distanceM: '3' }),
    'with more than a reading': await post({ seq: 16, sessionId }),
    'of no key': await post({ seq: 17 }, 'nothing'),
  };
  expect(refused).toEqual({
    doubled: 409,
    'late, by its count': 409,
    'late, by its age': 400,
    'absurdly far': 400,
    'absurdly near': 400,
    'no number': 400,
    'with more than a reading': 400,
    'of no key': 401,
  });
  // A key reads for its own session only, and a new one ends it.
  const other = await page.context().newPage();
  const theirs = await begin(other, 'Kofi');
  const foreign = await keyOf(other);
  expect(await post({ seq: 1, distanceM: 7 }, foreign)).toBe(200);
  await expect(other.getByRole('button', { name: /^The reader says/ })).toContainText('23 ft');
  const next = await keyOf(page);
  expect([await post({ seq: 20 }), await post({ seq: 21, distanceM: 4 }, next)]).toEqual([401, 200]);
  await expect(page.getByRole('button', { name: /^The reader says/ })).toContainText('13 ft 1');
  const stored = await ask('select session_id, distance_m::float as m from reading where session_id = any($1) order by received_at', [
    sessionId,
    theirs,
  ]);
  expect(stored).toEqual([
    { session_id: sessionId, m: 3 },
    { session_id: theirs, m: 7 },
    { session_id: sessionId, m: 4 },
  ]);
  // Nothing was recorded by itself.
  expect(await ask('select 1 from shot where session_id = any($1)', [sessionId, theirs])).toEqual([]);
  await other.close();
});
