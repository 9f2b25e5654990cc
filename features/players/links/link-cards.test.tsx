import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { makeLinksAction } from './actions';
import { LinkCards } from './link-cards';

jest.mock('./actions', () => ({ makeLinksAction: jest.fn() }));

const squad = (size: number) => Array.from({ length: size }, (_, n) => ({ id: `p${n + 1}`, name: `Player ${n + 1}` }));
const show = (size: number) =>
  render(
    <LinkCards
      slug="here"
      academy="Here"
      players={squad(size)}
      groups={[{ groupId: 'g', name: 'Tuesday', playerIds: ['p2', 'p59'] }]}
      dead={null}
    />,
  );
const made = () => screen.getByRole('button', { name: /^Make / });

test('a squad gets a card each, unless somebody is left out', async () => {
  show(3);
  expect(made()).toHaveTextContent('Make 3 cards');
  await userEvent.click(screen.getByRole('checkbox', { name: 'Player 2' }));
  expect(made()).toHaveTextContent('Make 2 cards');
  await userEvent.click(screen.getByRole('button', { name: 'Clear all' }));
  expect(made()).toBeDisabled();
});

test('of many players somebody says for whom: by name, or a group', async () => {
  jest.mocked(makeLinksAction).mockRejectedValue(new TypeError('no network'));
  show(60);
  expect(made()).toBeDisabled();
  expect(screen.getAllByRole('checkbox')).toHaveLength(50);
  await userEvent.click(screen.getByRole('button', { name: 'Show all 60' }));
  expect(screen.getAllByRole('checkbox')).toHaveLength(60);
  await userEvent.selectOptions(screen.getByLabelText('Group'), 'Tuesday');
  await userEvent.click(screen.getByRole('button', { name: 'Choose 2 players' }));
  await userEvent.selectOptions(screen.getByLabelText('Group'), 'all groups');
  await userEvent.type(screen.getByLabelText('Find a player'), 'player 59');
  await userEvent.click(screen.getByRole('checkbox', { name: 'Player 59' }));
  expect(made()).toHaveTextContent('Make 1 card');
  await userEvent.type(screen.getByLabelText('Find a player'), '0');
  await userEvent.click(screen.getByRole('button', { name: 'Show all 60 players' }));
  await userEvent.click(made());
  expect(makeLinksAction).toHaveBeenCalledWith('here', ['p2'], 30);
  // Without a network nothing that was chosen is lost.
  expect(await screen.findByRole('alert')).toHaveTextContent('No links made');
  expect(made()).toHaveTextContent('Make 1 card');
});
