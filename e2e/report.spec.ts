import { readFileSync } from 'node:fs';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { ask } from './database';
import { expect, test } from './test';

/** A player's report: read, printed, as PDF, behind a link that can be ended. */

const HOME = '/a/lantern-hollow';

async function textOf(pdf: Buffer): Promise<{ pages: number; text: string; fonts: string }> {
  const document = await getDocument({ data: new Uint8Array(pdf), useSystemFonts: false }).promise;
  const parts: string[] = [];
  for (let n = 1; n <= document.numPages; n++) {
    const { items } = await (await document.getPage(n)).getTextContent();
    parts.push(items.map((item) => ('str' in item ? item.str + (item.hasEOL ? ' ' : '') : '')).join(''));
  }
  return { pages: document.numPages, text: parts.join('\n').replaceAll(/\s+/g, ' '), fonts: pdf.toString('latin1') };
}

async function playerId(name: string): Promise<string> {
  const [row] = await ask<{ id: string }>('select player_id as id from player where name = $1', name);
  return row!.id;
}

test('a report says what was played, what is weak and what comes next; with the coach’s words, on paper and as PDF', async ({ page }) => {
  const id = await playerId('Maren');
  const others = (await ask<{ name: string }>('select name from player')).map(({ name }) => name).filter((name) => name !== 'Maren');
  await page.goto(`${HOME}/players/${id}`);
  await page.getByRole('link', { name: 'Report', exact: true }).click();
  const report = page.getByRole('article', { name: 'Report, Maren' });
  await expect(report).toContainText('Next:');
  await expect(report).toContainText('What was played');
  for (const name of others) expect(await report.textContent()).not.toContain(name);
  const words = 'Good work. Łukasz’s drill next, ½ speed.\nSee you on Tuesday.';
  await page.getByLabel('Your words in the report').fill(words);
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(report).toContainText('See you on Tuesday.');

  // Another period is another report, and its address says it.
  await page.getByLabel('Against').selectOption('squad');
  await expect(page).toHaveURL(/against=squad/);
  await expect(report).toContainText('against the squad’s average');

  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Save as PDF' }).click()]);
  const { pages, text, fonts } = await textOf(readFileSync((await download.path())!));
  expect(pages).toBe(1);
  for (const sentence of [
    'Maren',
    'Next:',
    'From the coach',
    'Łukasz’s drill next, ½ speed.',
    'See you on Tuesday.',
    'What was played',
    'the squad’s average',
  ])
    expect(text).toContain(sentence);
  for (const name of others) expect(text).not.toContain(name);
  expect(fonts).toContain('Archivo');

  await page.emulateMedia({ media: 'print' });
  await expect(report).toBeVisible();
  await expect(page.getByRole('button', { name: 'Make a link' })).toBeHidden();
  await expect(page.getByRole('navigation', { name: 'Rooms' })).toBeHidden();
  const pdf = await page.pdf({ format: 'A4' });
  expect((await textOf(pdf)).pages).toBe(1);
});

