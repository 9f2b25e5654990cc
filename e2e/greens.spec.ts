import { readFileSync } from 'node:fs';
import type { Locator, Page } from '@playwright/test';
import jsQR from 'jsqr';
import { PNG } from 'pngjs';
import { complaints, press, saveDesign } from './steps';
import { expect, test } from './test';

const base = '/a/lantern-hollow';
const map = (page: Page) => page.getByRole('application', { name: 'The plan from above' });

/** Where a place of the plan, in yards from its middle, is on the screen. */
async function onScreen(page: Page, [x, y]: readonly [number, number]): Promise<{ x: number; y: number }> {
  const view = JSON.parse((await map(page).getAttribute('data-view'))!) as {
    middle: [number, number];
    perM: number;
    wide: number;
    high: number;
  };
  const box = (await map(page).boundingBox())!;
  return {
    x: box.x + view.wide / 2 + (x * 0.9144 - view.middle[0]) * view.perM,
    y: box.y + view.high / 2 - (y * 0.9144 - view.middle[1]) * view.perM,
  };
}

async function tap(page: Page, ...places: (readonly [number, number])[]): Promise<void> {
  for (const place of places) {
    const { x, y } = await onScreen(page, place);
    await page.touchscreen.tap(x, y);
  }
}

const box = (x: number, y: number, wide: number, high: number) =>
  [
    [x, y],
    [x + wide, y],
    [x + wide, y + high],
    [x, y + high],
  ] as const;
const tool = (page: Page, name: string) => page.getByRole('toolbar', { name: 'Tools' }).getByRole('button', { name, exact: true });
/** The figures of the chosen station, as they stand in the panel. */
const facts = async (page: Page) => (await page.locator('dl > div').allInnerTexts()).map((line) => line.replaceAll('\n', ': '));

async function download(page: Page, press_: Locator): Promise<string> {
  const waiting = page.waitForEvent('download');
  await press_.click();
  return readFileSync(await (await waiting).path(), 'utf8');
}

