import { FAMILIES, familyOf, type Family } from '@/core/golf/shot-types';
import { DEMO_PLAYERS } from '@/core/demo/people';
import { demoSeason, DEMO_WEEKS } from '@/core/demo/season';
import { projectShots } from '@/core/shot/project';
import { believe, diagnose } from '@/core/skill/diagnose';
import { gather, talliesOf } from '@/core/skill/evidence';
import { chanceLess, together } from '@/core/board/kinds';
import { modelOf } from '@/core/skill/model';
import { dayWeight } from '@/core/board/over-time';
import { shippedReference } from '@/core/golf/reference';

/**
 * How often a change is claimed where there was none: the demo's players, who stay as they are but for the form of the day,
 * the first half of their weeks against the second: `npm run bench:change -- SEEDS`.
 */
const seeds = Number(process.argv[2] ?? 6);
const NOW = new Date('2026-06-01T12:00:00Z');
const model = modelOf(shippedReference);
const ids = DEMO_PLAYERS.map((_, i) => `00000000-0000-7000-8000-${String(i).padStart(12, '0')}`);
const middle = new Date(NOW.getTime() - (DEMO_WEEKS / 2) * 7 * 86_400_000);
const surest = new Map<Family, number[]>();
for (let seed = 1; seed <= seeds; seed++) {
  const season = demoSeason(100 * seed, NOW, ids, shippedReference);
  DEMO_PLAYERS.forEach(({ form: { level } }, i) => {
    const shots = projectShots(season.filter(({ player }) => player === i).flatMap(({ events }) => events));
    const [before, since] = [true, false].map((early) => {
      const half = shots.filter(({ playedAt }) => new Date(playedAt) < middle === early);
      const weight = dayWeight(half.length, new Set(half.map(({ sessionId }) => sessionId)).size);
      const evidence = gather(talliesOf(half, NOW, null).map((tally) => ({ ...tally, weight })));
      return diagnose(model, believe(evidence, model, level), evidence, { level, mix: new Map() }).lost;
    });
    const mix = model.mix(level);
    const weights = model.cells.map(({ key }) => mix.get(key) ?? 0);
    for (const family of FAMILIES) {
      const cells = model.cells.flatMap(({ shotType }, cell) => (familyOf(shotType) === family ? [cell] : []));
      const chance = chanceLess(together(since!, cells, weights), together(before!, cells, weights));
      surest.set(family, [...(surest.get(family) ?? []), Math.max(chance, 1 - chance)]);
    }
  });
}
console.log(`players who did not change, ${seeds * DEMO_PLAYERS.length} comparisons each: how often surer than`);
for (const [family, list] of surest)
  console.log(
    `  ${family.padEnd(10)} ${[0.65, 0.9, 0.97].map((sure) => `${100 * sure}%: ${list.filter((one) => one > sure).length}`).join('   ')}`,
  );
