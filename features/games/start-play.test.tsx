import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { LIBRARY } from '@/core/game/library';
import { goTo } from '../form/go';
import type { Home } from '@/core/exchange/home';
import { beginHere } from '../play/start/begin-here';
import { kitAction } from './actions';
import { startForecastWorker } from '../forecast/start-worker';
import { WorkerInTest } from '../forecast/worker-in-test';
import { StartPlay } from './start-play';

jest.mock('./actions', () => ({ kitAction: jest.fn() }));
jest.mock('../play/start/begin-here', () => ({ beginHere: jest.fn() }));
jest.mock('../form/go', () => ({ goTo: jest.fn() }));
jest.mock('../forecast/start-worker', () => ({ startForecastWorker: jest.fn() }));
const asked = jest.mocked(kitAction);
const begun = jest.mocked(beginHere);
const chosen = () => begun.mock.lastCall![1];
const home = { kit: null } as unknown as Home;
const specOf = (key: string) => LIBRARY.find((entry) => entry.key === key)!.spec;
const players = ['Otto', 'Mia', 'Bo'].map((name) => ({
  playerId: `id-${name}`,
  name,
  level: 12,
  balls: 0,
  paceM: null,
  clubM: null,
  putterM: null,
}));
const coach = { paceM: null, clubM: null, putterM: null };

function show(key: string, people = players) {
  render(<StartPlay slug="here" source={{ gameId: 'g' }} spec={specOf(key)} players={people} coach={coach} />);
  return userEvent.setup();
}
const tap = (user: ReturnType<typeof userEvent.setup>, name: string | RegExp) => user.click(screen.getByRole('button', { name }));

beforeEach(() => {
  asked.mockReset().mockResolvedValue({ ok: true, gameId: 'own', home });
  begun.mockReset().mockResolvedValue('s-1');
  jest.mocked(goTo).mockReset();
  jest.mocked(startForecastWorker).mockImplementation(() => new WorkerInTest() as unknown as Worker);
});

test('one tap on a name starts', async () => {
  const user = show('doorstep');
  await tap(user, 'Mia');
  await waitFor(() => expect(goTo).toHaveBeenCalledWith('/play#s-1'));
  expect(asked).toHaveBeenCalledWith('here', { gameId: 'g' }, ['id-Mia']);
  expect(chosen()).toEqual({ gameId: 'own', playerIds: ['id-Mia'], guests: [], allowances: { 'id-Mia': 0 } });
});

test('played again, whoever played it last comes first; several are chosen already', async () => {
  const show = (again: string[]) =>
    render(<StartPlay slug="here" source={{ gameId: 'g' }} spec={specOf('doorstep')} players={players} coach={coach} again={again} />);
  const alone = show(['id-Bo']);
  expect(screen.getAllByRole('button').map((button) => button.textContent)).toEqual(['Bo', 'Otto', 'Mia']);
  alone.unmount();
  show(['id-Mia', 'id-Otto']);
  await userEvent.setup().click(screen.getByRole('button', { name: 'Start with 2' }));
  await waitFor(() => expect(chosen().playerIds).toEqual(['id-Mia', 'id-Otto']));
});

test('several are chosen in their order, and can be unchosen', async () => {
  const user = show('doorstep');
  await user.click(screen.getByLabelText('several'));
  for (const name of ['Bo', /Mia/, /Otto/, /Mia/]) await tap(user, name);
  await tap(user, 'Start with 2');
  await waitFor(() => expect(chosen().playerIds).toEqual(['id-Bo', 'id-Otto']));
});

