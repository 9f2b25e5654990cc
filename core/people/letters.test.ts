import { changedLetter, confirmLetter, resetLetter } from './letters';

const to = { email: 'ana@club.example', name: 'Ana' };
const link = 'https://golf.example/confirm#abc';

test('each letter says who, what, and the link on a line of its own', () => {
  for (const letter of [confirmLetter(to, link), resetLetter(to, link)]) {
    expect(letter.to).toBe('ana@club.example');
    expect(letter.text.split('\n')).toContain(link);
    expect(letter.text).toMatch(/^Hello Ana,\n\n/);
    expect(letter.text).toMatch(/It works once, for (24 hours|an hour)\./);
  }
});

test('a changed way in is told, with what to do about it', () => {
  expect(changedLetter(to, 'password', 'https://golf.example/account')).toEqual({
    to: 'ana@club.example',
    subject: 'Your password was changed',
    text: 'Hello Ana,\n\nYour password was changed.\n\nIf that wasn’t you, choose a new password now, and end the sign-ins you don’t know: https://golf.example/account\n',
  });
});