test.describe('with a finger', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('a green with a bunker and two holes is drawn, measured, played, changed, and taken out and in', async ({ page }) => {
    const said = complaints(page);
    await page.goto(`${base}/greens/new`);
    await page.getByLabel('Name').fill('Tap green');
    await page.getByRole('button', { name: 'Draw it' }).click();
    await page.getByRole('button', { name: 'Zoom out' }).tap();
    await tap(page, ...box(-10, -10, 20, 20));
    await page.getByRole('button', { name: 'Close it' }).tap();
    await expect(page.getByText('20 by 20 yd, 400 yd² · 4 corners')).toBeVisible();
    await tool(page, 'Bunker').tap();
    await tap(page, ...box(-2, -17, 4, 4));
    await page.getByRole('button', { name: 'Close it' }).tap();
    await expect(page.getByRole('heading', { name: 'Bunker' })).toBeVisible();
    await tool(page, 'Hole').tap();
    await tap(page, [0, 0], [8, 0]);
    await tool(page, 'Station').tap();
    await tap(page, [0, -20], [20, 0], [-13, 0], [-5, 0]);
    await tool(page, 'Move').tap();
    await page.getByRole('button', { name: '‹ the whole green' }).tap();
    await page.getByLabel('Slope').selectOption('falls one way');
    await page.getByLabel('Towards').fill('180');

    // 20 yd up a fall of 2%; the bunker ends 7 yd on, and a metre more clears it: 8.1 yd.
    await tap(page, [0, -20]);
    await expect(page.getByRole('heading', { name: 'Station 1 → hole A' })).toBeVisible();
    expect(await facts(page)).toEqual([
      'to the hole: 20 yd',
      'carry to the edge: 10 yd',
      'green to work with: 10 yd',
      'bunker on the line: carry 8 yd to clear',
      'slope along / across: up 2.0% / level',
    ]);
    await expect(page.getByText('Pitch. Sand on the line: carry 8 yd.')).toBeVisible();
    // From the right, 2 yd of green; going left, it falls to the left.
    await tap(page, [20, 0]);
    expect(await facts(page)).toEqual([
      'to the hole: 12 yd',
      'carry to the edge: 10 yd',
      'green to work with: 2 yd · short-sided',
      'bunker on the line: none',
      'slope along / across: level / falls left 2.0%',
    ]);
    await expect(page.getByText('Lob. Only 2 yd of green: it has to stop.')).toBeVisible();
    await tap(page, [-13, 0]);
    expect((await facts(page)).slice(0, 3)).toEqual(['to the hole: 13 yd', 'carry to the edge: 3 yd', 'green to work with: 10 yd']);
    await expect(page.getByText('Chip. More roll than carry: carry 4 yd, run 9 yd.')).toBeVisible();
    await tap(page, [-5, 0]);
    expect((await facts(page)).slice(0, 2)).toEqual(['to the hole: 15 ft', 'green to work with: 15 ft']);
    await page.getByRole('button', { name: '‹ the whole green' }).tap();
    await expect(page.getByText('Hole B is 6 ft from the edge: nearer than a flagstick.')).toBeVisible();

    await page.getByRole('button', { name: 'Make a game here' }).tap();
    await expect(page.getByLabel('Title')).toHaveValue('Round Tap green');
    await saveDesign(page, 'Round Tap green');
    const game = page.url();
    await expect(page.getByText('20 yd pitch')).toBeVisible();
    await page.getByRole('button', { name: 'Bashir' }).click();
    await page.getByRole('button', { name: 'Ready' }).click();
    await press(page, 'Holed');
    await expect(page.getByText('all sent')).toBeVisible();

    // The hole moves 2 yd to the right: from below it is √404 yd now, from the left 15.
    await page.goto(game);
    await page.getByRole('link', { name: 'Tap green' }).click();
    await page.getByRole('button', { name: 'Hole A' }).first().focus();
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('ArrowRight');
    await page.getByRole('button', { name: 'Save the green' }).click();
    await expect(page.getByText('Round Tap green followed: it has results, so it is version 2 now.')).toBeVisible();
    const green = page.url();
    await page.goto(game);
    await expect(page.getByText('version 2')).toBeVisible();
    await expect(page.getByText('20.1 yd pitch')).toBeVisible();
    await expect(page.getByText('15 yd chip')).toBeVisible();

    // Out as GeoJSON and in again: the same file.
    await page.goto(green);
    const text = await download(page, page.getByRole('link', { name: 'Save as a file' }));
    expect(JSON.parse(text)).toMatchObject({ type: 'FeatureCollection' });
    await page.goto(`${base}/greens`);
    const take = (content: string) =>
      page
        .getByLabel('File of a green')
        .setInputFiles({ name: 'mine.geojson', mimeType: 'application/geo+json', buffer: Buffer.from(content) });
    await take(text.replace('"label": "B"', '"label": "A"'));
    await expect(page.getByText('Two holes are called A.')).toBeVisible();
    await take(text);
    await expect(page.getByRole('button', { name: 'Station 4' })).toBeVisible();
    expect(page.url()).not.toBe(green);
    expect(await download(page, page.getByRole('link', { name: 'Save as a file' }))).toBe(text);
    expect(said).toEqual([]);
  });

  test('two fingers zoom, one finger moves the plan or a station; undo takes it back in one step', async ({ page }) => {
    await page.goto(`${base}/greens`);
    await page.getByRole('link', { name: /Top green/ }).click();
    await expect(map(page)).toBeVisible();
    await page.waitForLoadState('networkidle');
    const view = async () => JSON.parse((await map(page).getAttribute('data-view'))!) as { middle: [number, number]; perM: number };
    const touch = await page.context().newCDPSession(page);
    const fingers = (type: 'touchStart' | 'touchMove' | 'touchEnd', ...touchPoints: { x: number; y: number }[]) =>
      touch.send('Input.dispatchTouchEvent', { type, touchPoints: touchPoints.map((point, id) => ({ ...point, id })) });
    const drag = async (from: { x: number; y: number }, dx: number, dy: number) => {
      await fingers('touchStart', from);
      for (let i = 1; i <= 6; i++) await fingers('touchMove', { x: from.x + (dx * i) / 6, y: from.y + (dy * i) / 6 });
      // A finger comes to rest before it is lifted; else the browser takes it for a throw, and the next tap for its end.
      await page.waitForTimeout(150);
      await fingers('touchEnd');
    };
    const first = await view();
    const centre = await onScreen(page, [0, -12]);
    await drag(centre, 60, 0);
    await expect.poll(async () => (await view()).middle[0]).toBeCloseTo(first.middle[0] - 60 / first.perM, 1);

    const from = await onScreen(page, [4, 2]);
    await drag(from, 0, -40);
    await expect(page.getByRole('heading', { name: /^Station 3/ })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Save the green' })).toBeEnabled();
    const moved = (await facts(page))[0];
    expect(moved).not.toBe('to the hole: 24 ft');
    await page.getByRole('button', { name: 'Undo' }).tap();
    // From (4, 2) to (-4, 1): √65 yd are 24 ft.
    await expect.poll(async () => (await facts(page))[0]).toBe('to the hole: 24 ft');
    await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();

    const pinch = await view();
    const at = await onScreen(page, [0, 0]);
    await fingers('touchStart', { x: at.x - 30, y: at.y }, { x: at.x + 30, y: at.y });
    for (let i = 1; i <= 6; i++) await fingers('touchMove', { x: at.x - 30 - 5 * i, y: at.y }, { x: at.x + 30 + 5 * i, y: at.y });
    await fingers('touchEnd');
    await expect.poll(async () => (await view()).perM / pinch.perM).toBeGreaterThan(1.6);
    await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  });
});

