import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { writeGameFile } from '@/core/game/file';
import { LIBRARY } from '@/core/game/library';
import { SCHEME_KINDS } from '@/core/game/scoring';
import { ask } from './database';
import { shotFileOf } from './shot-file';
import { signUp } from './steps';
import { expect, test } from './test';

test.use({ forecasts: true });

/** What a good score is: the forecast while a game is designed, and what follows from it. */

const HOME = '/a/lantern-hollow';
const library = (key: string) => LIBRARY.find((entry) => entry.key === key)!.spec;
const design = async (page: Page, key: string) => {
  await page.goto(`${HOME}/games/new?library=${key}`);
  await settled(page);
};
/** Until all rows stand for as many games as they will. */
const settled = (page: Page) =>
  expect(async () => {
    const rows = await page.locator('[data-row]').evaluateAll((all) => all.map((row) => (row as HTMLElement).dataset));
    expect(rows.length).toBeGreaterThanOrEqual(5);
    for (const row of rows) expect(row).toMatchObject({ rough: 'false', old: 'false' });
  }).toPass({ timeout: 30_000, intervals: [50] });
/** A row as it is read: what eight games in ten score at least, the median and at most, and the chance of the goal in %. */
async function rowOf(page: Page, key: string): Promise<{ scores: number[]; chance: number }> {
  const row = page.locator(`[data-row="${key}"]`);
  const said = (await row.locator('.visually-hidden').first().textContent())!;
  const [, p50, p10, p90] = /median (\d+(?:\.\d+)?).*? from (\d+(?:\.\d+)?).*? to (\d+(?:\.\d+)?)/.exec(said)!;
  const figures = await row.locator('b').allTextContents();
  return {
    scores: [p10, p50, p90].map(Number),
    chance: Number.parseInt(figures[1]!, 10),
  };
}
const drop = (file: string, text: string) => {
  const path = join(mkdtempSync(join(tmpdir(), 'inch-forecast-')), file);
  writeFileSync(path, text);
  return path;
};
const inch = (...args: string[]) => {
  const run = spawnSync('npm', ['run', '-s', 'inch', '--', 'forecast', ...args], { encoding: 'utf8' });
  return JSON.parse(run.stdout) as Record<'p10' | 'p50' | 'p90' | 'goal_chance' | 'information_per_ball', number>;
};

test('the command line gives the designer’s figures, for a level and for a player with records', async ({ page }) => {
  // Somebody whose balls are all in the file: landings are not.
  const { path, level } = await shotFileOf('Teodor');
  for (const key of ['three-hoops', 'until-it-works', 'seven-doors']) {
    const game = drop('game.json', writeGameFile(library(key)));
    await design(page, key);
    const asLevel = inch(game, '--level', '18');
    expect(await rowOf(page, 'level-18')).toEqual({
      scores: [asLevel.p10, asLevel.p50, asLevel.p90],
      chance: Math.round(100 * asLevel.goal_chance),
    });

    await page.getByLabel('Forecast it for a player').selectOption({ label: 'Teodor' });
    await expect(page.getByText(/^from [\d,]+ balls/)).toBeVisible();
    await page.getByLabel('Teodor', { exact: true }).check();
    await settled(page);
    const asPlayer = inch(game, '--shots', path, '--level', String(level));
    const own = await page.locator('[data-row]').last().getAttribute('data-row');
    expect(await rowOf(page, own!)).toEqual({
      scores: [asPlayer.p10, asPlayer.p50, asPlayer.p90],
      chance: Math.round(100 * asPlayer.goal_chance),
    });
    const tells = page.getByRole('listitem').filter({ hasText: 'this game' });
    // The answer has four digits, the screen two: at a half they may be rounded apart.
    const shown = async () => Number(/(\d+)%/.exec((await tells.textContent()) ?? '')?.[1]);
    await expect.poll(async () => Math.abs((await shown()) - 100 * asPlayer.information_per_ball)).toBeLessThan(0.51);
  }
});

