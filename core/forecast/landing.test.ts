import { seededRandom } from '../math/random';
import { ft, game, station, yd } from '../testing/make';
import { BallAt } from '../testing/oracle';
import { strikeBall } from '../testing/carry-and-run';
import { plainPlayer } from '../testing/plain';
import type { GameSpec } from '../game/spec';
import { asTheLevel } from '../skill/parameters';
import { modelOf } from '../skill/model';
import { shippedReference as reference } from '../golf/reference';
import { playerOfLevel } from './levels';
import { rateInside, sizesFor, stopsOf } from './sizes';
import { spotOf } from './spots';
import { compareInformation } from './information';

const model = modelOf(reference);

const SHOTS = [
  ['chip', 'fairway', 12, 2],
  ['chip', 'light_rough', 15, 6],
  ['bump_and_run', 'fairway', 25, 5],
  ['pitch', 'fairway', 20, 4],
  ['pitch', 'fairway', 20, 12],
  ['pitch', 'fairway', 20, 18],
  ['lob', 'fairway', 22, 18],
  ['pitch', 'light_rough', 40, 28],
  ['pitch', 'fairway', 50, 40],
] as const;

test.each([0, 8, 18])(
  'at level %i, circles and strips of 3 to 9 ft at carries of 2 to 40 yd catch what the generator with carry and run lands in them',
  (level) => {
    const prior = model.prior(level);
    const draw = asTheLevel(prior);
    const who = plainPlayer(level);
    const BALLS = 20_000;
    for (const [shotType, surface, far, carry] of SHOTS) {
      const spot = spotOf(station('a', { shotType, surface, distanceM: yd(far), carryM: yd(carry) }), prior, reference);
      const ball = new BallAt(spot, prior, draw, 0);
      const random = seededRandom(3);
      const cell = { key: 'x', shotType, surface, distanceM: yd(far) };
      const landed = Array.from({ length: BALLS }, () => strikeBall(who, cell, 0, random, yd(carry)));
      for (const feet of [3, 6, 9])
        for (const strip of [false, true]) {
          const share =
            landed.filter(({ landedOffM, landedLongM }) => (strip ? Math.abs(landedLongM) : landedOffM) <= ft(feet)).length / BALLS;
          const off = ball.landed(ft(feet), strip) - share;
          expect([shotType, far, carry, feet, strip, off.toFixed(3), Math.abs(off) < (strip ? 0.04 : 0.03)]).toEqual([
            shotType,
            far,
            carry,
            feet,
            strip,
            off.toFixed(3),
            true,
          ]);
        }
    }
  },
);

const zone = (carryYd: number, sizeFt: number): GameSpec => ({
  ...game(),
  stations: [station('a', { shotType: 'pitch', distanceM: yd(20), carryM: yd(carryYd), balls: 10 })],
  scoring: { scheme: 'landing_zone', shape: 'circle', sizeM: ft(sizeFt), finishM: null },
});

test('the nearer the spot, the more land by it: forecasts, zones and what it tells follow', () => {
  const at = (carryYd: number) => {
    const spec = zone(carryYd, 3);
    const player = playerOfLevel(spec, 18, model);
    const stops = stopsOf(spec, player, model, { balls: 20_000, seed: 1 });
    return {
      rate: rateInside(stops.landedM, ft(3)),
      suggested: sizesFor(spec, player, stops, 0.5)[0]!.radiusM,
      tells: compareInformation(spec, player, model, 2).game,
    };
  };
  const [near, far] = [at(4), at(18)];
  expect(near.rate).toBeGreaterThan(2 * far.rate);
  expect(near.suggested).toBeLessThan(far.suggested / 2);
  // What lands by a spot a few yards away tells less of where the ball stops.
  expect(near.tells).toBeLessThan(1);
  expect(near.tells).toBeGreaterThan(0);
});
