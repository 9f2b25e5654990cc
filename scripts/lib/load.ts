import { Agent, request } from 'node:http';

/** What benches of a running program share: asking it over connections that stay open, and what its answers took. */

/** `firstMs`: after how long the first of it was there, which is drawn while the rest is on its way. */
export type Answer = { status: number; cookies: string[]; text: string; firstMs: number };
type Call = (method: 'GET' | 'POST', path: string, cookie?: string, body?: unknown) => Promise<Answer>;

/** Asks a program at an address of this machine. @param url where it is @param origin under which address browsers reach it */
export function makeCalls(
  url: string,
  origin = url,
): {
  call: Call;
  signIn: (account: { email: string; password: string }) => Promise<string>;
  end: () => void;
} {
  const agent = new Agent({ keepAlive: true, maxSockets: 200 });
  const call: Call = (method, path, cookie = '', body) =>
    new Promise((resolve, reject) => {
      const begun = performance.now();
      const headers = { origin, ...(cookie ? { cookie } : {}), ...(body ? { 'content-type': 'application/json' } : {}) };
      const sent = request(url + path, { method, agent, headers }, (response) => {
        let text = '';
        let firstMs = 0;
        response.setEncoding('utf8').on('data', (part: string) => {
          firstMs ||= performance.now() - begun;
          text += part;
        });
        response.on('end', () => resolve({ status: response.statusCode!, cookies: response.headers['set-cookie'] ?? [], text, firstMs }));
      });
      // A connection that was idle may be closed in the moment in which it is taken up again.
      sent.on('error', (error: NodeJS.ErrnoException) =>
        sent.reusedSocket && error.code === 'ECONNRESET' ? resolve(call(method, path, cookie, body)) : reject(error),
      );
      sent.end(body ? JSON.stringify(body) : undefined);
    });
  const signIn = async (account: { email: string; password: string }) => {
    const { cookies, status, text } = await call('POST', '/api/auth/sign-in/email', '', account);
    const cookie = cookies.map((one) => one.split(';')[0]).join('; ');
    if (!cookie) throw new Error(`no sign-in: ${status} ${text}`);
    return cookie;
  };
  return { call, signIn, end: () => agent.destroy() };
}

/** How long something takes, in ms. */
export async function timed(run: () => Promise<unknown>): Promise<number> {
  const start = performance.now();
  await run();
  return performance.now() - start;
}

/** How long it takes each of so many times, one after another, in ms. */
export async function times(count: number, run: (n: number) => Promise<unknown>): Promise<number[]> {
  const took: number[] = [];
  for (let n = 0; n < count; n++) took.push(await timed(() => run(n)));
  return took;
}

const sorted = (list: readonly number[]) => [...list].sort((a, b) => a - b);
const at = (list: readonly number[], share: number) => sorted(list)[Math.min(list.length - 1, Math.floor(share * list.length))]!;
export const p50 = (list: readonly number[]) => at(list, 0.5);
export const p95 = (list: readonly number[]) => at(list, 0.95);
export const ms = (value: number) => `${value.toFixed(1)} ms`;
