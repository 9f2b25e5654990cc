import { expect, test } from '@playwright/test';
import { ask } from './database';

/** How long a player's report takes as PDF, beside the page that shows the same, and an archive of the academy beside its page of settings. */
const TIMES = 15;

test('a report as PDF', async ({ request }) => {
  test.setTimeout(180_000);
  const [maren] = await ask<{ id: string }>(`select player_id as id from player where name = 'Maren'`);
  const path = `/a/lantern-hollow/players/${maren!.id}/report`;
  const timed = async (of: string) => {
    const took: number[] = [];
    for (let i = 0; i < TIMES + 3; i++) {
      const start = performance.now();
      const response = await request.get(of);
      expect(response.status()).toBe(200);
      await response.body();
      if (i >= 3) took.push(performance.now() - start);
    }
    return took.toSorted((a, b) => a - b)[Math.floor(TIMES / 2)]!;
  };
  const [page, pdf] = [await timed(path), await timed(`${path}/pdf`)];
  const archive = await timed('/api/v1/archive?academy=lantern-hollow');
  const [{ n }] = (await ask<{ n: string }>('select count(*) as n from shot_event')) as [{ n: string }];
  console.log(
    `a report, medians of ${TIMES}: the page ${page.toFixed(0)} ms, as PDF ${pdf.toFixed(0)} ms, ${(pdf / page).toFixed(2)} times the page`,
  );
  console.log(`an archive of about ${n} events: ${archive.toFixed(0)} ms`);
});
