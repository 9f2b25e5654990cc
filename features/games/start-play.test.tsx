import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { LIBRARY } from '@/core/game/library';
import { goTo } from '../form/go';
import { startAction } from './actions';
import { startForecastWorker } from '../forecast/start-worker';
import { WorkerInTest } from '../forecast/worker-in-test';
import { StartPlay } from './start-play';

jest.mock('./actions', () => ({ startAction: jest.fn() }));
jest.mock('../form/go', () => ({ goTo: jest.fn() }));
jest.mock('../forecast/start-worker', () => ({ startForecastWorker: jest.fn() }));
const started = jest.mocked(startAction);
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
  started.mockReset().mockResolvedValue({ ok: true });
  jest.mocked(goTo).mockReset();
  jest.mocked(startForecastWorker).mockImplementation(() => new WorkerInTest() as unknown as Worker);
});

test('one tap on a name starts', async () => {
  const user = show('doorstep');
  await tap(user, 'Mia');
  expect(started.mock.calls[0]!.slice(2)).toEqual([{ gameId: 'g' }, [{ playerId: 'id-Mia', allowance: 0 }]]);
  expect(goTo).toHaveBeenCalledWith(expect.stringMatching(/^\/play#/));
});

test('played again, whoever played it last comes first; several are chosen already', async () => {
  const show = (again: string[]) =>
    render(<StartPlay slug="here" source={{ gameId: 'g' }} spec={specOf('doorstep')} players={players} coach={coach} again={again} />);
  const alone = show(['id-Bo']);
  expect(screen.getAllByRole('button').map((button) => button.textContent)).toEqual(['Bo', 'Otto', 'Mia']);
  alone.unmount();
  show(['id-Mia', 'id-Otto']);
  await userEvent.setup().click(screen.getByRole('button', { name: 'Start with 2' }));
  expect(started.mock.lastCall![3]).toMatchObject([{ playerId: 'id-Mia' }, { playerId: 'id-Otto' }]);
});

test('several are chosen in their order, and can be unchosen', async () => {
  const user = show('doorstep');
  await user.click(screen.getByLabelText('several'));
  for (const name of ['Bo', /Mia/, /Otto/, /Mia/]) await tap(user, name);
  await tap(user, 'Start with 2');
  expect(started.mock.calls[0]![3]).toEqual([
    { playerId: 'id-Bo', allowance: 0 },
    { playerId: 'id-Otto', allowance: 0 },
  ]);
});

test('a duel takes two, and a head start as it is typed', async () => {
  const user = show('nearest-the-lamp');
  await tap(user, 'Otto');
  expect(screen.getByRole('button', { name: 'Choose 2 or more' })).toBeDisabled();
  await tap(user, 'Mia');
  await user.type(screen.getByLabelText('Head start, Mia'), '1,5');
  await tap(user, 'Start with 2');
  expect(started.mock.calls[0]![3]).toEqual([
    { playerId: 'id-Otto', allowance: 0 },
    { playerId: 'id-Mia', allowance: 1.5 },
  ]);
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
  const [, , , entrants] = started.mock.calls[0]!;
  expect(entrants).toEqual([
    { playerId: 'id-Otto', allowance: 0 },
    { playerId: expect.any(String) as string, allowance: 0, guest: 'Coach' },
  ]);
});

test('where nobody is here, somebody is added first', () => {
  show('doorstep', []);
  expect(screen.getByText(/Nobody to play it yet/)).toBeVisible();
});

test('a refusal and a missing network are said, and it can be tried again', async () => {
  const user = show('doorstep');
  started.mockResolvedValueOnce({ ok: false, fields: { '': 'A head start is at most 100.' } });
  await tap(user, 'Bo');
  expect(screen.getByRole('alert')).toHaveTextContent('A head start is at most 100.');
  started.mockRejectedValueOnce(new Error('offline'));
  await tap(user, 'Bo');
  expect(screen.getByRole('alert')).toHaveTextContent('could not be sent');
});
