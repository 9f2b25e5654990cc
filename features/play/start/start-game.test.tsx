import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Kit } from '@/core/exchange/kit';
import { game, idOf } from '@/core/testing/make';
import type { Chosen } from './begin-here';
import { StartGame } from './start-game';

const nobody = { paceM: null, clubM: null, putterM: null };
const usual: Kit['guest'] = {
  handed: 'right',
  units: 'imperial',
  level: 18,
  scale: 1,
  ...nobody,
  clubs: [],
  favourite: null,
  marks: [],
  swings: [],
  strays: null,
};
const duel = game({ title: 'Duel', scoring: { scheme: 'nearest_wins', firstTo: 3, ties: 'nobody', callPoints: null, farM: 9 } });
const kitOf = (games: number, players: number): Kit => ({
  coach: { ...nobody, flagstickM: null },
  today: { day: '2026-05-01', conditions: {} },
  games: [
    { gameId: idOf(1), version: 1, listed: true, spec: duel, conditions: {} },
    ...Array.from({ length: games - 1 }, (_, i) => ({
      gameId: idOf(10 + i),
      version: 1,
      listed: true,
      spec: game({ title: `Rings ${i + 1}` }),
      conditions: {},
    })),
  ].slice(0, games),
  players: Array.from({ length: players }, (_, i) => ({ playerId: idOf(100 + i), name: `Player ${i + 1}`, ...usual })),
  guest: { ...usual },
  bests: [],
});

const onStart = jest.fn();
beforeEach(() => onStart.mockReset().mockResolvedValue(true));
function show(kit: Kit) {
  render(<StartGame kit={kit} onStart={onStart} />);
  return userEvent.setup();
}
const tap = (user: ReturnType<typeof userEvent.setup>, name: string | RegExp) => user.click(screen.getByRole('button', { name }));

test('before there is a game, or anybody to play it, it says where they are made', () => {
  const { unmount } = render(<StartGame kit={kitOf(0, 3)} onStart={onStart} />);
  expect(screen.getByText(/No games yet/)).toBeVisible();
  unmount();
  show(kitOf(2, 0));
  expect(screen.getByText(/No players yet/)).toBeVisible();
});

test('a game, then who plays in the order in which they are tapped; a second tap takes one back', async () => {
  const user = show(kitOf(2, 3));
  await tap(user, /^Rings 1/);
  expect(screen.getByRole('button', { name: 'Choose who plays' })).toBeDisabled();
  for (const name of ['Player 3', 'Player 1', 'Player 2']) await tap(user, name);
  await tap(user, /Player 1$/);
  await tap(user, 'Start');
  expect(onStart).toHaveBeenCalledWith(expect.objectContaining({ gameId: idOf(10), playerIds: [idOf(102), idOf(101)], guests: [] }));
});

test('a duel takes two; a guest may be the second', async () => {
  const user = show(kitOf(1, 2));
  await tap(user, /^Duel/);
  await tap(user, 'Player 1');
  expect(screen.getByRole('button', { name: 'Choose 2 or more' })).toBeDisabled();
  await user.type(screen.getByLabelText('Guest’s name'), 'Ada');
  await tap(user, 'Add a guest');
  await tap(user, 'Start');
  const { playerIds, guests } = (onStart.mock.calls as [Chosen][])[0]![0];
  expect([playerIds.length, guests]).toEqual([2, [{ playerId: playerIds[1], name: 'Ada' }]]);
});

test('a head start is given where the game allows it; one that makes no sense is said, and starts nothing', async () => {
  const even = game({ ...duel, rules: { ...duel.rules, allowances: true } });
  const kit = kitOf(1, 2);
  const user = show({ ...kit, games: [{ ...kit.games[0]!, spec: even }] });
  await tap(user, /^Duel/);
  for (const name of ['Player 1', 'Player 2']) await tap(user, name);
  await user.type(screen.getByLabelText('Head start, Player 2'), '0,7');
  expect(screen.getByText('Enter the head start in whole or half numbers.')).toBeVisible();
  await tap(user, 'Start');
  expect(onStart).not.toHaveBeenCalled();
  await user.clear(screen.getByLabelText('Head start, Player 2'));
  await user.type(screen.getByLabelText('Head start, Player 2'), '0,5');
  await tap(user, 'Start');
  expect((onStart.mock.calls as [Chosen][])[0]![0].allowances).toEqual({ [idOf(100)]: 0, [idOf(101)]: 0.5 });
});

test('of many, one is found by typing; who is chosen stays in sight', async () => {
  const user = show(kitOf(12, 30));
  await user.type(screen.getByRole('searchbox', { name: 'Find a game' }), 'rings 11');
  expect(screen.getAllByRole('listitem')).toHaveLength(1);
  await tap(user, /^Rings 11/);
  await tap(user, 'Player 2');
  await user.type(screen.getByRole('searchbox', { name: 'Find a player' }), 'player 30');
  expect(screen.getByRole('button', { name: 'Player 2' })).toHaveAttribute('aria-pressed', 'true');
  expect(screen.getByRole('button', { name: 'Player 30' })).toBeVisible();
  expect(screen.queryByRole('button', { name: 'Player 3' })).toBeNull();
});

test('what can’t be started is said, and can be tried again', async () => {
  onStart.mockResolvedValueOnce(false);
  const user = show(kitOf(2, 1));
  await tap(user, /^Rings 1/);
  await tap(user, 'Player 1');
  await tap(user, 'Start');
  expect(await screen.findByRole('alert')).toHaveTextContent('can’t be started here');
  await tap(user, 'Start');
  expect(onStart).toHaveBeenCalledTimes(2);
});
