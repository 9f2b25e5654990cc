import { game, holed, left, playOut, station, yd } from '../testing/make';
import { recordOf } from './record';
import { onTheDay } from '../game/on-the-day';
import { phasesOf } from '../game/phases';
import { phaseInWords } from '../game/words/say-phase';
import { playSession } from './play';
import { nextQuestion, sayAsked, NO_ANSWERS } from './questions';

const warmUp = {
  title: 'Warm up',
  balls: 1,
  stations: [station('w', { balls: 2, distanceM: yd(8) })],
  order: 'blocked' as const,
  scoring: { scheme: 'unscored' as const, cue: 'brush the grass', flights: ['low' as const, 'high' as const] },
};
const spec = game({ leadIn: [warmUp], stations: [station('a', { balls: 2 })] });
const bag = { clubs: [], favourite: null };

test('a phase is played at its own stations, low and high one after another, and scores nothing', () => {
  const phases = phasesOf(spec);
  expect(phases.map(({ stations, turns, firstTurn }) => [stations.map(({ key }) => key), turns, firstTurn])).toEqual([
    [['w'], 4, 0],
    [['a'], 2, 4],
  ]);
  const asked: string[] = [];
  const { table, events } = playOut(spec, (turn, _seat, n) => {
    asked.push(`${turn.station.key} ${sayAsked(turn)}`.trim());
    return n < 4 ? { ...left(1), leftM: null, counts: 'practice_ball' } : holed;
  });
  expect(asked).toEqual(['w low', 'w low', 'w high', 'w high', 'a', 'a']);
  expect(table.standings[0]!.phases.map(({ score, balls }) => [score, balls])).toEqual([
    [4, 4],
    [12, 2],
  ]);
  expect(events.slice(0, 4).map(({ payload }) => 'counts' in payload && payload.counts)).toEqual(Array(4).fill('practice_ball'));
});

test('a set that is not scored is one press: all of one flight, then the other', () => {
  const standing = playSession(spec, [{ playerId: 'x', level: 18, unitM: null, scale: 1, allowance: 0 }], []).standings[0]!;
  const keys = nextQuestion(standing, standing.next!, bag, NO_ANSWERS)!.keys;
  expect(keys.map(({ text }) => text)).toEqual(['all 2 hit', 'one ball']);
  const all = recordOf(standing.next!, keys[0]!.result, { playerId: 'x', sessionId: 's' }, new Date(0));
  expect(all).toMatchObject({ nBalls: 2, counts: 'practice_ball', trajectory: 'low', leftM: null });
  const after = playSession(spec, [standing.entrant], [{ ...all, shotId: '1' }]).standings[0]!;
  expect(after.next).toMatchObject({ turnNo: 2, ballNo: 3, asked: { trajectory: 'high' } });
  expect(phaseInWords(spec, phasesOf(spec)[0]!, 'imperial')).toEqual([
    'Four balls.',
    'low and high, one after another. Swing thought: brush the grass. Nothing is scored.',
    'Balls are dropped.',
  ]);
});

test('a station of a phase that was measured is there as it was measured', () => {
  const measured = onTheDay(spec, [{ key: 'w', distanceM: 9, source: 'tape' }]);
  expect(measured.leadIn[0]!.stations![0]!.distanceM).toBe(9);
  expect(measured.stations).toEqual(spec.stations);
});