test('the same with keys alone: a green, a bunker, two holes and four stations', async ({ page }) => {
  await page.goto(`${base}/greens/new`);
  await page.getByLabel('Name').fill('Key green');
  await page.getByRole('button', { name: 'Draw it' }).focus();
  await page.keyboard.press('Enter');
  const cross = [0, 0];
  /** Walks the cross to a place, five yards a step where it can. */
  const go = async (x: number, y: number) => {
    for (const [i, to] of [x, y].entries()) {
      const by = to - cross[i]!;
      const key = [by > 0 ? 'ArrowRight' : 'ArrowLeft', by > 0 ? 'ArrowUp' : 'ArrowDown'][i]!;
      for (let n = 0; n < Math.floor(Math.abs(by) / 5); n++) await page.keyboard.press(`Shift+${key}`);
      for (let n = 0; n < Math.abs(by) % 5; n++) await page.keyboard.press(key);
      cross[i] = to;
    }
  };
  const put = async (...places: (readonly [number, number])[]) => {
    await map(page).focus();
    for (const [x, y] of places) {
      await go(x, y);
      await page.keyboard.press('Enter');
    }
  };
  const pick = async (name: string) => {
    await tool(page, name).focus();
    await page.keyboard.press('Enter');
  };
  await put(...box(-10, -10, 20, 20));
  await expect(page.getByRole('status').filter({ hasText: '10 yd left, 10 yd up' })).toBeAttached();
  await page.keyboard.press('c');
  await expect(page.getByText('20 by 20 yd, 400 yd² · 4 corners')).toBeVisible();
  await pick('Bunker');
  await put(...box(-2, -17, 4, 4));
  await page.keyboard.press('c');
  await pick('Hole');
  await put([0, 0], [8, 0]);
  await pick('Station');
  await put([0, -20], [20, 0], [-13, 0], [-5, 0]);
  await page.keyboard.press('Escape');
  // Chosen with Tab and Enter, moved with the arrows, removed and brought back.
  await page.getByRole('button', { name: 'Station 3', exact: true }).focus();
  await page.keyboard.press('Enter');
  expect((await facts(page))[0]).toBe('to the hole: 13 yd');
  await page.getByRole('button', { name: 'Station 3', exact: true }).focus();
  await page.keyboard.press('ArrowLeft');
  await expect.poll(async () => (await facts(page))[0]).toBe('to the hole: 14 yd');
  await page.keyboard.press('Delete');
  await expect(page.getByText('2 holes, 3 stations')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByText('2 holes, 4 stations')).toBeVisible();
  // Put by distance and direction: 15 yd to the right of hole A is 5 yd off the green.
  await page.getByRole('button', { name: 'Station 3', exact: true }).focus();
  await page.keyboard.press('Enter');
  await page.getByLabel('From the hole').fill('15');
  await page.getByLabel('Direction').fill('90');
  expect(await facts(page)).toEqual([
    'to the hole: 15 yd',
    'carry to the edge: 5 yd',
    'green to work with: 10 yd',
    'bunker on the line: none',
    'slope along / across: not measured',
  ]);
  await page.getByLabel('From the hole').fill('x');
  await expect(page.getByText('That isn’t a number.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save the green' })).toBeDisabled();
  await page.getByLabel('From the hole').fill('16');
  await page.getByLabel('Shot').selectOption('pitch');
  await expect(page.getByText('You chose: pitch.')).toBeVisible();
  await page.keyboard.press('Control+s');
  await expect(page.getByText('Saved as version 1.')).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: 'Station 3', exact: true }).click();
  expect((await facts(page))[0]).toBe('to the hole: 16 yd');
});

