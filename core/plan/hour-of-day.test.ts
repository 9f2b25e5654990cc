import fc from 'fast-check';
import { secondsFor } from '../game/budget';
import { hourSchema } from '../hour/hour';
import { PRESETS } from '../hour/school';
import { game, idOf, station, yd } from '../testing/make';
import { weeksOf } from '../testing/make-weeks';
import { relaid, withBlock } from '../weeks/change';
import { AIMS, type Aim } from '../weeks/weeks';
import { hourOfDay } from './hour-of-day';

const test30 = {
  gameId: idOf(9),
  spec: game({ title: 'Test', stations: ['a', 'b'].map((key) => station(key, { distanceM: yd(15), balls: 15 })) }),
};
const takes = Math.ceil(secondsFor(test30.spec, 1) / 60);
let n = 100;
const weeks = withBlock(
  relaid(weeksOf(), '2026-03-02', () => idOf((n += 1))),
  0,
  { shots: ['chip|fairway|10'], game: test30 },
);
const outline = (aim: Aim, minutes = 50, of = weeks, players = 1) =>
  hourOfDay(of, { hourId: idOf(1), day: '2026-03-10', at: null, minutes, aim }, ['lob|sand|5'], players);
const kinds = (aim: Aim) => outline(aim).hour.parts.map(({ kind }) => kind);

test.each(['test', 'again'] as const)(
  'on a day of the %s its game is last, as long as it takes, and stays; the block’s shots before it',
  (aim) => {
    const { hour, shots } = outline(aim);
    const last = hour.parts.at(-1)!;
    expect(last).toMatchObject({ kind: 'game', title: 'Test', game: test30, pinned: true, minutes: takes });
    expect(shots).toEqual(['chip|fairway|10']);
    expect(hour).toMatchObject({ day: '2026-03-10', minutes: 50 });
  },
);

test('practice is for the shots of the block, or for what was left out', () => {
  expect(outline('practise').shots).toEqual(['chip|fairway|10']);
  expect(outline('neglected').shots).toEqual(['lob|sand|5']);
  expect(kinds('practise')).toContain('technique');
});

test('before the event nothing is repeated; at last only putts and a game as in a round', () => {
  expect(kinds('less')).not.toContain('technique');
  expect(kinds('rehearsal')).toEqual(['putting', 'game']);
  expect([outline('rehearsal').rehearses, outline('less').rehearses]).toEqual([true, false]);
});

test('whatever the school and however short: an hour that can be stored, its game last', () => {
  const schools = PRESETS.map(({ school }) => school);
  fc.assert(
    fc.property(
      fc.constantFrom(...AIMS),
      fc.integer({ min: 5, max: 180 }),
      fc.constantFrom(...schools),
      fc.integer({ min: 1, max: 24 }),
      (aim, minutes, school, players) => {
        const { hour } = outline(aim, minutes, { ...weeks, school }, players);
        expect(hourSchema.parse(hour)).toEqual(hour);
        expect(hour.parts.at(-1)!.kind).toBe('game');
        expect(hour.minutes).toBe(minutes);
      },
    ),
    { numRuns: 200 },
  );
});
