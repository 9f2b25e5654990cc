import type { Brief } from '@/core/board/brief';
import { shippedReference } from '@/core/golf/reference';
import { modelOf } from '@/core/skill/model';
import { changesIn, playerRows, sharedWeaknesses } from './player-rows';

type Players = Parameters<typeof playerRows>[0];
const { cells } = modelOf(shippedReference);
const now = new Date('2026-05-20T18:00:00Z');
const player = (playerId: string, name: string, balls = 60, more: object = {}) =>
  ({
    player: { playerId, name, level: 14, handed: 'left', dreads: null, ...more },
    balls,
    lastAt: balls ? now : null,
  }) as unknown as Players[number];
const brief = (more: Partial<Brief> = {}): Brief => ({
  balls: 60,
  lost: { mean: 0.6, interval80: [0.2, 1] },
  weakest: { key: 'pitch|light_rough|20', mean: 0.28, interval80: [0.1, 0.4], sure: 0.97, near: 0, clear: true },
  next: { why: 'weakest', keys: ['pitch|light_rough|20'], balls: null },
  trend: null,
  ...more,
});
const kept = (of: [string, Brief][]) => ({ of: new Map(of), pending: false });
const rows = (players: Players, of: [string, Brief][], strokes: 'lost' | 'gained' = 'lost') =>
  playerRows(players, kept(of), { cells, strokes, timeZone: 'UTC', now });

test('the weakest shot stands with its figure and how sure it is; the next balls with their reason', () => {
  const [row] = rows([player('p', 'Otto')], [['p', brief()]]);
  expect(row).toMatchObject({
    leftHanded: true,
    last: { day: 'today' },
    weakest: {
      shot: '20–30 yd pitches from light rough',
      family: 'pitching',
      figure: '0.28 lost',
      how: 'sure among the three weakest (97%)',
    },
    next: { what: '20–30 yd pitches from light rough', why: 'the weakest' },
    trend: null,
    dreads: '',
  });
  const [gained] = rows([player('p', 'Otto')], [['p', brief()]], 'gained');
  expect(gained!.weakest!.figure).toBe('−0.28 gained');
});

test.each([
  [{ sure: 0.8 }, 'likely among the three weakest (80%)'],
  [{ sure: 0.4, near: 1 }, 'too close to call with one other'],
  [{ sure: 0.4, near: 3 }, 'too close to call with three others'],
  [{ sure: 0.4 }, '40% likely to be among the three weakest'],
  [{ sure: 0.4, near: 19, clear: false }, '20 shots too close to call'],
])('%j: %s', (weakest, how) => {
  const [row] = rows([player('p', 'Otto')], [['p', brief({ weakest: { ...brief().weakest!, ...weakest } })]]);
  expect(row!.weakest!.how).toBe(how);
});

test.each([
  [
    { why: 'close', keys: ['putt|green|6', 'chip|fairway|10'], balls: 23 },
    '6–10 ft putts and 10–20 yd chips from the fairway',
    'about 25 each would show which is weaker',
  ],
  [
    { why: 'close', keys: ['putt|green|6', 'chip|fairway|10'], balls: null },
    '6–10 ft putts and 10–20 yd chips from the fairway',
    'the weakest two, too close to call',
  ],
  [{ why: 'unplayed', keys: ['bunker|sand|0'], balls: null }, '0–10 yd bunker shots', 'not played yet, could be as weak'],
] as const)('what comes next: %j', (next, what, why) => {
  const [row] = rows([player('p', 'Otto')], [['p', brief({ next: { ...next, keys: [...next.keys] } })]]);
  expect(row!.next).toEqual({ what, why });
});

test('of a player without a ball nothing is claimed, whatever was kept', () => {
  const [row] = rows([player('p', 'Otto', 0)], [['p', brief()]]);
  expect(row).toMatchObject({ last: null, lost: null, weakest: null, next: null, trend: null });
});

test('a shot of a model that is gone is left out', () => {
  const [row] = rows(
    [player('p', 'Otto')],
    [
      [
        'p',
        brief({ weakest: { ...brief().weakest!, key: 'pitch|moon|20' }, next: { why: 'weakest', keys: ['pitch|moon|20'], balls: null } }),
      ],
    ],
  );
  expect(row).toMatchObject({ weakest: null, next: null });
});

test('shots that are dreaded are named, the most dreaded first', () => {
  const dreads = { 'chip|fairway': 3, 'pitch|heavy_rough': 4, 'bunker|sand': 5 };
  const [row] = rows([player('p', 'Otto', 60, { dreads })], []);
  expect(row!.dreads).toBe('bunker shots and pitches from heavy rough');
});

test('news: who changed, the surest first, and weaknesses that are clear and shared', () => {
  const trend = (chanceBetter: number) => ({ before: 1, since: 0.5, of: [30, 30] as [number, number], chanceBetter });
  const players = [player('a', 'Ana'), player('b', 'Ben'), player('c', 'Cleo'), player('d', 'Dag', 0)];
  const briefs = kept([
    ['a', brief({ trend: trend(0.8) })],
    ['b', brief({ trend: trend(0.02) })],
    ['c', brief({ trend: trend(0.6), weakest: { ...brief().weakest!, clear: false } })],
    // Whose balls were all taken back.
    ['d', brief({ trend: trend(0.99) })],
  ]);
  expect(changesIn(players, briefs)).toEqual([
    'Ben is worse (98% sure) than four weeks ago.',
    'Ana is probably better (80%) than four weeks ago.',
  ]);
  expect(sharedWeaknesses(players, briefs, cells)).toEqual(['Ana and Ben share a weakness: 20–30 yd pitches from light rough.']);
});

test('of weaknesses the one that most share is told first; of many players seven are named', () => {
  const weak = (key: string) => brief({ weakest: { ...brief().weakest!, key } });
  const players = Array.from({ length: 14 }, (_, i) => player(`p${i}`, `P${i}`));
  const briefs = kept(
    players.map(({ player: { playerId } }, i) => [
      playerId,
      weak(i < 2 ? 'chip|fairway|10' : i < 12 ? 'putt|green|6' : `bunker|sand|${i - 12}0`),
    ]),
  );
  expect(sharedWeaknesses(players, briefs, cells)).toEqual([
    'P2, P3, P4, P5, P6, P7, P8 and 3 more share a weakness: 6–10 ft putts.',
    'P0 and P1 share a weakness: 10–20 yd chips from the fairway.',
  ]);
});
