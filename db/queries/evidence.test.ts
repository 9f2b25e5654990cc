import { and, eq, inArray } from 'drizzle-orm';
import { turnsOf } from '@/core/game/turn';
import type { Result } from '@/core/game/scoring/ball';
import { PACE_M } from '@/core/measures/sticks';
import { seededRandom } from '@/core/math/random';
import { gather, talliesOf } from '@/core/skill/evidence';
import { addTo, type BallGroup } from '@/core/skill/groups';
import type { ShotRecord } from '@/core/shot/shot';
import { game, holed, idOf, left, recordTurn, station, yd } from '@/core/testing/make';
import { session, shot } from '../schema';
import { academies, own } from '../testing/academy';
import {
  executedShots,
  heldPosterior,
  keepPosterior,
  narrowings,
  ownReference,
  saveReference,
  shotsOfCell,
  spanOfEvidence,
  tallyBalls,
  type HeldPosterior,
} from './evidence';
import { savePace, savePlayer, saveDreads, saveRoundMix, getPlayer } from './players';
import { scoresOf, startSession } from './sessions';
import { saveGame } from './games';
import { sessionLog, shotsOfPlayer } from './shots';
import { takeIn } from './take-in';
import { newPlayer } from '@/core/people/player';

const { db, pool, academy } = academies('evidence', 7000);
afterAll(() => pool.end());

const NOW = new Date('2026-06-01T12:00:00Z');
const nothing: Result = { holed: false, leftM: null, leftMinM: null, leftMaxM: null, bearingDeg: null, measured: 'tape' };

/** Balls of every kind of record, from all over, at random moments, taken in as a device sends them. */
async function recorded(n: number, seed: number) {
  const at = await academy();
  const random = seededRandom(seed);
  const spec = game({
    stations: [
      station('a', { balls: 40 }),
      station('b', { shotType: 'pitch', surface: 'light_rough', distanceM: yd(25), sit: 'down', balls: 40 }),
      station('c', { shotType: 'putt', surface: 'green', distanceM: 1.9, balls: 40 }),
      station('d', { shotType: 'chip', surface: 'fringe', distanceM: yd(9.99), balls: 40 }),
    ],
  });
  const gameId = idOf(at.n * 100_000 + 4);
  const sessionId = idOf(at.n * 100_000 + 5);
  await saveGame(db, at.actor, gameId, spec);
  await startSession(db, at.actor, sessionId, gameId, [{ playerId: at.playerId, allowance: 0 }]);
  await db
    .update(session)
    .set({ startedAt: new Date(NOW.getTime() - 91 * 86_400_000) })
    .where(eq(session.sessionId, sessionId));
  const turns = turnsOf(spec);
  const events = Array.from({ length: n }, (_, i) => {
    const turn = turns[i % turns.length]!;
    const putt = turn.station.shotType === 'putt';
    const metres = 0.05 + 9 * random.uniform() ** 2;
    const how = random.below(9);
    const result: Partial<ShotRecord> =
      how === 0
        ? holed
        : how === 1
          ? { ...nothing, measured: 'ring', leftMinM: 0.9144, leftMaxM: 1.8288 }
          : how === 2
            ? { ...nothing, measured: 'ring', leftMinM: 3.048 }
            : how === 3
              ? { ...nothing, strokes: 1 + random.below(4) + (putt ? 1 : 0) }
              : how === 4
                ? { ...left(1), leftM: metres, strokes: 2 + random.below(2), measured: 'pace' }
                : how === 5
                  ? { ...left(1), leftM: metres, finish: random.pick(['sand', 'green', 'fringe'] as const) }
                  : how === 6
                    ? { ...left(1), leftM: metres, measured: random.pick(['tape', 'eye'] as const) }
                    : how === 7
                      ? { ...nothing, landed: random.uniform() < 0.5 }
                      : { ...nothing, landingErrorM: 0.1 + metres / 3 - 1, carryM: random.uniform() < 0.5 ? 4.2 : null };
    const playedAt = new Date(NOW.getTime() - 90 * 86_400_000 * random.uniform()).toISOString();
    const event = own({ ...at, sessionId }, recordTurn(turn, nothing, i), sessionId);
    const counts = random.uniform() < 0.1 ? 'rehit' : 'ordinary';
    return event.kind === 'record' ? { ...event, payload: { ...event.payload, ...result, counts, playedAt } } : event;
  });
  await takeIn(db, at.actor, sessionId, events as Parameters<typeof takeIn>[3]);
  return { ...at, sessionId, gameId };
}

