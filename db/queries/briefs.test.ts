import { and, eq } from 'drizzle-orm';
import type { Brief } from '@/core/board/brief';
import type { KeptSkills } from '@/core/board/squad';
import { newPlayer } from '@/core/people/player';
import { left, record, game } from '@/core/testing/make';
import { brief as briefs, session } from '../schema';
import { academies, own } from '../testing/academy';
import { heldBriefs, heldSkills, keepBrief, keptMadeFrom } from './evidence';
import { erasePlayer } from './erase';
import { archivePlayer, savePlayer, saveRoundMix, squadState } from './players';
import { startSession, visitsOnThisWeekday } from './sessions';
import { takeIn } from './take-in';
import { idOf } from '@/core/testing/make';

const { db, pool, academy } = academies('briefs', 9000);
afterAll(() => pool.end());

const brief: Brief = {
  balls: 40,
  lost: { mean: 0.4, interval80: [0.1, 0.7] },
  weakest: null,
  next: { why: 'least_known', keys: ['putt|green|6'], balls: null },
  trend: null,
};

const skills: KeptSkills = { shot: [{ mean: 0.1, sd: 0.2, interval80: [0, 0.3], balls: 9, level: 2 }], round: [], expected: [2.5] };

describe('players in a line', () => {
  test('the last one that was kept is there, with what it was made from, and in no other academy', async () => {
    const [at, other] = [await academy(), await academy()];
    await keepBrief(db, at.actor, at.playerId, { madeFrom: 'one', brief, skills });
    await keepBrief(db, at.actor, at.playerId, { madeFrom: 'two', brief: { ...brief, balls: 41 }, skills: { ...skills, expected: [2.4] } });
    expect(await heldBriefs(db, at.actor, [at.playerId])).toEqual(
      new Map([[at.playerId, { madeFrom: 'two', brief: { ...brief, balls: 41 } }]]),
    );
    expect(await heldSkills(db, at.actor, 'expected', [at.playerId])).toEqual(
      new Map([[at.playerId, { madeFrom: 'two', skills: { expected: [2.4] } }]]),
    );
    expect(await heldSkills(db, at.actor, 'shot', [at.playerId])).toEqual(
      new Map([[at.playerId, { madeFrom: 'two', skills: { shot: skills.shot } }]]),
    );
    expect(await keptMadeFrom(db, at.actor)).toEqual(new Map([[at.playerId, 'two']]));
    expect([await keptMadeFrom(db, other.actor), await heldSkills(db, at.actor, 'shot', [])]).toEqual([new Map(), new Map()]);
    expect([await heldBriefs(db, other.actor, [at.playerId]), await heldSkills(db, other.actor, 'shot', [at.playerId])]).toEqual([
      new Map(),
      new Map(),
    ]);
    // Kept by a program that kept nothing for the squad yet.
    await db.update(briefs).set({ skills: null }).where(eq(briefs.academyId, at.actor.academyId));
    expect([(await heldBriefs(db, at.actor, [at.playerId])).size, (await heldSkills(db, at.actor, 'shot', [at.playerId])).size]).toEqual([
      1, 0,
    ]);
  });

  test('what the squad’s figures follow from has a word, another one after each change', async () => {
    const [at, other] = [await academy(), await academy()];
    const state = () => squadState(db, at.actor);
    const empty = await squadState(db, { ...at.actor, academyId: 'nowhere' });
    const words = [empty, await state()];
    const after = async (change: Promise<unknown>) => {
      await change;
      words.push(await state());
    };
    await after(takeIn(db, at.actor, at.sessionId, [own(at, record(game(), 0, left(5), 100))]));
    await after(keepBrief(db, at.actor, at.playerId, { madeFrom: 'one', brief, skills }));
    await after(savePlayer(db, at.actor, at.playerId, newPlayer('Otto the Second', 'imperial')));
    await after(savePlayer(db, at.actor, at.playerId, { ...newPlayer('Otto the Second', 'imperial'), level: 3 }));
    await after(saveRoundMix(db, at.actor, at.playerId, { 'putt|green|3': 9 }));
    await after(savePlayer(db, at.actor, idOf(at.n * 100_000 + 9), newPlayer('Ida', 'imperial')));
    await after(archivePlayer(db, at.actor, at.playerId, true));
    expect(new Set(words).size).toBe(words.length);
    // What happens elsewhere, or is no matter of figures, changes nothing.
    await keepBrief(db, other.actor, other.playerId, { madeFrom: 'one', brief, skills });
    await startSession(db, at.actor, idOf(at.n * 100_000 + 10), at.gameId, [{ playerId: idOf(at.n * 100_000 + 9), allowance: 0 }]);
    expect(await state()).toBe(words.at(-1));
  });

  test('it goes with the player', async () => {
    const at = await academy();
    await keepBrief(db, at.actor, at.playerId, { madeFrom: 'one', brief, skills });
    await erasePlayer(db, at.actor, at.playerId);
    expect((await heldBriefs(db, at.actor, [at.playerId])).size).toBe(0);
  });
});

const DAY_MS = 86_400_000;

describe('who is usually here on this weekday', () => {
  /** An academy whose player hit a ball so many days ago each. */
  async function playedAgo(days: readonly number[]) {
    const at = await academy();
    for (const [i, ago] of days.entries()) {
      const sessionId = idOf(at.n * 100_000 + 50 + i);
      await startSession(db, at.actor, sessionId, at.gameId, [{ playerId: at.playerId, allowance: 0 }]);
      const ball = record(game(), 0, left(5), 100 + i);
      await takeIn(db, at.actor, sessionId, [own(at, ball, sessionId)]);
      await db
        .update(session)
        .set({ startedAt: new Date(Date.now() - ago * DAY_MS) })
        .where(and(eq(session.academyId, at.actor.academyId), eq(session.sessionId, sessionId)));
    }
    return visitsOnThisWeekday(db, at.actor, 6).then((visits) => visits.get(at.playerId) ?? 0);
  }

  test('days of this weekday count, each once; other days, today and what is too long ago do not', async () => {
    expect(await playedAgo([7, 7, 14, 42])).toBe(3);
    expect(await playedAgo([0, 1, 6, 8, 13])).toBe(0);
    expect(await playedAgo([49])).toBe(0);
  });

  test('a session in which nobody hit a ball is no visit', async () => {
    const at = await academy();
    await db
      .update(session)
      .set({ startedAt: new Date(Date.now() - 7 * DAY_MS) })
      .where(eq(session.academyId, at.actor.academyId));
    expect((await visitsOnThisWeekday(db, at.actor, 6)).size).toBe(0);
  });
});
