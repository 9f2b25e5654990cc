import { gameSpecSchema } from '@/core/game/spec';
import { DEMO_GREENS } from '@/core/demo/greens';
import { landingGame, newGame, nextStation, rungsGame } from './new-game';

test.each(['imperial', 'metric'] as const)('a new %s game lacks nothing but its title', (units) => {
  const parsed = gameSpecSchema.safeParse(newGame(units));
  expect(parsed.error?.issues.map((issue) => issue.path.join('.'))).toEqual(['title']);
  expect(gameSpecSchema.safeParse({ ...newGame(units), title: 'A game' }).success).toBe(true);
});

test('another station is like the last one, with a key of its own', () => {
  const { stations } = newGame('imperial');
  expect(nextStation(stations, 'imperial')).toEqual({ ...stations[0], key: 's2' });
  expect(nextStation([], 'metric')).toMatchObject({ key: 's1', distanceUnit: 'm' });
});

describe('a game made of a landing spot', () => {
  const start = { carryM: 13.003, distanceM: 21.3, edgeM: 8.5, lie: 'light_rough', club: '54°', flight: 'high', on: null } as const;

  test('lands there, in tenths of the reader’s unit, with its club and flight', () => {
    const made = landingGame(start, 'imperial', null);
    expect(gameSpecSchema.safeParse(made).error).toBeUndefined();
    expect(made.stations).toHaveLength(1);
    // 13.003 m is 14.22 yd.
    expect(made.stations[0]).toMatchObject({ shotType: 'pitch', surface: 'light_rough', club: '54°', trajectory: 'high', edgeM: 8.5 });
    expect(made.stations[0]!.carryM).toBeCloseTo(14.2 * 0.9144, 4);
    expect(landingGame({ ...start, carryM: 9 }, 'metric', null).stations[0]).toMatchObject({
      shotType: 'chip',
      distanceUnit: 'm',
      carryM: 9,
    });
  });

  test('on a green it stands at the station that was asked about', () => {
    const [plan] = DEMO_GREENS;
    const made = landingGame({ ...start, on: { green: '00000000-0000-7000-8000-000000000001', station: 's2' } }, 'imperial', plan!);
    expect(made.stations[0]).toMatchObject({ place: 's2', hole: 'C', edgeM: 8.5 });
    expect(gameSpecSchema.safeParse(made).success).toBe(true);
  });
});

test('a game of rungs: one ball from each, with how the line runs', () => {
  const made = rungsGame(
    { firstM: 0.8636, stepM: 0.8636, rungs: 5, unit: 'putter', slope: 'downhill', breaks: 'right_to_left' },
    'imperial',
  );
  expect(gameSpecSchema.safeParse(made).success).toBe(true);
  expect(made.stations.map(({ distanceM }) => distanceM)).toEqual([0.8636, 1.7272, 2.5908, 3.4544, 4.318]);
  for (const one of made.stations)
    expect(one).toMatchObject({ shotType: 'putt', slope: 'downhill', breaks: 'right_to_left', distanceUnit: 'putter' });
});
