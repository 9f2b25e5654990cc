import { gameSpecSchema } from '@/core/game/spec';
import { newGame, nextStation } from './new-game';

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