test('a duel takes two, and a head start as it is typed', async () => {
  const user = show('nearest-the-lamp');
  await tap(user, 'Otto');
  expect(screen.getByRole('button', { name: 'Choose 2 or more' })).toBeDisabled();
  await tap(user, 'Mia');
  await user.type(screen.getByLabelText('Head start, Mia'), '1,3');
  expect(screen.getByText('Enter the head start in whole or half numbers.')).toBeVisible();
  await tap(user, 'Start with 2');
  expect(asked).not.toHaveBeenCalled();
  await user.clear(screen.getByLabelText('Head start, Mia'));
  await user.type(screen.getByLabelText('Head start, Mia'), '1,5');
  await tap(user, 'Start with 2');
  await waitFor(() => expect(chosen().allowances).toEqual({ 'id-Otto': 0, 'id-Mia': 1.5 }));
});

test('head starts are suggested for those who are chosen, can be changed, and are filled in again when asked again', async () => {
  const unequal = players.map((one, i) => ({ ...one, level: [2, 24, 12][i]! }));
  const user = show('nearest-the-lamp', unequal);
  for (const name of ['Otto', 'Mia']) await tap(user, name);
  await tap(user, 'Suggest head starts');
  const mia = () => screen.getByLabelText('Head start, Mia');
  await waitFor(() => expect(mia()).not.toHaveValue(''), { timeout: 20_000 });
  const suggested = (mia() as HTMLInputElement).value;
  expect(Number(suggested) * 2).toBeGreaterThanOrEqual(2);
  expect(Number.isInteger(Number(suggested) * 2)).toBe(true);
  expect(screen.getByLabelText('Head start, Otto')).toHaveValue('');
  expect(screen.getByText(/of all pairs the least even is \d\d to \d\d, by 10,000 games\. By the level alone: Otto, Mia\./)).toBeVisible();
  await user.clear(mia());
  await user.type(mia(), '7');
  await tap(user, 'Suggest head starts');
  expect(mia()).toHaveValue(suggested);
  // Somebody more is another question.
  await tap(user, 'Bo');
  expect(screen.queryByText(/of all pairs/)).toBeNull();
  await tap(user, 'Suggest head starts');
  await waitFor(() => expect(screen.getByLabelText('Head start, Bo')).not.toHaveValue(''), { timeout: 20_000 });
}, 60_000);

test('who is missing is said; a guest may be the second', async () => {
  const user = show('nearest-the-lamp', players.slice(0, 1));
  expect(screen.getByRole('button', { name: 'Choose 2 or more' })).toBeDisabled();
  await tap(user, 'Otto');
  await tap(user, 'Add a guest');
  expect(screen.getByText('Give the guest a name.')).toBeVisible();
  await user.type(screen.getByLabelText('Guest’s name'), 'Coach{Enter}');
  await tap(user, 'Start with 2');
  await waitFor(() => expect(begun).toHaveBeenCalled());
  const { playerIds, guests } = chosen();
  expect(guests).toEqual([{ playerId: playerIds[1], name: 'Coach' }]);
  // The server is asked for its own players alone.
  expect(asked.mock.lastCall![2]).toEqual(['id-Otto']);
});

test('where nobody is here, somebody is added first', () => {
  show('doorstep', []);
  expect(screen.getByText(/Nobody to play it yet/)).toBeVisible();
});

test('a refusal and a missing network are said, and it can be tried again', async () => {
  const user = show('doorstep');
  const refused = async (sentence: RegExp) => {
    await tap(user, 'Bo');
    await waitFor(() => expect(screen.getByRole('alert')).toHaveTextContent(sentence));
  };
  asked.mockResolvedValueOnce({ ok: false, fields: { '': 'This game is no longer here.' } });
  await refused(/no longer here/);
  asked.mockRejectedValueOnce(new Error('offline'));
  await refused(/No connection/);
  begun.mockResolvedValueOnce(null);
  await refused(/One of the players/);
  begun.mockRejectedValueOnce(new Error('no store'));
  await refused(/keeps nothing here/);
  expect(goTo).not.toHaveBeenCalled();
  await tap(user, 'Bo');
  await waitFor(() => expect(goTo).toHaveBeenCalled());
});
