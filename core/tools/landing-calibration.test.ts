import type { Point } from '../geometry/point';
import { greenPlanSchema } from '../green/plan';
import { startShape } from '../green/shapes';
import { shippedReference } from '../golf/reference';
import { USUAL_BAG } from '../golf/usual-bag';
import { CLUB_M, PACE_M } from '../measures/sticks';
import { seededRandom } from '../math/random';
import { referencePutting } from '../golf/putting';
import { simulateShot } from '../made-up/simulate';
import { strikeBall } from '../testing/carry-and-run';
import { plainPlayer } from '../testing/plain';
import { METRES_PER } from '../units/length';
import { answerLanding, answerRoutes } from './landing-answer';
import type { Route } from './landing-routes';
import { placeOn, terrainOn } from './terrain';
import { UNMEASURED_RUN } from './landing-options';
import { shotFor, USUAL_PLACE } from './landing-place';
import { asLevel } from './strays';

/*
 * What the tool says of a shot, against players made up by the second generator, whose balls carry and run, are mishit and stray with heavy tails: it
 * shares nothing with the tool but what a level leaves in the middle.
 */
const BALLS = 4000;

test.each([
  [0, 12, 3],
  [10, 12, 3],
  [18, 12, 3],
  [10, 25, 8],
  [18, 30, 20],
])('level %i from %i yd: how many finish within a club-length, and the median', (level, yards, edge) => {
  const place = { ...USUAL_PLACE, distanceM: yards * METRES_PER.yd, edgeM: edge * METRES_PER.yd, beyondM: 30 };
  const options = answerLanding(
    { place, on: null, clubs: USUAL_BAG, strays: asLevel(level), run: UNMEASURED_RUN, paceM: PACE_M, clubM: null },
    shippedReference,
  );
  const cell = { key: '', shotType: shotFor(place), surface: place.lie, distanceM: place.distanceM };
  const gaps = options
    .filter((one) => one.answer === 'found')
    .slice(0, 6)
    .map(({ carryM, chances }) => {
      const random = seededRandom(31);
      const lefts = Array.from({ length: BALLS }, () => strikeBall(plainPlayer(level), cell, 0, random, carryM).leftM).toSorted(
        (a, b) => a - b,
      );
      return {
        within: chances.within - lefts.filter((left) => left <= CLUB_M).length / BALLS,
        median: Math.log(chances.medianLeftM / lefts[BALLS / 2]!),
      };
    });
  expect(gaps.length).toBeGreaterThan(2);
  for (const { within, median } of gaps) {
    expect(Math.abs(within)).toBeLessThan(0.05);
    expect(Math.abs(median)).toBeLessThan(0.2);
  }
});

test.each([
  [0, 20, 5],
  [10, 20, 5],
  [18, 20, 5],
  [10, 30, 8],
])('level %i from %i yd, %i yd of green behind the hole: how many miss the green', (level, yards, beyond) => {
  const place = { ...USUAL_PLACE, distanceM: yards * METRES_PER.yd, edgeM: 6 * METRES_PER.yd, beyondM: beyond * METRES_PER.yd };
  const options = answerLanding(
    { place, on: null, clubs: USUAL_BAG, strays: asLevel(level), run: UNMEASURED_RUN, paceM: PACE_M, clubM: null },
    shippedReference,
  );
  // The first generator says where a ball stops, not only how far: its depth is what counts here.
  const truth = { level, putting: referencePutting(level), effects: {} };
  const shot = { shotType: shotFor(place), surface: place.lie, distanceM: place.distanceM };
  const random = seededRandom(17);
  let off = 0;
  for (let n = 0; n < BALLS; n++) {
    const { leftM, bearingDeg, mishit } = simulateShot(truth, shot, 0, shippedReference, random);
    const depth = leftM * Math.cos((bearingDeg * Math.PI) / 180);
    // The tool leaves mishits out, and says so.
    if (!mishit && (depth > place.beyondM || depth < place.edgeM - place.distanceM)) off++;
  }
  const best = options.flatMap((one) => (one.answer === 'found' ? [one.chances.offGreen] : []))[0]!;
  expect(Math.abs(best - off / BALLS)).toBeLessThan(0.04);
});

test.each([0, 10, 18])('level %i on a plan: bold and careful miss the green as often as balls do that stop to a side as well', (level) => {
  // A pin on the right of a green with sand to its right: careful is to its left.
  const plan = greenPlanSchema.parse({
    format: 'inch-green',
    version: 1,
    title: 'Trial',
    outline: startShape('oval', 18, 14),
    fringeM: 1,
    areas: [
      {
        key: 'a1',
        kind: 'sand',
        outline: [
          [7.5, -6],
          [12, -6],
          [12, 6],
          [7.5, 6],
        ] as Point[],
      },
    ],
    holes: [{ key: 'h1', label: 'A', at: [4.5, 1] }],
    stimpFt: 9,
    firmness: 'medium',
  });
  const [ball, hole]: [Point, Point] = [
    [2, -16],
    [4.5, 1],
  ];
  const place = placeOn(plan, ball, hole, { lie: 'fairway', sit: 'clean', stance: 'flat' });
  const asked = {
    place,
    on: { plan, ball, hole },
    clubs: USUAL_BAG,
    strays: asLevel(level),
    run: UNMEASURED_RUN,
    paceM: PACE_M,
    clubM: null,
  };
  const best = answerLanding(asked, shippedReference).find((one) => one.answer === 'found')!;
  const { bold, careful } = answerRoutes(asked, best, shippedReference);
  const terrain = terrainOn(plan, ball, hole);
  const truth = { level, putting: referencePutting(level), effects: {} };
  const offOf = ({ aim }: Route) => {
    const random = seededRandom(23);
    const shot = { shotType: shotFor(place), surface: place.lie, distanceM: aim.distanceM };
    const angle = (aim.rightDeg * Math.PI) / 180;
    let [off, all] = [0, 0];
    while (all < BALLS) {
      const { leftM, bearingDeg, mishit } = simulateShot(truth, shot, 0, shippedReference, random);
      if (mishit) continue;
      const bearing = (bearingDeg * Math.PI) / 180;
      const [along, right] = [aim.distanceM + leftM * Math.cos(bearing), leftM * Math.sin(bearing)];
      const [x, y] = [along * Math.cos(angle) - right * Math.sin(angle), along * Math.sin(angle) + right * Math.cos(angle)];
      if (terrain.surfaceAt(x, y) !== 'green') off++;
      all++;
    }
    return off / BALLS;
  };
  const [atHole, aside] = [offOf(bold!), offOf(careful!)];
  expect(Math.abs(bold!.chances.offGreen - atHole)).toBeLessThan(0.03);
  // The aim that misses least by the tool misses a little more often than it says, and still less than the hole.
  expect(aside - careful!.chances.offGreen).toBeGreaterThan(-0.01);
  expect(aside - careful!.chances.offGreen).toBeLessThan(0.06);
  expect(aside).toBeLessThan(atHole);
});
