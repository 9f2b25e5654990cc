import { createHash, randomBytes, randomUUID } from 'node:crypto';
import type { APIRequestContext } from '@playwright/test';
import { DEMO_GREENS } from '../core/demo/greens';
import { gameSpecSchema } from '../core/game/spec';
import { LIBRARY } from '../core/game/library';
import { recordOf } from '../core/play/record';
import { UNKNOWN } from '../core/game/scoring/ball';
import { turnsOf } from '../core/game/turn';
import { newPlayer } from '../core/people/player';
import { EVENT_VERSION } from '../core/shot/read-event';
import type { ShotEvent } from '../core/shot/shot';
import { green } from '../core/testing/make-green';
import { hourOf } from '../core/testing/make-hour';
import { PLAIN_REPORT } from '../core/testing/make-report';
import { weeksOf } from '../core/testing/make-weeks';
import { openDb } from '../db/client';
import { eq } from 'drizzle-orm';
import { authMember, guardian } from '../db/schema';
import { saveGuardian } from '../db/queries/families';
import { saveGame } from '../db/queries/games';
import { saveGroup } from '../db/queries/groups';
import { keepInvitation } from '../db/queries/invitations';
import { saveGreen } from '../db/queries/greens';
import { saveHour } from '../db/queries/hours';
import { startImport } from '../db/queries/imports';
import { keepLink, keepReaderKey } from '../db/queries/links';
import { keepReport } from '../db/queries/reports';
import { savePlayer } from '../db/queries/players';
import { addNote, saveNote } from '../db/queries/notes';
import { keepToken } from '../db/queries/tokens';
import { startSession } from '../db/queries/sessions';
import { takeIn } from '../db/queries/take-in';
import { saveWeeks } from '../db/queries/weeks';
import { addAcademy, addAccount } from '../scripts/demo-data';
import { ask } from './database';

/** Fills an academy up to so many players, and gives it the demo's practice green. @returns the id of the green */
export async function withSquad({ academyId, name }: OwnAcademy, players: number): Promise<string> {
  const { db, pool } = openDb(process.env.E2E_DATABASE_URL!);
  try {
    const actor = { kind: 'owner', academyId, userId: 'test' } as const;
    const there = await ask('select from player where academy_id = $1', academyId);
    for (let i = there.length; i < players; i++) await savePlayer(db, actor, randomUUID(), newPlayer(`${name} ${i + 1}`, 'imperial'));
    const greenId = randomUUID() as string;
    await saveGreen(db, actor, greenId, DEMO_GREENS[0]!);
    return greenId;
  } finally {
    await pool.end();
  }
}

/** An academy of a test's own, made without a browser: everything in it is called by names that are nowhere else. */
export type OwnAcademy = Awaited<ReturnType<typeof makeOwnAcademy>>;

const PASSWORD = 'a-long-test-word';
const rings = LIBRARY.find(({ key }) => key === 'three-hoops')!.spec;