/** Groups by what they say, so that two lists of them compare. */
function merged(groups: readonly BallGroup[]): Map<string, number> {
  const all = new Map<string, BallGroup>();
  for (const { n, ...one } of groups) addTo(all, one, n);
  return new Map([...all].map(([key, { n }]) => [key.replaceAll(/(\.\d{6})\d+/g, '$1'), Number(n.toFixed(6))]));
}

test.each([null, 60])('balls counted in the database say what the balls themselves say, half-life %s', async (halfLifeDays) => {
  const at = await recorded(160, 11);
  const tallies = await tallyBalls(db, at.actor, at.playerId, { asOf: NOW }, halfLifeDays);
  const counted = gather(tallies);
  const one = gather(talliesOf(await shotsOfPlayer(db, at.actor, at.playerId), NOW, halfLifeDays));
  expect(merged(counted.groups)).toEqual(merged(one.groups));
  expect(counted.balls).toBe(one.balls);
  expect(counted.cells).toEqual(one.cells);
  expect([...counted.finishes.keys()].sort()).toEqual([...one.finishes.keys()].sort());
  for (const [cell, list] of counted.finishes) {
    const weight = (of: typeof list) => of.reduce((sum, tally) => sum + tally.weight, 0);
    expect(weight(list)).toBeCloseTo(weight(one.finishes.get(cell)!), 6);
  }
  expect(tallies.length).toBeLessThan(160);
});

test('a landing zone is as large as it was for its player: in their own paces, and of the phase that was played', async () => {
  const at = await academy();
  await savePace(db, at.actor, at.playerId, 0.8);
  const zone = (sizeM: number) => ({ scheme: 'landing_zone', shape: 'circle', sizeM, finishM: null }) as const;
  const spec = game({
    stations: [station('a', { balls: 2, carryM: 4 })],
    scoring: zone(3),
    sizes: { unit: 'pace', of: 'player', fixedM: null, scaled: false },
    leadIn: [{ title: 'Wide', stations: null, order: 'blocked', scoring: zone(6), balls: 1 }],
  });
  const [gameId, sessionId] = [idOf(at.n * 100_000 + 4), idOf(at.n * 100_000 + 5)];
  await saveGame(db, at.actor, gameId, spec);
  await startSession(db, at.actor, sessionId, gameId, [{ playerId: at.playerId, allowance: 0 }]);
  const events = turnsOf(spec).map((turn, i) =>
    own({ ...at, sessionId }, recordTurn(turn, { ...nothing, landed: i !== 1 } as typeof nothing, i), sessionId),
  );
  await takeIn(db, at.actor, sessionId, events as Parameters<typeof takeIn>[3]);
  const tallies = await tallyBalls(db, at.actor, at.playerId, { asOf: new Date('2030-01-01') }, null);
  const sizes = tallies.map(({ ball }) => ball.zone!.sizeM).sort((a, b) => a - b);
  // A pace is drawn as a yard: three metres are 3.28 of them.
  const paces = (metres: number) => expect.closeTo((metres / PACE_M) * 0.8, 3);
  expect(sizes).toEqual([paces(3), paces(3), paces(6)]);
});

test('a phone’s clock may be years off: boards count its balls as played between opening and arrival, and what it said is kept', async () => {
  const at = await recorded(8, 21);
  const spec = game({ stations: [station('a', { balls: 9 })] });
  const aYearAhead = new Date(Date.now() + 365 * 86_400_000).toISOString();
  const said = ['9999-12-30T00:00:00Z', aYearAhead, '1970-01-01T00:00:00Z'];
  const events = said.map((playedAt, i) => {
    const event = own(at, recordTurn(turnsOf(spec)[i]!, left(4), 50 + i), at.sessionId);
    return event.kind === 'record' ? { ...event, payload: { ...event.payload, playedAt } } : event;
  });
  const before = Date.now();
  expect(await takeIn(db, at.actor, at.sessionId, events)).toMatchObject({ stored: 3, refused: [] });
  const rows = await db
    .select()
    .from(shot)
    .where(
      and(
        eq(shot.sessionId, at.sessionId),
        inArray(
          shot.shotId,
          events.map(({ shotId }) => shotId),
        ),
      ),
    );
  const when = new Map(rows.map((row) => [row.shotId, row.playedAt.getTime()]));
  const [far, ahead, ago] = events.map(({ shotId }) => when.get(shotId)!);
  for (const time of [far!, ahead!]) {
    expect(time).toBeGreaterThanOrEqual(before - 5000);
    expect(time).toBeLessThanOrEqual(Date.now() + 5000);
  }
  expect(ago).toBe(NOW.getTime() - 91 * 86_400_000);
  const log = await sessionLog(db, at.actor, at.sessionId);
  expect(log.flatMap(({ event }) => (event?.kind === 'record' ? [event.payload.playedAt] : []))).toEqual(expect.arrayContaining(said));
  const tallies = await tallyBalls(db, at.actor, at.playerId, { asOf: new Date() }, 60);
  expect(gather(tallies).balls).toBeGreaterThanOrEqual(3);
});