test('an edit is answered anew, also without a network and under the worker that keeps play on the device', async ({ page, context }) => {
  // Play registers its service worker for the whole place; the designer is loaded under it.
  await page.goto('/play');
  await page.evaluate(async () => void (await navigator.serviceWorker.ready));
  await design(page, 'three-hoops');
  expect(await page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
  const before = await rowOf(page, 'level-10');
  await context.setOffline(true);
  await page.getByLabel('Points', { exact: true }).first().fill('60');
  // The rows are still those of before for a moment: it is the figures that are waited for.
  await expect.poll(async () => (await rowOf(page, 'level-10')).scores[2]).toBeGreaterThan(before.scores[2]!);
  await settled(page);
  await page.getByLabel('Chance of meeting the suggested goal').selectOption('60%');
  await page.getByRole('button', { name: /^Set \d+: / }).click();
  await expect.poll(async () => Math.abs((await rowOf(page, 'level-10')).chance - 60)).toBeLessThan(12);
  await context.setOffline(false);
  // A player whose records can't be fetched stands as the level; nothing that was typed is lost.
  await expect(page.getByLabel('Points', { exact: true }).first()).toHaveValue('60');
});

test('every way of scoring is forecast in the designer, and a game that is none yet says what is missing', async ({ page }) => {
  for (const kind of SCHEME_KINDS) {
    await design(page, LIBRARY.find(({ spec }) => spec.scoring.scheme === kind && !spec.open)!.key);
    await expect(page.getByText(/10,000 games a row/)).toBeVisible();
    await expect(page.getByRole('heading', { name: 'What you learn' })).toBeVisible();
  }
  await page.getByLabel('Title').fill('');
  await page.goto(`${HOME}/games/new?library=doorstep`);
  await settled(page);
  await page.getByLabel('From the hole').first().fill('99');
  await expect(page.getByText('Forecast once this is complete: Ring 2 must be wider than ring 1.')).toBeVisible();
  await page.goto(`${HOME}/games/new?library=wander`);
  await expect(page.getByText(/Stations called during play can’t be forecast/)).toBeVisible();
});

test('ring sizes and pars are set as they are offered', async ({ page }) => {
  await design(page, 'three-hoops');
  const offer = page.getByRole('button', { name: /^Set [\d.]+ ft, / });
  const sizes = [...(await offer.textContent())!.matchAll(/([\d.]+) ft/g)].map(([, n]) => n!);
  await offer.click();
  for (const [i, size] of sizes.entries()) await expect(page.getByLabel('From the hole').nth(i)).toHaveValue(size);
  await design(page, 'seven-doors');
  await page.getByLabel('Level 28').check();
  await settled(page);
  const pars = page.getByRole('button', { name: /^Set these: par \d+/ });
  const total = Number(/par (\d+)/.exec((await pars.textContent())!)![1]);
  expect(total).toBeGreaterThan(13);
  await pars.click();
  await page.getByRole('button', { name: '1. 6 yd chip' }).click();
  await expect(page.getByLabel('Par', { exact: true })).toHaveValue(/^[23]$/);
});

test('head starts are suggested where a game begins, and start with it', async ({ page }) => {
  await page.goto(`${HOME}/games/library/nearest-the-lamp`);
  for (const name of ['Ottilie', 'Kofi']) await page.getByRole('button', { name: new RegExp(name) }).click();
  await page.getByRole('button', { name: 'Suggest head starts' }).click();
  await expect(page.getByText(/of all pairs the least even is/)).toBeVisible({ timeout: 30_000 });
  const starts = await page.getByLabel(/^Head start, /).evaluateAll((fields) => fields.map((field) => (field as HTMLInputElement).value));
  expect(starts.filter((value) => value === '')).toHaveLength(1);
  const given = Number(starts.find((value) => value !== ''));
  expect(given * 2).toBe(Math.round(given * 2));
  await page.getByRole('button', { name: 'Start with 2' }).click();
  await page.waitForURL(/\/play#/);
  await page.getByRole('button', { name: 'Ready' }).click();
  const session = new URL(page.url()).hash.slice(1);
  const allowances = () =>
    ask<{ allowance: number }>('select allowance from session_player where session_id = $1 order by allowance', session);
  await expect.poll(async () => (await allowances()).map(({ allowance }) => Number(allowance))).toEqual([0, given]);
});

test('what is believed of a player is nobody else’s', async ({ page, browser }) => {
  const [player] = await ask<{ player_id: string }>(
    `select player_id from player join auth_organization o on o.id = academy_id where o.slug = 'lantern-hollow' and player.name = 'Maren'`,
  );
  const answer = await page.request.get(`${HOME}/players/${player!.player_id}/belief`);
  expect(answer.headers()['content-type']).toBe('application/octet-stream');
  expect((await answer.body()).length % 4).toBe(0);
  const stranger = await browser.newContext({ storageState: { cookies: [], origins: [] } });
  const other = await stranger.newPage();
  const home = await signUp(other, { academy: 'Elsewhere Forecast' });
  expect((await other.request.get(`${home}/players/${player!.player_id}/belief`)).status()).toBe(404);
  expect((await other.request.get(`${HOME}/players/${player!.player_id}/belief`)).status()).toBe(404);
  await stranger.close();
});