export async function makeOwnAcademy(name: string, databaseUrl = process.env.E2E_DATABASE_URL!) {
  const { db, pool } = openDb(databaseUrl);
  try {
    const slug = `${name.toLowerCase()}-${randomBytes(4).toString('hex')}`;
    const email = `${slug}@test.example`;
    const actor = await addAcademy(db, new Date(), { name: `Academy ${name}`, slug, email, password: PASSWORD });
    const { academyId } = actor;
    const [
      playerId,
      mateId,
      gameId,
      greenId,
      sessionId,
      linkId,
      hourId,
      weeksId,
      importId,
      reportId,
      noteId,
      tokenId,
      groupId,
      invitationId,
      guardianId,
    ] = Array.from({ length: 15 }, () => randomUUID() as string);
    await savePlayer(db, actor, playerId!, newPlayer(`${name} Player`, 'metric'));
    await savePlayer(db, actor, mateId!, newPlayer(`${name} Mate`, 'metric'));
    const spec = gameSpecSchema.parse({ ...rings, title: `${name} Game` });
    await saveGame(db, actor, gameId!, spec);
    await saveGreen(db, actor, greenId!, green({ title: `${name} Green` }));
    const hour = hourOf({ title: `${name} Hour` }, { gameId: gameId!, spec });
    await saveHour(db, actor, hourId!, hour, [playerId!], null);
    const weeks = weeksOf({
      title: `${name} Weeks`,
      days: [{ hourId: randomUUID(), day: '2026-03-03', at: null, minutes: 30, aim: 'test' }],
    });
    await saveWeeks(db, actor, weeksId!, weeks, [playerId!], null);
    await startImport(db, actor, {
      ...{ importId: importId!, kind: 'scores', fileName: `${name} notes.csv`, columns: ['date'], players: [] },
      mapping: { version: 1, kind: 'scores', header: true, columns: {}, all: {}, units: {}, dates: null },
    });
    const seats = [playerId!, mateId!];
    await startSession(
      db,
      actor,
      sessionId!,
      gameId!,
      seats.map((one) => ({ playerId: one, allowance: 0 })),
    );
    const balls = seats.map((one, n): ShotEvent & { kind: 'record' } => ({
      version: EVENT_VERSION,
      eventId: randomUUID(),
      shotId: randomUUID(),
      sessionId: sessionId!,
      deviceId: randomUUID(),
      deviceSeq: n,
      deviceAt: new Date().toISOString(),
      kind: 'record',
      payload: {
        ...recordOf(
          turnsOf(spec)[0]!,
          { ...UNKNOWN, leftM: 1 + n, measured: 'tape' },
          { playerId: one, sessionId: sessionId! },
          new Date(),
        ),
        note: `${name} note of ${n === 0 ? 'Player' : 'Mate'}`,
      },
    }));
    await takeIn(db, actor, sessionId!, balls);
    await saveNote(db, actor, sessionId!, playerId!, 'coach', `${name} coach note`);
    await addNote(db, actor, playerId!, noteId!, `${name} note for coaches`);
    const secret = () => {
      const token = `${academyId}.${randomBytes(32).toString('base64url')}`;
      return { token, tokenHash: createHash('sha256').update(token).digest() };
    };
    const expiresAt = new Date(Date.now() + 86_400_000);
    const [link, reader, report, key, invited] = [secret(), secret(), secret(), secret(), secret()];
    const helperEmail = `helper-${email}`;
    const helperId = await addAccount(db, { name: `${name} Helper`, email: helperEmail, password: PASSWORD });
    await db.insert(authMember).values({ id: helperId, organizationId: academyId, userId: helperId, role: 'assistant' });
    await saveGroup(db, actor, groupId!, { name: `${name} Group`, playerIds: [playerId!], userIds: [helperId] });
    await keepInvitation(db, actor, {
      ...{ invitationId: invitationId!, email: `invited-${email}`, role: 'assistant', groupIds: [groupId!] },
      ...{ tokenHash: invited.tokenHash, expiresAt },
    });
    await keepToken(db, actor, {
      ...{ tokenId: tokenId!, name: `${name} key`, scopes: ['read', 'write', 'archive'], tokenHash: key.tokenHash, expiresAt },
    });
    await keepLink(db, actor, mateId!, { linkId: linkId!, tokenHash: link.tokenHash, expiresAt });
    await keepReaderKey(db, actor, sessionId!, { keyId: randomUUID(), tokenHash: reader.tokenHash, expiresAt });
    await keepReport(db, actor, playerId!, {
      reportId: reportId!,
      report: { ...PLAIN_REPORT, player: `${name} Player` },
      tokenHash: report.tokenHash,
      expiresAt,
    });
    const guardianEmail = `guardian-${email}`;
    const guardianUserId = await addAccount(db, { name: `${name} Guardian`, email: guardianEmail, password: PASSWORD });
    await saveGuardian(db, actor, playerId!, guardianId!, { name: `${name} Guardian`, email: guardianEmail, phone: '' });
    await db.update(guardian).set({ userId: guardianUserId }).where(eq(guardian.guardianId, guardianId!));
    const ids = {
      playerId: playerId!,
      mateId: mateId!,
      gameId: gameId!,
      greenId: greenId!,
      sessionId: sessionId!,
      linkId: linkId!,
      noteId: noteId!,
      tokenId: tokenId!,
      groupId: groupId!,
      invitationId: invitationId!,
      guardianId: guardianId!,
      hourId: hourId!,
      weeksId: weeksId!,
      importId: importId!,
      reportId: reportId!,
    };
    return {
      name,
      slug,
      email,
      password: PASSWORD,
      academyId,
      ...ids,
      spec,
      hour,
      weeks,
      balls,
      linkToken: link.token,
      readerKey: reader.token,
      reportToken: report.token,
      key: key.token,
      invitationToken: invited.token,
      helperId,
      helperEmail,
      guardianEmail,
    };
  } finally {
    await pool.end();
  }
}

/** Adds a coach who is not the owner; gives the address of their account. */
export async function addCoach({ academyId, email }: OwnAcademy): Promise<string> {
  const { db, pool } = openDb(process.env.E2E_DATABASE_URL!);
  try {
    const coachEmail = `coach-${email}`;
    const id = await addAccount(db, { name: 'Another Coach', email: coachEmail, password: PASSWORD });
    await db.insert(authMember).values({ id, organizationId: academyId, userId: id, role: 'coach' });
    return coachEmail;
  } finally {
    await pool.end();
  }
}

/** Signs in as the coach of an academy, for requests without a page. */
export async function signInTo(request: APIRequestContext, { email }: OwnAcademy): Promise<void> {
  const answer = await request.post('/api/auth/sign-in/email', {
    headers: { origin: process.env.E2E_URL! },
    data: { email, password: PASSWORD },
  });
  if (!answer.ok()) throw new Error(`no sign-in: ${answer.status()}`);
}

/** All that is stored of an academy, as one figure a table; without what is kept only to save time, when a link was last used, and who looked at whom. */
export async function stored(academyId: string): Promise<Record<string, string>> {
  const tables = await ask<{ name: string }>(
    `select table_name as name from information_schema.columns
     where table_schema = 'public' and column_name = 'academy_id' and table_name not in ('posterior', 'brief') order by 1`,
  );
  const all: Record<string, string> = {};
  for (const { name } of tables) {
    const [row] = await ask<{ sum: string | null }>(
      `select md5(string_agg((to_jsonb(t) - 'last_used_at')::text, '' order by to_jsonb(t)::text)) as sum from "${name}" t
       where academy_id = $1 and coalesce(to_jsonb(t) ->> 'what', '') <> 'lookedAt'`,
      academyId,
    );
    all[name] = row!.sum ?? '';
  }
  return all;
}
