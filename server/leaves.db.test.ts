/** @jest-environment node */
import { askOn } from './testing/on-database';
import { asc, eq, sql } from 'drizzle-orm';
import type { Actor, Role } from '@/db/actor';
import { activity } from '@/db/schema';
import { academies } from '@/db/testing/academy';
import { LEAVES } from './activity';
import { dataOf } from './data';
import { QUERIES, type QueryName } from './queries';
import { MAY } from './rights';
import { ASKED, twoGroups as makeTwoGroups, type At } from './testing/ask-everything';

/*
 * What is kept of who did what: every query is asked, and those that change something leave a line, or are said to keep it themselves; those that
 * are said to read run where nothing can be written.
 */
const { db, pool, academy } = academies('leaves', 36_000);
askOn(db);
afterAll(() => pool.end());

jest.setTimeout(240_000);
const twoGroups = () => makeTwoGroups({ db, academy });
const NAMES = Object.keys(LEAVES) as QueryName[];
const reads = (name: QueryName) => LEAVES[name] === 'reads' || (typeof LEAVES[name] === 'object' && 'looks' in LEAVES[name]);
type Query = (database: unknown, actor: Actor, ...asked: unknown[]) => Promise<unknown>;

/** Whether the database refused to write, at the bottom of what was thrown. */
function refused(error: unknown): boolean {
  for (let at = error as { code?: string; cause?: unknown } | undefined; at; at = at.cause as typeof at)
    if (at.code === '25006') return true;
  return false;
}

/** These have connections of their own, and copy. */
const BY_THEMSELVES: readonly QueryName[] = ['readTables', 'readPlayerTables', 'keepTables', 'stageRows', 'keepRows'];

test('what is said to read changes nothing, and what is said to change something does', async () => {
  const at = await twoGroups();
  for (const name of NAMES.filter((one) => !BY_THEMSELVES.includes(one))) {
    const outcome = await db
      .transaction(async (tx) => {
        await tx.execute(sql`set transaction read only`);
        await (QUERIES[name] as Query)(tx, at.actor, ...ASKED[name](at));
        return 'read';
      })
      .catch((error: unknown) => (refused(error) ? 'wrote' : `failed: ${String(error)}`));
    expect([name, outcome]).toEqual([name, reads(name) ? 'read' : 'wrote']);
  }
});

const linesOf = async ({ actor }: At) => {
  const rows = await db.select().from(activity).where(eq(activity.academyId, actor.academyId)).orderBy(asc(activity.activityId));
  return rows.map(({ actor: who, what, about, more }) => ({ who, what, about, more }));
};
type Asks = Record<string, (...asked: unknown[]) => Promise<unknown>>;
const as = ({ actor }: At, role: Role) => dataOf({ ...actor, kind: role } as Actor & { kind: Role }) as unknown as Asks;

/** What has to be there before something else can be done with it. */
const MADE_BEFORE: readonly (readonly [makes: QueryName, takes: QueryName])[] = [
  ['keepToken', 'revokeToken'],
  ['keepInvitation', 'revokeInvitation'],
  ['keepReport', 'revokeReport'],
  ['saveGreen', 'archiveGreen'],
  ['addResult', 'removeResult'],
  ['keepGuardianInvitation', 'revokeGuardianInvitation'],
  ['giveConsent', 'withdrawConsent'],
  ['askErasure', 'cancelErasure'],
  ['askErasure', 'declineErasure'],
];

test('whoever changes something is in the record: who, what, and with what', async () => {
  for (const name of NAMES) {
    const leaves = LEAVES[name];
    if (leaves === 'reads' || leaves === 'derived' || name === 'keepTables') continue;
    const [role] = MAY[name] as readonly Role[];
    if (!role || name === 'takeReading') continue;
    const groups = await twoGroups();
    // The owner can't leave.
    const at = name === 'leaveAcademy' ? { ...groups, actor: { ...groups.actor, kind: 'coach', userId: groups.second } as const } : groups;
    const [made] = MADE_BEFORE.filter(([, takes]) => takes === name);
    if (made) await (QUERIES[made[0]] as Query)(db, at.actor, ...ASKED[made[0]](at));
    await as(at, name === 'leaveAcademy' ? 'coach' : role)[name]!(...ASKED[name](at));
    const lines = await linesOf(at);
    if (name === 'noteDownload') expect(lines).toEqual([{ who: `user:${at.actor.userId}`, what: 'gotBalls', about: null, more: null }]);
    else if (leaves === 'records') expect([name, lines]).toEqual([name, []]);
    else {
      expect([name, lines.map(({ what }) => what)]).toEqual([name, [name === 'getPlayer' ? 'lookedAt' : name]]);
      expect(lines[0]!.who).toBe(`user:${at.actor.userId}`);
    }
  }
});

test('what changed nothing leaves nothing, and what failed takes its line with it', async () => {
  const at = await twoGroups();
  const data = as(at, 'owner');
  // The owner can't be removed, somebody who is not here neither; nobody has this player.
  expect(await data.removeMember!(at.actor.userId)).toBe(false);
  expect(await data.keepLink!(at.id(99), { linkId: at.id(98), tokenHash: Buffer.from('x'), expiresAt: new Date() })).toBe(false);
  for (const name of ['archiveGame', 'revokeToken', 'saveTags', 'erasePlayer'])
    await data[name]!(at.id(99), name === 'saveTags' ? ['x'] : true);
  await expect(data.saveTags!(at.session, ['\u0000'])).rejects.toThrow();
  expect(await linesOf(at)).toEqual([]);
});

test('who looked at a player is kept once a day, however often they look; a player by their link is not', async () => {
  const at = await twoGroups();
  const [coach, owner] = [as(at, 'coach'), dataOf({ ...at.actor, userId: at.second } as never) as unknown as Asks];
  await coach.getPlayer!(at.hidden);
  await coach.getPlayer!(at.hidden);
  await owner.getPlayer!(at.hidden);
  await owner.getPlayer!(at.id(99));
  const link = dataOf({ kind: 'player', academyId: at.actor.academyId, playerId: at.hidden, linkId: at.id(56) }) as unknown as Asks;
  await link.getPlayer!(at.hidden);
  expect(await linesOf(at)).toEqual(
    [at.actor.userId, at.second].map((id) => ({ who: `user:${id}`, what: 'lookedAt', about: at.hidden, more: null })),
  );
});

test('the database refuses to change the record, and to forget what is not a year old; it goes with its academy', async () => {
  const at = await twoGroups();
  await as(at, 'owner').saveTags!(at.session, ['x']);
  const { academyId } = at.actor;
  await expect(db.update(activity).set({ what: 'nothing' }).where(eq(activity.academyId, academyId))).rejects.toMatchObject({
    cause: expect.objectContaining({ message: 'activity is only added to' }) as unknown,
  });
  await expect(db.delete(activity).where(eq(activity.academyId, academyId))).rejects.toThrow();
  expect(await linesOf(at)).toHaveLength(1);
  await db.execute(sql`delete from auth_organization where id = ${academyId}`);
  expect(await linesOf(at)).toEqual([]);
});
