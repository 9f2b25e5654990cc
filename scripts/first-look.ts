import { firstLook, leftOpen } from '@/core/plan/first-look';
import type { Batch } from '@/core/plan/open';
import { sayCell } from '@/core/board/say-cell';
import { LIBRARY } from '@/core/game/library';
import { sayLevel } from '@/core/golf/level';
import { shippedReference } from '@/core/golf/reference';
import { cellKey } from '@/core/skill/cells';
import { modelOf } from '@/core/skill/model';

/**
 * `npm run first-look`: what the ready game First Look leaves open of what is not known of a player, against the balls chosen for each level
 * and as many balls from every shot alike.
 */
const model = modelOf(shippedReference);
const { stations } = LIBRARY.find(({ key }) => key === 'first-look')!.spec;
const game: Batch[] = stations.map(({ shotType, surface, distanceM, balls }) => {
  const key = cellKey(shotType, surface, distanceM);
  return { cell: model.cells.findIndex((cell) => cell.key === key), balls };
});
const balls = game.reduce((sum, one) => sum + one.balls, 0);
const inRound = model.cells.flatMap((cell, i) => (cell.inRound ? [i] : []));
const even = inRound.map((cell) => ({ cell, balls: balls / inRound.length }));

const share = (value: number) => `${Math.round(100 * value)}%`;
console.log(`${balls} balls: how much of the variance of strokes lost in a round, shot by shot, is left open\n`);
console.log('level   First Look   chosen for the level   every shot alike   chosen for the level:');
for (const level of [0, 8, 14, 18, 28]) {
  const chosen = firstLook(model, level, stations.length, balls / stations.length);
  const open = [game, chosen, even].map((one) => share(leftOpen(model, level, one)));
  const names = chosen.map(({ cell }) => sayCell(model.cells[cell]!)).join(', ');
  console.log(`${sayLevel(level).padEnd(8)}${open[0]!.padEnd(13)}${open[1]!.padEnd(23)}${open[2]!.padEnd(19)}${names}`);
}
