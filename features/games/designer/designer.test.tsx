import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { GameSpec } from '@/core/game/spec';
import { saveGameAction } from '../actions';
import { silentWorker } from '../../forecast/worker-in-test';
import { Designer } from './designer';
import { newGame } from './new-game';

// The whole designer in jsdom, on a busy machine.
jest.setTimeout(60_000);

const push = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ push }) }));
jest.mock('../actions', () => ({ saveGameAction: jest.fn() }));
jest.mock('../../forecast/start-worker', () => ({ startForecastWorker: () => silentWorker() }));
const saved = jest.mocked(saveGameAction);

function show(initial = newGame('imperial')) {
  render(<Designer slug="here" gameId="00000000-0000-7000-8000-000000000001" initial={initial} units="imperial" savedAt={null} />);
  return userEvent.setup({ delay: null });
}
const type = async (user: ReturnType<typeof userEvent.setup>, label: string | RegExp, text: string) => {
  const field = screen.getByLabelText(label);
  await user.clear(field);
  if (text) await user.paste(text);
};
const save = () => screen.getByText('Save the game');
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
  expect(beside(points[3]!).getByText('Points can’t be negative.')).toBeVisible();
  expect(beside(screen.getByLabelText(/^Distance/)).getByText('Enter the distance to the hole as a number.')).toBeVisible();
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
  await user.click(screen.getByRole('button', { name: 'Undo' }));
  expect(screen.getByRole('button', { name: /^1\. 10 yd chip/ })).toBeVisible();
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
  expect(screen.getByRole('alert')).toHaveTextContent('No connection');
  expect(screen.getByLabelText('Title')).toHaveValue('Three');
  expect(push).not.toHaveBeenCalled();
});

describe('another way of scoring', () => {
  const choose = async (user: ReturnType<typeof userEvent.setup>, label: string) => user.click(screen.getByRole('radio', { name: label }));

  test('each shows what it needs, and a fresh one of each can be saved at once', async () => {
    const user = show();
    await type(user, 'Title', 'Any');
    for (const [label, field] of [
      ['total left', /^Not measured/],
      ['hits', /^A hit is inside/],
      ['landing zone', /^Lands at/],
      ['hole out', 'Par'],
      ['nearest wins', 'First to, points'],
      ['shot matrix', /6 different shots|9 different shots/],
      ['club trial', 'Club 1'],
      ['streak', /^The run goes on inside/],
      ['ring points', /^From the hole/],
    ] as const) {
      await choose(user, label);
      expect([...screen.queryAllByLabelText(field), ...screen.queryAllByText(field)].length).toBeGreaterThan(0);
      await user.click(save());
      const spec = sent();
      expect([label, spec.scoring.scheme.replaceAll('_', ' ')]).toEqual([label, label]);
    }
  });

  test('a ladder needs rungs, and says so beside the stations; its rungs have one ball', async () => {
    const user = show();
    await type(user, 'Title', 'Rungs');
    await choose(user, 'ladder');
    expect(screen.queryByLabelText('Balls')).toBeNull();
    await user.click(save());
    expect(screen.getByText('A ladder needs at least two rungs.')).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'Add station' }));
    await user.click(save());
    expect(sent().stations.map((station) => station.balls)).toEqual([1, 1]);
  });

  test('only the rules that it can have are offered', async () => {
    const user = show();
    expect(screen.getByLabelText('Off the green costs')).toBeVisible();
    expect(screen.queryByLabelText('The other side costs')).toBeNull();
    await user.selectOptions(screen.getByLabelText('Counts on'), 'long');
    expect(screen.getByLabelText('The other side costs')).toBeVisible();
    await choose(user, 'shot matrix');
    for (const label of ['Off the green costs', 'Counts on', 'Head starts may be given', 'Zones grow with the level'])
      expect(screen.queryByLabelText(label)).toBeNull();
    await choose(user, 'ladder');
    expect(screen.queryByLabelText('Order')).toBeNull();
  });

  test('a combination that makes no sense is refused beside its field', async () => {
    const user = show();
    await type(user, 'Title', 'Perfect');
    await user.click(screen.getByLabelText('A perfect first round ends the game'));
    await user.click(save());
    expect(screen.getByText('A round is one ball at every station. Choose the order out and back.')).toBeVisible();
    await user.selectOptions(screen.getByLabelText('Order'), 'serial');
    await user.click(save());
    expect(sent()).toMatchObject({ order: 'serial', rules: { endOnPerfectRound: true } });
  });

  test('another unit keeps the size of a zone, to a round figure; a stick of one’s own length keeps the figure', async () => {
    const user = show();
    await type(user, 'Title', 'Sticks');
    await choose(user, 'hits');
    await type(user, /^A hit is inside/, '2');
    await user.selectOptions(screen.getByLabelText('Zones in'), 'club');
    expect(screen.getByLabelText(/^A hit is inside/)).toHaveValue('0.75');
    await type(user, /^A hit is inside/, '2');
    await type(user, /^Its length/, '40');
    await user.click(save());
    expect(sent()).toMatchObject({ sizes: { unit: 'club', of: 'fixed', fixedM: 1.016 }, scoring: { radiusM: 2.032 } });
  });

  test('what a player is asked, and the goal in words, follow the design', async () => {
    const user = show();
    const asked = () => screen.getByLabelText('What a player is asked');
    expect(within(asked()).getByText('Holed')).toBeVisible();
    await choose(user, 'hole out');
    expect(await within(asked()).findByText('6 or up')).toBeVisible();
    await type(user, 'Goal, in strokes', '15');
    expect(await screen.findByText('15 over six balls: three in two, three in three.')).toBeVisible();
    await user.click(screen.getByRole('radio', { name: 'nearest wins' }));
    await type(user, 'A kept call earns', '1');
    expect(await within(asked()).findByText('Was the call kept?')).toBeVisible();
  });

  test('the first station with something wrong is opened', async () => {
    const user = show();
    await type(user, 'Title', 'Two');
    await type(user, 'Balls', '0');
    await user.click(screen.getByRole('button', { name: 'Add station' }));
    await type(user, 'Balls', '5');
    await user.click(save());
    expect(screen.getByLabelText('Balls')).toHaveValue('0');
    expect(screen.getByText('At least one ball.')).toBeVisible();
  });
});
