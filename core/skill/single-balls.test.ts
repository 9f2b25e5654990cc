import { seededRandom, type Random } from '../math/random';
import { ft, holed, left, shot, yd } from '../testing/make';
import { levelOf } from '../testing/plain';
import { someone, strikeBall } from '../testing/carry-and-run';
import type { Cell } from './cells';
import { fit } from './fit';
import { gather, talliesOf } from './evidence';
import { modelOf } from './model';
import { hitterOf, madeUp, type Hitter } from '../made-up/players';
import { drawsOf } from './posterior';
import { makeRate, referencePutting } from '../golf/putting';
import { shippedReference as reference } from '../golf/reference';
import type { Shot } from '../shot/shot';

/*
 * What one ball does to what is believed of its cell, against exact Bayes: many players are made up as the generator makes them, each
 * weighs as much as such a ball was likely for them, and the mean of what they really need moves by so much.
 */
const LEVEL = 14;
const model = modelOf(reference);
const judge = model.judge(LEVEL, LEVEL);
const KEY = 'pitch|light_rough|20';
const cell: Cell = model.cells.find(({ key }) => key === KEY)!;
const at = model.cells.indexOf(cell);
const from = { shotType: 'pitch', surface: 'light_rough', distanceM: yd(25) } as const;

const level = levelOf(LEVEL);
const GENERATORS: Readonly<Record<string, (random: Random) => Pick<Hitter, 'hit'>>> = {
  'depth and width': (random) => hitterOf(madeUp(model.cells, random, { level: LEVEL }), reference, random),
  'carry and run': (random) => {
    const who = someone(LEVEL, level, random);
    return { hit: (place) => strikeBall(who, place, 0, random) };
  },
};

const BALLS: Readonly<Record<string, { is: (ball: { holed: boolean; leftM: number }) => boolean; record: Parameters<typeof shot>[1] }>> = {
  'in the hole': { is: (ball) => ball.holed, record: holed },
  'an inch from it': { is: (ball) => !ball.holed && ball.leftM < 0.15, record: left(1 / 12) },
  'in the next field': { is: (ball) => ball.leftM > 0.8 * cell.distanceM, record: { ...left(1), leftM: 0.9 * cell.distanceM } },
};

/** The move of the mean of what players need, in strokes, by each kind of ball. */
function exactMoves(make: (random: Random) => Pick<Hitter, 'hit'>): Record<string, number> {
  const [PLAYERS, HITS] = [300, 4000];
  const rows = Array.from({ length: PLAYERS }, (_, p) => {
    const { hit } = make(seededRandom(1000 + p));
    const counts = Object.values(BALLS).map(() => 0);
    let strokes = 0;
    for (let n = 0; n < HITS; n++) {
      const ball = hit(cell);
      strokes += ball.holed ? 1 : 1 + Math.max(1, reference.putts(LEVEL, ball.leftM));
      Object.values(BALLS).forEach(({ is }, i) => (counts[i]! += is(ball) ? 1 : 0));
    }
    return { strokes: strokes / HITS, counts };
  });
  const plain = rows.reduce((sum, { strokes }) => sum + strokes, 0) / PLAYERS;
  return Object.fromEntries(
    Object.keys(BALLS).map((name, i) => {
      const weight = rows.reduce((sum, { counts }) => sum + counts[i]!, 0);
      return [name, rows.reduce((sum, { counts, strokes }) => sum + counts[i]! * strokes, 0) / weight - plain];
    }),
  );
}

function believed(shots: readonly Shot[]): number {
  const { groups } = gather(talliesOf(shots, new Date('2027-01-01'), null));
  const values = judge.lost(drawsOf(fit(groups, model.prior(LEVEL)), 2000, seededRandom(5)))[at]!;
  return values.reduce((a, b) => a + b, 0) / values.length;
}

test.each(Object.keys(GENERATORS))('one ball moves its cell as exact Bayes does, within a factor of 1.5: %s', (name) => {
  const exact = exactMoves(GENERATORS[name]!);
  const before = believed([]);
  for (const [what, { record }] of Object.entries(BALLS)) {
    const moved = believed([shot(from, record)]) - before;
    // Two hundredths of a stroke are what the made-up players' own number leaves open, and nobody sees.
    const off = Math.abs(moved - exact[what]!);
    expect([name, what, moved.toFixed(3), exact[what]!.toFixed(3), off < Math.max(0.5 * Math.abs(exact[what]!), 0.02)]).toEqual([
      name,
      what,
      moved.toFixed(3),
      exact[what]!.toFixed(3),
      true,
    ]);
  }
});

test('a ball that was not holed says so, in every way in: 20 of 50 putts are fifty balls', () => {
  const putt = { shotType: 'putt', surface: 'green', distanceM: ft(8) } as const;
  const missed: Parameters<typeof shot>[1] = { ...holed, holed: false };
  const known = gather(
    talliesOf(
      Array.from({ length: 50 }, (_, i) => shot({ ...putt, stationKey: `s${i}` }, i < 20 ? holed : missed)),
      new Date('2027-01-01'),
      null,
    ),
  );
  expect([known.balls, known.silent]).toEqual([50, 0]);
  const index = model.cells.findIndex(({ key }) => key === 'putt|green|6');
  const values = judge.lost(drawsOf(fit(known.groups, model.prior(LEVEL)), 400, seededRandom(1)))[index]!;
  // Level 14 holes a third of them: 40% is a little better.
  expect(makeRate(referencePutting(LEVEL), 8)).toBeCloseTo(0.32, 1);
  const mean = values.reduce((a, b) => a + b, 0) / values.length;
  expect(mean).toBeLessThan(0);
  expect(mean).toBeGreaterThan(-0.15);
});

test('what says nothing is counted: a shot that was only judged, a landing without a zone', () => {
  const nothing: Parameters<typeof shot>[1] = { ...holed, holed: false };
  const known = gather(
    talliesOf(
      [shot({ ...from, executed: false }, nothing), shot({ ...from, landed: true }, nothing), shot(from, nothing), shot(from, left(9))],
      new Date('2027-01-01'),
      null,
    ),
  );
  expect([known.balls, known.silent]).toEqual([2, 2]);
});
