import fc from 'fast-check';
import { LIBRARY } from '../game/library';
import { game, station, yd } from '../testing/make';
import { green, standing } from '../testing/make-green';
import { METRES_PER } from '../units/length';
import { calibrationM, inPaces, inSticks, paceFrom, sayPaces } from '../measures/hands';
import { bringToAll, setUpSheet } from './sheet';

const nobody = { paceM: null, clubM: null, putterM: null, flagstickM: null };
const inch = METRES_PER.in;

test('lengths in sticks of ordinary length: a club 35 in, a putter 34, a flagstick 84', () => {
  const says = (inches: number) => inSticks(inches * inch, nobody);
  expect([24, 35, 60, 72, 84, 108, 140].map(says)).toEqual([
    'two thirds of a club',
    'a club',
    'a club and two thirds',
    'two clubs',
    'a flagstick',
    'a flagstick and two thirds of a club',
    'four clubs',
  ]);
  expect(says(300)).toBe('three flagsticks, a club and a third');
  expect(says(3)).toBeNull();
});

test('what is said in sticks is within two inches of the length', () => {
  const parts: Record<string, number> = {
    half: 1 / 2,
    'a half': 1 / 2,
    'a third': 1 / 3,
    'two thirds': 2 / 3,
    'a quarter': 1 / 4,
    'three quarters': 3 / 4,
  };
  const counts: Record<string, number> = { a: 1, two: 2, three: 3, four: 4 };
  /** Reads the words back as a length, with these sticks. */
  const read = (words: string, sticks: Record<string, number>) => {
    let last = 0;
    return words.split(/, | and /).reduce((sum, piece) => {
      const whole = /^(a|two|three|four) (flagstick|club|putter)s?$/.exec(piece);
      if (whole) return sum + counts[whole[1]!]! * (last = sticks[whole[2]!]!);
      const part = /^(.+?)(?: of)? a (club|putter)$/.exec(piece);
      return sum + (part ? parts[part[1]!]! * sticks[part[2]!]! : parts[piece]! * last);
    }, 0);
  };
  const stick = (least: number, most: number) => fc.double({ min: least, max: most, noNaN: true });
  fc.assert(
    fc.property(stick(0.2, 9), stick(0.7, 1.1), stick(0.7, 1.1), stick(1.8, 2.6), (lengthM, club, putter, flagstick) => {
      const words = inSticks(lengthM, { paceM: null, clubM: club, putterM: putter, flagstickM: flagstick });
      if (words !== null) expect(Math.abs(read(words, { club, putter, flagstick }) - lengthM)).toBeLessThan(2.001 * inch);
    }),
  );
});

test('paces: to the half, and from a walk over 20 yards or metres', () => {
  expect([inPaces(yd(20), yd(1)), inPaces(10.3, 0.8), inPaces(0.4, 0.8), sayPaces(0.8, 0.8), sayPaces(2, 0.8)]).toEqual([
    '20',
    '13',
    '½',
    '1 pace',
    '2½ paces',
  ]);
  // 24 paces over 20 yd are 18.288 / 24 = 0.762 m each, 30 in.
  expect(paceFrom(calibrationM('imperial'), 24)).toBe(0.762);
  expect(paceFrom(calibrationM('metric'), 25)).toBe(0.8);
});

const plan = green({ stations: [standing('s1', [0, -20]), standing('s2', [20, 0], 'h2'), standing('s3', [0, -17])] });
const placed = game({
  stations: [
    station('a', { place: 's1', distanceM: 20 }),
    station('b', { place: 's2', distanceM: 12, shotType: 'lob', surface: 'light_rough', club: '58°' }),
    station('c', { place: 's3', distanceM: 17, shotType: 'bunker', surface: 'sand' }),
  ],
});

