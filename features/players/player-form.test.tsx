import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { newPlayer, type PlayerForm as PlayerFields } from '@/core/people/player';
import { savePlayerAction } from './actions';
import { PlayerForm } from './player-form';

const push = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ push }) }));
jest.mock('./actions', () => ({ savePlayerAction: jest.fn(async () => ({ ok: true })) }));
const sent = () => jest.mocked(savePlayerAction).mock.calls.at(-1)![2] as PlayerFields;

function show(initial = newPlayer('', 'imperial')) {
  jest.mocked(savePlayerAction).mockClear();
  render(<PlayerForm slug="here" playerId="00000000-0000-7000-8000-000000000001" initial={initial} savedAt={null} />);
  return userEvent.setup();
}
const beside = (label: string | RegExp) => within(screen.getByLabelText(label).parentElement!);

test('a nickname and a level are enough', async () => {
  const user = show();
  await user.type(screen.getByLabelText('Name or nickname'), 'Zip');
  await user.clear(screen.getByLabelText('Level'));
  await user.type(screen.getByLabelText('Level'), '12,5');
  await user.selectOptions(screen.getByLabelText('Plays'), 'left-handed');
  await user.click(screen.getByRole('button', { name: 'Add the player' }));
  expect(sent()).toMatchObject({ name: 'Zip', level: 12.5, handed: 'left', paceM: null, clubs: [] });
  expect(push).toHaveBeenCalledWith('/a/here/players/00000000-0000-7000-8000-000000000001');
});

test('own lengths are typed in inches or metres and kept in metres', async () => {
  const user = show(newPlayer('Zip', 'imperial'));
  await user.type(screen.getByLabelText(/^One pace/), '30');
  await user.selectOptions(screen.getByLabelText('Units'), 'metres');
  expect(screen.getByLabelText(/^One pace/)).toHaveValue('0.762');
  await user.type(screen.getByLabelText(/^Club length/), '0.9');
  await user.click(screen.getByRole('button', { name: 'Add the player' }));
  expect(sent()).toMatchObject({ paceM: 0.762, clubM: 0.9, putterM: null, units: 'metric' });
});

test('what is wrong is said beside its field and nothing is sent', async () => {
  const user = show();
  await user.clear(screen.getByLabelText('Level'));
  await user.type(screen.getByLabelText('Level'), 'good');
  await user.type(screen.getByLabelText(/^One pace/), '300');
  await user.click(screen.getByRole('button', { name: 'Add club' }));
  await user.click(screen.getByRole('button', { name: 'Add the player' }));
  expect(beside('Name or nickname').getByText('Enter a name or a nickname.')).toBeVisible();
  expect(beside('Level').getByText('Enter a level such as 18, or +2 for better than scratch.')).toBeVisible();
  expect(beside(/^One pace/).getByText(/A pace is 12 to 60 in/)).toBeVisible();
  expect(beside('Club').getByText('Name the club.')).toBeVisible();
  expect(screen.getByLabelText('Level')).toHaveValue('good');
  expect(savePlayerAction).not.toHaveBeenCalled();
});

test('clubs are added and taken out', async () => {
  const user = show(newPlayer('Zip', 'imperial'));
  for (const [i, label] of ['lob', 'gap'].entries()) {
    await user.click(screen.getByRole('button', { name: 'Add club' }));
    await user.type(screen.getAllByLabelText('Club')[i]!, label);
    await user.type(screen.getAllByLabelText(/^Loft/)[i]!, String(60 - 9 * i));
  }
  await user.click(screen.getByRole('button', { name: 'Remove club 1' }));
  await user.click(screen.getByRole('button', { name: 'Add the player' }));
  expect(sent().clubs).toEqual([{ clubId: expect.any(String), label: 'gap', loftDeg: 51 }]);
});

test('a standard set is one press, and a loft may stay unknown', async () => {
  const user = show(newPlayer('Zip', 'imperial'));
  await user.click(screen.getByRole('button', { name: 'Add a standard set' }));
  expect(screen.queryByRole('button', { name: 'Add a standard set' })).toBeNull();
  await user.clear(screen.getAllByLabelText(/^Loft/)[1]!);
  await user.click(screen.getByRole('button', { name: 'Add the player' }));
  expect(sent().clubs.map(({ label, loftDeg }) => [label, loftDeg])).toEqual([
    ['7 iron', 34],
    ['8 iron', null],
    ['9 iron', 42],
    ['PW', 46],
    ['50°', 50],
    ['54°', 54],
    ['58°', 58],
    ['putter', 3],
  ]);
});

test('nothing is red before somebody wants to save', async () => {
  const user = show();
  await user.click(screen.getByLabelText('Name or nickname'));
  await user.click(screen.getByLabelText('Level'));
  expect(screen.queryByText('Enter a name or a nickname.')).toBeNull();
});

test('a level better than scratch stands with its plus, and stays what it is when something else is changed', async () => {
  const user = show({ ...newPlayer('Kofi', 'imperial'), level: -3 });
  expect(screen.getByLabelText('Level')).toHaveValue('+3');
  await user.type(screen.getByLabelText('Name or nickname'), ' B');
  await user.click(screen.getByRole('button', { name: 'Add the player' }));
  expect(sent()).toMatchObject({ name: 'Kofi B', level: -3 });
  await user.clear(screen.getByLabelText('Level'));
  await user.type(screen.getByLabelText('Level'), '+1,5');
  await user.click(screen.getByRole('button', { name: 'Add the player' }));
  expect(sent().level).toBe(-1.5);
});
