import { newPlayer } from '@/core/people/player';
import { idOf } from '@/core/testing/make';
import { eq } from 'drizzle-orm';
import type { Actor, Member } from '../actor';
import { authMember, authUser, groupPlayer } from '../schema';
import { academies } from '../testing/academy';
import { homeOf, memberIn } from './academies';
import { erasePlayer } from './erase';
import { listGroups, removeGroup, saveGroup } from './groups';
import { invitationByToken, keepInvitation, listInvitations, revokeInvitation, takeInvitation } from './invitations';
import { handOver, leaveAcademy, listMembers, removeMember, saveRole } from './members';
import { archivePlayer, savePlayer } from './players';
import { startSession } from './sessions';
import { holderOfToken, keepToken } from './tokens';

const { db, pool, academy } = academies('groups', 34_000);
afterAll(() => pool.end());

const NOW = new Date('2026-05-01T18:00:00Z');
const LATER = new Date('2026-05-08T18:00:00Z');
const hash = (text: string) => Buffer.from(text.padEnd(32, '.'));

/** An academy with somebody else who has an account. */
async function withHelper(role?: 'coach' | 'assistant') {
  const at = await academy();
  const id = (n: number) => idOf(at.n * 100_000 + n);
  const helper = { id: `groups-helper-${at.n}`, email: `helper-${at.n}@test.example` };
  await db.insert(authUser).values({ ...helper, name: 'Tamsin' });
  if (role) await db.insert(authMember).values({ id: `groups-helps-${at.n}`, organizationId: at.actor.academyId, userId: helper.id, role });
  const mateId = id(90);
  await savePlayer(db, at.actor, mateId, newPlayer('Wren', 'imperial'));
  const me = async () => (await memberIn(db, helper.id, `groups-${at.n}`))?.actor;
  return { ...at, id, helper, mateId, me };
}

test('a group has players and who looks after it; what the academy does not have is passed over', async () => {
  const [at, other] = [await withHelper('assistant'), await academy()];
  const groupId = at.id(91);
  const form = { name: 'Tuesday juniors', playerIds: [at.playerId, other.playerId], userIds: [at.helper.id, other.actor.userId] };
  await saveGroup(db, at.actor, groupId, form);
  expect(await listGroups(db, at.actor)).toEqual([{ groupId, name: 'Tuesday juniors', playerIds: [at.playerId], userIds: [at.helper.id] }]);
  expect(await listGroups(db, other.actor)).toEqual([]);
  expect(await at.me()).toMatchObject({ kind: 'assistant', players: [at.playerId] });
  // Whoever was put away is not shown, and is back in it with them.
  await archivePlayer(db, at.actor, at.playerId, true);
  await saveGroup(db, at.actor, groupId, { ...form, playerIds: [at.mateId] });
  expect((await listGroups(db, at.actor))[0]!.playerIds).toEqual([at.mateId]);
  await archivePlayer(db, at.actor, at.playerId, false);
  expect((await listGroups(db, at.actor))[0]!.playerIds).toEqual([at.playerId, at.mateId]);
  await erasePlayer(db, at.actor, at.playerId);
  expect(await at.me()).toMatchObject({ players: [at.mateId] });
  await removeGroup(db, other.actor, groupId);
  expect(await listGroups(db, at.actor)).toHaveLength(1);
  await removeGroup(db, at.actor, groupId);
  expect([await listGroups(db, at.actor), await db.select().from(groupPlayer).where(eq(groupPlayer.groupId, groupId))]).toEqual([[], []]);
});

test('an assistant sees their own groups only, and guests whom they add', async () => {
  const at = await withHelper('assistant');
  await saveGroup(db, at.actor, at.id(91), { name: 'Juniors', playerIds: [at.playerId], userIds: [at.helper.id] });
  await saveGroup(db, at.actor, at.id(92), { name: 'Adults', playerIds: [at.mateId], userIds: [] });
  const me = (await at.me())!;
  expect((await listGroups(db, me)).map(({ name }) => name)).toEqual(['Juniors']);
  await startSession(db, me, at.id(93), at.gameId, [{ playerId: at.id(94), allowance: 0, guest: 'Visitor' }]);
  expect(await at.me()).toMatchObject({ players: expect.arrayContaining([at.playerId, at.id(94)]) as unknown });
});

