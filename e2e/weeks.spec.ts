import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import ICAL from 'ical.js';
import { plusDays, sayPlainDay, weekdayOf } from '../core/units/plain-day';
import { ask } from './database';
import { makeOwnAcademy, signInTo } from './own-academy';
import { expect, test } from './test';

/** Planned weeks: made, moved, kept, run and judged. */

const HOME = '/a/lantern-hollow';
const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

/** Today as the demo's academy has it. */
async function today(): Promise<string> {
  const [row] = await ask<{ day: string }>(`select (now() at time zone 'Europe/Dublin')::date::text as day`);
  return row!.day;
}

const calendar = (page: Page) => page.getByRole('group', { name: 'Calendar' });
const days = (page: Page) => calendar(page).getByRole('button', { name: / min/ });
const cell = (page: Page, day: string) => calendar(page).locator(`[data-day="${day}"]`);
const save = async (page: Page) => {
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();
  await expect(page).toHaveURL(/\/plan\/weeks\/[0-9a-f-]{36}$/);
  return page.url().split('/').at(-1)!;
};
type Stored = {
  weeks: { days: { hourId: string; day: string; at: string | null; minutes: number; aim: string }[]; blocks: { shots: string[] }[] };
};
const stored = async (weeksId: string) => (await ask<Stored>('select weeks from weeks where weeks_id = $1', weeksId))[0]!.weeks;
/** Once its hours are made. */
const hoursMade = async (weeksId: string) => {
  const { days: planned } = await stored(weeksId);
  const made = async () => {
    const ids = planned.map(({ hourId }) => hourId);
    const [row] = await ask<{ n: number }>('select count(*)::int as n from hour where hour_id = any($1) and archived_at is null', ids);
    return row!.n;
  };
  await expect.poll(made, { timeout: 60_000 }).toBe(planned.length);
  return planned;
};

