import { makeDelays } from '@/server/delays';
import { countingIn } from '@/server/limiter';
import { makeQuota } from '@/server/quota';
import { openDb } from '../client';

jest.mock('@/server/db', () => ({ pool: () => undefined }));

const { pool } = openDb(process.env.TEST_DATABASE_URL!);
afterAll(() => pool.end());

/** As each instance of the program makes them. */
const instance = countingIn(() => pool);

test('two instances count the same wrong guesses, and let the same person go', async () => {
  const rules = { free: 3, mostMs: 60_000, forgetMs: 900_000 };
  const [here, there] = [makeDelays('limits', rules, instance), makeDelays('limits', rules, instance)];
  for (let n = 0; n < 4; n++) await (n % 2 ? here : there).wrong('one', `guess ${n}`);
  await here.wrong('one', 'guess 0');
  const left = await there.left('one');
  expect(left).toBeGreaterThan(0);
  expect(left).toBeLessThanOrEqual(2000);
  await there.right('one');
  expect(await here.left('one')).toBe(0);
});

test('two instances share one quota, and what is refused is not taken', async () => {
  const rules = { most: 10, windowMs: 60_000 };
  const [here, there] = [makeQuota('share', rules, instance), makeQuota('share', rules, instance)];
  expect([await here('one', 6), await there('one', 5), await there('one', 4), await here('one', 1)]).toEqual([true, false, true, false]);
});

test('nobody is named in the table', async () => {
  await makeQuota('named', { most: 1, windowMs: 60_000 }, instance)('203.0.113.9 ines@example.test', 1);
  const { rows } = await pool.query<{ key: string }>(`select key from rate_limit where key like 'named:%'`);
  expect(rows).toHaveLength(1);
  expect(rows[0]!.key).not.toMatch(/203|ines/);
});
