import fc from 'fast-check';
import { ft, game, holed, left, playList, station } from '../testing/make';
import { shareOut } from '../math/share-out';
import { budgetOf, sayMinutes, sayTimes, shortened, timesOf } from './budget';
import { gameFileName, readGameFile, writeGameFile } from './file';
import { goalInWords } from './words/goal-words';
import { LIBRARY } from './library';
import { canAlternate } from './order';
import { lotsOf } from './phases';
import { answered, clubRefusal, NO_ANSWERS, nextQuestion, sayAsked, type Bag } from '../play/questions';
import { PLAIN_RULES } from './rules';
import { SCHEME_KINDS, schemeOf } from './scoring';
import { sayScore, scoreFigure } from './words/say-score';
import { fittedM, NOMINAL_M, sayRadius, SIZE_UNITS, unitFor, unitM } from './sizes';
import { gameSpecSchema, type GameSpec } from './spec';

describe('time and balls', () => {
  test('one station of three chips from 15 yd, worked out by hand', () => {
    const budget = budgetOf(game({ stations: [station('a', { balls: 3 })] }));
    // 3 strokes of 24 s; once to the hole and back, 2 × 13.716 m at 1.2 m/s; 2 s to pick each ball up.
    expect(budget.hittingS).toBe(72);
    expect(budget.walkingS).toBe(0);
    expect(budget.collectingS).toBeCloseTo(22.86 + 6, 6);
    expect([budget.puttingS, budget.balls, sayMinutes(budget.totalS)]).toEqual([0, 3, 'about 2 min']);
  });

  test('a group takes longer than one player and less than as many players one after another', () => {
    for (const { spec } of LIBRARY.filter((entry) => !entry.spec.open)) {
      const [one, four] = [budgetOf(spec), budgetOf(spec, 4)];
      expect(four.totalS).toBeGreaterThan(one.totalS);
      expect(four.totalS).toBeLessThan(4 * one.totalS + 1);
      expect(one.balls).toBeGreaterThan(0);
    }
  });

  test('four at four stations take the time of one, four at one that of four, and who plays in rounds stays together', () => {
    const four = game({ stations: ['a', 'b', 'c', 'd'].map((key) => station(key)) });
    expect(timesOf(four, 4)).toMatchObject({ alone: timesOf(four, 4).apart, together: budgetOf(four, 4).totalS });
    expect(timesOf(four, 8).apart).toBe(budgetOf(four, 2).totalS);
    expect(timesOf(game({ stations: [station('a')] }), 4).apart).toBeNull();
    expect(sayTimes(four)).toBe('about 7 min alone; for four about 25 min taking turns, about 7 min with a station each');
    const rounds = game({ scoring: { scheme: 'nearest_wins', firstTo: 3, ties: 'nobody', callPoints: null, farM: 9 }, order: 'serial' });
    expect(timesOf(rounds, 4).apart).toBeNull();
  });

  test('a short version keeps the proportions to the nearest ball, fits the time and is a valid game', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 2, maxLength: 6 }),
        fc.integer({ min: 2, max: 12 }),
        fc.constantFrom('blocked' as const, 'serial' as const, 'random' as const),
        (balls, minutes, order) => {
          const stations = balls.map((n, i) => station(`s${i}`, { balls: n }));
          const scoring = { scheme: 'hits', radiusM: ft(6) } as const;
          if (order === 'random' && !canAlternate(lotsOf(scoring, stations))) return;
          const spec = game({ stations, order, scoring, goal: 1 });
          const short = shortened(spec, minutes);
          if (!short) return;
          expect(budgetOf(short).totalS).toBeLessThanOrEqual(minutes * 60);
          expect(gameSpecSchema.safeParse(short).error).toBeUndefined();
          const total = balls.reduce((a, b) => a + b, 0);
          const kept = short.stations.reduce((sum, one) => sum + one.balls, 0);
          balls.forEach((n, i) => {
            const now = short.stations.find((one) => one.key === `s${i}`)?.balls ?? 0;
            expect(Math.abs(now - (n * kept) / total)).toBeLessThan(1);
          });
        },
      ),
    );
  });

  test('in a random order no station keeps more balls than can be kept apart', () => {
    // Of 4, 4 and 9 balls, 14 would be 3, 3 and 8: eight balls can't be kept apart by six.
    const spec = game({
      stations: [4, 4, 9].map((balls, i) => station(`s${i}`, { balls })),
      order: 'random',
      scoring: { scheme: 'hits', radiusM: ft(6) },
      goal: 1,
    });
    for (let minutes = 2; minutes <= 12; minutes++) {
      const short = shortened(spec, minutes);
      if (short) expect(gameSpecSchema.safeParse(short).error).toBeUndefined();
    }
  });

  test('what fits has no short version, and a small share still spans the list', () => {
    expect(shortened(game(), 60)).toBeNull();
    expect(shareOut([1, 1, 1, 1], 2)).toEqual([1, 0, 1, 0]);
    expect(shareOut([6, 3, 3], 4)).toEqual([2, 1, 1]);
  });
});