test('a sheet on a green: distances in paces, walks between stations, the shortest round, rings in sticks', () => {
  const sheet = setUpSheet(placed, { title: 'Square', plan }, { ...nobody, paceM: 0.8 }, 'imperial');
  expect(sheet.stations.map(({ name, paces, walk, hole }) => [name, paces, walk, hole])).toEqual([
    ['21.9 yd chip', '25 paces', null, 'A'],
    // From (0, -20) to (20, 0) are 28.28 m, from there to (0, -17) 26.25 m.
    ['13.1 yd lob', '15 paces', '35½ paces', 'B'],
    ['18.6 yd bunker shot', '21½ paces', '33 paces', 'A'],
  ]);
  expect(sheet.stations[1]!.more).toEqual(['with the 58°', '3 balls']);
  // 3 m from 1 to 3 and 26.25 m on to 2, instead of 54.53 m.
  expect(sheet.walk).toBe('Put the tees out in the order 1, 3, 2: 36½ paces, instead of 68 paces.');
  expect(sheet.zones.map(({ what, says, laidOut }) => [what, says, laidOut])).toEqual([
    ['4', '3 ft', 'a club'],
    ['2', '6 ft', 'two clubs'],
    ['1', '10 ft', 'a flagstick and a club'],
  ]);
  expect(sheet.bring).toEqual([
    '3 balls',
    '3 tees to mark the stations',
    'a string with knots at 3 ft, 6 ft, 10 ft, or hoops',
    'a tape of 16 ft or longer',
    'these clubs: 58°',
  ]);
  expect(sheet.measures).toBe('1 pace = 31 in · club 35 in · putter 34 in · flagstick 84 in');
  expect(sheet.meta[1]).toBe('Square');
});

test('without a green there is nothing to walk by, and metric readers get metres', () => {
  const sheet = setUpSheet(placed, null, nobody, 'metric');
  expect(sheet.walk).toBeNull();
  expect(sheet.stations.map(({ far, walk, hole }) => [far, walk, hole])).toEqual([
    ['20 m', null, null],
    ['12 m', null, null],
    ['17 m', null, null],
  ]);
  expect(sheet.measures).toMatch('1 pace = 0.91 m');
});

test('every game of the library has a sheet: something to bring, care lines, all its stations; and none calls anything safe', () => {
  for (const { spec } of LIBRARY) {
    const sheet = setUpSheet(spec, null, nobody, 'imperial');
    expect(sheet.bring.length).toBeGreaterThan(0);
    expect(sheet.care.length).toBeGreaterThan(3);
    expect(sheet.stations).toHaveLength(spec.stations.length);
    expect(JSON.stringify(sheet)).not.toMatch(/\bsafe\b/);
  }
});

test('a phase with a station of its own stands on the sheet with its name and its balls, without the par that others have', () => {
  const spec = game({
    leadIn: [
      {
        title: 'Warm up',
        balls: 1,
        order: 'blocked',
        stations: [station('w', { balls: 5, edgeM: yd(6) })],
        scoring: { scheme: 'unscored', cue: 'brush the grass', flights: [] },
      },
    ],
    scoring: { scheme: 'hole_out', counts: 'strokes', pickUpAfter: 6, extraFromLevel: null },
  });
  const { stations, howItGoes, bring } = setUpSheet(spec, null, nobody, 'imperial');
  expect(stations.map(({ key, no, called, more }) => [key, no, called, more])).toEqual([
    ['a', 1, '', ['par 2', '3 balls']],
    ['b', 2, '', ['par 2', '3 balls']],
    ['w', 1, 'Warm up', ['5 balls']],
  ]);
  expect(stations[2]!.lie).toBe('fairway · 6 yd to the green');
  expect(howItGoes[0]).toBe('First: Warm up. Swing thought: brush the grass. Nothing is scored.');
  expect(bring).toContain('3 tees to mark the stations');
});

test('to several games: the most balls and tees, the longest tape, and everything else once', () => {
  const rings = (feet: number) => ({
    scheme: 'ring_points' as const,
    holedPoints: 5,
    rings: [{ key: 'r1', radiusM: feet * 0.3048, points: 3 }],
  });
  const near = game({ title: 'Near', scoring: rings(3) });
  const far = game({ title: 'Far', scoring: rings(20), stations: ['a', 'b', 'c'].map((key) => station(key)) });
  const all = bringToAll([near, far, near], 8, 'imperial');
  expect(all.filter((line) => line.startsWith('a tape'))).toEqual(['a tape of 26 ft or longer']);
  expect(all).toContain('3 tees to mark the stations');
  expect(all[0]).toBe('8 balls');
  expect(new Set(all).size).toBe(all.length);
});
