import { randomUUID } from 'node:crypto';
import { hashPassword } from 'better-auth/crypto';
import { eq } from 'drizzle-orm';
import { plainEntrant } from '@/core/game/entrant';
import { DEMO_GAMES } from '@/core/demo/games';
import { DEMO_GREEN_GAME, DEMO_GREENS } from '@/core/demo/greens';
import { DEMO_ACADEMY, DEMO_ASSISTANT, DEMO_COACH, DEMO_FAMILY, DEMO_GROUPS, DEMO_PLAYERS } from '@/core/demo/people';
import { demoHours } from '@/core/demo/hours';
import { DEMO_WEEKS_FOR, demoWeeks } from '@/core/demo/weeks';
import { blockTestOf } from '@/core/plan/block-test';
import { believe, diagnose } from '@/core/skill/diagnose';
import { gather } from '@/core/skill/evidence';
import { modelOf } from '@/core/skill/model';
import { dayIn } from '@/core/units/day';
import { DEMO_MARKS, demoSwings, DEMO_SWING_GAME, DEMO_SWINGS_FOR } from '@/core/demo/swings';
import { demoSeason, DEMO_WEEKS } from '@/core/demo/season';
import { shippedReference } from '@/core/golf/reference';
import type { Member } from '@/db/actor';
import type { Db } from '@/db/client';
import { saveAcademy } from '@/db/queries/academies';
import { giveConsent, saveBornYear, saveGuardian } from '@/db/queries/families';
import { saveGame } from '@/db/queries/games';
import { saveGroup } from '@/db/queries/groups';
import { saveGreen } from '@/db/queries/greens';
import { saveHour, takeRun } from '@/db/queries/hours';
import { tallyBalls } from '@/db/queries/evidence';
import { saveWeeks } from '@/db/queries/weeks';
import { savePlayer, saveSwingMarks } from '@/db/queries/players';
import { rebuildShots } from '@/db/queries/projection';
import {
  authAccount,
  authMember,
  authOrganization,
  authUser,
  game,
  gameVersion,
  guardian,
  session,
  sessionPlayer,
  shotEvent,
} from '@/db/schema';

const SEED = 20;

/** Fills an empty database with the invented academy: coach, players, games, and nine weeks of records up to `now`. */
export async function loadDemo(db: Db, now: Date): Promise<void> {
  await db.transaction(async (tx) => {
    const actor = await addCoach(tx, now);
    const { academyId } = actor;
    const playerIds = DEMO_PLAYERS.map(() => randomUUID() as string);
    for (const [i, { form }] of DEMO_PLAYERS.entries()) {
      const clubs = form.clubs.map(([label, loftDeg]) => ({ clubId: randomUUID(), label, loftDeg }));
      await savePlayer(tx, actor, playerIds[i]!, { ...form, clubs });
    }

    const madeAt = new Date(now.getTime() - (DEMO_WEEKS * 7 + 2) * 86_400_000);
    const games = DEMO_GAMES.map((spec, i) => ({
      gameId: randomUUID() as string,
      spec,
      createdAt: new Date(madeAt.getTime() - i * 60_000),
    }));
    await tx.insert(game).values(games.map(({ gameId, createdAt }) => ({ academyId, gameId, createdAt })));
    await tx.insert(gameVersion).values(games.map(({ gameId, spec, createdAt }) => ({ academyId, gameId, version: 1, spec, createdAt })));

    const greenIds = DEMO_GREENS.map(() => randomUUID() as string);
    for (const [i, plan] of DEMO_GREENS.entries()) await saveGreen(tx, actor, greenIds[i]!, plan);
    await saveGame(tx, actor, randomUUID(), DEMO_GREEN_GAME, greenIds[0]!);

    const sessions = demoSeason(SEED, now, playerIds, shippedReference).toSorted((a, b) => a.startedAt.getTime() - b.startedAt.getTime());
    const swinger = DEMO_PLAYERS.findIndex(({ form }) => form.name === DEMO_SWINGS_FOR);
    await saveSwingMarks(tx, actor, playerIds[swinger]!, [...DEMO_MARKS]);
    const swingGame = { gameId: randomUUID() as string, spec: DEMO_SWING_GAME };
    await saveGame(tx, actor, swingGame.gameId, swingGame.spec);
    const swings = demoSwings(SEED, now, playerIds[swinger]!).map((one) => ({ ...one, of: swingGame, player: swinger }));
    for (const { sessionId, of, player, startedAt, events } of [...sessions.map((one) => ({ ...one, of: games[one.game]! })), ...swings]) {
      await tx.insert(session).values({ academyId, sessionId, gameId: of.gameId, gameVersion: 1, spec: of.spec, startedAt });
      await tx
        .insert(sessionPlayer)
        .values({ academyId, sessionId, position: 0, ...plainEntrant(playerIds[player]!, DEMO_PLAYERS[player]!.form.level) });
      await tx.insert(shotEvent).values(
        events.map(({ deviceAt, ...event }) => ({
          ...event,
          academyId,
          actor: `user:${actor.userId}`,
          deviceAt: new Date(deviceAt),
          receivedAt: new Date(deviceAt),
        })),
      );
    }
    await rebuildShots(tx, actor, undefined, 1);
    const idOf = (title: string) => games.find(({ spec }) => spec.title === title)!.gameId;
    for (const { player, hour, run } of demoHours(now, now.toISOString().slice(0, 10), idOf)) {
      const hourId = randomUUID() as string;
      const who = playerIds[DEMO_PLAYERS.findIndex(({ form }) => form.name === player)]!;
      await saveHour(tx, actor, hourId, hour, [who], null);
      if (run) await takeRun(tx, actor, run({ runId: randomUUID(), hourId }));
    }
    await addGroups(tx, actor, now, playerIds);
    await addFamily(tx, actor, now, playerIds);
    await addWeeks(tx, actor, now, playerIds[DEMO_PLAYERS.findIndex(({ form }) => form.name === DEMO_WEEKS_FOR)]!);
  });
}