test('no weight under- or overflows, whatever date is stored', async () => {
  const at = await recorded(4, 3);
  for (const playedAt of [new Date('0001-01-02T00:00:00Z'), new Date('9999-12-30T00:00:00Z')]) {
    await db.update(shot).set({ playedAt, counts: 'ordinary' }).where(eq(shot.sessionId, at.sessionId));
    for (const asOf of [NOW, new Date('9999-12-31T00:00:00Z')]) {
      const weights = (await tallyBalls(db, at.actor, at.playerId, { asOf }, 7)).map(({ weight }) => weight);
      for (const weight of weights) expect(weight >= 0 && weight <= 160).toBe(true);
    }
  }
});

test('five thousand balls of one cell are a few rows', async () => {
  const at = await recorded(4, 3);
  const [row] = await db.select().from(shot).where(eq(shot.academyId, at.actor.academyId)).limit(1);
  const many = Array.from({ length: 5000 }, (_, i) => ({
    ...row!,
    shotId: idOf(at.n * 100_000 + 20_000 + i),
    counts: 'ordinary' as const,
    holed: false,
    strokes: null,
    finish: null,
    leftM: null,
    leftMinM: i % 3 === 0 ? 0.9144 : 1.8288,
    leftMaxM: i % 3 === 0 ? 1.8288 : null,
    measured: 'ring' as const,
    serverSeq: 1_000_000 + i,
  }));
  for (let i = 0; i < many.length; i += 1000) await db.insert(shot).values(many.slice(i, i + 1000));
  const tallies = await tallyBalls(db, at.actor, at.playerId, { asOf: new Date('2030-01-01') }, 60);
  expect(tallies.length).toBeLessThan(12);
  expect(gather(tallies).balls).toBeGreaterThanOrEqual(5000);
}, 60_000);

test('filters leave balls out: by day, game, sit, club, and those after the moment', async () => {
  const at = await recorded(160, 5);
  const count = async (filter: Partial<Parameters<typeof tallyBalls>[3]>) =>
    (await tallyBalls(db, at.actor, at.playerId, { asOf: NOW, ...filter }, null)).reduce((sum, { balls }) => sum + balls, 0);
  const all = await count({});
  const early = await count({ asOf: new Date(NOW.getTime() - 45 * 86_400_000) });
  const late = await count({ from: new Date(NOW.getTime() - 45 * 86_400_000 + 1) });
  expect(early + late).toBe(all);
  expect(await count({ gameId: at.gameId })).toBe(all);
  expect(await count({ gameId: idOf(9) })).toBe(0);
  const down = await count({ sit: 'down' });
  expect(down).toBeGreaterThan(20);
  expect(down).toBeLessThan(all / 2);
  expect(await count({ clubLabel: 'no such club' })).toBe(0);
  const { first, last } = (await spanOfEvidence(db, at.actor, at.playerId))!;
  expect(first < last).toBe(true);
  const cell = { shotType: 'chip', surface: 'fringe', fromM: 0, toM: yd(10) } as const;
  const inCell = await shotsOfCell(db, at.actor, at.playerId, { asOf: NOW }, cell);
  expect(new Set(inCell.map(({ stationKey }) => stationKey))).toEqual(new Set(['d']));
  expect(await shotsOfCell(db, at.actor, at.playerId, { asOf: NOW }, { ...cell, fromM: yd(10), toM: yd(20) })).toEqual([]);
  expect(await narrowings(db, at.actor, at.playerId)).toEqual({
    games: [{ gameId: at.gameId, title: 'Two spots' }],
    clubs: [],
    winds: [],
    squad: false,
  });
});

