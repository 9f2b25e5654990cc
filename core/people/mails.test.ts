import { changedMail, confirmMail, erasureMail, resetMail } from './mails';

const to = { email: 'ana@club.example', name: 'Ana' };
const link = 'https://golf.example/confirm#abc';

test('each mail says who, what, and the link on a line of its own', () => {
  for (const mail of [confirmMail(to, link), resetMail(to, link)]) {
    expect(mail.to).toBe('ana@club.example');
    expect(mail.text.split('\n')).toContain(link);
    expect(mail.text).toMatch(/^Hello Ana,\n\n/);
    expect(mail.text).toMatch(/It works once, for (24 hours|an hour)\./);
  }
});

test('a changed way in is told, with what to do about it', () => {
  expect(changedMail(to, 'password', 'https://golf.example/account')).toEqual({
    to: 'ana@club.example',
    subject: 'Your password was changed',
    text: 'Hello Ana,\n\nYour password was changed.\n\nIf that wasn’t you, choose a new password now, and end the sign-ins you don’t know: https://golf.example/account\n',
  });
});

test('the owner is told that somebody asked to erase a player, and where to answer', () => {
  expect(erasureMail(to, { player: 'Zélie', academy: 'Lantern Hollow' }, 'https://golf.example/a/x/players/1/family')).toEqual({
    to: 'ana@club.example',
    subject: 'Somebody asked to erase Zélie',
    text: `Hello Ana,

The player or a guardian asked Lantern Hollow to erase everything about Zélie. Nothing is erased until a coach does it.

Read the request and answer it here:

https://golf.example/a/x/players/1/family
`,
  });
});
