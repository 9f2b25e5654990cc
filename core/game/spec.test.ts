import { DEMO_GAMES } from '../demo/games';
import { ft, game, station, yd } from '../testing/make';
import { LIBRARY } from './library';
import { careLines } from './words/care';
import { sayStation, sayStationLie } from './words/say-station';
import { ballsOf, phasesOf } from './phases';
import { freshKey, gameSpecSchema } from './spec';

/** What the schema says about a game, by path. */
function faultsOf(change: object): Record<string, string> {
  const parsed = gameSpecSchema.safeParse({ ...game(), ...change });
  return Object.fromEntries((parsed.error?.issues ?? []).map((issue) => [issue.path.join('.'), issue.message]));
}
const scoring = (change: object) => ({ scoring: { ...game().scoring, ...change } });
const ring = (key: string, feet: number, points: number) => ({ key, radiusM: ft(feet), points });

test.each([
  ['no title', { title: '  ' }, 'title', 'A game needs a title.'],
  ['no station', { stations: [] }, 'stations', 'A game needs at least one station.'],
  ['500 balls', { stations: [station('a', { balls: 500 })] }, 'stations.0.balls', 'At most 60 balls'],
  ['half a ball', { stations: [station('a', { balls: 1.5 })] }, 'stations.0.balls', 'Enter a whole number.'],
  ['no distance', { stations: [station('a', { distanceM: NaN })] }, 'stations.0.distanceM', 'Enter the distance'],
  ['a chip from 101 yd', { stations: [station('a', { distanceM: yd(101) })] }, 'stations.0.distanceM', 'at most 100 yd'],
  [
    'a putt from sand',
    { stations: [station('a', { shotType: 'putt', surface: 'sand' })] },
    'stations.0.surface',
    'A putt is played from green.',
  ],
  ['a green that begins beyond the hole', { stations: [station('a', { edgeM: 40 })] }, 'stations.0.edgeM', 'begins before the hole'],
  ['a chip that breaks', { stations: [station('a', { breaks: 'straight' })] }, 'stations.0.breaks', 'Slope and break are for putts only.'],
  [
    'rings that shrink',
    scoring({ rings: [ring('a', 6, 4), ring('b', 3, 2)] }),
    'scoring.rings.1.radiusM',
    'Ring 2 must be wider than ring 1.',
  ],
  ['rings alike', scoring({ rings: [ring('a', 6, 4), ring('b', 6, 2)] }), 'scoring.rings.1.radiusM', 'Ring 2 must be wider'],
  ['negative points', scoring({ rings: [ring('a', 6, -1)] }), 'scoring.rings.0.points', 'Points can’t be negative.'],
  ['farther is worth more', scoring({ rings: [ring('a', 3, 1), ring('b', 6, 2)] }), 'scoring.rings.1.points', 'at most 1 here'],
  ['holed is worth less', scoring({ holedPoints: 3 }), 'scoring.holedPoints', 'at least 4'],
  ['no ring', scoring({ rings: [] }), 'scoring.rings', 'At least one ring.'],
  ['a goal out of reach', { goal: 37 }, 'goal', 'This game can give 36 at most.'],
  ['two stations of one key', { stations: [station('a'), station('a')] }, 'stations', 'the same key'],
])('%s is refused beside its field', (_, change, path, reason) => {
  expect(faultsOf(change)[path]).toContain(reason);
});

test('what nobody knows is refused, not passed over', () => {
  expect(gameSpecSchema.safeParse({ ...game(), colour: 'red' }).success).toBe(false);
});

test('every demo game is a valid game with a goal within reach', () => {
  for (const spec of DEMO_GAMES) expect(gameSpecSchema.parse(spec)).toEqual(spec);
});

test('stations are called as a coach calls them, in the reader’s units', () => {
  const pitch = station('a', { shotType: 'pitch', surface: 'light_rough', distanceM: yd(22), stance: 'uphill', trajectory: 'high' });
  expect([sayStation(pitch, 'imperial'), sayStation(pitch, 'metric')]).toEqual(['22 yd pitch', '20.1 m pitch']);
  expect(sayStationLie(pitch)).toBe('light rough, uphill · high');
  const putt = station('a', { shotType: 'putt', surface: 'green', distanceM: 2, distanceUnit: 'm' });
  expect([sayStation(putt, 'imperial'), sayStation(putt, 'metric')]).toEqual(['6.6 ft putt', '2 m putt']);
});

test('balls add up, and a fresh key is one that nothing has', () => {
  expect(ballsOf(game())).toBe(6);
  expect([freshKey('s', []), freshKey('s', ['s1', 's4', 'x'])]).toEqual(['s1', 's5']);
});

test('balls are counted without putting them in order, and are as many as the order has', () => {
  const games = [...LIBRARY.map(({ spec }) => spec), ...DEMO_GAMES];
  for (const spec of games) {
    const phases = phasesOf(spec, 7);
    expect(ballsOf(spec)).toBe(phases.reduce((sum, { turns }) => sum + turns, 0));
    if (!spec.open) for (const { lots, turns } of phases) if (lots) expect(lots).toHaveLength(turns);
  }
  expect(games.length).toBeGreaterThan(20);
});

test('care is said for every game, and a swing needs more of it than a putt', () => {
  const putts = careLines({ leadIn: [], stations: [station('a', { shotType: 'putt', surface: 'green' })] });
  const chips = careLines(game());
  expect(chips.join(' ')).toContain('Nobody in front of or beside a swinging player.');
  expect(putts.join(' ')).not.toContain('swinging');
  for (const line of [...putts, ...chips]) expect(line).not.toMatch(/\bsafe\b/i);
});