test('another academy’s player has no evidence, no posterior and no reference', async () => {
  const at = await recorded(20, 2);
  const other = await academy();
  expect(await tallyBalls(db, other.actor, at.playerId, { asOf: NOW }, null)).toEqual([]);
  expect(await spanOfEvidence(db, other.actor, at.playerId)).toBeNull();
  await keepPosterior(db, at.actor, at.playerId, held(1));
  expect(await heldPosterior(db, other.actor, at.playerId)).toBeNull();
  await saveReference(db, at.actor, { name: 'ours', expected: { 'putt|green|6': 1.6 } });
  expect(await ownReference(db, other.actor)).toBeNull();
});

const held = (evidenceRev: number): HeldPosterior => ({
  modelVersion: 2,
  evidenceRev,
  level: 12.5,
  halfLifeDays: 60,
  asOf: NOW,
  draws: Buffer.from(Float32Array.from([1.5, -2, 0.25]).buffer),
  strays: { balls: evidenceRev, offGreen: { 'chip|fairway|0': 0.1 } },
});

test('what is believed of a player is kept once, the newest', async () => {
  const at = await academy();
  await keepPosterior(db, at.actor, at.playerId, held(1));
  await keepPosterior(db, at.actor, at.playerId, held(2));
  const found = (await heldPosterior(db, at.actor, at.playerId))!;
  expect(found).toMatchObject({ evidenceRev: 2, level: 12.5, halfLifeDays: 60, asOf: NOW, strays: { balls: 2 } });
  expect([...new Float32Array(Uint8Array.from(found.draws).buffer)]).toEqual([1.5, -2, 0.25]);
});

test('an own reference is kept, replaced and taken away', async () => {
  const at = await academy();
  expect(await ownReference(db, at.actor)).toBeNull();
  await saveReference(db, at.actor, { name: 'ours', expected: { 'putt|green|6': 1.6 } });
  await saveReference(db, at.actor, { name: 'better', expected: { 'putt|green|6': 1.5 } });
  expect(await ownReference(db, at.actor)).toEqual({ name: 'better', expected: { 'putt|green|6': 1.5 } });
  await saveReference(db, at.actor, null);
  expect(await ownReference(db, at.actor)).toBeNull();
});

test('round mix and dreads are the player’s, and a saved form leaves them', async () => {
  const at = await academy();
  await saveRoundMix(db, at.actor, at.playerId, { 'putt|green|6': 5 });
  await saveDreads(db, at.actor, at.playerId, { 'pitch|heavy_rough': 5 });
  await savePlayer(db, at.actor, at.playerId, newPlayer('Otto', 'metric'));
  expect((await getPlayer(db, at.actor, at.playerId))!.player).toMatchObject({
    roundMix: { 'putt|green|6': 5 },
    dreads: { 'pitch|heavy_rough': 5 },
    units: 'metric',
  });
  await saveRoundMix(db, at.actor, at.playerId, null);
  expect((await getPlayer(db, at.actor, at.playerId))!.player.roundMix).toBeNull();
});

test('scores are of games played to their end, oldest first', async () => {
  const at = await academy();
  expect(await scoresOf(db, at.actor, at.playerId)).toEqual([]);
  const events = Array.from({ length: 6 }, (_, turn) => own(at, recordTurn(turnsOf(game())[turn]!, left(2), turn)));
  await takeIn(db, at.actor, at.sessionId, events.slice(0, 5));
  expect(await scoresOf(db, at.actor, at.playerId)).toEqual([]);
  await takeIn(db, at.actor, at.sessionId, events);
  // Six balls inside 3 ft, four points each.
  expect((await scoresOf(db, at.actor, at.playerId)).map(({ score }) => score)).toEqual([24]);
});

test('shots that were to be hit as asked are counted: ordinary ones, of one player of one academy', async () => {
  const at = await recorded(4, 5);
  expect(await executedShots(db, at.actor, at.playerId)).toEqual({ shots: 0, asAsked: 0 });
  const [row] = await db.select().from(shot).where(eq(shot.academyId, at.actor.academyId)).limit(1);
  const judged = [true, false, true, null, true].map((executed, i) => ({
    ...row!,
    shotId: idOf(at.n * 100_000 + 30_000 + i),
    executed,
    counts: i === 4 ? ('rehit' as const) : ('ordinary' as const),
  }));
  await db.insert(shot).values(judged);
  expect(await executedShots(db, at.actor, at.playerId)).toEqual({ shots: 3, asAsked: 2 });
  const other = await academy();
  expect(await executedShots(db, other.actor, at.playerId)).toEqual({ shots: 0, asAsked: 0 });
});
