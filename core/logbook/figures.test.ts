import { figuresOf, headToHead, type ScoreMade } from './figures';

const made = (score: number, day: number, more: Partial<ScoreMade> = {}): ScoreMade => ({
  playerId: 'o',
  name: 'Otto',
  version: 2,
  score,
  at: new Date(Date.UTC(2026, 4, day)),
  conditions: {},
  ...more,
});

test('best, average and the last five, of each version and player by itself', () => {
  const scores = [10, 12, 8, 14, 11, 9, 13].map((score, i) => made(score, i + 1));
  const older = made(40, 1, { version: 1 });
  const other = made(13.5, 3, { playerId: 'm', name: 'Mia' });
  expect(figuresOf([older, other, ...scores.toReversed()], 'higher')).toEqual([
    { playerId: 'o', name: 'Otto', version: 2, best: 14, all: { mean: 11, of: 7 }, lastFive: { mean: 11, of: 5 }, grounds: [] },
    { playerId: 'm', name: 'Mia', version: 2, best: 13.5, all: { mean: 13.5, of: 1 }, lastFive: null, grounds: [] },
    { playerId: 'o', name: 'Otto', version: 1, best: 40, all: { mean: 40, of: 1 }, lastFive: null, grounds: [] },
  ]);
  // Less is better: the smallest is the best, and whoever has it stands first.
  expect(figuresOf([other, ...scores], 'lower').map(({ name, best }) => [name, best])).toEqual([
    ['Otto', 8],
    ['Mia', 13.5],
  ]);
});

test('by ground, where it differed; a wet green can be firm', () => {
  const scores = [
    made(10, 1, { conditions: { firmness: 'firm', wet: true } }),
    made(20, 2, { conditions: { firmness: 'soft' } }),
    made(30, 3, { conditions: { firmness: 'soft' } }),
    made(40, 4),
  ];
  expect(figuresOf(scores, 'higher')[0]!.grounds).toEqual([
    { ground: 'soft', mean: 25, of: 2 },
    { ground: 'firm', mean: 10, of: 1 },
    { ground: 'wet', mean: 10, of: 1 },
  ]);
  const same = scores.map((one) => ({ ...one, conditions: { firmness: 'firm' as const } }));
  expect(figuresOf(same, 'higher')[0]!.grounds).toEqual([]);
});

test('head to head: whoever scored better of the two, whoever else played', () => {
  const session = (a: number, b: number, better: 'higher' | 'lower') => ({
    better,
    outcome: {
      through: true,
      ahead: ['x'],
      scores: [
        { playerId: 'x', score: 99, met: null },
        { playerId: 'a', score: a, met: null },
        { playerId: 'b', score: b, met: null },
      ],
    },
  });
  const alone = { better: 'higher' as const, outcome: { through: true, ahead: [], scores: [{ playerId: 'a', score: 5, met: null }] } };
  const sessions = [session(3, 1, 'higher'), session(3, 1, 'lower'), session(2, 2, 'lower'), session(0, 4, 'higher'), alone];
  expect(headToHead(sessions, 'a', 'b')).toEqual({ sessions: 4, first: 1, second: 2, level: 1 });
  expect(headToHead(sessions, 'b', 'a')).toEqual({ sessions: 4, first: 2, second: 1, level: 1 });
  expect(headToHead([], 'a', 'b')).toEqual({ sessions: 0, first: 0, second: 0, level: 0 });
});
