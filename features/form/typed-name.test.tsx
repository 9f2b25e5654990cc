import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Refused } from './result';
import { TypedName } from './typed-name';

function show(act: (typed: string) => Promise<{ ok: true } | Refused>) {
  const [onDone, onBack] = [jest.fn(), jest.fn()];
  render(<TypedName id="t" name="Zélie" purpose="to erase them" button="Erase for good" act={act} onDone={onDone} onBack={onBack} />);
  return { onDone, onBack, user: userEvent.setup() };
}

test('what was typed is sent, and what is refused stands beside the field, which keeps it', async () => {
  const act = jest.fn(async (typed: string) =>
    typed === 'Zélie' ? { ok: true as const } : { ok: false as const, fields: { '': 'That’s not the name.' } },
  );
  const { onDone, user } = show(act);
  const field = screen.getByLabelText('Type Zélie to erase them');
  await user.type(field, 'Zoe');
  await user.click(screen.getByRole('button', { name: 'Erase for good' }));
  expect(field).toHaveAccessibleDescription('That’s not the name.');
  expect(field).toHaveValue('Zoe');
  expect(onDone).not.toHaveBeenCalled();
  await user.clear(field);
  await user.type(field, 'Zélie{Enter}');
  expect(onDone).toHaveBeenCalledTimes(1);
  expect(act).toHaveBeenLastCalledWith('Zélie');
});

test('without a network nothing is done, and it is said', async () => {
  const { onDone, onBack, user } = show(async () => Promise.reject(new Error('gone')));
  await user.click(screen.getByRole('button', { name: 'Erase for good' }));
  expect(screen.getByText(/No connection/)).toBeVisible();
  expect(onDone).not.toHaveBeenCalled();
  await user.click(screen.getByRole('button', { name: 'Keep' }));
  expect(onBack).toHaveBeenCalledTimes(1);
});