test.each<[string, Partial<GameSpec>, string]>([
  [
    'strokes',
    {
      scoring: schemeOf({ scheme: 'hole_out' }).fresh('imperial'),
      stations: 'abcdefg'.split('').map((key) => station(key, { balls: 1 })),
      goal: 17,
    },
    '17 over seven stations: four in two, three in three.',
  ],
  ['points that come out even', { goal: 18 }, '18 over 6 balls: three inside 3 ft, three inside 6 ft.'],
  ['points that do not', { goal: 25 }, '25 over 6 balls: one holed, five inside 3 ft (which makes 26).'],
  ['the best there is', { goal: 36 }, '36 over 6 balls: each holed.'],
  ['hits', { scoring: { scheme: 'hits', radiusM: ft(6) }, goal: 3 }, '3 of 6 balls.'],
  ['feet', { scoring: { scheme: 'total_left', farM: ft(30) }, goal: ft(24) }, '24 ft over 6 balls: 4 ft each on average.'],
])('a goal in words: %s', (_, change, words) => {
  expect(goalInWords(game(change), 'imperial')).toBe(words);
});

test('every way of scoring puts its goal into words', () => {
  for (const { spec } of LIBRARY) expect(goalInWords(spec, 'metric') === null).toBe(spec.goal === null);
  expect(goalInWords(game(), 'imperial')).toBeNull();
});

describe('the library', () => {
  test('has every scheme, all families of shots, all orders, open games and phases, short and long ones', () => {
    expect(LIBRARY.length).toBeGreaterThanOrEqual(16);
    expect(new Set(LIBRARY.map(({ spec }) => spec.scoring.scheme))).toEqual(new Set(SCHEME_KINDS));
    const types = new Set(LIBRARY.flatMap(({ spec }) => spec.stations.map((one) => one.shotType)));
    expect(types).toEqual(new Set(['putt', 'fringe_putt', 'bump_and_run', 'chip', 'pitch', 'lob', 'bunker']));
    expect(new Set(LIBRARY.map(({ spec }) => spec.order))).toEqual(new Set(['blocked', 'serial', 'random']));
    expect(LIBRARY.some(({ spec }) => spec.open) && LIBRARY.some(({ spec }) => spec.leadIn.length > 0)).toBe(true);
    const minutes = LIBRARY.filter(({ spec }) => !spec.open).map(({ spec }) => budgetOf(spec).totalS / 60);
    for (const [from, to] of [
      [0, 6],
      [9, 18],
      [25, 40],
    ] as const)
      expect(minutes.filter((m) => m >= from && m <= to).length).toBeGreaterThan(0);
    expect(new Set(LIBRARY.map(({ audience }) => audience)).size).toBe(4);
  });

  test('each has its own name and key, and one clear line', () => {
    for (const { spec } of LIBRARY) expect(spec.about).toMatch(/^.{40,200}[.?]$/);
    expect(new Set(LIBRARY.flatMap(({ key, spec }) => [key, spec.title])).size).toBe(2 * LIBRARY.length);
  });
});

describe('game files', () => {
  test('a game comes back byte for byte', () => {
    for (const { spec } of LIBRARY) {
      const file = writeGameFile(spec);
      const back = readGameFile(file);
      expect('game' in back && writeGameFile(back.game)).toBe(file);
    }
  });

  test('the keys come in one order, whatever the order they had', () => {
    const reversed = Object.fromEntries(Object.entries(game()).reverse()) as GameSpec;
    expect(writeGameFile(reversed)).toBe(writeGameFile(game()));
  });

  test('a file says what is missing only where there is no plain default', () => {
    const { order: _order, rules: _rules, leadIn: _leadIn, about: _about, open: _open, ...plain } = game();
    expect(readGameFile(JSON.stringify(plain))).toEqual({ game: game() });
  });

  test.each([
    ['not json', 'This isn’t a game file: it isn’t JSON.'],
    ['[]', 'a game is one object'],
    ['{"format":"other"}', 'its format isn’t'],
    ['{"format":"inch-game","version":9}', 'reads files up to version 3'],
    ['"' + 'x'.repeat(600_000) + '"', 'too large'],
  ])('%.30s is refused', (text, reason) => {
    const read = readGameFile(text);
    expect('problems' in read && read.problems[0]!.message).toContain(reason);
  });

  test('two hundred malformed files are each refused with a path and a reason', () => {
    const files = LIBRARY.map(({ spec }) => JSON.parse(writeGameFile(spec)) as object);
    let refused = 0;
    fc.assert(
      fc.property(
        fc.constantFrom(...files),
        fc.nat(),
        fc.constantFrom<unknown>(null, -1, 1e9, 'x', '', [], {}, true, [null], NaN),
        fc.boolean(),
        (file, where, value, remove) => {
          const { text, changed } = damaged(file, where, value, remove);
          const read = readGameFile(text);
          // A change can hit on a value that is just as good; then the file is a game, and comes back as it is.
          if ('game' in read) return void expect(readGameFile(writeGameFile(read.game))).toEqual(read);
          refused += 1;
          expect(read.problems.length).toBeGreaterThan(0);
          for (const problem of read.problems) expect(problem.message).toMatch(/\w{3,}/);
          expect(changed.length > 0 && read.problems.some((problem) => problem.path !== '' || changed.length < 2)).toBe(true);
        },
      ),
      { numRuns: 450, seed: 7 },
    );
    expect(refused).toBeGreaterThanOrEqual(200);
  });

  test('a file is named after its game', () => {
    expect([gameFileName('Past the Cup!'), gameFileName('ÄÖ é'), gameFileName('高い')]).toEqual([
      'past-the-cup.inch-game.json',
      'a-o-e.inch-game.json',
      'game.inch-game.json',
    ]);
  });
});

