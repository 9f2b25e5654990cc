import { between, ft, holed, idOf, left, record, game, shot, voidOf } from '../testing/make';
import { conditionsSchema, sayConditions, stationDistanceSchema, withSession } from './conditions';
import { finishingPutts, withFinishing } from './finishing';
import { changesOf } from './history';
import { sayMarks, sayResult } from './say-shot';
import type { Shot, ShotEvent } from './shot';

describe('a ball in words', () => {
  test.each([
    [shot({}, holed), 'holed'],
    [shot({ target: 'peg' }, holed), 'struck the peg'],
    [shot({}, left(4.25, 180)), '4 ft 3, short'],
    [shot({}, between(0, 3)), 'inside 3 ft'],
    [shot({}, between(3, 6)), '3 ft to 6 ft'],
    [shot({}, between(10, null)), 'outside 10 ft'],
    [shot({}, between(0, null)), 'missed'],
    [shot({ strokes: 3 }, left(4)), '3 strokes, 4 ft left'],
    [shot({ strokes: 1 }, holed), '1 stroke, holed'],
    [shot({ nBalls: 3, sumLeftM: ft(14) }, { ...left(1), leftM: null }), '3 balls, 14 ft in all'],
    [shot({ landed: false }, { ...holed, holed: false }), 'missed the zone'],
    [shot({ executed: true }, { ...holed, holed: false }), 'as asked'],
    [shot({}, { ...holed, holed: false }), 'no result'],
  ])('%#: %s', (ball, words) => expect(sayResult(ball, 'imperial')).toBe(words));

  test('what is marked on it, and nothing that is ordinary', () => {
    expect(sayMarks({ counts: 'ordinary', sit: 'clean', stance: 'flat', penalty: 0 }, 'imperial')).toBe('');
    expect(
      sayMarks({ counts: 'collided', mishit: 'thin', finish: 'sand', penalty: 1, stance: 'uphill', clubLabel: '50°' }, 'imperial'),
    ).toBe('struck another ball · thin · in sand, 1 penalty · uphill · 50°');
    expect(sayMarks({ finish: 'out', landingErrorM: ft(-3), intendedM: ft(30), swingMark: 'hip' }, 'imperial')).toBe(
      'out of play · to hip · played for 30 ft · landed 3 ft short',
    );
  });
});

describe('the putts inside a record of strokes', () => {
  const chip = (more: Partial<Shot>) => finishingPutts(shot({ strokes: 2, ...more }, left(4)));
  test('a chip left 4 ft away and finished in two holds a holed putt of 4 ft', () => {
    expect(chip({})).toEqual({ distanceM: ft(4), strokes: 1 });
    expect(chip({ strokes: 4 })).toEqual({ distanceM: ft(4), strokes: 3 });
  });
  test('off the green, unmeasured, holed or marked it holds none', () => {
    expect([
      chip({ finish: 'sand' }),
      chip({ strokes: 4, penalty: 1 }),
      chip({ leftM: null }),
      chip({ strokes: null }),
      chip({ counts: 'rehit' }),
      chip({ strokes: 1 }),
    ]).toEqual(Array(6).fill(null));
    expect(finishingPutts(shot({ strokes: 1 }, holed))).toBeNull();
    expect(chip({ finish: 'green' })).not.toBeNull();
  });
});

test('as balls of their own they are putts, holed where one was enough', () => {
  const [chip, putt] = withFinishing([shot({ strokes: 2 }, left(4))]);
  expect(chip).toMatchObject({ shotType: 'chip', strokes: 2 });
  expect(putt).toMatchObject({ shotType: 'putt', surface: 'green', distanceM: ft(4), holed: true, leftM: null, strokes: 1 });
  expect(withFinishing([shot({ strokes: 3 }, left(4))])[1]).toMatchObject({ holed: false, strokes: 2 });
  expect(withFinishing([shot({}, left(4))])).toHaveLength(1);
});

test('changes are told with what was there before; what is said of a removed ball is none', () => {
  const spec = game();
  const first = record(spec, 0, left(5));
  const amend: ShotEvent = { ...voidOf(first, 1), kind: 'amend', payload: { leftM: ft(4) } };
  const [removed, late] = [voidOf(first, 2), { ...voidOf(first, 3), eventId: idOf(9) }];
  const changes = changesOf([first, record(spec, 1, holed), amend, removed, late]);
  expect(changes.map(({ before, after }) => [before.leftM, after?.leftM ?? null])).toEqual([
    [ft(5), ft(4)],
    [ft(4), null],
  ]);
});

describe('what a session says', () => {
  test('a ball takes the corrected distance and the day, where it says nothing itself', () => {
    const facts = { stations: [{ key: 'a', distanceM: 12, source: 'tape' as const }], conditions: { stimpFt: 9, wind: 'behind' } };
    const own = withSession(shot({ stationKey: 'a', stimpFt: 11 }, left(5)), facts);
    expect(own).toMatchObject({ distanceM: 12, stimpFt: 11, wind: 'behind', firmness: null });
    expect(withSession(own, facts)).toEqual(own);
    expect(withSession(shot({ stationKey: 'b', distanceM: 20 }, left(5)), facts).distanceM).toBe(20);
  });

  test('the day in words, and what can be no day or distance', () => {
    expect(sayConditions({ stimpFt: 9, firmness: 'firm', wet: false, wind: 'behind', ball: 'place' })).toBe(
      'speed 9 ft, firm, dry, wind behind, balls placed',
    );
    expect(sayConditions({})).toBe('');
    expect(conditionsSchema.safeParse({ stimpFt: 30 }).error?.issues[0]?.message).toBe('A green speed is 3 to 16 ft.');
    const wrong = (distanceM: unknown) =>
      stationDistanceSchema.safeParse({ key: 'a', distanceM, source: 'tape' }).error?.issues[0]?.message;
    expect([wrong(undefined), wrong(0), wrong(200)]).toEqual(['Enter the distance.', 'Enter a distance above 0.', 'At most 150 m.']);
  });
});
