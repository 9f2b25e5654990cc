import { shippedReference } from '@/core/golf/reference';
import { USUAL_BAG } from '@/core/golf/usual-bag';
import { PACE_M } from '@/core/measures/sticks';
import { evenGreen } from '@/core/physics/putt';
import { fly } from '@/core/physics/flight';
import { launch } from '@/core/physics/launch';
import { shotsOver, type Strike } from '@/core/physics/shot';
import { finishWith, solveShot } from '@/core/physics/solve';
import { TRAJECTORIES } from '@/core/golf/words';
import { answerLanding, answerRoutes } from '@/core/tools/landing-answer';
import { UNMEASURED_RUN } from '@/core/tools/landing-options';
import { USUAL_PLACE } from '@/core/tools/landing-place';
import { planPutt } from '@/core/tools/putt-line';
import { asLevel, puttingFrom } from '@/core/tools/strays';
import { METRES_PER } from '@/core/units/length';

/** Speeds of the tools, in milliseconds and as ratios to one bare flight: `npm run bench:tools`. */
function benchTools(): void {
  const { speed, angleDeg, spin } = launch(9, { loftDeg: 54, flight: 'medium', lie: 'fairway' });
  const angle = (angleDeg * Math.PI) / 180;
  const from = { x: 0, z: 0, vx: speed * Math.cos(angle), vz: speed * Math.sin(angle), spin };
  const flight = quantiles(2000, () => fly(from, () => 0));
  const play = shotsOver({ stretches: [{ toM: Infinity, surface: 'green', slope: 0 }], stimpFt: 9, firmness: 'medium' });
  const strikes: (Strike & { distanceM: number })[] = [6, 10, 15, 20, 30].flatMap((yards) =>
    USUAL_BAG.filter(({ loftDeg }) => loftDeg > 20).flatMap(({ loftDeg }) =>
      TRAJECTORIES.map((trajectory) => ({ loftDeg, flight: trajectory, lie: 'fairway' as const, distanceM: yards * METRES_PER.yd })),
    ),
  );
  let next = 0;
  const solve = quantiles(1050, () => {
    const { distanceM, ...strike } = strikes[next++ % strikes.length]!;
    return solveShot(play, strike, distanceM, finishWith(1));
  });
  const asked = { place: USUAL_PLACE, on: null, clubs: USUAL_BAG, strays: asLevel(10), run: UNMEASURED_RUN, paceM: PACE_M, clubM: null };
  const all = quantiles(40, () => answerLanding(asked, shippedReference));
  const routes = quantiles(20, () => answerRoutes(asked, { club: USUAL_BAG[5]!, flight: 'high' }, shippedReference));
  const putt = quantiles(40, () => planPutt(3.048, 0.3, evenGreen(9, 0.02, 0.01), puttingFrom(asLevel(10), 10)));
  const say = (name: string, [median, p95]: readonly [number, number]) =>
    console.log(`${name.padEnd(46)} median ${median.toFixed(3)} ms, p95 ${p95.toFixed(3)} ms, ${(median / flight[0]).toFixed(0)} flights`);
  say('one bare flight', flight);
  say('a landing spot solved', solve);
  say('all clubs and flights, with chances', all);
  say('bold and careful, in a few figures', routes);
  say('a putt on a slope, one pace, with odds', putt);
}

function quantiles(times: number, run: () => unknown): readonly [median: number, p95: number] {
  for (let i = 0; i < Math.min(times, 60); i++) run();
  const took = Array.from({ length: times }, () => {
    const start = performance.now();
    run();
    return performance.now() - start;
  }).toSorted((a, b) => a - b);
  return [took[times >> 1]!, took[Math.floor(0.95 * times)]!];
}

benchTools();
