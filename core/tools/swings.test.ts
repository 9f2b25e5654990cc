import { seededRandom } from '../math/random';
import { METRES_PER } from '../units/length';
import { carryOf, type CarriedShot } from './carried';
import { biasOf, biasOfDay, playFor, playsAs } from './play-as';
import { ladderOf, lookUp, swingChart } from './swing-chart';

const yd = (yards: number) => yards * METRES_PER.yd;
const CLUBS = [
  { label: 'PW', loftDeg: 46 },
  { label: '54°', loftDeg: 54 },
  { label: '58°', loftDeg: 58 },
];
const MARKS = ['knee', 'hip', 'chest', 'shoulder'];
const ball = (clubLabel: string, swingMark: string | null, yards: number, intended: number | null = null): CarriedShot => ({
  shotType: 'pitch',
  surface: 'fairway',
  trajectory: null,
  swingMark,
  clubLabel,
  distanceM: yd(yards),
  holed: false,
  leftM: null,
  bearingDeg: null,
  intendedM: intended === null ? null : yd(intended),
  stimpFt: null,
  firmness: null,
  playedAt: '2026-05-01T10:00:00.000Z',
  carryM: yd(yards),
});

/** Somebody made up: each club and mark has its carry, single balls err by 9%. */
const TRUE: Record<string, Record<string, number>> = {
  PW: { knee: 22, hip: 44, chest: 68, shoulder: 92 },
  '54°': { knee: 17, hip: 35, chest: 54, shoulder: 74 },
  '58°': { knee: 13, hip: 28, chest: 44, shoulder: 61 },
};
function record(each: number, seed: number, leave: (club: string, mark: string) => boolean = () => false): CarriedShot[] {
  const random = seededRandom(seed);
  return Object.entries(TRUE).flatMap(([club, marks]) =>
    Object.entries(marks).flatMap(([mark, yards]) =>
      leave(club, mark) ? [] : Array.from({ length: each }, () => ball(club, mark, yards * Math.exp(0.09 * random.normal()))),
    ),
  );
}

test('forty balls make a chart that is near the truth, and covers it 8 times in 10', () => {
  let [covered, cells] = [0, 0];
  for (let seed = 1; seed <= 40; seed++) {
    const chart = swingChart(
      record(3, seed)
        .concat(record(1, 100 + seed))
        .slice(0, 40),
      MARKS,
      CLUBS,
    );
    expect(chart.balls).toBe(40);
    for (const { club, mark, fromM, toM } of chart.cells) {
      const truth = yd(TRUE[club]![mark]!);
      cells++;
      if (fromM <= truth && truth <= toM) covered++;
    }
  }
  expect(covered / cells).toBeGreaterThan(0.7);
  expect(covered / cells).toBeLessThan(0.92);
});

test('a swing that was never recorded is estimated from its club and its mark, with less certainty', () => {
  const chart = swingChart(
    record(5, 3, (club, mark) => club === '54°' && mark === 'chest'),
    MARKS,
    CLUBS,
  );
  const cell = chart.cells.find(({ club, mark }) => club === '54°' && mark === 'chest')!;
  expect(cell.balls).toBe(0);
  expect(Math.abs(cell.carryM - yd(54))).toBeLessThan(yd(5));
  const beside = chart.cells.find(({ club, mark }) => club === '54°' && mark === 'hip')!;
  expect((cell.toM - cell.fromM) / cell.carryM).toBeGreaterThan((beside.toM - beside.fromM) / beside.carryM);
});