test('four weeks: planned from the player’s page, dragged, moved by key, kept, exported and read back', async ({ page }) => {
  test.slow();
  const now = await today();
  await page.goto(`${HOME}/players`);
  await page.getByRole('link', { name: /^Inga/ }).click();
  await page.getByRole('link', { name: 'Plan weeks' }).click();
  await expect(page.getByLabel('Title')).toHaveValue('Four weeks for Inga');
  await expect(days(page)).toHaveCount(8);
  await expect(days(page).first()).toHaveAttribute('aria-label', /^Test, /);
  await expect(days(page).last()).toHaveAttribute('aria-label', /^Re-test, /);
  await expect(
    page.getByText(/before and \d+ after show a change of 0\.\d\d strokes a shot, 4 times in 5\.|can hardly show a change/).first(),
  ).toBeVisible();
  // A third day of the week, at a time.
  await page.getByRole('button', { name: 'Thursday' }).click();
  await expect(days(page)).toHaveCount(12);
  await page.getByLabel('Thursday, at').fill('17:30');
  await page.getByLabel('Thursday, minutes').fill('40');
  await page.getByLabel('Thursday, minutes').press('Enter');
  await expect(page.locator('[aria-busy="true"]')).toHaveCount(0);
  await expect(days(page).filter({ hasText: '17:30 · 40 min' })).toHaveCount(4);
  // One is dragged to the day before, another moved by key, and that taken back.
  const dragged = days(page).filter({ hasText: '17:30' }).nth(1);
  const from = (await dragged.locator('..').getAttribute('data-day'))!;
  const to = plusDays(from, -1);
  const [a, b] = [(await dragged.boundingBox())!, (await cell(page, to).boundingBox())!];
  await page.mouse.move(a.x + a.width / 2, a.y + a.height / 2);
  await page.mouse.down();
  await page.mouse.move(b.x + b.width / 2, b.y + b.height / 2, { steps: 8 });
  await page.mouse.up();
  await expect(cell(page, to).getByRole('button', { name: /17:30/ })).toBeVisible();
  await expect(cell(page, from).getByRole('button', { name: / min/ })).toHaveCount(0);
  const keyed = days(page).last();
  const last = (await keyed.locator('..').getAttribute('data-day'))!;
  await keyed.focus();
  await page.keyboard.press('ArrowLeft');
  await expect(cell(page, plusDays(last, -1)).getByRole('button', { name: /^Re-test/ })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(cell(page, last).getByRole('button', { name: /^Re-test/ })).toBeVisible();
  const weeksId = await save(page);
  const planned = await hoursMade(weeksId);
  expect(planned.map(({ day }) => day)).toContain(to);
  expect(planned.every(({ day }) => day >= now)).toBe(true);
  expect((await stored(weeksId)).blocks[0]!.shots.length).toBeGreaterThan(0);
  // The calendar file, read back by another program.
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Calendar file' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('four-weeks-for-inga.ics');
  const events = new ICAL.Component(ICAL.parse(readFileSync(await file.path(), 'utf8')) as never)
    .getAllSubcomponents('vevent')
    .map((one) => new ICAL.Event(one));
  const inDublin = (moment: Date) =>
    new Intl.DateTimeFormat('en-GB', { timeZone: 'Europe/Dublin', dateStyle: 'short', timeStyle: 'short' }).format(moment);
  expect(events.map(({ uid }) => uid).toSorted()).toEqual(planned.map(({ hourId }) => `${hourId}@inch-game`).toSorted());
  for (const { hourId, day, at, minutes } of planned) {
    const event = events.find(({ uid }) => uid === `${hourId}@inch-game`)!;
    if (at === null) expect(event.startDate.toString()).toBe(day);
    else {
      expect(inDublin(event.startDate.toJSDate())).toBe(`${day.split('-').toReversed().join('/')}, ${at}`);
      expect(event.duration.toSeconds()).toBe(60 * minutes);
    }
    expect(event.description).toMatch(/\d+ min The game: /);
  }
  // The test is the same game at both ends, and everything was chosen for these shots.
  const games = await ask<{ aim: string; title: string }>(
    `select d ->> 'aim' as aim, h.hour #>> '{parts,-1,game,spec,title}' as title from weeks w, jsonb_array_elements(w.weeks -> 'days') d
     join hour h on h.hour_id = (d ->> 'hourId')::uuid where w.weeks_id = $1 and h.academy_id = w.academy_id`,
    weeksId,
  );
  const tests = games.filter(({ aim }) => aim === 'test' || aim === 'again').map(({ title }) => title);
  expect(new Set(tests).size).toBe(1);
  expect(tests[0]).toMatch(/^Test: /);
  // An hour of it is moved on the calendar alone, and follows there.
  const moved = planned.find(({ aim }) => aim === 'practise')!;
  await page.goto(`${HOME}/plan/hour/${moved.hourId}`);
  await expect(page.getByRole('link', { name: sayPlainDay(moved.day) })).toBeVisible();
  await expect(page.getByLabel('Day', { exact: true })).toHaveCount(0);
  await page.getByRole('link', { name: sayPlainDay(moved.day) }).click();
  await cell(page, moved.day)
    .getByRole('button', { name: /^Weak shots/ })
    .click();
  await page.getByLabel('Date').fill(plusDays(moved.day, 1));
  await save(page);
  await expect
    .poll(async () => (await ask<{ day: string }>('select day::text from hour where hour_id = $1', moved.hourId))[0]!.day)
    .toBe(plusDays(moved.day, 1));
  // Put away with its hours.
  await page.getByRole('button', { name: 'Put these weeks away' }).click();
  await expect(page).toHaveURL(/\/plan$/);
  await expect(page.getByRole('link', { name: /^Four weeks for Inga/ })).toBeHidden();
});

test('an event: less before it, then as in a round; what makes no sense is said beside its field and nothing is lost', async ({ page }) => {
  const now = await today();
  await page.goto(`${HOME}/plan/weeks/new`);
  await page.getByRole('button', { name: '+ event' }).click();
  await page.getByLabel('up to').fill(plusDays(now, 20));
  await page.getByLabel('Name of the event').fill('Club championship');
  await expect(cell(page, plusDays(now, 20))).toContainText('Club championship');
  await expect(days(page).last()).toHaveAttribute('aria-label', /^Rehearsal, /);
  await page.getByLabel('up to').fill(now);
  await expect(page.getByText('The event has to come after the first day.')).toBeVisible();
  await expect(days(page).last()).toHaveAttribute('aria-label', /^Rehearsal, /);
  await page.getByLabel('up to').fill(plusDays(now, 20));
  await expect(page.getByText('The event has to come after the first day.')).toBeHidden();
  await page.getByRole('button', { name: 'No event' }).click();
  await page.getByLabel('to', { exact: true }).fill(plusDays(now, 400));
  await expect(page.getByText('Plan at most 26 weeks.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Plan at most 26 weeks.')).toBeHidden();
  for (const day of ['Tuesday', 'Saturday']) await page.getByRole('button', { name: day, exact: true }).click();
  await expect(page.getByText('Choose at least one day of the week.')).toBeVisible();
  await page.getByLabel('Title').fill('');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Give these weeks a title.')).toBeVisible();
  await expect(page.getByText('Choose at least one day of the week.')).toBeVisible();
});

test('a day by hand, another shot: what is chosen stands, and the test is of it', async ({ page }) => {
  const now = await today();
  await page.goto(`${HOME}/plan/weeks/new`);
  const free = [1, 2, 3].map((i) => plusDays(now, i)).find((day) => ![2, 6].includes(weekdayOf(day)))!;
  await cell(page, free).getByRole('button', { name: /^Add/ }).click();
  await expect(days(page)).toHaveCount(9);
  await page.getByLabel('What it is for').selectOption('Neglected shots');
  await expect(cell(page, free).getByRole('button', { name: /^Neglected shots/ })).toBeVisible();
  await page.getByRole('button', { name: 'Remove' }).click();
  await expect(days(page)).toHaveCount(8);
  await page.getByLabel('Shot 2').selectOption('no other');
  await expect(page.locator('[aria-busy="true"]')).toHaveCount(0);
  await page.getByLabel('Shot 1').selectOption({ label: '20–30 yd pitches from the fairway' });
  await expect(page.getByText(/^20–30 yd pitches from the fairway: /)).toBeVisible();
});

test('after four weeks a plain verdict: what was done, what changed and how sure, what to alter', async ({ page }) => {
  await page.goto(`${HOME}/plan`);
  await page.getByRole('link', { name: /^Eight weeks to the spring league/ }).click();
  const verdict = page.getByRole('region', { name: /^Verdict on/ });
  await expect(verdict.getByText(/^7 of 8 days done, \d+ of \d+ minutes\.$/)).toBeVisible({ timeout: 30_000 });
  await expect(verdict.getByRole('listitem').first()).toContainText(
    /strokes lost a shot before \(\d+ balls?\), −?\d\.\d\d since \(\d+\)|nothing to compare/,
  );
  await expect(verdict).toContainText(/working|luck|too early|better|worse/);
  await expect(days(page).filter({ hasText: 'done' })).not.toHaveCount(0);
  await expect(days(page).filter({ hasText: 'not done' })).toHaveCount(1);
  // What is over does not move.
  const done = days(page)
    .filter({ hasText: /^Test.*done/ })
    .first();
  const on = await done.locator('..').getAttribute('data-day');
  await done.focus();
  await page.keyboard.press('ArrowRight');
  await expect(cell(page, on!).getByRole('button', { name: /^Test/ })).toBeVisible();
});

test('the player’s own phone shows the week and opens the part of today', async ({ browser }) => {
  test.slow();
  // An academy of its own: nobody else’s tests meet another player, or another link.
  const own = await makeOwnAcademy('Winterly');
  const context = await browser.newContext({ storageState: { cookies: [], origins: [] } });
  await signInTo(context.request, own);
  const page = await context.newPage();
  const [row] = await ask<{ day: string }>(`select (now() at time zone 'UTC')::date::text as day`);
  const now = row!.day;
  // Somebody with hardly a ball, whose weeks are about what costs players of the level most.
  const home = `/a/${own.slug}`;
  await page.goto(`${home}/plan/weeks/new?for=${own.playerId}`);
  const weekday = WEEKDAYS[weekdayOf(now) - 1]!;
  if ((await page.getByRole('button', { name: weekday, exact: true }).getAttribute('aria-pressed')) === 'false')
    await page.getByRole('button', { name: weekday, exact: true }).click();
  await page.getByLabel(`${weekday}, at`).fill('18:15');
  await expect(cell(page, now).getByRole('button', { name: /^Test/ })).toBeVisible();
  await page.getByLabel('Title').fill('Winter weeks');
  await expect(page.locator('[aria-busy="true"]')).toHaveCount(0);
  const weeksId = await save(page);
  await hoursMade(weeksId);
  await page.goto(`${home}/players/${own.playerId}/sessions`);
  await page.getByRole('button', { name: 'Make a link' }).click();
  const link = await page.getByLabel('Address of the link').inputValue();
  const phone = await browser.newPage({ viewport: { width: 390, height: 844 }, storageState: { cookies: [], origins: [] } });
  await phone.goto(link);
  const part = phone.getByRole('region', { name: 'Today' }).getByRole('link', { name: /^Test: Winter weeks/ });
  await expect(part).toContainText('18:15 · 50 min');
  // Eight days ahead are there, and no more.
  const soon = (await stored(weeksId)).days.filter(({ day }) => day <= plusDays(now, 8));
  await expect(phone.getByRole('link', { name: /: Winter weeks/ })).toHaveCount(soon.length);
  await part.click();
  await phone.getByRole('button', { name: 'Start the clock' }).click();
  await expect(phone.getByText(/^Part 1 of \d/)).toBeVisible();
  // Told to the desk, which sees it under way.
  const runs = () => ask('select from hour_run where academy_id = $1', own.academyId);
  await expect.poll(async () => (await runs()).length).toBe(1);
  await page.goto(`${home}/plan/weeks/${weeksId}`);
  await expect(cell(page, now).getByRole('button', { name: /under way$/ })).toBeVisible();
  await phone.close();
  await context.close();
});
