import { game, idOf, PLAYER } from '../testing/make';
import { hourOf } from '../testing/make-hour';
import type { Home } from './home';
import { homeForHour } from './home-for-hour';

const nobody = { paceM: null, clubM: null, putterM: null };
const player = (playerId: string, name: string) => ({
  ...{
    playerId,
    name,
    handed: 'right' as const,
    units: 'imperial' as const,
    level: 10,
    scale: 1,
    ...nobody,
    clubs: [],
    favourite: null,
    marks: [],
    swings: [],
    strays: null,
  },
});
const kitGame = (gameId: string) => ({ gameId, version: 1, listed: true, spec: game(), conditions: {} });
const home: Home = {
  version: 2,
  academy: { slug: 'here', name: 'Here' },
  player: null,
  expiresAt: null,
  at: null,
  sessions: [],
  hours: [
    { hourId: idOf(1), at: null, hour: hourOf(), playerIds: [PLAYER], run: null },
    { hourId: idOf(2), at: '17:30', hour: hourOf({ title: 'Another' }), playerIds: [idOf(9)], run: null },
  ],
  kit: {
    coach: { ...nobody, flagstickM: null },
    today: { day: '2027-05-01', conditions: {} },
    games: [kitGame(idOf(700)), kitGame(idOf(701))],
    players: [player(PLAYER, 'Otto'), player(idOf(9), 'Eva')],
    guest: player('', ''),
    bests: [
      { playerId: PLAYER, gameId: idOf(700), score: 3, sessions: 1 },
      { playerId: PLAYER, gameId: idOf(701), score: 4, sessions: 1 },
    ],
  },
};

test('to run an hour a device keeps that hour, its games and its players, and nothing else', () => {
  const { home: own, planned } = homeForHour(home, idOf(1))!;
  expect(planned.hourId).toBe(idOf(1));
  expect(own.hours).toEqual([planned]);
  expect(own.kit!.games.map(({ gameId }) => gameId)).toEqual([idOf(700)]);
  expect(own.kit!.players.map(({ name }) => name)).toEqual(['Otto']);
  expect(own.kit!.bests).toHaveLength(1);
});

test('without the hour, or without what starts games, there is nothing to keep', () => {
  expect(homeForHour(home, idOf(3))).toBeNull();
  expect(homeForHour({ ...home, kit: null }, idOf(1))).toBeNull();
});