/** A file with one of its values changed or taken out, and where that was. */
function damaged(file: object, where: number, value: unknown, remove: boolean) {
  const copy = structuredClone(file) as Record<string, unknown>;
  const places: { holder: Record<string, unknown>; key: string; path: string[] }[] = [];
  const walk = (holder: Record<string, unknown>, path: string[]) => {
    for (const key of Object.keys(holder)) {
      places.push({ holder, key, path: [...path, key] });
      if (holder[key] !== null && typeof holder[key] === 'object') walk(holder[key] as Record<string, unknown>, [...path, key]);
    }
  };
  walk(copy, []);
  const { holder, key, path } = places[where % places.length]!;
  if (remove) delete holder[key];
  else holder[key] = value;
  return { text: JSON.stringify(copy), changed: path };
}

describe('sizes', () => {
  test('round trips through every unit', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SIZE_UNITS),
        fc.integer({ min: 1, max: 60 }),
        fc.double({ min: 0.5, max: 1.5, noNaN: true }),
        (unit, tenths, own) => {
          const sizes = { unit, of: 'fixed', fixedM: null, scaled: false } as const;
          const radiusM = (tenths / 10) * unitM(sizes);
          const there = fittedM(radiusM, sizes, { unitM: own, scale: 1 });
          expect(Math.abs(there / own - tenths / 10)).toBeLessThan(2e-4);
        },
      ),
    );
  });

  test('whose measure it is', () => {
    const player = { paceM: 0.7, clubM: null, putterM: 0.8 };
    const coach = { paceM: 0.95, clubM: 0.9, putterM: null, flagstickM: 2 };
    const of = (unit: (typeof SIZE_UNITS)[number], whose: 'player' | 'coach' | 'fixed', fixedM: number | null = null) =>
      unitFor({ unit, of: whose, fixedM, scaled: false }, player, coach);
    expect([
      of('pace', 'player'),
      of('pace', 'coach'),
      of('club', 'player'),
      of('flagstick', 'coach'),
      of('putter', 'fixed', 0.87),
      of('ft', 'fixed'),
    ]).toEqual([0.7, 0.95, NOMINAL_M.club, 2, 0.87, NOMINAL_M.ft]);
  });

  test('a radius is said in its unit', () => {
    const say = (unit: (typeof SIZE_UNITS)[number], radiusM: number, system: 'imperial' | 'metric' = 'imperial') =>
      sayRadius(radiusM, { unit, of: 'fixed', fixedM: null, scaled: false }, system);
    expect([say('ft', ft(6)), say('ft', ft(6), 'metric'), say('club', 2 * 0.889), say('pace', 0.9144)]).toEqual([
      '6 ft',
      '1.8 m',
      '2 clubs',
      '1 pace',
    ]);
  });
});

test('a score is said with what it counts', () => {
  expect([
    sayScore(1, 'hits', 'imperial'),
    sayScore(-1.5, 'points', 'imperial'),
    sayScore(ft(23.25), 'length', 'imperial'),
    sayScore(6, 'in a row', 'metric'),
  ]).toEqual(['1 hit', '−1.5 points', '23 ft 3', '6 in a row']);
  expect(scoreFigure(ft(4.25), 'length', 'imperial')).toBe('4 ft 3');
});

