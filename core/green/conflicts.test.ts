import fc from 'fast-check';
import { along, ofBearing, type Point } from '../geometry/point';
import type { ShotType } from '../golf/words';
import { green, standing } from '../testing/make-green';
import { conflictsOf, fansOf, type Hands, type Party } from './conflicts';
import { partiesOf, sayConflict } from './parties';

type Play = { shot?: ShotType; far?: number; hands?: Hands; radiusM?: number };
/** Somebody at the origin who plays up the plan. */
const player = ({ shot = 'pitch', far = 20, hands = 'right', radiusM = 0.5 }: Play = {}): Party => ({
  key: 'from',
  name: 'Group 1',
  at: [0, 0],
  radiusM,
  hands,
  plays: { to: [0, far], holeKey: 'h1', holeName: 'hole A', shotType: shot },
  collects: true,
  alone: false,
});
/** People who wait, in a direction from the player. */
const waiting = (deg: number, far: number, radiusM = 0.5): Party => ({
  key: 'to',
  name: 'Group 2',
  at: along([0, 0], ofBearing((deg + 360) % 360), far),
  radiusM,
  hands: 'right',
  plays: null,
  collects: false,
  alone: true,
});
const found = (from: Party, to: Party) =>
  conflictsOf([from, to])
    .map(({ level, why }) => `${level} ${why}`)
    .join() || 'none';

test('reach and width by kind of shot', () => {
  const far = (shot: ShotType, d: number) => fansOf(player({ shot, far: d }))!.reachM;
  expect([far('putt', 2), far('putt', 10), far('chip', 5), far('chip', 10), far('pitch', 10), far('lob', 20), far('bunker', 9)]).toEqual([
    3, 13, 30, 40, 60, 80, 60,
  ]);
  expect(fansOf(player({ shot: 'bunker' }))).toMatchObject({ redDeg: 20, amberDeg: 35, swingM: 4 });
  expect(fansOf(waiting(0, 10))).toBeNull();
});

test('red in the narrow fan to five eighths of the reach, amber beyond and beside; nothing outside', () => {
  // A pitch of 20 m reaches 80 m; red to 50 m. People 0.5 m wide at 40 m widen by 0.7°.
  expect(found(player(), waiting(0, 40))).toBe('red line');
  expect(found(player(), waiting(15.5, 40))).toBe('red line');
  expect(found(player(), waiting(-16, 40))).toBe('amber line');
  expect(found(player(), waiting(0, 51))).toBe('amber line');
  expect(found(player(), waiting(0, 80.4))).toBe('amber line');
  expect(found(player(), waiting(0, 80.6))).toBe('none');
  expect(found(player(), waiting(30.5, 40))).toBe('amber line');
  expect(found(player(), waiting(31, 40))).toBe('none');
  expect(found(player(), waiting(180, 10))).toBe('none');
  // A putt of 20 m reaches 26 m, red to 16.25 m.
  expect(found(player({ shot: 'putt' }), waiting(7, 15))).toBe('red line');
  expect(found(player({ shot: 'putt' }), waiting(0, 20))).toBe('amber line');
  expect(found(player({ shot: 'putt' }), waiting(0, 27))).toBe('none');
});

test('the swing takes its space, the wider the group', () => {
  expect(found(player(), waiting(180, 4.9))).toBe('red swing');
  expect(found(player(), waiting(180, 5.1))).toBe('none');
  expect(found(player(), waiting(180, 5.1, 1))).toBe('red swing');
  expect(found(player({ shot: 'putt' }), waiting(180, 2.6))).toBe('none');
});

test('a shank goes to the side of the hand, to 75 degrees, as far as the shot or 15 m', () => {
  const shank = (hands: Hands, deg: number, far = 18, shot: ShotType = 'pitch') => found(player({ hands, shot }), waiting(deg, far));
  expect([shank('right', 60), shank('right', -60), shank('left', 60), shank('left', -60)]).toEqual([
    'amber shank',
    'none',
    'none',
    'amber shank',
  ]);
  expect([shank('mixed', 60), shank('mixed', -60)]).toEqual(['amber shank', 'amber shank']);
  expect([shank('right', 76), shank('right', 77.5), shank('right', 60, 20.4), shank('right', 60, 20.6)]).toEqual([
    'amber shank',
    'none',
    'amber shank',
    'none',
  ]);
  expect(shank('right', 60, 10, 'putt')).toBe('none');
  expect(found(player({ far: 5 }), waiting(60, 15.4))).toBe('amber shank');
});

