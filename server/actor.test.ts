/** @jest-environment node */
import type { MemberRole } from '@/db/actor';
import { startAddress } from '@/core/exchange/play-address';
import { requireCoach, requireDesk, requireOwner } from './actor';

const gone = new Error('not found');
jest.mock('next/headers', () => ({ headers: async () => new Headers() }));
jest.mock('next/navigation', () => ({
  notFound: () => {
    throw gone;
  },
  redirect: (where: string) => {
    throw new Error(where);
  },
}));
jest.mock('./auth', () => ({ auth: () => ({ api: { getSession: async () => ({ user: mockUser }) } }) }));
jest.mock('./db', () => ({ database: () => 'the database' }));
jest.mock('./live', () => ({ announce: () => undefined, doorsEnded: () => undefined }));
jest.mock('@/db/queries/academies', () => ({
  memberIn: async (_db: unknown, userId: string, slug: string) =>
    mockRole && slug === 'here'
      ? {
          actor: { kind: mockRole, academyId: 'a', userId, ...(mockRole === 'assistant' ? { players: ['p'] } : {}) },
          academy: { academyId: 'a', slug },
        }
      : null,
}));
let mockUser: { id: string; name: string } | null;
let mockRole: MemberRole | null;

beforeEach(() => {
  mockUser = { id: 'u', name: 'Ines' };
  mockRole = 'owner';
});

test('without a sign-in one is sent to it, and comes back', async () => {
  mockUser = null;
  await expect(requireCoach('here')).rejects.toThrow('/sign-in?next=%2Fa%2Fhere');
});

test.each([
  [null, false, false],
  ['coach', true, false],
  ['owner', true, true],
] as const)('%s: at a coach’s desk %s, at the owner’s %s', async (role, coach, owner) => {
  mockRole = role;
  const gets = (ask: Promise<unknown>) =>
    ask.then(
      () => true,
      (error) => (expect(error).toBe(gone), false),
    );
  expect([await gets(requireCoach('here')), await gets(requireOwner('here')), await gets(requireCoach('there'))]).toEqual([
    coach,
    owner,
    false,
  ]);
});

test('an assistant is sent to the green, and decides nothing for the owner', async () => {
  mockRole = 'assistant';
  await expect(requireCoach('here')).rejects.toThrow(startAddress('here'));
  await expect(requireOwner('here')).rejects.toBe(gone);
  await expect(requireDesk('there')).rejects.toBe(gone);
  const { coach, sees, data } = await requireDesk('here');
  expect([coach, sees, 'getPlayer' in data, 'savePlayer' in data]).toEqual([null, ['p'], true, false]);
});

test('what is shared of the desk holds a coach’s whole desk too', async () => {
  const { coach, sees } = await requireDesk('here');
  expect([coach?.role, sees]).toEqual(['owner', null]);
});
