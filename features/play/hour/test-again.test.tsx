import { render } from '@testing-library/react';
import { beginRun, nextPart, playedIn } from '@/core/hour/run';
import { partSchema } from '@/core/hour/hour';
import { game, idOf } from '@/core/testing/make';
import { hourOf } from '@/core/testing/make-hour';
import type { Result } from './results';
import { TestAgain } from './test-again';

const played = { gameId: idOf(700), spec: game() };
const hourWith = (luck: number | null) =>
  hourOf({
    parts: [
      partSchema.parse({ key: 'p1', kind: 'test', title: 'Rings', minutes: 10, game: played, luck }),
      partSchema.parse({ key: 'p2', kind: 'game', title: 'Rings', minutes: 20, game: played }),
    ],
  });
const AT = '2027-05-01T18:00:00.000Z';

function said(first: number, second: number, luck: number | null, over = true): string {
  const hour = hourWith(luck);
  const begun = playedIn(beginRun(hour, { runId: idOf(1), hourId: idOf(2) }, AT), idOf(11));
  const run = nextPart(playedIn(nextPart(begun, hour, AT), idOf(12)), hour, AT);
  const result = (score: number, isOver: boolean): Result => ({ spec: game(), over: isOver, score, met: false, said: `${score} points` });
  const results = new Map([
    [idOf(11), result(first, true)],
    [idOf(12), result(second, over)],
  ]);
  return render(<TestAgain hour={hour} run={run} results={results} units="imperial" />).container.textContent ?? '';
}

test('the difference, with how sure it is beyond luck', () => {
  // A third of the difference in √2 lucks: Φ(16/(√2·2)/3) = 0.970, Φ(8/(√2·2)/3) = 0.827, Φ(3/(√2·2)/3) = 0.638.
  expect(said(14, 30, 2)).toBe('14 points, then 30 points: 16 better. Surely better than before (97%).');
  expect(said(14, 22, 2)).toBe('14 points, then 22 points: 8 better. Likely better than before (83%).');
  expect(said(14, 17, 2)).toBe('14 points, then 17 points: 3 better. That could be luck.');
  expect(said(30, 14, 2)).toBe('30 points, then 14 points: 16 worse. Surely worse than before (97%).');
});

test('where luck is not known, only the difference; nothing before both are played out', () => {
  expect(said(14, 20, null).trim()).toBe('14 points, then 20 points: 6 better.');
  expect(said(14, 14, 2).trim()).toBe('14 points, then 14 points: the same.');
  expect(said(14, 20, 2, false)).toBe('');
});