test('both directions are looked at, and people who collect at their hole', () => {
  const here = player({ far: 30 });
  const there: Party = {
    ...player(),
    key: 'to',
    name: 'Group 2',
    at: [0, 60],
    plays: { to: [0, 35], holeKey: 'h2', holeName: 'hole B', shotType: 'pitch' },
  };
  const all = conflictsOf([here, there]);
  expect(all.map((one) => `${one.from.name} > ${one.to.name} ${one.where} ${one.level}`)).toEqual([
    'Group 2 > Group 1 collecting red',
    'Group 1 > Group 2 collecting red',
    'Group 1 > Group 2 standing red',
    'Group 2 > Group 1 standing red',
  ]);
  expect(sayConflict(all[0]!, 'metric')).toBe('Group 1, collecting at hole A, stands in the line of Group 2, 30 m on.');
  expect(sayConflict(all[2]!, 'imperial')).toBe('Group 2 stands in the line of Group 1, 66 yd on.');
  // Back to back with holes on either side: no warning, though that proves nothing.
  const away: Party = { ...there, at: [0, -10], plays: { to: [0, -40], holeKey: 'h2', holeName: 'hole B', shotType: 'pitch' } };
  expect(conflictsOf([here, away])).toEqual([]);
});

test('a larger group never takes a warning away, and mirroring the place mirrors the hand', () => {
  const deg = fc.integer({ min: -180, max: 179 });
  const far = fc.double({ min: 0.5, max: 90, noNaN: true });
  const shot = fc.constantFrom<ShotType>('putt', 'chip', 'pitch', 'bunker');
  const hands = fc.constantFrom<Hands>('right', 'left', 'mixed');
  const rank = (from: Party, to: Party) => ({ none: 0, amber: 1, red: 2 })[(conflictsOf([from, to])[0]?.level ?? 'none') as 'none'];
  fc.assert(
    fc.property(
      deg,
      far,
      shot,
      hands,
      fc.double({ min: 0.3, max: 5, noNaN: true }),
      fc.double({ min: 0, max: 8, noNaN: true }),
      (d, f, s, h, radiusM, more) => {
        const from = player({ shot: s, hands: h });
        expect(rank(from, waiting(d, f, radiusM + more))).toBeGreaterThanOrEqual(rank(from, waiting(d, f, radiusM)));
        const other = { right: 'left', left: 'right', mixed: 'mixed' }[h] as Hands;
        expect(rank(player({ shot: s, hands: other }), waiting(-d, f, radiusM))).toBe(rank(from, waiting(d, f, radiusM)));
      },
    ),
  );
});

test('the parties of a plan are its groups, where they stand; without groups somebody alone at every station', () => {
  const stations = [standing('s1', [0, -20]), standing('s2', [20, 0], 'h2')];
  const alone = partiesOf(green({ stations }));
  expect(alone.map(({ name, hands, plays }) => [name, hands, plays?.shotType])).toEqual([
    ['Station 1', 'mixed', 'pitch'],
    ['Station 2', 'mixed', 'lob'],
  ]);
  const group = { label: '1', at: [3, 3] as Point, radiusM: 2, hands: 'left' as const };
  const groups = [
    { ...group, key: 'g1', station: 's2' },
    { ...group, key: 'g2', label: 'late', station: null },
  ];
  expect(partiesOf(green({ stations, groups })).map(({ name, at, plays }) => [name, at, plays?.holeName ?? null])).toEqual([
    ['Group 1', [20, 0], 'hole B'],
    ['Group late', [3, 3], null],
  ]);
});

test('somebody alone who plays from one spot to three holes is in nobody’s way but others’', () => {
  const spot = (key: string, at: Point, to: Point): Party => ({
    ...player(),
    key,
    at,
    plays: { to, holeKey: key, holeName: `hole ${key}`, shotType: 'chip' },
    collects: false,
    alone: true,
  });
  const three = [spot('a', [0, 0], [0, 20]), spot('b', [0.3, 0], [5, 20]), spot('c', [0, 0.2], [-5, 20])];
  expect(conflictsOf(three)).toEqual([]);
  // Two groups at one spot are two groups, and somebody a few steps away is somebody else.
  expect(conflictsOf(three.map((party) => ({ ...party, alone: false }))).length).toBeGreaterThan(0);
  expect(conflictsOf([...three, spot('d', [0, 3], [0, 20])]).length).toBeGreaterThan(0);
});
