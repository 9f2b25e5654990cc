/** @jest-environment node */
import { createHash } from 'node:crypto';
import { invite } from './invite';

const done: string[] = [];
let mockUser: { name: string; emailVerified: boolean } | null;
let mockSends: boolean;
jest.mock('../actor', () => ({ signedIn: async () => mockUser }));
jest.mock('../log', () => ({ log: { error: () => undefined } }));
jest.mock('../public-url', () => ({ publicUrl: () => 'https://golf.example' }));
jest.mock('./post', () => ({
  sendMail: async ({ text }: { text: string }) => {
    if (!mockSends) throw new Error('no mail server');
    mockSent(text);
  },
}));
const mockSent = (text: string) => void done.push(text);

beforeEach(() => {
  done.length = 0;
  mockUser = { name: 'Ines', emailVerified: true };
  mockSends = true;
});

/** Asks somebody, in an academy that may send so many more; what is done is noted in its order. */
function ask({ left = 1, kept = 'Hollow' as string | null } = {}) {
  let hash = '';
  let id = '';
  const came = invite('a', async (key, n) => key === 'a' && (left -= n) >= 0, {
    keep: async ({ invitationId, tokenHash, expiresAt }) => {
      [id, hash] = [invitationId, tokenHash.toString('hex')];
      done.push(`kept for ${Math.round((expiresAt.getTime() - Date.now()) / 86_400_000)} days`);
      return kept;
    },
    mail: (academy, by, link) => ({ to: 'teal@club.example', subject: '', text: `${by} of ${academy}: ${link}` }),
    drop: async (invitationId) => void done.push(`dropped ${invitationId === id}`),
  });
  return came.then((said) => ({ said, hash }));
}

test('an invitation is kept, for a week and by its hash, before it goes out', async () => {
  const { said, hash } = await ask();
  const token = /#(.+)$/.exec(done[1]!)![1]!;
  expect([said, done]).toEqual(['sent', ['kept for 7 days', `Ines of Hollow: https://golf.example/join#${token}`]]);
  expect(hash).toBe(createHash('sha256').update(token).digest('hex'));
});

test('one whose e-mail can’t be sent is kept no longer', async () => {
  mockSends = false;
  const { said } = await ask();
  expect([said, done]).toEqual([
    expect.stringContaining('couldn’t be sent, so the invitation was cancelled'),
    ['kept for 7 days', 'dropped true'],
  ]);
});

test('nothing is kept or sent by whoever has not confirmed their address, or for an academy that sent enough today', async () => {
  expect((await ask({ left: 0 })).said).toContain('enough invitations for one day');
  mockUser = { name: 'Ines', emailVerified: false };
  expect((await ask()).said).toContain('Confirm your own e-mail address first');
  mockUser = null;
  expect((await ask()).said).toContain('Confirm your own e-mail address first');
  expect(done).toEqual([]);
});

test('where nobody is to be asked nothing goes out', async () => {
  expect([(await ask({ kept: null })).said, done]).toEqual(['nobody', ['kept for 7 days']]);
});
