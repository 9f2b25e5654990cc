import fc from 'fast-check';
import { entrants, game, playOut, station, yd, ft } from '../testing/make';
import { blankBall, compile } from './compile';
import type { Entrant } from '../game/entrant';
import { LIBRARY } from '../game/library';
import { PLAIN_RULES, type Rules } from '../game/rules';
import { SCHEME_KINDS, schemeOf, type Scoring } from '../game/scoring';
import type { Result } from '../game/scoring/ball';
import type { KernelBall } from '../game/scoring/kernel';
import { gameSpecSchema, type GameSpec } from '../game/spec';

/** Where a ball ended, with everything known: what a simulation makes, and what a record says. */
type Outcome = Omit<KernelBall, 'goodSide'> & { long: boolean };

const anyOutcome: fc.Arbitrary<Outcome> = fc.record({
  holed: fc.boolean(),
  leftM: fc.integer({ min: 1, max: 120_000 }).map((n) => n / 1e4),
  long: fc.boolean(),
  onGreen: fc.boolean(),
  landed: fc.boolean(),
  strokes: fc.integer({ min: 2, max: 9 }),
  executed: fc.boolean(),
});

function asResult(o: Outcome): Result {
  const { holed, landed, executed } = o;
  return {
    holed,
    leftM: holed ? null : o.leftM,
    leftMinM: null,
    leftMaxM: null,
    bearingDeg: holed ? null : o.long ? 10 : 190,
    measured: 'tape',
    strokes: holed ? 1 : o.strokes,
    landed,
    executed,
    finish: holed ? null : o.onGreen ? 'green' : 'rough',
  };
}

function asKernel(o: Outcome, rules: Rules, into: KernelBall): KernelBall {
  return Object.assign(into, o, { goodSide: rules.goodSide === null || (rules.goodSide === 'long') === o.long });
}

/** Plays both ways and compares after every ball whose turn it is, from where, and all scores. */
function compareBoth(spec: GameSpec, people: Entrant[], outcomes: readonly Outcome[], seed: number) {
  const stepper = compile(spec, people, seed);
  stepper.reset();
  const ball = blankBall();
  const { table } = playOut(
    spec,
    (turn, seat, n) => {
      expect(stepper.turn()).toBe(seat);
      expect(spec.stations[stepper.station(seat)]!.key).toBe(turn.station.key);
      const outcome = outcomes[n % outcomes.length]!;
      stepper.take(seat, asKernel(outcome, spec.rules, ball));
      return asResult(outcome);
    },
    { people, seed },
  );
  expect(stepper.turn()).toBe(-1);
  const asPlayed = () =>
    table.standings.forEach((standing, seat) => {
      expect(stepper.score(seat)).toBeCloseTo(standing.score, 8);
      expect(stepper.perfect(seat)).toBe(standing.early === 'perfect');
    });
  asPlayed();
  // The same balls in one go.
  let n = 0;
  const source = { hit: (_at: number, into: KernelBall) => void asKernel(outcomes[n++ % outcomes.length]!, spec.rules, into) };
  expect(stepper.play(people.map(() => source))).toBe(n);
  asPlayed();
}

const radius = fc.constantFrom(0, ft(3), ft(6));
const anyScoring: Record<Scoring['scheme'], fc.Arbitrary<Scoring>> = {
  ring_points: fc.constant(schemeOf({ scheme: 'ring_points' }).fresh('imperial')),
  total_left: fc.constant({ scheme: 'total_left', farM: ft(20) }),
  hits: radius.map((radiusM) => ({ scheme: 'hits', radiusM })),
  landing_zone: fc.constantFrom(null, ft(8)).map((finishM) => ({ scheme: 'landing_zone', shape: 'circle', sizeM: ft(3), finishM })),
  hole_out: fc.record({
    scheme: fc.constant('hole_out'),
    counts: fc.constantFrom('strokes', 'in_par'),
    pickUpAfter: fc.constant(5),
    extraFromLevel: fc.constantFrom(null, 10),
  }),
  ladder: fc
    .record({
      scheme: fc.constant('ladder' as const),
      radiusM: radius,
      drop: fc.integer({ min: 0, max: 3 }),
      bottom: fc.constantFrom<'floor' | 'end'>('floor', 'end'),
      counts: fc.constantFrom<'balls' | 'rungs'>('balls', 'rungs'),
      mostBalls: fc.integer({ min: 4, max: 20 }),
      byTurns: fc.boolean(),
    })
    .map((scoring) => (scoring.byTurns ? { ...scoring, counts: 'rungs' as const } : scoring)),
  nearest_wins: fc.record({
    scheme: fc.constant('nearest_wins' as const),
    firstTo: fc.constantFrom(null, 2, 4),
    ties: fc.constantFrom('nobody', 'each'),
    callPoints: fc.constantFrom(null, 1),
    farM: fc.constant(ft(20)),
  }),
  shot_matrix: fc.constantFrom(null, ft(20)).map((farM) => ({
    scheme: 'shot_matrix',
    route: [],
    farM,
    trajectory: ['low', 'high'],
    shape: ['draw', 'fade'],
    swingWidth: [],
  })),
  unscored: fc.constant({ scheme: 'unscored', cue: '', flights: [] }),
  club_trial: fc.constant({ scheme: 'club_trial', clubs: ['PW', '54°', '58°'], farM: ft(20) }),
  streak: fc.record({
    scheme: fc.constant('streak' as const),
    radiusM: radius,
    until: fc.constantFrom(2, 3),
    counts: fc.constantFrom('run', 'balls'),
  }),
};

