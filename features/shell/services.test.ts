import { auth } from '@/server/auth';
import { answerAuth } from './services';

jest.mock('@/server/live', () => ({ doorsEnded: () => undefined }));
/** There is no database here: what is counted is counted in memory. */
jest.mock('@/server/limiter', () => {
  const { RateLimiterMemory } = jest.requireActual<typeof import('rate-limiter-flexible')>('rate-limiter-flexible');
  return {
    ...jest.requireActual<object>('@/server/limiter'),
    inDatabase: (keyPrefix: string, points: number, duration: number) => new RateLimiterMemory({ keyPrefix, points, duration }),
  };
});
jest.mock('better-auth/next-js', () => ({ nextCookies: () => ({ id: 'next-cookies' }) }));

jest.mock('@/server/mail/confirm', () => ({ sendConfirmation: async () => undefined, takeConfirmation: async () => false }));
jest.mock('@/server/mail/post', () => ({ sendMailLater: () => undefined }));

/** What is open of the library, with what is sent there. */
const account = { name: 'Ana', email: 'ana@club.example', password: 'seven-paces-out' };
const own = { password: 'seven-paces-out' };
const OPEN: Readonly<Record<string, object>> = {
  'POST /sign-in/email': account,
  'POST /sign-up/email': account,
  'POST /sign-out': account,
  'POST /change-password': { current: 'seven-paces-out', next: 'eight-paces-out' },
  'POST /request-password-reset': { email: account.email },
  'POST /reset-password': { newPassword: 'eight-paces-out', token: 'x' },
  'POST /two-factor/enable': own,
  'POST /two-factor/disable': own,
  'POST /two-factor/generate-backup-codes': own,
};

beforeAll(() => {
  process.env.DATABASE_URL ??= 'postgres://nobody@127.0.0.1:1/none';
  process.env.AUTH_SECRET ??= 'x'.repeat(32);
  process.env.PUBLIC_URL ??= 'http://127.0.0.1:3000';
});

/** Every address that the library would answer. */
function addresses(): string[] {
  return Object.values(auth().api as Record<string, { path?: string; options?: { method?: string | string[] } }>).flatMap(
    ({ path, options }) => (path && options?.method ? [options.method].flat().map((method) => `${method} ${path}`) : []),
  );
}
const ask = (method: string, path: string) =>
  answerAuth(
    new Request(`http://127.0.0.1:3000/api/auth${path}`, {
      method,
      ...(method === 'POST' ? { body: JSON.stringify(OPEN[`${method} ${path}`] ?? account) } : {}),
    }),
  );

test('of all that the sign-in library can do, few addresses are open and the others are not there', async () => {
  const all = addresses();
  // Deleting an academy is among them: the list is the real one.
  expect(all).toContain('POST /organization/delete');
  expect(all.length).toBeGreaterThan(30);
  jest.spyOn(auth().api, 'getSession').mockResolvedValue({ user: { id: 'u' } } as never);
  const handled = jest.spyOn(auth(), 'handler').mockImplementation(async () => Response.json({ user: account }));
  const open: string[] = [];
  for (const one of all) {
    const [method, path] = one.split(' ') as [string, string];
    const response = await ask(method, path.replaceAll(/:\w+/g, 'x'));
    if (response.status !== 404) open.push(one);
  }
  expect(open.sort()).toEqual(Object.keys(OPEN).sort());
  expect(handled).toHaveBeenCalledTimes(open.length);
  for (const [method, path] of [
    ['GET', '/sign-out'],
    ['POST', '/sign-out/'],
    ['POST', '//sign-out'],
    ['POST', '/sign-in/../organization/delete'],
    ['POST', '/organization%2Fdelete'],
    ['POST', '/sign-in/email/x'],
    // A code goes by an address of ours.
    ['POST', '/two-factor/verify-totp'],
    ['GET', '/get-session'],
  ] as const)
    expect([path, (await ask(method, path)).status]).toEqual([path, 404]);
  handled.mockRestore();
});