test('whoever has the link reads the report and nothing else, until it is ended', async ({ page, browser }) => {
  const id = await playerId('Maren');
  await page.goto(`${HOME}/players/${id}/report`);
  await page.getByLabel('Valid for').selectOption('30 days');
  await page.getByRole('button', { name: 'Make a link' }).click();
  const address = await page.getByLabel('The new link').inputValue();
  expect(address).toMatch(/\/r#[^.]+\.[\w-]{43}$/);

  const parent = await browser.newContext({ storageState: { cookies: [], origins: [] } });
  const read = await parent.newPage();
  const asked: string[] = [];
  read.on('request', (request) => asked.push(request.url()));
  await read.goto(address);
  await expect(read.getByRole('article', { name: 'Report, Maren' })).toBeVisible();
  // The secret stands in no address that is sent.
  const token = address.split('#')[1]!;
  expect(asked.filter((url) => url.split('#')[0]!.includes(token))).toEqual([]);
  const [download] = await Promise.all([read.waitForEvent('download'), read.getByRole('button', { name: 'Save as PDF' }).click()]);
  expect((await textOf(readFileSync((await download.path())!))).text).toContain('Maren');
  // It opens nothing else.
  for (const path of ['/api/v1/link', '/api/v1/home'])
    expect((await parent.request.get(path, { headers: { authorization: `Bearer ${token}` } })).status()).toBe(401);

  await page.getByRole('button', { name: 'End it' }).first().click();
  await expect.poll(async () => (await ask('select 1 from report where player_id = $1', id)).length).toBe(0);
  await read.reload();
  await expect(read.getByRole('main').getByRole('alert')).toHaveText('This link has ended. Ask your coach for a new one.');
  await parent.close();
});

test('the squad’s report has a row for each who played; on paper, as PDF, and behind a link that is ended', async ({ page, browser }) => {
  const names = (
    await ask<{ name: string }>(`select p.name from player p join auth_organization o on o.id = p.academy_id
    where o.slug = 'lantern-hollow' and p.archived_at is null`)
  ).map(({ name }) => name);
  await page.goto(`${HOME}/players`);
  await page.getByRole('link', { name: 'Squad report' }).click();
  const report = page.getByRole('article', { name: 'Report, the squad' });
  await expect(report).toContainText('Next:', { timeout: 60_000 });
  for (const name of names) await expect(report).toContainText(name);
  await expect(report).toContainText('each player against their own level');
  await page.emulateMedia({ media: 'print' });
  expect((await textOf(await page.pdf({ format: 'A4' }))).pages).toBeLessThanOrEqual(2);
  await page.emulateMedia({ media: 'screen' });
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Save as PDF' }).click()]);
  const { pages, text } = await textOf(readFileSync((await download.path())!));
  expect(pages).toBeLessThanOrEqual(2);
  for (const name of names) expect(text).toContain(name);

  await expect(page.getByText('with the names of all players')).toBeVisible();
  await page.getByRole('button', { name: 'Make a link' }).click();
  const address = await page.getByLabel('The new link').inputValue({ timeout: 60_000 });
  const other = await browser.newContext({ storageState: { cookies: [], origins: [] } });
  const read = await other.newPage();
  await read.goto(address);
  await expect(read.getByRole('article', { name: 'Report, the squad' })).toContainText(names[0]!);
  await page.getByRole('button', { name: 'End it' }).first().click();
  const here = `select 1 from report r join auth_organization o on o.id = r.academy_id where o.slug = 'lantern-hollow' and r.player_id is null`;
  await expect.poll(async () => (await ask(here)).length).toBe(0);
  await read.reload();
  await expect(read.getByRole('main').getByRole('alert')).toHaveText('This link has ended. Ask your coach for a new one.');
  await other.close();
});

test('a player opens their own report by the personal link, sees nobody else, and has it without a network', async ({ page, browser }) => {
  const id = await playerId('Teodor');
  await page.goto(`${HOME}/players/${id}/sessions`);
  await page.getByRole('button', { name: 'Make a link' }).click();
  const link = await page.getByLabel('Address of the link').inputValue();
  const own = await browser.newContext({ storageState: { cookies: [], origins: [] }, viewport: { width: 390, height: 844 } });
  const phone = await own.newPage();
  await phone.goto(link);
  await phone.getByRole('button', { name: 'Open your report' }).click();
  const report = phone.getByRole('region', { name: 'How you’re doing' });
  await expect(report).toContainText('Next:', { timeout: 60_000 });
  await expect(report).toContainText('Costs you most');
  const others = (await ask<{ name: string }>('select name from player')).map(({ name }) => name).filter((name) => name !== 'Teodor');
  for (const name of others) expect(await report.textContent()).not.toContain(name);
  await phone.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await own.setOffline(true);
  await phone.reload();
  await phone.getByRole('button', { name: 'Open your report' }).click();
  await expect(report).toContainText('No network: made');
  await expect(report).toContainText('Next:');
  await own.close();
});
