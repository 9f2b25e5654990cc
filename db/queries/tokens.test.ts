import { eq } from 'drizzle-orm';
import { authMember } from '../schema';
import { academies } from '../testing/academy';
import { idOf } from '@/core/testing/make';
import { holderOfToken, keepToken, listTokens, revokeToken } from './tokens';

const { db, pool, academy } = academies('tokens', 33_000);
afterAll(() => pool.end());

const NOW = new Date('2026-05-01T18:00:00Z');
const LATER = new Date('2026-05-31T18:00:00Z');
const hash = (text: string) => Buffer.from(text.padEnd(32, '.'));

/** An academy with a key that ends. */
async function keyed() {
  const at = await academy();
  const tokenId = idOf(at.n * 100_000 + 50);
  const tokenHash = hash(`key-${at.n}`);
  await keepToken(db, at.actor, { tokenId, name: 'website', scopes: ['read'], tokenHash, expiresAt: LATER });
  const holder = (now = NOW, academyId = at.actor.academyId) => holderOfToken(db, academyId, tokenHash, now);
  return { ...at, tokenId, holder };
}

test('a key opens its own academy for whoever made it, until it ends; that it was used is seen', async () => {
  const [at, other] = [await keyed(), await academy()];
  expect(await at.holder()).toMatchObject({ actor: at.actor, academy: { academyId: at.actor.academyId }, scopes: ['read'] });
  expect(await at.holder(NOW, other.actor.academyId)).toBeNull();
  expect(await at.holder(LATER)).toBeNull();
  expect(await holderOfToken(db, at.actor.academyId, hash('another'), NOW)).toBeNull();
  expect(await listTokens(db, at.actor, NOW)).toMatchObject([{ name: 'website', by: 'Coach', lastUsedAt: NOW, expiresAt: LATER }]);
  expect([await listTokens(db, at.actor, LATER), await listTokens(db, other.actor, NOW)]).toEqual([[], []]);
});

test('it is revoked by its own academy, at once', async () => {
  const [at, other] = [await keyed(), await academy()];
  await revokeToken(db, other.actor, at.tokenId);
  expect(await at.holder()).not.toBeNull();
  await revokeToken(db, at.actor, at.tokenId);
  expect(await at.holder()).toBeNull();
});

test('it may do what whoever made it may do there now, and nothing once they work there no more', async () => {
  const at = await keyed();
  const member = eq(authMember.userId, at.actor.userId);
  await db.update(authMember).set({ role: 'coach' }).where(member);
  expect((await at.holder())?.actor.kind).toBe('coach');
  await db.delete(authMember).where(member);
  expect(await at.holder()).toBeNull();
});

test('one without an end holds on, and a player by a link makes none', async () => {
  const at = await academy();
  const key = { name: 'script', scopes: ['write' as const], expiresAt: null };
  await keepToken(db, at.actor, { ...key, tokenId: idOf(at.n * 100_000 + 51), tokenHash: hash(`open-${at.n}`) });
  expect(await holderOfToken(db, at.actor.academyId, hash(`open-${at.n}`), new Date('2046-01-01T00:00:00Z'))).not.toBeNull();
  const link = { kind: 'player', academyId: at.actor.academyId, playerId: at.playerId, linkId: idOf(1) } as const;
  await keepToken(db, link, { ...key, tokenId: idOf(at.n * 100_000 + 52), tokenHash: hash(`link-${at.n}`) });
  expect(await holderOfToken(db, at.actor.academyId, hash(`link-${at.n}`), NOW)).toBeNull();
});