const RULES: Partial<Rules>[] = [
  {},
  { goodSide: 'long' },
  { goodSide: 'short', wrongSideCost: 1.5 },
  { offGreenCost: 2 },
  { endOnPerfectRound: true },
];
const ORDER_LIST = ['blocked', 'serial', 'serial_twice', 'random'] as const;

test.each(SCHEME_KINDS)('%s: the compiled game equals the reducer, ball for ball', (kind) => {
  const players = schemeOf({ scheme: kind }).players;
  const one = !schemeOf({ scheme: kind }).countsBalls;
  const make = (scoring: Scoring, order: GameSpec['order'], rules: Partial<Rules>, balls: readonly number[]) => {
    const stations = balls.map((n, i) => station(`s${i}`, { balls: one ? 1 : n, carryM: yd(4), par: 2 }));
    return gameSpecSchema.safeParse({ ...game(), stations, scoring, order, rules: { ...PLAIN_RULES, ...rules } });
  };
  const fresh = fc.sample(anyScoring[kind], 1)[0]!;
  const combinations = RULES.flatMap((rules) => ORDER_LIST.map((order) => ({ rules, order }))).filter(
    ({ rules, order }) => make(fresh, order, rules, [2, 2]).success,
  );
  expect(combinations.length).toBeGreaterThan(0);
  let compared = 0;
  fc.assert(
    fc.property(
      anyScoring[kind],
      fc.constantFrom(...combinations),
      fc.array(fc.integer({ min: 1, max: 3 }), { minLength: 2, maxLength: 4 }),
      fc.array(anyOutcome, { minLength: 5, maxLength: 25 }),
      fc.integer({ min: players, max: 3 }),
      fc.nat(1000),
      (scoring, { rules, order }, balls, outcomes, seats, seed) => {
        const parsed = make(scoring, order, rules, balls);
        // What the schema refuses is no game; that most are games is checked below.
        if (!parsed.success) return;
        compared += 1;
        const people = entrants(seats).map((entrant, i) => ({ ...entrant, level: 5 + 10 * i, allowance: i / 2 }));
        compareBoth(parsed.data, people, outcomes, seed);
      },
    ),
    { numRuns: 25 },
  );
  expect(compared).toBeGreaterThan(10);
});

test('games with phases and with balls hit again end for any results too', () => {
  const others = LIBRARY.filter((entry) => entry.spec.leadIn.length > 0 || entry.spec.rules.attempts !== 'first');
  expect(others.length).toBeGreaterThanOrEqual(2);
  for (const { spec } of others)
    fc.assert(
      fc.property(fc.array(anyOutcome, { minLength: 1, maxLength: 12 }), (outcomes) => {
        expect(playOut(spec, (_turn, _seat, n) => asResult(outcomes[n % outcomes.length]!)).table.over).toBe(true);
      }),
      { numRuns: 10 },
    );
});

test('every library game ends for any results, and its compiled form agrees', () => {
  for (const { spec } of LIBRARY.filter(
    (entry) => !entry.spec.open && entry.spec.leadIn.length === 0 && entry.spec.rules.attempts === 'first',
  ))
    fc.assert(
      fc.property(fc.array(anyOutcome, { minLength: 1, maxLength: 12 }), fc.nat(99), (outcomes, seed) => {
        compareBoth(spec, entrants(schemeOf(spec.scoring).players), outcomes, seed);
      }),
      { numRuns: 2 },
    );
});
