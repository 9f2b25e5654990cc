import { spawn } from 'node:child_process';
import { createInterface } from 'node:readline';
import { expect, type Browser, type BrowserContext } from '@playwright/test';
import { Pool } from 'pg';
import { DEMO_COACH } from '../core/demo/people';

/** A database and two instances of the program, for tests that break them (`scripts/test-bed.mjs`). */
export type TestBed = Awaited<ReturnType<typeof openTestBed>>;

export async function openTestBed() {
  const child = spawn(process.execPath, ['scripts/test-bed.mjs'], { stdio: ['pipe', 'pipe', 'inherit'] });
  const lines = createInterface({ input: child.stdout })[Symbol.asyncIterator]();
  /** What is said after a word; other programs' lines are passed over. */
  const heard = async (word: string): Promise<string> => {
    for (;;) {
      const { value, done } = await lines.next();
      if (done) throw new Error(`the test bed ended before it said "${word}"`);
      if (value.startsWith(word)) return value.slice(word.length).trim();
    }
  };
  const { urls, databaseUrl } = JSON.parse(await heard('ready')) as { urls: [string, string]; databaseUrl: string };
  return {
    urls,
    async ask<Row extends object>(sql: string, ...values: unknown[]): Promise<Row[]> {
      const pool = new Pool({ connectionString: databaseUrl, max: 1 });
      try {
        return (await pool.query<Row>(sql, values)).rows;
      } finally {
        await pool.end();
      }
    },
    async does(line: 'stop database' | 'start database' | 'kill program' | 'start program') {
      child.stdin.write(`${line}\n`);
      await heard(line);
    },
    async close() {
      child.stdin.end();
      if (child.exitCode === null) await new Promise((resolve) => child.once('exit', resolve));
    },
  };
}

type Account = { email: string; password: string };

/** A browser of its own, signed in as the demo's coach, or as somebody else of the demo. */
export async function signedIn(browser: Browser, baseURL: string, { email, password } = DEMO_COACH as Account): Promise<BrowserContext> {
  const context = await browser.newContext({ baseURL, storageState: { cookies: [], origins: [] } });
  const page = await context.newPage();
  await page.goto('/sign-in');
  await page.getByLabel('E-mail').fill(email);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page).toHaveURL(/\/a\/lantern-hollow$|\/play#/);
  await page.close();
  return context;
}

/** A browser that is signed in and has nothing of the program yet: a desk page, once open, makes the store of play. */
export async function signedInAnew(browser: Browser, baseURL: string): Promise<BrowserContext> {
  const desk = await signedIn(browser, baseURL);
  const context = await browser.newContext({ baseURL, storageState: await desk.storageState() });
  await desk.close();
  return context;
}