test('outlines that cross themselves, holes off the green and half a walk round it are refused with a sentence', async ({ page }) => {
  await page.goto(`${base}/greens/new`);
  await page.getByRole('button', { name: 'Use this outline' }).click();
  await expect(page.getByText('8 distances still missing.')).toBeVisible();
  await page.getByLabel('Counted in').selectOption('yards');
  for (const point of ['N', 'NE', 'E', 'SE', 'S', 'SW', 'W']) await page.getByLabel(point, { exact: true }).fill('10');
  await page.getByLabel('NW', { exact: true }).fill('200');
  await expect(page.getByText('From 1 to 80 yd.')).toBeVisible();
  await page.getByLabel('NW', { exact: true }).fill('10');
  await page.getByRole('button', { name: 'Use this outline' }).click();
  // A circle of 10 yd round hole A.
  await expect(page.getByText('20 by 20 yd, 313 yd²')).toBeVisible();
  await tool(page, 'Bunker').click();
  for (const place of [
    [12, 0],
    [16, 4],
    [16, 0],
    [12, 4],
  ] as const) {
    const { x, y } = await onScreen(page, place);
    await page.mouse.click(x, y);
  }
  await page.getByRole('button', { name: 'Close it' }).click();
  await expect(page.getByText('This outline crosses itself: move or remove a point.')).toBeVisible();
  await page.getByRole('button', { name: 'Back one' }).click();
  await page.getByRole('button', { name: 'Close it' }).click();
  await expect(page.getByRole('heading', { name: 'Bunker' })).toBeVisible();
  await tool(page, 'Hole').click();
  const off = await onScreen(page, [-12, 0]);
  await page.mouse.click(off.x, off.y);
  await expect(page.getByText('Hole B lies off the green: move it, or the outline.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save the green' })).toBeDisabled();
  await page.getByRole('button', { name: 'Remove hole B' }).click();
  await expect(page.getByRole('button', { name: 'Save the green' })).toBeEnabled();
});

test('groups at stations are checked against each other, as they are moved; nothing is ever called safe', async ({ page }) => {
  await page.goto(`${base}/greens`);
  await page.getByRole('link', { name: /Low green/ }).click();
  await page.waitForLoadState('networkidle');
  for (const place of [
    [18, -29],
    [-14, 21.5],
  ] as const) {
    await tool(page, 'Group').click();
    const { x, y } = await onScreen(page, place);
    await page.mouse.click(x, y);
  }
  await expect(page.getByRole('heading', { name: 'Group 2' })).toBeVisible();
  await expect(page.getByLabel('Is', { exact: true })).toHaveValue('s3');
  await expect(page.getByText('Group 2, collecting at hole B, is where Group 1 plays to, 25 yd on.')).toBeVisible();
  await expect(page.getByText('Stop, move, or take turns. No warning does not mean safe; the coach decides.')).toBeVisible();
  // Group 2 waits far behind Group 1 instead.
  const [from, to] = [await onScreen(page, [-14, 21.5]), await onScreen(page, [31, -31])];
  await page.mouse.move(from.x + 26, from.y + 24);
  await page.mouse.down();
  await page.mouse.move(to.x, to.y, { steps: 8 });
  await page.mouse.up();
  await expect(page.getByLabel('Is', { exact: true })).toHaveValue('');
  await expect(page.getByText('no possible conflict found. No warning does not mean safe; the coach decides.')).toBeVisible();
});

