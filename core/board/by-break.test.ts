import { makeRate, referencePutting } from '../golf/putting';
import { METRES_PER } from '../units/length';
import { byBreak, type PuttRuns } from './by-break';

const ft = (feet: number) => feet * METRES_PER.ft;
const putt = (stationKey: string, holed: boolean, bearingDeg: number | null = null) => ({
  stationKey,
  holed,
  bearingDeg,
  sessionId: 's',
  phase: 0,
  distanceM: ft(6),
});
const STATIONS: Record<string, PuttRuns> = {
  a: { slope: 'uphill', breaks: 'left_to_right' },
  b: { slope: null, breaks: 'right_to_left' },
};
const level = referencePutting(10);

test('a putt counts in each way that its station names, others nowhere', () => {
  const found = byBreak(
    [putt('a', true), putt('a', false, 180), putt('b', false, 10), putt('c', true)],
    ({ stationKey }) => STATIONS[stationKey] ?? null,
    level,
  );
  const expected = makeRate(level, 6);
  expect(found).toEqual([
    { run: 'uphill', putts: 2, holed: 1, expected: 2 * expected, short: 1, directed: 1 },
    { run: 'left_to_right', putts: 2, holed: 1, expected: 2 * expected, short: 1, directed: 1 },
    { run: 'right_to_left', putts: 1, holed: 0, expected, short: 0, directed: 1 },
  ]);
});

test('nothing of putts whose games say nothing', () => {
  expect(byBreak([putt('c', true)], () => null, level)).toEqual([]);
});
