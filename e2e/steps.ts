import { expect, type Page } from '@playwright/test';

/** What tests do again and again, as a coach would do it. */

/** What the program's own pages send along with what they write. */
export const own = (page: Page) => ({ origin: new URL(page.url() === 'about:blank' ? process.env.E2E_URL! : page.url()).origin });

let accounts = 0;

/**
 * Makes an account and its academy.
 * @param atBegin runs on the page between the two
 * @returns the academy's address
 */
export async function signUp(
  page: Page,
  who: { academy: string } | 'alone',
  name = 'Coach Test',
  atBegin = async () => {},
): Promise<string> {
  const email = `coach-${Date.now()}-${process.pid}-${++accounts}@test.example`;
  await page.goto('/sign-up');
  await page.getByLabel('Your name').fill(name);
  await page.getByLabel('E-mail').fill(email);
  await page.getByLabel('Password').fill('a long enough one');
  await page.getByRole('button', { name: 'Make the account' }).click();
  await expect(page).toHaveURL(/\/begin$/, { timeout: 20_000 });
  await atBegin();
  if (who === 'alone') await page.getByLabel('I practise alone').check();
  else await page.getByLabel('Name of the academy').fill(who.academy);
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page).toHaveURL(/\/a\/[a-z0-9-]+$/);
  return new URL(page.url()).pathname;
}

/** Adds a player at the desk and ends on their page. */
export async function addPlayer(page: Page, home: string, name: string, level: string): Promise<void> {
  await page.goto(`${home}/players/new`);
  await page.getByLabel('Name or nickname').fill(name);
  await page.getByLabel('Level').fill(level);
  await page.getByRole('button', { name: 'Add the player' }).click();
  await expect(page.getByRole('heading', { name: new RegExp(name) })).toBeVisible();
}

export type StationText = { shot: string; distance: string; from?: string; balls?: string; carry?: string; par?: string };

/** Chooses the way of scoring by its drawing: of the game, or of one of the phases before it. */
export async function scoredBy(page: Page, scheme: string, of = 0): Promise<void> {
  await page.getByRole('radiogroup', { name: 'Scored by' }).nth(of).getByRole('radio', { name: scheme }).check({ force: true });
}

/** Begins a game in the designer: its title, how it is scored, and its stations one after another. */
export async function beginDesign(
  page: Page,
  home: string,
  game: { title: string; scheme?: string; stations: StationText[] },
): Promise<void> {
  await page.goto(`${home}/games/new`);
  await page.getByLabel('Title').fill(game.title);
  if (game.scheme) await scoredBy(page, game.scheme);
  for (const [i, station] of game.stations.entries()) {
    // A new station is open in place of the others.
    if (i > 0) await page.getByRole('button', { name: 'Add station' }).click();
    await page.getByLabel('Shot', { exact: true }).selectOption({ label: station.shot });
    await page.getByLabel(/^Distance/).fill(station.distance);
    if (station.from) await page.getByLabel('From', { exact: true }).selectOption({ label: station.from });
    if (station.balls) await page.getByLabel('Balls', { exact: true }).fill(station.balls);
    if (station.carry) await page.getByRole('textbox', { name: /^Lands at/ }).fill(station.carry);
    if (station.par) await page.getByLabel('Par', { exact: true }).fill(station.par);
  }
}

/** Saves what is being designed and ends on its page. */
export async function saveDesign(page: Page, title: string): Promise<void> {
  await page.getByRole('button', { name: 'Save the game' }).click();
  await expect(page.getByRole('heading', { name: title })).toBeVisible();
}

/** Designs a ring game at the desk and ends on its page. */
export async function designGame(
  page: Page,
  home: string,
  game: { title: string; stations: StationText[]; rings: [string, string][]; holed: string; goal?: string },
): Promise<void> {
  await beginDesign(page, home, game);
  for (const [i, [edge, points]] of game.rings.entries()) {
    await page
      .getByLabel(/^From the hole/)
      .nth(i)
      .fill(edge);
    await page
      .getByLabel('Points', { exact: true })
      .nth(i + 1)
      .fill(points);
  }
  await page.getByLabel('Points', { exact: true }).first().fill(game.holed);
  if (game.goal) await page.getByLabel('Goal, in points').fill(game.goal);
  await saveDesign(page, game.title);
}

/** From a game's page to its first ball. */
export async function startPlay(page: Page, player: string): Promise<void> {
  await page.getByRole('button', { name: player }).click();
  await expect(page).toHaveURL(/\/play#/);
  await expect(page.getByText('Before the first ball')).toBeVisible();
  await page.getByRole('button', { name: 'Ready' }).click();
}

export const score = (page: Page) => page.getByLabel('Score', { exact: true });

/** Chooses several players in their order and goes on to the first ball. */
export async function startTogether(page: Page, ...players: string[]): Promise<void> {
  for (const player of players) await page.getByRole('button', { name: player }).click();
  await page.getByRole('button', { name: `Start with ${players.length}` }).click();
  await page.getByRole('button', { name: 'Ready' }).click();
}

/** Waits until play has taken every press, and shows what came of it. */
export async function settled(page: Page): Promise<void> {
  await expect(page.locator('main[aria-busy=true]')).toHaveCount(0);
}

/** Presses a key of play once it can be pressed, and waits until it is taken. */
export async function press(page: Page, ...keys: string[]): Promise<void> {
  for (const [i, key] of keys.entries()) {
    // Nobody presses one key twice within the time in which a thumb bounces.
    if (key === keys[i - 1]) await page.waitForTimeout(150);
    const button = page.getByRole('button', { name: new RegExp(`^${key}(, |$)`) });
    await expect(button).toBeEnabled();
    await button.click();
    await settled(page);
  }
}

/** Types distances in feet on the number pad of play, or "h" for holed, one ball each. */
export async function typeFeet(page: Page, ...feet: string[]): Promise<void> {
  for (const one of feet) {
    await page.keyboard.type(one);
    if (one !== 'h') await page.keyboard.press('Enter');
    await settled(page);
  }
}

/** Presses the key of a ring, "Holed" or "out", and waits for the score that follows. */
export async function pressKey(page: Page, key: string, scoreAfter: number): Promise<void> {
  await page.getByRole('button', { name: new RegExp(`^${key}, `) }).click();
  await expect(score(page)).toHaveText(String(scoreAfter));
}

/** The middle of the target, and its pixels per foot, for a game whose outermost ring has this radius. */
export async function targetScale(page: Page, outermostFt: number): Promise<{ x: number; y: number; perFt: number }> {
  const box = (await page.getByLabel('The target from above: tap where the ball stopped').boundingBox())!;
  return { x: box.x + box.width / 2, y: box.y + box.height / 2, perFt: box.width / 2 / (outermostFt * 1.18) };
}

/** Collects what a page complains about: refused scripts, failed requests, errors. */
export function complaints(page: Page): string[] {
  const found: string[] = [];
  page.on('console', (message) => {
    if (message.type() === 'error') found.push(message.text());
  });
  page.on('pageerror', (error) => found.push(error.message));
  // What the content security policy keeps a page from is tried for nothing, and a browser says it to the page alone.
  void page.addInitScript(() =>
    document.addEventListener('securitypolicyviolation', ({ effectiveDirective, blockedURI }) =>
      console.error(`The policy for ${effectiveDirective} forbids: ${blockedURI}`),
    ),
  );
  return found;
}