test('two tabs: what was saved in one is not written over by the other, and what was drawn there stays', async ({ page, context }) => {
  await page.goto(`${base}/greens/new`);
  await page.getByLabel('Name').fill('Two tabs');
  await page.getByRole('button', { name: 'Use this shape' }).click();
  await page.getByRole('button', { name: 'Save the green' }).click();
  await expect(page.getByText('Saved as version 1.')).toBeVisible();
  // The same page goes on with the same green.
  await page.getByLabel(/^Fringe/).fill('4');
  await page.getByRole('button', { name: 'Save the green' }).click();
  await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();
  const other = await context.newPage();
  await other.goto(page.url());
  await other.getByLabel(/^Fringe/).fill('5');
  await other.getByRole('button', { name: 'Save the green' }).click();
  await expect(other.getByText('Saved as version 1.')).toBeVisible();
  await page.getByLabel(/^Fringe/).fill('7');
  await page.getByRole('button', { name: 'Save the green' }).click();
  await expect(page.getByText('This green was changed somewhere else after you opened it, so nothing was saved.')).toBeVisible();
  await expect(page.getByLabel(/^Fringe/)).toHaveValue('7');
  await other.getByLabel(/^Fringe/).fill('6');
  await other.getByRole('button', { name: 'Save the green' }).click();
  await expect(other.getByRole('button', { name: 'Saved' })).toBeVisible();
});

test('scattered stations: the mix is met or what is missing is said, and the same draw is the same again', async ({ page }) => {
  await page.goto(`${base}/greens`);
  await page.getByRole('link', { name: /Low green/ }).click();
  await page.waitForLoadState('networkidle');
  await page.getByRole('button', { name: 'Scatter …' }).click();
  for (let i = 0; i < 4; i++) await page.getByRole('button', { name: 'Zoom in' }).click();
  await page.getByRole('button', { name: 'Place them' }).click();
  await expect(page.getByText('9 stations, as asked.')).toBeVisible();
  // All of them are in view, however near one had looked.
  for (const station of await page.getByRole('button', { name: /^Station \d+$/ }).all()) await expect(station).toBeInViewport({ ratio: 1 });
  const places = () =>
    page
      .getByRole('button', { name: /^Station \d+$/ })
      .locator('g')
      .evaluateAll((all) => all.map((one) => one.getAttribute('transform')));
  const first = await places();
  expect(first).toHaveLength(9);
  await page.getByRole('button', { name: 'Others' }).click();
  await expect.poll(places).not.toEqual(first);
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Show all' }).click();
  await expect.poll(places).toEqual(first);
  await page.getByLabel('bare ground').selectOption('most');
  await page.getByRole('button', { name: 'Place them' }).click();
  await expect(page.getByText(/Not all fit: .*0 of \d from bare ground/)).toBeVisible();
});

/** What a code on the page says to a phone. */
async function decode(code: Locator): Promise<string | undefined> {
  const { data, width, height } = PNG.sync.read(await code.screenshot());
  return jsQR(new Uint8ClampedArray(data), width, height)?.data;
}

