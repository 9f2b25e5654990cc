import { makeOwnAcademy, signInTo } from './own-academy';
import { expect, test } from './test';

/** What coaches write about a player, and plans that are handed on as files. */

test.use({ storageState: { cookies: [], origins: [] } });

test('a coach’s note about a player stands with name and day, is for coaches only, and can be removed', async ({ page, browser }) => {
  const own = await makeOwnAcademy('Marjoram');
  await signInTo(page.request, own);
  await page.goto(`/a/${own.slug}/players/${own.mateId}/sessions`);
  await page.getByRole('button', { name: 'Add note' }).click();
  await expect(page.getByText('Write something first.')).toBeVisible();
  await page.getByLabel(/^New note/).fill('Exams until June.\nAsk before planning.');
  await page.getByRole('button', { name: 'Add note' }).click();
  const notes = page.getByRole('region', { name: 'Coaches’ notes' });
  await expect(notes.getByText('Exams until June.')).toBeVisible();
  await expect(notes.getByText('Coach, today')).toBeVisible();
  await expect(page.getByLabel(/^New note/)).toHaveValue('');

  // The player reads what a coach wrote about a session, and nothing of the other.
  await page.goto(`/a/${own.slug}/sessions/${own.sessionId}`);
  const about = page.getByRole('region', { name: 'Notes, Marjoram Mate' });
  await about.getByLabel(/^Coach’s note/).fill('Land it shorter');
  await about.getByLabel('Player’s note').click();
  await expect(about.getByText('kept')).toBeVisible();
  const phone = await browser.newPage({ storageState: { cookies: [], origins: [] }, viewport: { width: 390, height: 844 } });
  const sent: string[] = [];
  phone.on('response', (response) => {
    if (response.url().includes('/api/v1/'))
      void response.text().then(
        (text) => sent.push(text),
        () => undefined,
      );
  });
  await phone.goto(`/j#${own.linkToken}`);
  await expect(phone.getByRole('heading', { name: 'To play' })).toBeVisible();
  const bundle = await phone.request.get(`/api/v1/sessions/${own.sessionId}/bundle`, {
    headers: { authorization: `Bearer ${own.linkToken}` },
  });
  const said = await bundle.text();
  expect(said).toContain('"coaches":[{"by":"Coach","text":"Land it shorter"');
  expect([said, ...sent].filter((text) => text.includes('Exams'))).toEqual([]);
  await phone.close();

  await page.goto(`/a/${own.slug}/players/${own.mateId}/sessions`);
  await page.getByRole('button', { name: /^Remove the note “Exams/ }).click();
  await expect(page.getByText('Exams until June.')).toHaveCount(0);
});

test('a planned session and planned weeks go out as files and come in as new ones; what is no plan is refused', async ({ page }) => {
  const own = await makeOwnAcademy('Tarragon');
  await signInTo(page.request, own);
  for (const [kind, id, title] of [
    ['hour', own.hourId, own.hour.title],
    ['weeks', own.weeksId, own.weeks.title],
  ] as const) {
    await page.goto(`/a/${own.slug}/plan/${kind}/${id}`);
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Plan file' }).click()]);
    expect(download.suggestedFilename()).toMatch(new RegExp(`\\.inch-${kind}\\.json$`));
    const path = (await download.path())!;
    await page.goto(`/a/${own.slug}/plan`);
    await page.setInputFiles('input[aria-label="Plan file"]', path);
    await page.waitForURL((url) => url.pathname.includes(`/plan/${kind}/`) && !url.pathname.includes(id));
    await expect(page.getByLabel('Title')).toHaveValue(title);
  }
  await page.goto(`/a/${own.slug}/plan`);
  await page.setInputFiles('input[aria-label="Plan file"]', {
    name: 'x.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format":"other"}'),
  });
  await expect(page.getByText('This isn’t a plan file: its format is neither')).toBeVisible();
});
