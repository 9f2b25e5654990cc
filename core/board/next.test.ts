import type { Finding } from '../skill/diagnose';
import type { Lost } from '../skill/judge';
import { ranksOf } from '../skill/ranks';
import { briefOf } from './brief';
import { nextOf, roundly, sayNext } from './next';
import { weakestOf } from './settle';

/** Shots by their strokes lost in a round: the middle, how far it is known (a spread of equal steps) and the balls. */
function judged(rows: [key: string, middle: number, spread: number, balls: number][], perBall = 0.3) {
  const lost: Lost = rows.map(([, middle, spread], row) =>
    // Draws that know nothing of those of another row.
    Float64Array.from({ length: 400 }, (_, i) => middle + spread * (((i * (7 + 4 * row)) % 400) / 200 - 1)),
  );
  const ranks = ranksOf(lost);
  const findings = rows.map(([key, , , balls], i): Finding => {
    const [shotType, surface, min] = key.split('|') as [Finding['shotType'], Finding['surface'], string];
    return {
      key,
      shotType,
      surface,
      band: { min: Number(min), max: Number(min) + 10, unit: 'yd' },
      distanceM: 10,
      inRound: true,
      balls,
      ranked: true,
      lastAt: null,
      expectedStrokes: 3,
      referenceStrokes: 2.9,
      uses: 1,
      perBall,
      perShot: ranks[i]!,
      perRound: ranks[i]!,
    };
  });
  return { findings, lost, noPlace: 0 };
}
const say = (rows: Parameters<typeof judged>[0], balls = 100) => {
  const all = judged(rows);
  const next = nextOf(all, weakestOf(all, 'round'), 'round', balls);
  return { why: next.why, cells: [...next.cells], says: sayNext(next, all.findings, balls) };
};

const good = ['chip|fringe|0', -0.2, 0.05, 40] as [string, number, number, number];

test('a weakness that is clear is practised', () => {
  const { why, cells, says } = say([good, ['pitch|light_rough|20', 0.5, 0.1, 30], ['chip|fairway|10', 0.05, 0.05, 30]]);
  expect([why, cells, says]).toEqual(['weakest', [1], 'Next, practise 20–30 yd pitches from light rough.']);
});

test('of two that are close, both are hit until it shows which is weaker; where no reasonable number would show it, both are practised', () => {
  const close = say([good, ['pitch|light_rough|20', 0.5, 0.3, 30], ['chip|fairway|10', 0.4, 0.3, 30]]);
  expect(close).toMatchObject({ why: 'close', cells: [1, 2] });
  expect(close.says).toMatch(
    /^About \d+ more balls each of 20–30 yd pitches from light rough and 10–20 yd chips from the fairway would show/,
  );
  const same = say([good, ['pitch|light_rough|20', 0.5, 0.3, 30], ['chip|fairway|10', 0.4999, 0.3, 30]]);
  expect(same.says).toMatch(/are too close to separate, even with 300 more balls of each: practise both\.$/);
});

test('a shot never played that could be as weak is tried', () => {
  const { why, says } = say([
    ['pitch|light_rough|20', 0.3, 0.1, 30],
    ['lob|light_rough|10', 0.25, 0.4, 0],
  ]);
  expect([why, says]).toEqual(['unplayed', 'Next, hit a dozen 10–20 yd lobs from light rough.']);
});

test('without a weakness the balls go where one tells most, which is where least is known', () => {
  const { why, cells } = say([
    ['chip|fringe|0', -0.2, 0.05, 40],
    ['pitch|fairway|20', -0.3, 0.6, 5],
    ['chip|fairway|10', -0.1, 0.2, 20],
  ]);
  expect([why, cells]).toEqual(['least_known', [1, 2]]);
});

test('with hardly a ball it says how many are wanted for a first answer', () => {
  expect(say([good], 12)).toMatchObject({ why: 'new', says: 'Hit 8 more balls for a first answer.' });
  expect(say([good], 19).says).toBe('Hit 1 more ball for a first answer.');
});

test('balls to hit are said no more exactly than they are known', () => {
  expect([7, 23, 100, 141].map(roundly)).toEqual([7, 25, 100, 150]);
});

test('a player in a line: all shots together, the weakest with how sure it is, and what comes next, by keys', () => {
  const rows = judged([good, ['pitch|light_rough|20', 0.5, 0.1, 30], ['chip|fairway|10', 0.05, 0.05, 30]]);
  const brief = briefOf(rows, 100, null);
  expect(brief.lost.mean).toBeCloseTo(0.35, 1);
  expect(brief.weakest).toMatchObject({ key: 'pitch|light_rough|20', sure: 1, near: 0, clear: true });
  expect(brief.next).toEqual({ why: 'weakest', keys: ['pitch|light_rough|20'], balls: null });
});

test('where many are too close to call, none stands out', () => {
  const many = Array.from(
    { length: 10 },
    (_, i) => [`pitch|fairway|${10 * i}`, 0.2 + i / 1000, 0.4, 20] as [string, number, number, number],
  );
  const brief = briefOf(judged(many), 200, null);
  expect(brief.weakest).toMatchObject({ near: 9, clear: false });
  expect(brief.next.why).toBe('least_known');
});