/** Players made up: from mark to mark their carries grow by a power of the swing's share, from club to club by lofts, each swing with a kink of its own. */
function madeUp(seed: number): {
  truth: (club: string, mark: string) => number;
  shots: (club: string, mark: string, balls: number) => CarriedShot[];
} {
  const random = seededRandom(seed);
  const [longest, power, perDegree, err] = [
    70 + 40 * random.uniform(),
    0.9 + 0.7 * random.uniform(),
    0.022 + 0.022 * random.uniform(),
    0.05 + 0.06 * random.uniform(),
  ];
  const shares = [0.25, 0.45, 0.7, 0.95].map((share) => share + 0.06 * (random.uniform() - 0.5));
  const kinks = new Map(CLUBS.flatMap(({ label }) => MARKS.map((mark) => [`${label} ${mark}`, Math.exp(0.05 * random.normal())] as const)));
  const truth = (club: string, mark: string) =>
    longest *
    shares[MARKS.indexOf(mark)]! ** power *
    Math.exp(-perDegree * (CLUBS.find(({ label }) => label === club)!.loftDeg - 46)) *
    kinks.get(`${club} ${mark}`)!;
  return {
    truth,
    shots: (club, mark, balls) =>
      Array.from({ length: balls }, () => ball(club, mark, truth(club, mark) * Math.exp(err * random.normal()))),
  };
}

test.each([
  ['one swing of a chart', ['54° chest']],
  ['a club but for one mark', ['58° knee', '58° hip', '58° shoulder']],
  ['the lowest and the highest mark', CLUBS.flatMap(({ label }) => [`${label} knee`, `${label} shoulder`])],
])('what nobody tried, %s, lies within its range about 8 times in 10, and where the marks stand', (_name, left) => {
  let [held, single, cells, inOrder] = [0, 0, 0, 0];
  for (let seed = 1; seed <= 60; seed++) {
    const { truth, shots } = madeUp(seed);
    const recorded = CLUBS.flatMap(({ label }) =>
      MARKS.flatMap((mark) => (left.includes(`${label} ${mark}`) ? [] : shots(label, mark, 5))),
    );
    const chart = swingChart(recorded, MARKS, CLUBS);
    const of = (club: string, mark: string) => chart.cells.find((cell) => cell.club === club && cell.mark === mark)!;
    for (const name of left) {
      const [club, mark] = name.split(' ') as [string, string];
      const { carryM, fromM, toM, giveM, balls } = of(club, mark);
      expect(balls).toBe(0);
      const there = yd(truth(club, mark));
      cells++;
      if (fromM <= there && there <= toM) held++;
      if (Math.abs(shots(club, mark, 1)[0]!.carryM - carryM) <= giveM) single++;
      const carries = MARKS.map((one) => of(club, one).carryM);
      if (carries.every((carry, i) => i === 0 || carry > carries[i - 1]!)) inOrder++;
    }
  }
  for (const share of [held, single]) {
    expect(share / cells).toBeGreaterThan(0.7);
    expect(share / cells).toBeLessThan(0.98);
  }
  expect(inOrder).toBe(cells);
});

test('clubs stand by loft, marks as the player has them, others after those; spelling does not matter', () => {
  const chart = swingChart([ball('58°', 'Hip', 28), ball('PW', 'hip ', 44), ball('PW', 'full', 110), ball('PW', null, 50)], MARKS, CLUBS);
  expect(chart.clubs).toEqual(['PW', '58°']);
  expect(chart.marks).toEqual([...MARKS, 'full']);
  expect(chart.balls).toBe(3);
  expect(swingChart([], MARKS, CLUBS)).toEqual({ clubs: [], marks: MARKS, cells: [], balls: 0 });
});

test('a yardage is looked up: the swing that comes nearest, and by how much it is off', () => {
  const chart = swingChart(record(8, 5), MARKS, CLUBS);
  const [best] = lookUp(chart, yd(36));
  expect(best).toMatchObject({ club: '54°', mark: 'hip' });
  expect(best!.offM).toBeCloseTo(yd(36) - best!.carryM, 9);
  expect(Math.abs(best!.offM)).toBeLessThan(yd(3));
});

