import { enter } from '../game/enter';
import { game, idOf, PLAYER, SESSION } from '../testing/make';
import { homeSchema, storedHomes, type Home } from './home';
import { kitSchema } from './kit';
import { beginSession, sentStartSchema } from './session-start';

const nobody = { paceM: null, clubM: null, putterM: null };
const MIA = idOf(11);
const person = (playerId: string, name: string, more: object = {}) => ({
  playerId,
  name,
  handed: 'right',
  units: 'imperial',
  level: 18,
  scale: 1.4,
  ...nobody,
  clubs: [{ clubId: null, label: 'PW' }],
  favourite: null,
  ...more,
});
const paced = game({ title: 'Paced', sizes: { ...game().sizes, unit: 'pace', of: 'player', scaled: true } });
const duel = game({ title: 'Duel', scoring: { scheme: 'nearest_wins', firstTo: 3, ties: 'nobody', callPoints: null, farM: 9 } });
const kit = {
  coach: { ...nobody, paceM: 0.8, flagstickM: null },
  today: { day: '2026-05-01', conditions: { wind: 'gusts' } },
  games: [
    { gameId: idOf(1), version: 3, spec: paced, conditions: { stimpFt: 9 } },
    { gameId: idOf(2), version: 1, spec: duel, conditions: {} },
  ],
  players: [person(PLAYER, 'Otto'), person(MIA, 'Mia', { paceM: 0.7 })],
  guest: { handed: 'right', units: 'metric', level: 18, scale: 1.4, ...nobody, clubs: [], favourite: null },
  bests: [{ playerId: MIA, gameId: idOf(1), score: 30, sessions: 4 }],
};
const home = homeSchema.parse({
  academy: { slug: 'here', name: 'Here' },
  player: null,
  expiresAt: null,
  at: '2026-05-01T09:00:00Z',
  sessions: [],
  kit,
}) as Home;
const begun = { sessionId: SESSION, gameId: idOf(1), playerIds: [MIA, PLAYER], startedAt: '2026-05-01T18:00:00.000Z', day: '2026-05-01' };

test('a game begun on a device is what the server would have given: zones in own paces, the day, what there is to beat', () => {
  const { bundle, start } = beginSession(home, begun)!;
  expect(bundle).toMatchObject({ sessionId: SESSION, stopped: false, only: null, conditions: { stimpFt: 9, wind: 'gusts' }, events: [] });
  expect(bundle.players.map(({ name, best, measures }) => [name, best, measures.paceM])).toEqual([
    ['Mia', { score: 30, sessions: 4 }, 0.7],
    ['Otto', null, 0.8],
  ]);
  expect(bundle.players.map(({ entrant }) => entrant)).toEqual(start.entrants);
  expect(start).toMatchObject({ gameVersion: 3, academy: 'here', startedAt: begun.startedAt });
  // Mia has a pace of her own; Otto, who has none, gets the ordinary one of the desk's own rule.
  const atDesk = [
    enter({ playerId: MIA, level: 18, ...nobody, paceM: 0.7 }, paced.sizes, kit.coach, 0),
    enter({ playerId: PLAYER, level: 18, ...nobody }, paced.sizes, kit.coach, 0),
  ];
  expect(start.entrants.map(({ unitM }) => unitM)).toEqual(atDesk.map(({ unitM }) => unitM));
  expect(start.entrants.map(({ scale }) => scale)).toEqual([1.4, 1.4]);
  expect(sentStartSchema.safeParse({ start, sentAt: begun.startedAt }).success).toBe(true);
});

test('a guest plays along by a name, and is told of with the start', () => {
  const guest = { playerId: idOf(77), name: 'Coach' };
  const { bundle, start } = beginSession(home, { ...begun, gameId: idOf(2), playerIds: [PLAYER, guest.playerId], guests: [guest] })!;
  expect(bundle.players.map(({ name, best, units }) => [name, best, units])).toEqual([
    ['Otto', null, 'imperial'],
    ['Coach', null, 'metric'],
  ]);
  expect(start.guests).toEqual([guest]);
  // Who was named and does not play is nobody's guest.
  expect(beginSession(home, { ...begun, guests: [guest] })!.start.guests).toEqual([]);
});

test('head starts are those that were given, none for whoever got none', () => {
  const { start } = beginSession(home, { ...begun, gameId: idOf(2), allowances: { [MIA]: 1.5 } })!;
  expect(start.entrants.map(({ playerId, allowance }) => [playerId, allowance])).toEqual([
    [MIA, 1.5],
    [PLAYER, 0],
  ]);
});

test('what was said about another day is not said of this one', () => {
  expect(beginSession(home, { ...begun, day: '2026-05-02' })!.bundle.conditions).toEqual({ stimpFt: 9 });
});

test('a game, a player or a second player that is not there: nothing begins', () => {
  expect(beginSession(home, { ...begun, gameId: idOf(9) })).toBeNull();
  expect(beginSession(home, { ...begun, playerIds: [idOf(99)] })).toBeNull();
  expect(beginSession(home, { ...begun, playerIds: [] })).toBeNull();
  expect(beginSession(home, { ...begun, gameId: idOf(2), playerIds: [PLAYER] })).toBeNull();
  expect(beginSession(home, { ...begun, gameId: idOf(2) })).not.toBeNull();
  expect(beginSession({ ...home, kit: null }, begun)).toBeNull();
});

test('a start that makes no sense is refused: a player twice, a level that nobody has', () => {
  const { start } = beginSession(home, begun)!;
  const refused = (entrants: unknown) => !sentStartSchema.safeParse({ start: { ...start, entrants }, sentAt: begun.startedAt }).success;
  expect(refused([start.entrants[0], start.entrants[0]])).toBe(true);
  expect(refused([{ ...start.entrants[0], level: 300 }])).toBe(true);
  expect(refused([{ ...start.entrants[0], allowance: 1e9 }])).toBe(true);
  expect(refused([])).toBe(true);
});

test('of a kit, the games of a newer program are left out; the others can be played', () => {
  const newer = { ...kit.games[0], spec: { ...paced, version: 99 } };
  expect(kitSchema.parse({ ...kit, games: [newer, kit.games[1]] }).games.map(({ gameId }) => gameId)).toEqual([idOf(2)]);
});

test('a page that an older program kept is still read', () => {
  const older = {
    academy: { name: 'Here' },
    player: { playerId: PLAYER, name: 'Otto', units: 'imperial' },
    expiresAt: '2026-06-01T00:00:00Z',
  };
  const line = {
    sessionId: SESSION,
    gameId: null,
    title: 'Two spots',
    startedAt: '2026-05-01T18:00:00Z',
    over: false,
    balls: 1,
    score: null,
  };
  expect(homeSchema.parse({ ...older, sessions: [line] })).toMatchObject({
    version: storedHomes.version,
    at: null,
    hours: [],
    kit: null,
    sessions: [{ title: 'Two spots', players: [] }],
  });
});
