import fc from 'fast-check';
import { idOf } from '../testing/make';
import { beginRun, clockOf, isGoing, leaveOut, nextPart, partsOfRun, playedIn, runningAt, stopRun } from './run';
import { runSchema, type Run } from './run-schema';
import { partSchema } from './hour';

const hour = { parts: [10, 10, 20].map((minutes, i) => partSchema.parse({ key: `p${i}`, kind: 'lies', title: 'x', minutes })) };
const START = Date.parse('2027-05-01T18:00:00Z');
/** So many minutes after the start. */
const at = (minutes: number) => new Date(START + minutes * 60_000).toISOString();
const begun = beginRun(hour, { runId: idOf(1), hourId: idOf(2) }, at(0));
const minutes = (run: Run) => run.parts.map((part) => part.minutes);
const states = (run: Run) => run.parts.map(({ state }) => state).join(' ');

test('on time, the parts follow each other as planned', () => {
  const done = nextPart(nextPart(nextPart(begun, hour, at(10)), hour, at(20)), hour, at(40));
  expect(minutes(done)).toEqual([10, 10, 20]);
  expect(states(done)).toBe('done done done');
  expect(done.endedAt).toBe(at(40));
});

test('late, what is left is fitted into what is left, in its proportions; early, it gets longer', () => {
  expect(minutes(nextPart(begun, hour, at(19)))).toEqual([10, 7, 14]);
  expect(minutes(nextPart(begun, hour, at(4)))).toEqual([10, 12, 24]);
  // Long after its end each part still has a minute.
  expect(minutes(nextPart(begun, hour, at(300)))).toEqual([10, 1, 1]);
});

test('a part is skipped, or left out before it comes; the time goes to the others', () => {
  const skipped = nextPart(begun, hour, at(1), 'skipped');
  expect([states(skipped), minutes(skipped)]).toEqual(['skipped running waiting', [10, 13, 26]]);
  const fewer = leaveOut(begun, hour, 'p1', at(2));
  expect([states(fewer), minutes(fewer)]).toEqual(['running skipped waiting', [10, 10, 30]]);
  expect(states(nextPart(fewer, hour, at(10)))).toBe('done skipped running');
});

test('stopped, the hour is over, and says so', () => {
  const stopped = stopRun(nextPart(begun, hour, at(10)), at(13));
  expect([states(stopped), stopped.endedAt]).toEqual(['done stopped skipped', at(13)]);
  expect(stopRun(stopped, at(20))).toBe(stopped);
  expect(nextPart(stopped, hour, at(20))).toBe(stopped);
});

test('the clock: how long the part has, and how late it is against the plan', () => {
  const late = nextPart(begun, hour, at(13));
  expect(clockOf(late, hour, START + 15 * 60_000)).toEqual({ goneS: 900, partS: 120, leftS: 9 * 60 - 120, lateS: 180 });
  expect(clockOf(begun, hour, START + 11 * 60_000).leftS).toBe(-60);
  expect(clockOf(stopRun(begun, at(3)), hour, START + 60 * 60_000).goneS).toBe(180);
});

test('what is played belongs to the part that goes on', () => {
  expect(playedIn(begun, idOf(9)).parts.map(({ sessionId }) => sessionId)).toEqual([idOf(9), null, null]);
});

test('however an hour is run, it is a run that can be stored, at most one part goes on, and what is left adds up', () => {
  const move = fc.record({ by: fc.constantFrom('next', 'skip', 'leave', 'stop', 'play'), after: fc.integer({ min: 0, max: 12 }) });
  fc.assert(
    fc.property(fc.array(move, { maxLength: 12 }), (moves) => {
      let [run, now] = [begun, 0];
      for (const { by, after } of moves) {
        now += after;
        if (by === 'next' || by === 'skip') run = nextPart(run, hour, at(now), by === 'next' ? 'done' : 'skipped');
        if (by === 'leave') run = leaveOut(run, hour, 'p2', at(now));
        if (by === 'stop') run = stopRun(run, at(now));
        if (by === 'play') run = playedIn(run, idOf(9));
        expect(runSchema.parse(run)).toEqual(run);
        expect(run.parts.filter(({ state }) => state === 'running')).toHaveLength(run.endedAt === null ? 1 : 0);
        expect(runningAt(run) >= 0).toBe(run.endedAt === null);
      }
    }),
  );
});

test('an hour that nobody ended is over after half a day', () => {
  expect([isGoing(begun, START + 3_600_000), isGoing(begun, START + 13 * 3_600_000), isGoing(null, START)]).toEqual([true, false, false]);
  expect(isGoing(stopRun(begun, at(5)), START + 360_000)).toBe(false);
});

test('a part that was taken out of the hour while it goes on is still there, without what was in it', () => {
  const changed = { parts: hour.parts.filter(({ key }) => key !== 'p1') };
  const parts = partsOfRun(changed, begun);
  expect(parts.map(({ key, title, minutes: long }) => [key, title, long])).toEqual([
    ['p0', 'x', 10],
    ['p1', 'Removed from the plan', 10],
    ['p2', 'x', 20],
  ]);
});
