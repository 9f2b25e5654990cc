import { randomUUID } from 'node:crypto';
import type { Page } from '@playwright/test';
import { beginDesign, own, saveDesign, startPlay } from './steps';
import { expect, test } from './test';

// Landing spots are worked out in a worker.
test.use({ forecasts: true });

const HOME = '/a/lantern-hollow';

/** The player of a tool is chosen by name. */
async function choose(page: Page, name: string) {
  await page.getByLabel('Player', { exact: true }).selectOption(name);
  await expect(page).toHaveURL(/for=/);
}

/** Records a ball with its club and mark, and by how many feet it landed long of its spot. */
async function swing(page: Page, club: string, mark: string, longFt: string) {
  await page.getByRole('button', { name: 'More', exact: true }).click();
  const ball = page.getByRole('region', { name: 'More about this ball' });
  await ball.getByRole('radiogroup', { name: 'Club' }).getByText(club).click();
  await ball.getByRole('radiogroup', { name: 'Swing mark' }).getByText(mark).click();
  await ball.getByLabel('Landed long of the spot').fill(longFt);
  await ball.getByRole('button', { name: 'Done' }).click();
  await page.getByRole('button', { name: 'landed', exact: true }).click();
}

test('from a station on a green to its landing spot to a game with that zone', async ({ page }) => {
  await page.goto(`${HOME}/greens`);
  await page.getByRole('link', { name: /Low green/ }).click();
  await page.getByRole('button', { name: 'Station 1', exact: true }).click();
  await page.getByRole('link', { name: 'Where to land it' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Landing spot' })).toBeVisible();
  await expect(page.getByLabel('Station')).toHaveValue('s1');
  await expect(page.getByText(/^21 yd: 6 yd to the green, 27 yd behind the hole, 1.9% uphill, 0\.7% down to the right\.$/)).toBeVisible();
  const spot = page.getByRole('slider', { name: /^Landing spot of / });
  const landed = /([\d.]+) yd/.exec((await spot.getAttribute('aria-valuetext'))!)![1]!;
  // The three best of different flights, the plan from above, bold and careful.
  await expect(page.getByRole('button', { pressed: true }).filter({ hasText: 'of the way' })).toContainText(`${landed} yd`);
  await expect(page.getByRole('img', { name: /^Station 1 → hole A from above/ })).toBeVisible();
  await expect(page.getByRole('heading', { name: /^Bold or careful, / })).toBeVisible();
  await page.getByRole('link', { name: 'Make a game: land it there' }).click();
  await expect(page.getByLabel('Title')).toHaveValue(/^Land it with the /);
  await expect(page.getByRole('textbox', { name: /^Lands at/ })).toHaveValue(new RegExp(`^${landed.replace('.', '\\.')}`));
  await page.getByRole('button', { name: 'Save the game' }).click();
  await expect(page.getByRole('heading', { level: 1, name: /^Land it with the / })).toBeVisible();
});

test('a landing spot is moved, by key and by drag, and says where the ball then stops', async ({ page }) => {
  await page.goto(`${HOME}/tools/landing`);
  const spot = page.getByRole('slider', { name: /^Landing spot of / });
  await spot.focus();
  for (let press = 0; press < 4; press++) await page.keyboard.press('ArrowRight');
  await expect(page.getByText(/^Land it there and it stops .+ past the hole\./)).toBeVisible();
  const before = Number(await spot.getAttribute('aria-valuenow'));
  const box = (await spot.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x - 120, box.y + box.height / 2, { steps: 6 });
  await page.mouse.up();
  await expect.poll(async () => Number(await spot.getAttribute('aria-valuenow'))).toBeLessThan(before - 1);
  await expect(page.getByText(/short of the hole\./)).toBeVisible();
  await page.getByRole('button', { name: 'Back to the best spot' }).click();
  await expect(page.getByText(/^Land it there and/)).toHaveCount(0);
});

test('the place stands in the address; what is wrong is said beside its field, and the last good answer stays', async ({ page }) => {
  await page.goto(`${HOME}/tools/landing`);
  await expect(page.getByText('Little between these')).toBeVisible();
  await page.getByLabel('Carry to the green').fill('30');
  await expect(page.getByText('The green begins before the hole: enter less than the distance.')).toBeVisible();
  await expect(page.getByText('Little between these')).toBeVisible();
  // Anything may be typed in anything: paces, feet and inches.
  await page.getByLabel('Carry to the green').fill('15 ft');
  await expect(page.getByText('= 5 yd')).toBeVisible();
  await page.getByLabel('To the hole').fill('20 paces');
  await expect(page).toHaveURL(/d=18\.288/);
  await page.getByLabel('Slope').fill('-10');
  await expect(page.getByText(/^(Will not stop|No reliable landing spot)/)).toBeVisible();
  await page.getByLabel('Lie').selectOption('Sand');
  await expect(page.getByText('Sand varies too much from bunker to bunker for figures')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Lie')).toHaveValue('sand');
  await expect(page.getByLabel('To the hole')).toHaveValue('20');
});

test('three balls on this green say how far balls run today', async ({ page }) => {
  await page.goto(`${HOME}/tools/landing`);
  const carry = async () => (await page.getByRole('slider', { name: /^Landing spot of / }).getAttribute('aria-valuetext'))!;
  const before = await carry();
  await page.getByRole('button', { name: 'Measure three balls' }).click();
  const fill = async (ball: number, landed: string, stopped: string) => {
    await page.locator(`#ball-${ball - 1}-landed`).fill(landed);
    await page.locator(`#ball-${ball - 1}-stopped`).fill(stopped);
  };
  await fill(1, '6', '17');
  await expect(page.getByText('1 ball so far. Measure at least three.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Use it' })).toBeDisabled();
  await fill(2, '6.5', '18');
  await fill(3, '5.8', '16.5');
  await expect(page.getByText(/^Balls run about 1\.\d\d times as far as usual \(.+, 3 balls\)\.$/)).toBeVisible();
  await page.getByRole('button', { name: 'Use it' }).click();
  // Where balls run farther, they are landed shorter.
  await expect.poll(async () => parseFloat(await carry())).toBeLessThan(parseFloat(before));
  await page.getByRole('button', { name: 'Forget it' }).click();
  await expect.poll(carry).toBe(before);
});

test('a rule of thumb is one’s own, and stays on this device', async ({ page }) => {
  await page.goto(`${HOME}/tools/landing`);
  const parts = page.getByLabel(/: 1 part carry to$/);
  await parts.fill('x');
  await expect(page.getByText('Enter parts from 0.1 to 20.')).toBeVisible();
  await parts.fill('2');
  await expect(page.getByText(/By the rule land it at 4 yd/)).toBeVisible();
  await page.reload();
  await expect(parts).toHaveValue('2');
});

test('a chart of swing lengths: recorded at the green with the player’s own marks, looked up, with a card to print', async ({ page }) => {
  await page.goto(`${HOME}/tools/swing`);
  await choose(page, 'Ottilie');
  await expect(page.getByText(/from 50 balls\./)).toBeVisible();
  const best = page.getByRole('region', { name: 'Look up a yardage' }).getByRole('status');
  await expect(best).toContainText('Lob wedge to chest');
  await page.getByLabel('To carry').fill('31');
  await expect(best).toContainText('Sand wedge to hip');
  await page.getByLabel('Wind').fill('-12');
  await expect(best).toContainText(/31 yd plays as 3[2-6] yd/);
  await page.getByLabel('Today 50 comes out as').fill('45');
  await expect(best).toContainText(/31 yd plays as 3[5-9] yd|31 yd plays as 4\d yd/);
  // The card: the chart alone.
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByLabel('To carry')).toBeHidden();
  await expect(page.getByRole('cell', { name: /^44 ± / })).toBeVisible();
  await page.emulateMedia({ media: 'screen' });

  // One more ball at the green: her marks are offered.
  await page.goto(`${HOME}/games`);
  await page.getByRole('link', { name: /Odd Numbers/ }).click();
  await startPlay(page, 'Ottilie');
  await swing(page, 'gap wedge', 'knee', '2');
  await expect(page.getByText(/All sent|sent/i).first()).toBeVisible();
  await page.goto(`${HOME}/tools/swing`);
  await choose(page, 'Ottilie');
  await expect(page.getByText(/from 51 balls\./)).toBeVisible();
});

test('a chart from 40 recorded balls of two wedges to two marks, and a yardage looked up in it', async ({ page }) => {
  await page.goto(`${HOME}/tools/swing`);
  await choose(page, 'Teodor');
  await expect(page.getByText('No ball with a swing mark and a carry yet.')).toBeVisible();
  await page.getByRole('button', { name: 'Save marks' }).click();
  await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();
  await beginDesign(page, HOME, {
    title: 'Forty wedges',
    scheme: 'landing zone',
    stations: [{ shot: 'pitch', distance: '45', balls: '40', carry: '45' }],
  });
  await saveDesign(page, 'Forty wedges');
  await startPlay(page, 'Teodor');
  // The first ball by hand, one yard long of 30: 14 yd or 42 ft short of the spot.
  const sent = page.waitForRequest((request) => request.url().endsWith('/api/v1/shot-events') && request.method() === 'POST');
  await swing(page, 'sand wedge', 'hip', '-42');
  type Event = { payload: Record<string, unknown> };
  const { sessionId, events } = (await sent).postDataJSON() as { sessionId: string; events: [Event] };
  // The other 39 as a phone sends them: a yard long and a yard short of what each swing carries, by turns.
  const swings = [
    ['sand wedge', 'hip', 30],
    ['sand wedge', 'chest', 46],
    ['gap wedge', 'hip', 38],
    ['gap wedge', 'chest', 56],
  ] as const;
  const rest = Array.from({ length: 39 }, (_, i) => {
    const at = i + 1;
    const [clubLabel, swingMark, carry] = swings[at % 4]!;
    const landed = carry + (Math.floor(at / 4) % 2 === 0 ? 1 : -1);
    const payload = { ...events[0].payload, turnNo: at, ballNo: at + 1, clubLabel, swingMark, landingErrorM: (landed - 45) * 0.9144 };
    return { ...events[0], eventId: randomUUID(), shotId: randomUUID(), payload };
  });
  const answer = await page.request.post('/api/v1/shot-events', { headers: own(page), data: { sessionId, events: rest } });
  expect([answer.status(), await answer.json()]).toEqual([200, expect.objectContaining({ stored: 39 })]);
  await page.goto(`${HOME}/tools/swing`);
  await choose(page, 'Teodor');
  await expect(page.getByText(/from 40 balls\./)).toBeVisible();
  const row = (club: string) => page.getByRole('row').filter({ has: page.getByRole('rowheader', { name: club, exact: true }) });
  for (const [club, , carry] of swings)
    await expect(row(club).getByRole('cell', { name: new RegExp(`^${carry} ± [1-4]\\s*10 balls`) })).toBeVisible();
  // What nobody tried is an estimate, marked as one: less than the next mark, or more than the one before.
  const carries = (await row('gap wedge').getByRole('cell').allTextContents()).map((text) => parseInt(text));
  expect(carries).toEqual(carries.toSorted((a, b) => a - b));
  await expect(row('gap wedge').getByRole('cell', { name: /estimate/ })).toHaveCount(2);
  const best = page.getByRole('region', { name: 'Look up a yardage' }).getByRole('status');
  for (const [yards, swing] of [
    ['38', 'Gap wedge to hip'],
    ['45', 'Sand wedge to chest'],
    ['57', 'Gap wedge to chest'],
  ] as const) {
    await page.getByLabel('To carry').fill(yards);
    await expect(best).toContainText(swing);
  }
});

test('marks of the hands: named, in order, no two alike', async ({ page }) => {
  await page.goto(`${HOME}/tools/swing`);
  await choose(page, 'Kofi');
  await expect(page.getByText('No ball with a swing mark and a carry yet.')).toBeVisible();
  await page.getByLabel('Mark 2', { exact: true }).fill('knee');
  await page.getByRole('button', { name: 'Save marks' }).click();
  await expect(page.getByText('Another mark has this name.')).toBeVisible();
  await page.getByLabel('Mark 2', { exact: true }).fill('belt');
  await page.getByRole('button', { name: 'Save marks' }).click();
  await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Mark 2', { exact: true })).toHaveValue('belt');
});

test('a putt on the demo green, and on a slope that is typed: line, pace, and no reliable line', async ({ page }) => {
  await page.goto(`${HOME}/greens`);
  await page.getByRole('link', { name: /Top green/ }).click();
  await page.getByRole('button', { name: 'Station 1', exact: true }).click();
  await page.getByRole('link', { name: 'Line and pace' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Putts' })).toBeVisible();
  await expect(page.getByText('Aim at the middle of the hole')).toHaveCount(3);
  await choose(page, 'Ruaridh');
  await expect(page.getByText(/^Practise .+ putts next\./)).toBeVisible();
  await page.getByLabel('On', { exact: true }).selectOption('an even slope');
  await expect(page.getByText(/^Aim \d+ in outside the right edge$/)).toHaveCount(3);
  await page.getByLabel('Across').fill('-2');
  await expect(page.getByText(/^Aim \d+ in outside the left edge$/)).toHaveCount(3);
  await page.getByLabel('To the hole').fill('-9');
  await page.getByRole('region', { name: 'Line and pace' }).getByLabel('Green speed').fill('12');
  await expect(page.getByText(/^No reliable line/)).toBeVisible();
  await page.getByLabel('To the hole').fill('40');
  await expect(page.getByText('At most 10%.')).toBeVisible();
});

test('odds from anywhere; from the fringe a second hole, by the model and by a rule', async ({ page }) => {
  await page.goto(`${HOME}/tools/putts`);
  const odds = page.getByRole('region', { name: 'Odds' });
  await expect(odds.getByRole('status')).toContainText('25%');
  await odds.getByLabel('Distance').fill('3');
  await expect(odds.getByRole('status')).toContainText(/8\d%/);
  const fringe = page.getByRole('region', { name: 'From the fringe' });
  await expect(fringe.getByRole('status')).toContainText('3 ft');
  await fringe.getByLabel('Rule: add').fill('100');
  await expect(fringe.getByRole('status')).toContainText('by the rule: 6 ft');
  await fringe.getByLabel('Slope').fill('3');
  await expect(fringe.getByRole('status')).toContainText(/^2(\.\d)? ft/);
});

test('what the short game is worth in a round, and what a score takes', async ({ page }) => {
  await page.goto(`${HOME}/tools/outlook`);
  await choose(page, 'Ruaridh');
  const round = page.getByRole('region', { name: 'A round', exact: true });
  const average = async () => parseFloat((await round.getByRole('status').textContent())!);
  await expect(round.getByRole('status')).toContainText('Ruaridh, on average: +');
  const before = await average();
  await page.getByLabel('Greens hit').fill('9');
  await expect.poll(average).toBeLessThan(before - 2);
  const worth = page.getByRole('region', { name: 'Worth a round' });
  await expect(worth.getByText(/^Chipping at level 12$/)).toBeVisible();
  await page.getByLabel('Wanted score').fill('82');
  await expect(worth.getByText(/^On average it takes (up and down|\d)/)).toBeVisible();
  await page.getByLabel('Wanted score').fill('58');
  await expect(worth.getByText(/^Neither the short game nor greens alone can do that/)).toBeVisible();
  await page.getByLabel('Wanted score').fill('110');
  await expect(worth.getByText('This player already averages that.')).toBeVisible();
  await expect(worth.getByText(/^Half of Ruaridh’s chips from here stop outside/)).toBeVisible();
});

test('a length in anything, a stride that is checked, and a card', async ({ page }) => {
  await page.goto(`${HOME}/tools/measures`);
  const lines = page.getByRole('region', { name: 'Convert' }).getByRole('status');
  await expect(lines).toContainText('12yards');
  await page.getByLabel('A length, in anything').fill('4 ft 3');
  await expect(lines).toContainText('1.3metres');
  await page.getByLabel('A length, in anything').fill('a stone’s throw');
  await expect(page.getByText('Enter a length such as 12 paces, 4 ft 3 or 2½ clubs.')).toBeVisible();
  await page.getByLabel('Whose').selectOption('Ottilie');
  await expect(page.getByRole('heading', { level: 1, name: 'Measures Ottilie' })).toBeVisible();
  await page.getByLabel('Paces counted').fill('24');
  await expect(page.getByText('A pace is 30 in. 7% longer than before.')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Card' }).getByRole('row', { name: /^10 / }).first()).toBeVisible();
});

test('what each level scores in a game: on its own page, to print', async ({ page }) => {
  await page.goto(`${HOME}/games`);
  await page.getByRole('link', { name: /Lantern Six/ }).click();
  await page.getByRole('link', { name: 'Scores by level' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Lantern Six by level' })).toBeVisible();
  const rows = page.getByRole('row').filter({ has: page.getByRole('rowheader') });
  await expect(rows).toHaveCount(9);
  const median = async (row: number) => parseFloat((await rows.nth(row).getByRole('cell').first().textContent())!);
  expect(await median(0)).toBeGreaterThan(await median(8));
  await expect(rows.first()).toContainText('+5');
  // At one of its stations alone a level scores less.
  const all = await median(0);
  const stations = page.getByRole('navigation', { name: 'Which stations' });
  await stations.getByRole('link').nth(1).click();
  await expect(page).toHaveURL(/at=/);
  await expect(stations.getByRole('link').nth(1)).toHaveAttribute('aria-current', 'page');
  await expect(rows).toHaveCount(9);
  expect(await median(0)).toBeLessThan(all);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('link', { name: 'To the game' })).toBeHidden();
});

test('rungs along one line become a game, with how it breaks', async ({ page }) => {
  await page.goto(`${HOME}/tools/putts`);
  const rungs = page.getByRole('region', { name: 'Rungs' });
  await rungs.getByLabel('Measured in').selectOption('feet');
  await rungs.getByLabel('Rungs').fill('5');
  await rungs.getByLabel('Break').selectOption('Left to right');
  await expect(rungs.getByText('3 ft, 6 ft, 9 ft, 12 ft and 15 ft.')).toBeVisible();
  await rungs.getByLabel('Rungs').fill('40');
  await expect(rungs.getByText('At most 12.')).toBeVisible();
  await rungs.getByLabel('Rungs').fill('5');
  await rungs.getByRole('link', { name: 'Make a game of them' }).click();
  await expect(page.getByLabel('Title')).toHaveValue('5 rungs along one line');
  await expect(page.getByRole('button', { name: /^5\. 15 ft putt green · left to right/ })).toBeVisible();
});

test('from a ball at play to where to land it, as the player’s own balls say, and back', async ({ page }) => {
  // What was worked out at the desk is what the phone carries.
  await page.goto(`${HOME}/tools/landing`);
  await choose(page, 'Ottilie');
  const whose = page.getByText(/^Ottilie, from [\d,]+ balls, with their own clubs\./);
  await expect(whose).toBeVisible();
  const balls = /[\d,]+(?= balls)/.exec((await whose.textContent())!)![0];
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/play');
  await page.getByRole('button', { name: 'Keep them on this phone' }).click();
  await expect(page.getByText(/are kept here\. Games start without a network\.$/)).toBeVisible();
  await page.goto(`${HOME}/games/library/three-hoops`);
  await startPlay(page, 'Ottilie');
  const playing = page.url();
  await page.getByRole('button', { name: 'This session' }).click();
  await page.getByRole('link', { name: 'Landing spot' }).click();
  await expect(page.getByLabel('Player', { exact: true }).getByRole('option', { selected: true })).toHaveText('Ottilie');
  await expect(page.getByText(`Ottilie, from ${balls} balls, with their own clubs.`)).toBeVisible();
  await expect(page.getByLabel('To the hole')).toHaveValue('8');
  await expect(page.getByLabel('Lie')).toHaveValue('fringe');
  await page.getByRole('link', { name: 'To play' }).click();
  expect(page.url()).toBe(playing);
  await expect(page.getByRole('button', { name: 'Ready' })).toBeVisible();
});

test('on the phone, without a network: a landing spot, a chart, lengths', async ({ page, context }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/play');
  await page.getByRole('button', { name: 'Keep them on this phone' }).click();
  await expect(page.getByText(/are kept here\. Games start without a network\.$/)).toBeVisible();
  await page.evaluate(async () => void (await navigator.serviceWorker.ready));
  await expect(page.getByRole('link', { name: 'Tools' })).toBeVisible();
  await context.setOffline(true);
  await page.getByRole('link', { name: 'Tools' }).click();
  await expect(page.getByText('Little between these')).toBeVisible();
  await page.getByLabel('Player', { exact: true }).selectOption('Ottilie');
  await expect(page.getByText(', with their own clubs.')).toBeVisible();
  // In her own paces.
  await page.getByLabel('To the hole').fill('20 paces');
  await expect(page.getByText('= 15.556 yd')).toBeVisible();
  await page.getByRole('button', { name: 'Swing lengths' }).click();
  const best = page.getByRole('region', { name: 'Look up a yardage' }).getByRole('status');
  // Which swing is best another test’s ball may have changed.
  await expect(best).toContainText(/ wedge to \w+/);
  const [usual] = await best.allTextContents();
  await page.getByLabel('To carry').fill('31');
  await expect(best).not.toHaveText(usual!);
  await expect(best).toContainText(/ wedge to \w+.*give or take/);
  await page.getByRole('button', { name: 'Lengths', exact: true }).click();
  await page.getByLabel('A length, in anything').fill('3 clubs');
  await expect(page.getByRole('status')).toContainText('8 ft 6');
  await page.reload();
  await expect(page.getByText('Little between these')).toBeVisible();
  await context.setOffline(false);
});
