import { verdictOf, type BlockDone, type Told } from './verdict';

const told = (chanceBetter: number, more: Partial<Told> = {}): Told => ({ before: 0.31, since: 0.22, of: [48, 52], chanceBetter, ...more });
const block = (more: Partial<BlockDone> = {}): BlockDone => ({
  ...{ days: 8, done: 7, minutes: 360, minutesDone: 322, weeks: 4, tests: [1, 1] },
  shots: [{ shot: '10–20 yd chips', told: told(0.97), shows: 0.15, balls: 60 }],
  ...more,
});
const shots = (...chances: (number | null)[]) =>
  chances.map((chance, i) => ({
    shot: i === 0 ? '10–20 yd chips' : '6–10 ft putts',
    told: chance === null ? null : told(chance),
    shows: 0.15,
    balls: 60,
  }));

test('what was done, what changed and of how many balls, in the sign of the academy', () => {
  expect(verdictOf(block(), 'lost')).toEqual({
    done: '7 of 8 days done, 322 of 360 minutes.',
    changes: ['10–20 yd chips: better (97% sure), a real change. 0.31 strokes lost a shot before (48 balls), 0.22 since (52).'],
    says: 'It seems to be working: 10–20 yd chips got better.',
    alter: 'Move on to the next weak shot, and come back to this one now and then.',
  });
  expect(verdictOf(block(), 'gained').changes[0]).toContain('−0.31 strokes gained a shot before (48 balls), −0.22 since (52).');
});

test.each([
  ['likely is not enough to go by', shots(0.8), 'There may be a change, but it is too early to say.', 'Stay with these shots'],
  ['nothing to tell', shots(0.6), 'No change beyond luck. One of less than 0.15 strokes a shot would not show.', 'Stay with'],
  ['worse', shots(0.05), 'It does not seem to be working: 10–20 yd chips got worse.', 'Change how it is practised'],
  ['one each way', shots(0.95, 0.04), '10–20 yd chips got better, 6–10 ft putts got worse', 'Change how it is practised'],
  ['no test again', shots(null, null), 'It takes both tests to see whether it helped.', 'Play the test first and last next time.'],
])('%s', (_, of, says, alter) => {
  const verdict = verdictOf(block({ shots: of }), 'lost');
  expect(verdict.says).toContain(says);
  expect(verdict.alter).toContain(alter);
});

test('where so few balls show nothing, no limit is named', () => {
  const [one] = shots(0.5);
  const hardly = 'Any change could be luck: there are too few balls to tell.';
  expect(verdictOf(block({ shots: [{ ...one!, shows: null }] }), 'lost').says).toBe(hardly);
  // Fewer were played than were planned: what they would have shown is not said.
  expect(verdictOf(block({ shots: [{ ...one!, balls: 70 }] }), 'lost').says).toBe(hardly);
  // Of two shots the one of which most can be seen.
  const [, putts] = shots(0.5, 0.5);
  expect(verdictOf(block({ shots: [one!, { ...putts!, shows: null }] }), 'lost').says).toContain('One of less than 0.15');
});

test('less than half done says nothing about the plan, whatever the balls say; fewer days are advised', () => {
  const verdict = verdictOf(block({ done: 3, minutesDone: 120 }), 'lost');
  expect(verdict.says).toBe('Less than half was done, too little to judge the plan.');
  expect(verdict.alter).toBe('Plan 1 day a week: that is what you managed.');
  expect(verdictOf(block({ days: 12, done: 8 }), 'lost').alter).toBe('Plan 2 days a week: that is what you managed.');
  expect(verdictOf(block({ days: 12, done: 9 }), 'lost').alter).not.toContain('days a week');
});

test('a test that was not played is named', () => {
  const [none] = shots(null);
  const says = (tests: [number, number]) => verdictOf(block({ tests, shots: [none!] }), 'lost').changes[0];
  expect(says([0, 1])).toBe('10–20 yd chips: the first test was not played, so there is nothing to compare.');
  expect(says([1, 0])).toBe('10–20 yd chips: the re-test was not played, so there is nothing to compare.');
  expect(says([1, 1])).toBe('10–20 yd chips: too few balls, so there is nothing to compare.');
});
