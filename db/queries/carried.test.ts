import { turnsOf } from '@/core/game/turn';
import { game, idOf, left, recordTurn, station, yd } from '@/core/testing/make';
import { academies, own } from '../testing/academy';
import { carriedShots, puttRuns, swungShots } from './carried';
import { saveGame } from './games';
import { kitOf } from './kit';
import { savePlayer, saveSwingMarks, getPlayer } from './players';
import { formOf } from '@/core/people/player';
import { startSession } from './sessions';
import { takeIn } from './take-in';

const { db, pool, academy } = academies('carried', 19000);
afterAll(() => pool.end());

/** A session of four stations: two with a landing spot, a putt that breaks, a plain chip. */
async function played() {
  const at = await academy();
  const { actor, playerId, n } = at;
  const spec = game({
    stations: [
      station('a', { balls: 1, shotType: 'pitch', distanceM: yd(30), carryM: yd(25) }),
      station('b', { balls: 1, shotType: 'pitch', distanceM: yd(50), carryM: yd(50) }),
      station('c', { balls: 1, shotType: 'putt', surface: 'green', distanceM: 2, slope: 'uphill', breaks: 'left_to_right' }),
      station('d', { balls: 1, distanceM: yd(12) }),
    ],
  });
  const [gameId, sessionId] = [idOf(n * 100_000 + 4), idOf(n * 100_000 + 5)];
  await saveGame(db, actor, gameId, spec);
  await startSession(db, actor, sessionId, gameId, [{ playerId, allowance: 0 }]);
  const turns = turnsOf(spec);
  const said = [
    { ...left(9, 10), landingErrorM: -2, clubLabel: 'PW', swingMark: 'hip' },
    { ...left(12), landingErrorM: 3, clubLabel: 'PW', swingMark: 'chest', counts: 'rehit' as const },
    left(1),
    left(4),
  ];
  const events = turns.map((turn, i) => {
    const event = recordTurn(turn, said[i]!, 200 + i, playerId);
    return own({ ...at, sessionId }, event);
  });
  await takeIn(db, actor, sessionId, events);
  return { ...at, sessionId };
}

test('how far a ball flew: from its landing spot and by how much it missed that; only ordinary balls that say so', async () => {
  const { actor, playerId } = await played();
  const carried = await carriedShots(db, actor, playerId);
  expect(carried).toHaveLength(1);
  expect(carried[0]).toMatchObject({ clubLabel: 'PW', swingMark: 'hip', shotType: 'pitch', bearingDeg: 10 });
  expect(carried[0]!.carryM).toBeCloseTo(yd(25) - 2, 4);
  const elsewhere = await academy();
  expect(await carriedShots(db, elsewhere.actor, playerId)).toEqual([]);
});

test('whoever has named marks has a chart in the kit, with lofts of the bag', async () => {
  const { actor, playerId } = await played();
  expect((await swungShots(db, actor, [playerId])).map(({ playerId: who }) => who)).toEqual([playerId]);
  expect(await swungShots(db, actor, [])).toEqual([]);
  const held = (await getPlayer(db, actor, playerId))!;
  const form = formOf(held);
  await savePlayer(db, actor, playerId, { ...form, clubs: [{ clubId: idOf(991), label: 'PW', loftDeg: 46 }] });
  const inKit = async () => (await kitOf(db, actor)).players.find((one) => one.playerId === playerId)!;
  expect((await inKit()).swings).toEqual([]);
  await saveSwingMarks(db, actor, playerId, ['hip', 'chest']);
  const { swings, clubs } = await inKit();
  expect(swings.map(({ club, mark, balls }) => [club, mark, balls])).toEqual([
    ['PW', 'hip', 1],
    ['PW', 'chest', 0],
  ]);
  expect(clubs).toEqual([{ clubId: idOf(991), label: 'PW', loftDeg: 46 }]);
});

test('how putts run, of the stations that say so', async () => {
  const { actor, playerId, sessionId } = await played();
  expect(await puttRuns(db, actor, playerId)).toEqual([{ sessionId, phase: 0, stationKey: 'c', slope: 'uphill', breaks: 'left_to_right' }]);
});
