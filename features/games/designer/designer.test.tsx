import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { GameSpec } from '@/core/game/spec';
import { saveGameAction } from '../actions';
import { Designer } from './designer';
import { newGame } from './new-game';

const push = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ push }) }));
jest.mock('../actions', () => ({ saveGameAction: jest.fn() }));
const saved = jest.mocked(saveGameAction);

function show(initial = newGame('imperial')) {
  render(<Designer slug="here" gameId="00000000-0000-7000-8000-000000000001" initial={initial} units="imperial" isNew />);
  return userEvent.setup();
}
const type = async (user: ReturnType<typeof userEvent.setup>, label: string | RegExp, text: string) => {
  const field = screen.getByLabelText(label);
  await user.clear(field);
  if (text) await user.type(field, text);
};
const save = () => screen.getByRole('button', { name: 'Save the game' });
const sent = () => saved.mock.calls.at(-1)![2] as GameSpec;

beforeEach(() => {
  saved.mockReset().mockResolvedValue({ ok: true });
  push.mockReset();
});

test('a game is sent as it was typed, in metres', async () => {
  const user = show();
  await type(user, 'Title', 'Two spots');
  await type(user, /^Distance/, '14,5');
  await type(user, 'Balls', '4');
  await type(user, 'Goal, in points', '9');
  await user.click(save());
  expect(sent()).toMatchObject({ title: 'Two spots', goal: 9, stations: [{ distanceM: 13.2588, distanceUnit: 'yd', balls: 4 }] });
  expect(push).toHaveBeenCalledWith('/a/here/games/00000000-0000-7000-8000-000000000001');
});

test('what is wrong is said beside its field, what was typed stays, and nothing is sent', async () => {
  const user = show();
  await type(user, 'Balls', '500');
  const rings = screen.getAllByLabelText(/^From the hole/);
  await user.clear(rings[1]!);
  await user.type(rings[1]!, '1');
  const points = screen.getAllByLabelText('Points');
  await user.clear(points[3]!);
  await user.type(points[3]!, '-2');
  await type(user, /^Distance/, 'far');
  await user.click(save());

  const beside = (field: HTMLElement) => within(field.parentElement!);
  expect(beside(screen.getByLabelText('Title')).getByText('A game needs a title.')).toBeVisible();
  expect(beside(screen.getByLabelText('Balls')).getByText(/At most 60 balls/)).toBeVisible();
  expect(beside(rings[1]!).getByText('Ring 2 must be wider than ring 1.')).toBeVisible();
  expect(beside(points[3]!).getByText('Points are not negative.')).toBeVisible();
  expect(beside(screen.getByLabelText(/^Distance/)).getByText('Give the distance to the hole as a number.')).toBeVisible();
  expect(screen.getByLabelText('Balls')).toHaveValue('500');
  expect(screen.getByLabelText(/^Distance/)).toHaveValue('far');
  expect(saved).not.toHaveBeenCalled();
});

test('without a station it says so', async () => {
  const user = show();
  await type(user, 'Title', 'Nothing');
  await user.click(screen.getByRole('button', { name: 'Remove station 1' }));
  await user.click(save());
  expect(screen.getByText('A game needs at least one station.')).toBeVisible();
});

test('a putt goes to the green and is in feet; another unit keeps the figure', async () => {
  const user = show();
  await user.selectOptions(screen.getByLabelText('Shot'), 'putt');
  expect(screen.getByLabelText('From')).toHaveValue('green');
  expect(screen.getByLabelText(/^Distance/)).toHaveValue('10');
  expect(screen.getByLabelText('Unit')).toHaveValue('ft');
  await user.selectOptions(screen.getByLabelText('Unit'), 'm');
  expect(screen.getByLabelText(/^Distance/)).toHaveValue('10');
  await type(user, 'Title', 'Putts');
  await user.click(save());
  expect(sent().stations[0]).toMatchObject({ shotType: 'putt', surface: 'green', distanceM: 10, distanceUnit: 'm' });
});

test('stations are copied, moved and removed, each with a key of its own', async () => {
  const user = show();
  await type(user, 'Title', 'Three');
  await user.click(screen.getByRole('button', { name: 'Copy station 1' }));
  await user.click(screen.getByRole('button', { name: 'Add station' }));
  // The new station is open, in place of the others.
  await type(user, /^Distance/, '22');
  await user.click(screen.getByRole('button', { name: 'Station 3 earlier' }));
  await user.click(screen.getByRole('button', { name: /^1\. 10 yd chip/ }));
  await user.click(screen.getByRole('button', { name: 'Remove station 1' }));
  await user.click(save());
  expect(sent().stations.map((station) => station.key)).toEqual(['s3', 's2']);
  expect(sent().stations[0]!.distanceM).toBeCloseTo(20.1168, 6);
});

test('the target is drawn to scale while rings are typed', async () => {
  const user = show();
  const radii = () => [1, 2, 3].map((n) => Number(document.querySelector(`[data-ring="${n}"]`)?.getAttribute('r')));
  const [first, second, third] = radii();
  expect(second! / first!).toBeCloseTo(5 / 2, 6);
  expect(third! / first!).toBeCloseTo(9 / 2, 6);
  const rings = screen.getAllByLabelText(/^From the hole/);
  await user.clear(rings[2]!);
  await user.type(rings[2]!, '12');
  expect(radii()[2]! / radii()[0]!).toBeCloseTo(12 / 2, 6);
});

test('what the server refuses is shown beside its field; what can’t be sent at all is said too', async () => {
  const user = show();
  await type(user, 'Title', 'Two');
  saved.mockResolvedValueOnce({ ok: false, fields: { title: 'Another game has this title.' } });
  await user.click(save());
  expect(screen.getByText('Another game has this title.')).toBeVisible();
  await type(user, 'Title', 'Three');
  saved.mockRejectedValueOnce(new Error('offline'));
  await user.click(save());
  expect(screen.getByRole('alert')).toHaveTextContent('could not be sent');
  expect(screen.getByLabelText('Title')).toHaveValue('Three');
  expect(push).not.toHaveBeenCalled();
});