/** Weeks that are half over, about what the player’s records say they should be about. */
async function addWeeks(tx: Db, actor: Member, now: Date, playerId: string): Promise<void> {
  const model = modelOf(shippedReference);
  const { name, level } = DEMO_PLAYERS.find(({ form }) => form.name === DEMO_WEEKS_FOR)!.form;
  const tallies = await tallyBalls(tx, actor, playerId, { asOf: now }, null);
  const evidence = gather(tallies);
  const belief = believe(evidence, model, level);
  const judged = diagnose(model, belief, evidence, { level, mix: model.mix(level) });
  const unmeasured = { paceM: null, clubM: null, putterM: null };
  const players = [{ playerId, name, level, belief, judged, ...unmeasured }];
  const order = { players, purpose: 'find_out', minutes: 24, green: null, units: 'imperial', coach: unmeasured, seed: 1 } as const;
  const test = blockTestOf(order, { days: 8, shots: [] }, model);
  const { timeZone } = DEMO_ACADEMY;
  const { weeks, hours } = demoWeeks(dayIn(now, timeZone), timeZone, test, randomUUID);
  await saveWeeks(tx, actor, randomUUID(), weeks, [playerId], null);
  for (const { hourId, hour, run } of hours) {
    await saveHour(tx, actor, hourId, hour, [playerId], null);
    await takeRun(tx, actor, run);
  }
}

/** Who is coached together, and an assistant. */
async function addGroups(tx: Db, actor: Member, now: Date, playerIds: readonly string[]): Promise<void> {
  const { academyId } = actor;
  const userId = await addAccount(tx, DEMO_ASSISTANT);
  await tx.insert(authMember).values({ id: randomUUID(), organizationId: academyId, userId, role: 'assistant', createdAt: now });
  for (const { name, players, assisted } of DEMO_GROUPS) {
    const ids = players.map((player) => playerIds[DEMO_PLAYERS.findIndex(({ form }) => form.name === player)]!);
    await saveGroup(tx, actor, randomUUID(), { name, playerIds: ids, userIds: [assisted ? userId : actor.userId] });
  }
}

/** A guardian with an account, who has agreed. */
async function addFamily(tx: Db, actor: Member, now: Date, playerIds: readonly string[]): Promise<void> {
  const { academyId } = actor;
  const { name, email, phone, password } = DEMO_FAMILY.guardian;
  const playerId = playerIds[DEMO_PLAYERS.findIndex(({ form }) => form.name === DEMO_FAMILY.player)]!;
  const [userId, guardianId] = [await addAccount(tx, { name, email, password }), randomUUID() as string];
  await saveBornYear(tx, actor, playerId, now.getUTCFullYear() - DEMO_FAMILY.bornYears);
  await saveGuardian(tx, actor, playerId, guardianId, { name, email, phone });
  await tx.update(guardian).set({ userId }).where(eq(guardian.guardianId, guardianId));
  const home = { kind: 'guardian', academyId, userId, players: [playerId] } as const;
  await giveConsent(tx, home, playerId, randomUUID(), { by: name, on: dayIn(now, DEMO_ACADEMY.timeZone) });
}

/** The demo coach and the academy. */
function addCoach(tx: Db, now: Date): Promise<Member> {
  return addAcademy(tx, now, { ...DEMO_ACADEMY, email: DEMO_COACH.email, coach: DEMO_COACH.name, password: DEMO_COACH.password });
}

/** An account whose address is confirmed; without a password nobody can sign in with it. @returns its id */
export async function addAccount(
  tx: Db,
  { name, email, password }: { name: string; email: string; password?: string | undefined },
): Promise<string> {
  const id = randomUUID() as string;
  await tx.insert(authUser).values({ id, name, email, emailVerified: true });
  if (password)
    await tx
      .insert(authAccount)
      .values({ id: randomUUID(), accountId: id, providerId: 'credential', userId: id, password: await hashPassword(password) });
  return id;
}

type Founding = { name: string; slug: string; email: string; timeZone?: string; coach?: string; password?: string };

/** An academy with its coach, as signing up would make them; without a password nobody can sign in as the coach. */
export async function addAcademy(tx: Db, now: Date, founding: Founding): Promise<Member> {
  const { name, slug, email, timeZone = 'UTC', coach = 'Coach', password } = founding;
  const userId = await addAccount(tx, { name: coach, email, password });
  const academyId = randomUUID() as string;
  await tx.insert(authOrganization).values({ id: academyId, name, slug, createdAt: now });
  await tx.insert(authMember).values({ id: randomUUID(), organizationId: academyId, userId, role: 'owner', createdAt: now });
  const actor: Member = { kind: 'owner', academyId, userId };
  await saveAcademy(tx, actor, { units: 'imperial', timeZone });
  return actor;
}
