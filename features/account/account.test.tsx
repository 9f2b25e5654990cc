import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { goTo } from '../form/go';
import { AcademyForm } from './academy-form';
import { makeAcademy } from './actions';
import { SignInForm } from './sign-in-form';
import { SignUpForm } from './sign-up-form';

jest.mock('../form/go', () => ({ goTo: jest.fn() }));
jest.mock('./actions', () => ({ makeAcademy: jest.fn() }));

/** What the sign-in service answers next, and what it was asked. */
function answer(status: number, body: object = {}) {
  const fetch = jest.fn(async (_url: string, _init: RequestInit) => ({ ok: status < 300, status, json: async () => body }) as Response);
  global.fetch = fetch as unknown as typeof global.fetch;
  return () => ({
    url: fetch.mock.calls.at(-1)?.[0],
    sent: JSON.parse(String(fetch.mock.calls.at(-1)?.[1].body)) as object,
    calls: fetch.mock.calls.length,
  });
}

async function fill(fields: Record<string, string>, button: string) {
  const user = userEvent.setup();
  for (const [label, text] of Object.entries(fields)) await user.type(screen.getByLabelText(label), text);
  await user.click(screen.getByRole('button', { name: button }));
}

beforeEach(() => jest.mocked(goTo).mockClear());

test('signing in leads to where one wanted to go', async () => {
  const asked = answer(200);
  render(<SignInForm passkeyHost={null} next="/play#1" />);
  await fill({ 'E-mail': 'a@b.example', Password: 'secret' }, 'Sign in');
  expect(asked()).toMatchObject({ url: '/api/auth/sign-in/email', sent: { email: 'a@b.example', password: 'secret' } });
  expect(goTo).toHaveBeenCalledWith('/play#1');
});

test.each([
  [401, { code: 'INVALID_EMAIL_OR_PASSWORD' }, 'Wrong e-mail or password.'],
  [429, { code: 'WAIT', message: 'Wait 8 seconds, then try again.' }, 'Wait 8 seconds, then try again.'],
  [403, {}, 'The program was started for another address'],
  [500, {}, 'Something went wrong on our side.'],
])('an answer of %d is said in words, and what was typed stays', async (status, body, said) => {
  answer(status, body);
  render(<SignInForm passkeyHost={null} next="/" />);
  await fill({ 'E-mail': 'a@b.example', Password: 'secret' }, 'Sign in');
  expect(screen.getByRole('alert')).toHaveTextContent(said);
  expect(screen.getByLabelText('E-mail')).toHaveValue('a@b.example');
  expect(goTo).not.toHaveBeenCalled();
});

test('a server that does not answer is said too', async () => {
  global.fetch = jest.fn(async () => {
    throw new TypeError('gone');
  }) as unknown as typeof global.fetch;
  render(<SignInForm passkeyHost={null} next="/" />);
  await fill({ 'E-mail': 'a@b.example', Password: 'secret' }, 'Sign in');
  expect(screen.getByRole('alert')).toHaveTextContent('The server didn’t answer.');
});

test('an account needs a name, an address and ten characters, and nothing is sent before', async () => {
  const asked = answer(200);
  render(<SignUpForm />);
  await fill({ 'E-mail': 'nobody', Password: 'short' }, 'Make the account');
  expect(screen.getByText('Enter your name.')).toBeVisible();
  expect(screen.getByText(/Enter an e-mail address/)).toBeVisible();
  expect(asked).toThrow();
});

test('a common password is refused beside its field; why an account was not made is not said', async () => {
  answer(400, { code: 'COMMON_PASSWORD', message: 'Choose another.' });
  const { unmount } = render(<SignUpForm />);
  await fill({ 'Your name': 'Ana', 'E-mail': 'a@b.example', Password: 'password123' }, 'Make the account');
  expect(screen.getByLabelText('Password')).toHaveAccessibleDescription('Choose another.');
  unmount();
  answer(400, { code: 'NOT_MADE', message: 'We couldn’t make this account. If you already have one, sign in instead.' });
  render(<SignUpForm />);
  await fill({ 'Your name': 'Ana', 'E-mail': 'a@b.example', Password: 'long enough' }, 'Make the account');
  expect(screen.getByRole('alert')).toHaveTextContent('We couldn’t make this account. If you already have one, sign in instead.');
});

test('a squad needs a name for its academy, somebody alone does not', async () => {
  jest.mocked(makeAcademy).mockResolvedValue({ ok: true, address: '/a/zip' });
  const user = userEvent.setup();
  render(<AcademyForm />);
  await user.click(screen.getByRole('button', { name: 'Begin' }));
  expect(screen.getByText('Give the academy a name.')).toBeVisible();
  await user.click(screen.getByLabelText('I practise alone'));
  await user.selectOptions(screen.getByLabelText('Lengths in'), 'metres');
  await user.click(screen.getByRole('button', { name: 'Begin' }));
  await waitFor(() => expect(goTo).toHaveBeenCalledWith('/a/zip'));
  expect(makeAcademy).toHaveBeenCalledWith({
    who: 'alone',
    name: '',
    units: 'metric',
    level: 18,
    handed: 'right',
    paceM: null,
    bag: 'usual',
    timeZone: expect.any(String),
  });
});