test('gaps where no swing comes, overlaps where two come to the same', () => {
  const chart = swingChart(
    [
      ...Array.from({ length: 6 }, () => ball('58°', 'hip', 28)),
      ...Array.from({ length: 6 }, () => ball('54°', 'hip', 28.4)),
      ...Array.from({ length: 6 }, () => ball('PW', 'chest', 70)),
    ],
    MARKS,
    CLUBS,
  );
  const { gaps, overlaps } = ladderOf(chart);
  expect(gaps).toHaveLength(1);
  expect(gaps[0]!.fromM).toBeLessThan(yd(35));
  expect(gaps[0]!.toM).toBeGreaterThan(yd(60));
  expect(overlaps.map(({ one, other }) => [one.club, other.club].toSorted())).toEqual([['54°', '58°']]);
});

test('how far a ball flew: recorded, or from where it should have landed', () => {
  expect(carryOf({ carryM: 12, landingErrorM: 3 }, { carryM: 20 })).toBe(12);
  expect(carryOf({ carryM: null, landingErrorM: -3 }, { carryM: 20 })).toBe(17);
  expect(carryOf({ carryM: null, landingErrorM: -3 }, { carryM: null })).toBeNull();
  expect(carryOf({ carryM: null, landingErrorM: null }, { carryM: 20 })).toBeNull();
});

describe('what a carry plays as', () => {
  const strike = { loftDeg: 54, flight: 'medium', lie: 'fairway' } as const;
  test('calm and level it is itself', () => {
    expect(playsAs(40, { windMs: 0, riseM: 0 }, strike)).toBe(40);
  });
  test('into the wind and uphill longer, downwind and downhill shorter', () => {
    expect(playsAs(40, { windMs: -5, riseM: 0 }, strike)!).toBeGreaterThan(41);
    expect(playsAs(40, { windMs: 5, riseM: 0 }, strike)!).toBeLessThan(39.9);
    expect(playsAs(40, { windMs: 0, riseM: 2 }, strike)!).toBeGreaterThan(41);
    expect(playsAs(40, { windMs: 0, riseM: -2 }, strike)!).toBeLessThan(39);
  });
  test('two metres up play about two metres longer by the steepness of the landing', () => {
    // Landing at about 40°: 2 m up is about 2 / tan 40° = 2.4 m more.
    expect(playsAs(40, { windMs: 0, riseM: 2 }, strike)! - 40).toBeGreaterThan(1.6);
    expect(playsAs(40, { windMs: 0, riseM: 2 }, strike)! - 40).toBeLessThan(3.4);
  });
  test('too far for any swing', () => {
    expect(playsAs(100, { windMs: -10, riseM: 0 }, { ...strike, loftDeg: 60, flight: 'high' })).toBeNull();
  });
});

test('always short: what is played for 47 comes out as 41, and is made good', () => {
  const bias = biasOf(Array.from({ length: 36 }, () => ball('54°', null, 41, 47)))!;
  // 36 of 36 + 4 balls' worth of the logarithm.
  expect(bias.share).toBeCloseTo((41 / 47) ** 0.9, 6);
  expect(playFor(yd(41), { share: 41 / 47, safe: null, giveM: 0 }) / yd(1)).toBeCloseTo(47, 6);
  expect(biasOf([ball('54°', null, 41, 47)])).toBeNull();
});

test('a day on which all comes out a tenth short of the chart', () => {
  const chart = swingChart(record(6, 9), MARKS, CLUBS);
  const hip = chart.cells.find(({ club, mark }) => club === '54°' && mark === 'hip')!;
  const today = Array.from({ length: 12 }, () => ball('54°', 'Hip', (0.9 * hip.carryM) / yd(1)));
  expect(biasOfDay(today, chart)!.share).toBeCloseTo(0.9 ** 0.75, 6);
  expect(biasOfDay(today.slice(0, 3), chart)).toBeNull();
});

test('the safe side is given half of what single balls miss', () => {
  expect(playFor(40, { share: 1, safe: 'long', giveM: 6 })).toBe(43);
  expect(playFor(40, { share: 1, safe: 'short', giveM: 6 })).toBe(37);
});