test('whoever works here is listed, changed, removed and handed the academy; never the owner by somebody else', async () => {
  const at = await withHelper('coach');
  const names = async () => (await listMembers(db, at.actor)).map(({ name, role }) => `${name} ${role}`);
  expect(await names()).toEqual(['Coach owner', 'Tamsin coach']);
  await saveRole(db, at.actor, at.helper.id, 'assistant');
  await saveRole(db, at.actor, at.actor.userId, 'assistant');
  expect(await names()).toEqual(['Coach owner', 'Tamsin assistant']);
  // An assistant is handed nothing.
  expect(await handOver(db, at.actor, at.helper.id)).toBe(false);
  await saveRole(db, at.actor, at.helper.id, 'coach');
  const coach: Actor = { kind: 'coach', academyId: at.actor.academyId, userId: at.helper.id };
  expect(await handOver(db, coach, at.helper.id)).toBe(false);
  expect(await handOver(db, at.actor, at.helper.id)).toBe(true);
  expect(await names()).toEqual(['Coach coach', 'Tamsin owner']);
  // Whoever was the owner is so no more, whatever an older page believes.
  expect(await handOver(db, at.actor, at.actor.userId)).toBe(false);
  expect(await leaveAcademy(db, { ...coach, kind: 'owner' })).toBe(false);
  expect(await leaveAcademy(db, { ...at.actor, kind: 'coach' } as Member)).toBe(true);
  expect([await names(), await homeOf(db, at.actor.userId)]).toEqual([['Tamsin owner'], null]);
});

test('whoever is removed has no groups and no keys any more, and comes back with none', async () => {
  const [at, other] = [await withHelper('coach'), await academy()];
  await saveGroup(db, at.actor, at.id(91), { name: 'Juniors', playerIds: [at.playerId], userIds: [at.helper.id] });
  const theirs: Actor = { kind: 'coach', academyId: at.actor.academyId, userId: at.helper.id };
  const key = { tokenId: at.id(95), name: 'website', scopes: ['read' as const], tokenHash: hash(`k${at.n}`), expiresAt: null };
  await keepToken(db, theirs, key);
  const holder = () => holderOfToken(db, at.actor.academyId, key.tokenHash, NOW);
  expect(await holder()).not.toBeNull();
  expect(await removeMember(db, other.actor, at.helper.id)).toBe(false);
  expect(await removeMember(db, at.actor, at.actor.userId)).toBe(false);
  expect(await removeMember(db, at.actor, at.helper.id)).toBe(true);
  expect([await holder(), await at.me(), (await listGroups(db, at.actor))[0]!.userIds]).toEqual([null, undefined, []]);
  await db.insert(authMember).values({ id: `again-${at.n}`, organizationId: at.actor.academyId, userId: at.helper.id, role: 'assistant' });
  expect([await holder(), await at.me()]).toMatchObject([null, { players: [] }]);
});

test('an invitation is taken once, by the address to which it went, while it holds', async () => {
  const [at, other] = [await withHelper(), await academy()];
  const { academyId } = at.actor;
  await saveGroup(db, at.actor, at.id(91), { name: 'Juniors', playerIds: [at.playerId], userIds: [] });
  const groupIds = [at.id(91), at.id(92)];
  const asked = (n: number, email: string) =>
    keepInvitation(db, at.actor, {
      ...{ invitationId: at.id(n), email, role: 'assistant', groupIds, tokenHash: hash(`i${at.n}-${n}`), expiresAt: LATER },
    });
  // Whoever works here is not asked again.
  expect(await asked(80, `groups-${at.n}@test.example`)).toBe(false);
  expect(await asked(81, at.helper.email)).toBe(true);
  expect(await asked(82, at.helper.email)).toBe(true);
  expect((await listInvitations(db, at.actor, NOW)).map(({ invitationId }) => invitationId)).toEqual([at.id(82)]);
  expect([await listInvitations(db, at.actor, LATER), await listInvitations(db, other.actor, NOW)]).toEqual([[], []]);
  const read = (n: number, now = NOW, where = academyId) => invitationByToken(db, where, hash(`i${at.n}-${n}`), now);
  expect([await read(81), await read(82, LATER), await read(82, NOW, other.actor.academyId)]).toEqual([null, null, null]);
  expect(await read(82)).toEqual({ academy: `Academy ${at.n}`, by: 'Coach', email: at.helper.email, role: 'assistant', player: null });

  const take = (user = at.helper, now = NOW) => takeInvitation(db, academyId, hash(`i${at.n}-82`), user, now);
  expect([await take({ id: other.actor.userId, email: 'other@test.example' }), await take(at.helper, LATER)]).toEqual([null, null]);
  expect(await take()).toEqual({ slug: `groups-${at.n}`, role: 'assistant' });
  expect(await take()).toBeNull();
  expect(await at.me()).toMatchObject({ kind: 'assistant', players: [at.playerId] });

  await asked(83, 'late@test.example');
  await revokeInvitation(db, other.actor, at.id(83));
  expect(await read(83)).not.toBeNull();
  await revokeInvitation(db, at.actor, at.id(83));
  expect(await read(83)).toBeNull();
});
