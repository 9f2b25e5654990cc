import { game, station } from '../testing/make';
import { LIBRARY } from './library';
import { traitsOf } from './traits';

test('what a game trains, from where, how long and for how many', () => {
  const spec = game({
    stations: [
      station('a', { shotType: 'pitch', surface: 'light_rough' }),
      station('b', { shotType: 'putt', surface: 'green', distanceM: 3 }),
    ],
    leadIn: [
      {
        title: 'Sand first',
        balls: 1,
        order: 'blocked',
        stations: [station('c', { shotType: 'bunker', surface: 'sand' })],
        scoring: { scheme: 'hits', radiusM: 2 },
      },
    ],
  });
  expect(traitsOf(spec)).toMatchObject({
    families: ['putting', 'pitching', 'bunker'],
    surfaces: ['green', 'light_rough', 'sand'],
    players: 1,
  });
  expect(traitsOf(spec).minutes).toBeGreaterThan(1);
  const duel = { scheme: 'nearest_wins', firstTo: 3, ties: 'nobody', callPoints: null, farM: 9 } as const;
  expect(traitsOf(game({ open: true, stations: [], scoring: duel }))).toEqual({ families: [], surfaces: [], minutes: null, players: 2 });
});

test('every ready game can be found by what it trains, and none takes longer than an hour', () => {
  for (const { spec } of LIBRARY) {
    const { families, minutes } = traitsOf(spec);
    expect([spec.title, spec.open || families.length > 0, (minutes ?? 0) <= 60]).toEqual([spec.title, true, true]);
  }
});