describe('what is asked of a ball', () => {
  const bag: Bag = { clubs: ['8 iron', '9 iron', 'PW', '54°'].map((label) => ({ clubId: null, label })), favourite: 'PW' };
  const standingOf = (spec: GameSpec, results: Parameters<typeof playList>[1] = []) => playList(spec, results).table.standings[0]!;
  const ask = (spec: GameSpec, results: Parameters<typeof playList>[1] = [], answers = NO_ANSWERS) => {
    const standing = standingOf(spec, results);
    return nextQuestion(standing, standing.next!, bag, answers);
  };
  const refusedClubs = (spec: GameSpec, results: Parameters<typeof playList>[1] = []) =>
    ask(spec, results)!
      .keys.filter((key) => key.refused)
      .map((key) => [key.text, key.refused]);
  const withRules = (change: object) => game({ stations: [station('a', { balls: 4 })], rules: { ...PLAIN_RULES, ...change } });
  const using = (clubLabel: string, trajectory: 'low' | 'medium' | 'high' | null = null) => ({ ...left(3), clubLabel, trajectory });

  test('a plain game asks one thing', () => {
    const question = ask(game())!;
    expect(question.kind).toBe('result');
    expect(ask(game(), [], answered(NO_ANSWERS, question, question.keys[0]!))).toBeNull();
  });

  test('the favourite stays in the bag, no club comes twice, neighbours do not follow', () => {
    expect(refusedClubs(withRules({ favouriteBanned: true }))).toEqual([['PW', 'the favourite']]);
    expect(refusedClubs(withRules({ clubOnce: true }), [using('9 iron')])).toEqual([['9 iron', 'used']]);
    expect(refusedClubs(withRules({ clubsApart: true }), [using('PW')])).toEqual([
      ['9 iron', 'a neighbour'],
      ['54°', 'a neighbour'],
    ]);
  });

  test('no shot twice: the flight is asked too, and a club is used up with its last flight', () => {
    const spec = withRules({ shotOnce: true });
    const club = answered(NO_ANSWERS, ask(spec)!, ask(spec)!.keys[2]!);
    const flights = ask(spec, [using('PW', 'low')], club)!;
    expect([flights.kind, flights.keys.filter((key) => key.refused).map((key) => key.text)]).toEqual(['flight', ['low']]);
    expect(refusedClubs(spec, [using('PW', 'low'), using('PW', 'medium'), using('PW', 'high')])).toEqual([['PW', 'used']]);
  });

  test('where no club is left, it is said, and the player picks which rule gives way', () => {
    const standing = standingOf(
      withRules({ clubOnce: true }),
      bag.clubs.slice(0, 3).map((club) => using(club.label)),
    );
    const small = { ...bag, clubs: bag.clubs.slice(0, 3) };
    expect(clubRefusal(standing, standing.next!, small, '8 iron')).toBeNull();
    const question = nextQuestion(standing, standing.next!, small, NO_ANSWERS)!;
    expect(question.title).toBe('The rules leave no club. Which one did you use?');
    expect(question.keys.map(({ refused, despite }) => [refused, despite])).toEqual(Array(3).fill([undefined, 'used']));
  });

  test('a one-sided zone asks for the side, unless the ball is holed or its direction is known', () => {
    const spec = withRules({ goodSide: 'long' });
    const main = ask(spec)!;
    const ring = answered(NO_ANSWERS, main, main.keys[1]!);
    const side = ask(spec, [], ring)!;
    expect(side.keys.map((key) => [key.text, key.result.bearingDeg])).toEqual([
      ['past the hole', 0],
      ['short of it', 180],
    ]);
    const done = answered(ring, side, side.keys[1]!);
    expect([ask(spec, [], done), done.given.bearingDeg, done.given.leftMaxM]).toEqual([null, 180, ft(3)]);
    expect(ask(spec, [], { given: holed, result: true })).toBeNull();
    expect(ask(spec, [], { given: left(4, 30), result: true })).toBeNull();
  });

  test('a call, and the strokes where it is putted out', () => {
    const calls = game({ scoring: { scheme: 'nearest_wins', firstTo: null, ties: 'nobody', callPoints: 1, farM: ft(30) } });
    expect(nextQuestion(standingOf(calls), standingOf(calls).next!, bag, { given: left(4), result: true })?.kind).toBe('kept');
    // What is called is asked before the ball.
    expect(nextQuestion(standingOf(calls), standingOf(calls).next!, bag, NO_ANSWERS)?.kind).toBe('call');
    expect(ask(withRules({ puttOut: 'each' }), [], { given: left(4), result: true })?.kind).toBe('strokes');
  });

  test('what a ball must be is said', () => {
    const matrix = game({ stations: [station('a', { balls: 1 })], scoring: schemeOf({ scheme: 'shot_matrix' }).fresh('imperial') });
    expect(sayAsked(standingOf(matrix).next!)).toBe('low straight');
    const trial = game({ scoring: schemeOf({ scheme: 'club_trial' }).fresh('imperial') });
    expect(sayAsked(standingOf(trial).next!)).toBe('with the 8 iron');
  });
});