test('the sheet: codes lead to the game and to each station, where play begins; paces are whoever’s sets it up', async ({
  page,
  baseURL,
}) => {
  await page.goto(`${base}/games`);
  await page.getByRole('link', { name: /^Round the Low Green/ }).click();
  await page.waitForURL(/games\/[0-9a-f-]{36}$/);
  const game = page.url();
  await page.getByRole('link', { name: 'Set it up' }).click();
  await expect(page.getByText('Put the tees out in the order 1, 6, 3, 4, 2, 5: 125 paces, instead of 252 paces.')).toBeVisible();
  await page.getByLabel('Set up by').selectOption('Ottilie');
  // Ottilie's pace is 28 in: 21.0 yd are 27 of them.
  await expect(page.getByText('1 pace = 28 in')).toBeVisible();
  await expect(page.getByRole('row').nth(1)).toContainText('27 paces from A');
  await page.emulateMedia({ media: 'print' });
  const codes = page.locator('[data-qr]');
  await expect(codes).toHaveCount(7);
  expect(await decode(codes.first())).toBe(game);
  for (let n = 1; n <= 6; n++) expect(await decode(codes.nth(n))).toBe(`${game}/at/s${n}`);
  await page.emulateMedia({ media: 'screen' });
  expect(game.startsWith(baseURL!)).toBe(true);

  await page.goto((await decode(page.locator('[data-qr]').nth(3)))!);
  await expect(page.getByRole('heading', { name: /^35\.4 yd chip/ })).toBeVisible();
  await page.getByRole('button', { name: 'Maren' }).click();
  await page.getByRole('button', { name: 'Ready' }).click();
  await expect(page.getByText('32.4 m chip')).toBeVisible();
  await press(page, 'out');
  // Out and back from there on, as the game says.
  await expect(page.getByText('19.2 m chip')).toBeVisible();
  await expect(page.getByText('all sent')).toBeVisible();
  const session = new URL(page.url()).hash.slice(1, 37);
  await page.goto(`${game}/at/s5`);
  await page.getByRole('link', { name: /Maren/ }).first().click();
  await expect(page).toHaveURL(new RegExp(`/play#${session}~s5$`));
  await expect(page.getByText('22.5 m lob')).toBeVisible();
});

for (const [format, width, height] of [
  ['A4', 794, 1123],
  ['Letter', 816, 1056],
] as const)
  test(`three sheets on ${format}: nothing runs over the paper, no card is cut`, async ({ page }) => {
    for (const title of ['Round the Low Green', 'Lantern Six', 'Long Night']) {
      await page.goto(`${base}/games`);
      const link = page.getByRole('link', { name: new RegExp(`^${title}`) });
      if (title === 'Long Night') {
        await page.goto(`${base}/games/new?library=stone-and-hearth`);
        await page.getByLabel('Title').fill(title);
        await saveDesign(page, title);
      } else await link.first().click();
      await page.getByRole('link', { name: 'Set it up' }).click();
      await expect(page.getByRole('heading', { name: 'Bring' })).toBeVisible();
      await page.emulateMedia({ media: 'print' });
      // The paper less its margins of 12 mm on either side.
      const room = Math.floor(width - 2 * 45.4);
      await page.setViewportSize({ width: room, height });
      const over = await page.evaluate((most) => {
        const found: string[] = [];
        for (const element of document.querySelectorAll('main *')) {
          const { right, left, width: wide } = element.getBoundingClientRect();
          if (wide > 0 && !element.closest('svg') && (right > most + 1 || left < -1)) found.push(element.textContent!.slice(0, 40));
        }
        return found;
      }, room);
      expect(over).toEqual([]);
      const pdf = await page.pdf({ format, printBackground: true });
      const pages = pdf.toString('latin1').match(/\/Type \/Page\b/g)!.length;
      expect(pages).toBeGreaterThanOrEqual(2);
      expect(pages).toBeLessThanOrEqual(3);
      await page.emulateMedia({ media: 'screen' });
      await page.setViewportSize({ width: 1280, height: 800 });
    }
  });

test('a pace is measured by walking, at the sheet and in the settings', async ({ page }) => {
  await page.goto(`${base}/games`);
  await page
    .getByRole('link', { name: /^Lantern Six/ })
    .first()
    .click();
  await page.getByRole('link', { name: 'Set it up' }).click();
  await page.getByLabel('Set up by').selectOption('Kofi');
  await expect(page.getByText('set up by Kofi')).toBeVisible();
  await page.getByRole('button', { name: 'Measure the pace again' }).click();
  await page.getByLabel('Walk 20 yd and count').fill('2');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('A pace is 12 to 60 in (0.3 to 1.5 m).')).toBeVisible();
  // 20 yd in 20 paces: a yard each, so that the 27 yd pitch is 27 paces away.
  await page.getByLabel('Walk 20 yd and count').fill('20');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('1 pace = 36 in')).toBeVisible();
  await expect(page.getByRole('row').nth(6)).toContainText('27 paces');
});
