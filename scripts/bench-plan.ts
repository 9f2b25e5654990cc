import { parseArgs } from 'node:util';
import { DEMO_GAMES } from '@/core/demo/games';
import { shippedReference as reference } from '@/core/golf/reference';
import { evidenceOf, ringRecord, trueStrokes } from '@/core/made-up/players';
import { seededRandom } from '@/core/math/random';
import { shotsByNeed } from '@/core/plan/by-need';
import { chooseShots, type Choice, type KnownPlayer } from '@/core/plan/choose';
import { isTapIn } from '@/core/plan/first-look';
import { PURPOSES } from '@/core/plan/kinds';
import { changeShown, couldBe } from '@/core/plan/shows';
import { changeTold } from '@/core/board/told';
import { ENOUGH } from '@/core/plan/verdict';
import { percentOf } from '@/core/board/certainty';
import { dayWeight } from '@/core/board/over-time';
import { isPutt } from '@/core/golf/shot-types';
import { OpenStrokes, type Batch } from '@/core/plan/open';
import { propose, proposedFor } from '@/core/plan/propose';
import { cellKey } from '@/core/skill/cells';
import { believe, diagnose, strokesLost } from '@/core/skill/diagnose';
import { gather } from '@/core/skill/evidence';
import { fit } from '@/core/skill/fit';
import { addTo, type BallGroup } from '@/core/skill/groups';
import { modelOf } from '@/core/skill/model';
import { drawsOf } from '@/core/skill/posterior';
import { ranksOf } from '@/core/skill/ranks';
import { someOf } from './calibration';
import { GENERATORS, levelNeeds, makePlayer, type Generator } from './made-up';

/**
 * What sixty balls of shots that are chosen for a player tell, against sixty of the demo's fixed games and sixty spread evenly, on made-up
 * players of both generators: `npm run bench:plan -- --players 100 --start 120 --seed 1`. By how much the variances of the strokes lost in a
 * round shrink, together and a ball; and how often the truly weakest shot is named first, and among three. With `--need`: after
 * how many balls the three weakest are found by need and evenly. With `--tests`: how often a change is called likely that a test is said to
 * show, and how often where there is none. With `--time`: how long proposals take.
 */
const { values } = parseArgs({
  options: {
    players: { type: 'string', default: '100' },
    seed: { type: 'string', default: '1' },
    start: { type: 'string', default: '120' },
    time: { type: 'boolean', default: false },
    need: { type: 'boolean', default: false },
    tests: { type: 'boolean', default: false },
  },
});
const [players, seed, start] = [Number(values.players), Number(values.seed), Number(values.start)];
const [BALLS, GAMES, PLACES] = [60, 2, 6];
const DRAWS = 400;
const TRUE_BALLS = 3000;

const model = modelOf(reference);
const all = model.cells;
const WAYS = ['evenly', 'demo games', 'to find out', 'to take strokes off'] as const;
type Way = (typeof WAYS)[number];
const CHOICE: Partial<Record<Way, Choice>> = { 'to find out': 'find_out', 'to take strokes off': 'take_strokes_off' };

/** The balls of the demo's games, one station after another. */
const DEMO_CELLS = DEMO_GAMES.flatMap((spec) =>
  spec.stations.flatMap(({ shotType, surface, distanceM, balls }) => {
    const at = all.findIndex(({ key }) => key === cellKey(shotType, surface, distanceM));
    return at < 0 ? [] : Array<number>(balls).fill(at);
  }),
);

function bench(generator: Generator): void {
  const sums = new Map(WAYS.map((way) => [way, { open: 0, first: 0, three: 0 }]));
  let before = 0;
  for (let p = 0; p < players; p++) {
    const { practising, ordinary, random } = makePlayer(generator, all, seed * 100_003 + p);
    const { level } = practising;
    const prior = model.prior(level);
    const judge = model.judge(level, level);
    const cells = someOf(all, random);
    const index = cells.map(({ key }) => prior.index.get(key)!);
    const uses = all.map(({ shotType, surface, distanceM }, i) =>
      index.includes(i) ? reference.uses(level, shotType, surface, distanceM) : 0,
    );
    const truth = trueStrokes(ordinary, cells, TRUE_BALLS).map(
      (strokes, i) => uses[index[i]!]! * (strokes - levelNeeds(generator, cells[i]!, level)),
    );
    const weakest = index[truth.indexOf(Math.max(...truth))]!;
    const { groups } = evidenceOf(practising, cells, reference, start, random);
    const know = (balls: readonly BallGroup[]): KnownPlayer => {
      const lost = judge.lost(drawsOf(fit(balls, prior), DRAWS, seededRandom(1)));
      const ranked = all.map((_, i) => uses[i]! > 0);
      const ranks = ranksOf(lost, uses, ranked);
      return {
        lost,
        findings: all.map(({ shotType }, i) => ({
          ...{ shotType, ranked: ranked[i]!, uses: uses[i]!, perBall: judge.perBall(i), perRound: ranks[i]! },
          expectedStrokes: model.expects(i, level),
        })),
      };
    };
    const openOf = ({ lost, findings }: KnownPlayer) =>
      new OpenStrokes({ lost, uses, perBall: findings.map(({ perBall }) => perBall) }).total;
    const known = know(groups);
    before += openOf(known) / players;
    for (const way of WAYS) {
      const kept = new Map(groups.map((group) => [JSON.stringify({ ...group, n: 0 }), { ...group }]));
      let now = known;
      for (let game = 0; game < GAMES; game++) {
        practising.newDay();
        for (const { cell, balls } of gameOf(way, now, index, game, seededRandom(p + 1)))
          for (let ball = 0; ball < balls; ball++) addTo(kept, ringRecord(all[cell]!, practising.hit(all[cell]!), reference), 1);
        now = know([...kept.values()]);
      }
      const sum = sums.get(way)!;
      sum.open += openOf(now) / players;
      const order = index.toSorted((a, b) => now.findings[b]!.perRound.weakest3 - now.findings[a]!.perRound.weakest3);
      sum.first += Number(order[0] === weakest) / players;
      sum.three += Number(order.slice(0, 3).includes(weakest)) / players;
    }
  }
  const told = (way: Way) => before - sums.get(way)!.open;
  console.log(`\ngenerator ${generator}, seed ${seed}: ${players} players with ${start} balls, then ${BALLS} more`);
  console.log('how they are spent     variances told   against evenly   weakest named first   among three');
  for (const way of WAYS) {
    const { first, three } = sums.get(way)!;
    const [share, ratio] = [told(way) / before, told(way) / told('evenly')];
    console.log(
      `${way.padEnd(23)}${`${Math.round(100 * share)}%`.padEnd(17)}${ratio.toFixed(2).padEnd(17)}${`${Math.round(100 * first)}%`.padEnd(22)}${Math.round(100 * three)}%`,
    );
  }
}

/** The balls of one game: spread evenly, as a demo game has them, or chosen for what is known. */
function gameOf(way: Way, known: KnownPlayer, allowed: readonly number[], game: number, random: { uniform(): number }): Batch[] {
  const each = BALLS / GAMES;
  const by = CHOICE[way];
  if (by) {
    const laidOut = allowed.filter((cell) => !isTapIn(all[cell]!));
    return chooseShots(known, { by, places: PLACES, balls: each / PLACES, allowed: laidOut });
  }
  if (way === 'evenly')
    return Array.from({ length: each }, (_, ball) => ({ cell: allowed[(game * each + ball) % allowed.length]!, balls: 1 }));
  const from = Math.floor(random.uniform() * DEMO_CELLS.length) + game * each;
  return Array.from({ length: each }, (_, ball) => ({ cell: DEMO_CELLS[(from + ball) % DEMO_CELLS.length]!, balls: 1 }));
}

/** A session of practice by need, and after how many balls it is looked who is named. */
const [SESSION, LOOK, MOST] = [60, 20, 480];
/** So much of the three weakest is right, on average, where practice is called settled. */
const RIGHT = 0.6;

/**
 * After how many balls three fifths of the three shots that cost most in a round are among the three named, on average: spread evenly,
 * and each set of five from where it is needed. What is known is worked out anew after each session of sixty balls, as a phone would hear it.
 */
function need(generator: Generator): void {
  const looks = MOST / LOOK;
  const right = new Map((['evenly', 'by need', 'by need, then drawn'] as const).map((way) => [way, new Float64Array(looks)]));
  for (let p = 0; p < players; p++)
    for (const [way, shares] of right) {
      const { practising, ordinary, random } = makePlayer(generator, all, seed * 100_003 + p);
      const { level } = practising;
      const [prior, judge] = [model.prior(level), model.judge(level, level)];
      const cells = someOf(all, random);
      const index = cells.map(({ key }) => prior.index.get(key)!).filter((cell) => !isTapIn(all[cell]!));
      const uses = all.map(({ shotType, surface, distanceM }, i) =>
        index.includes(i) ? reference.uses(level, shotType, surface, distanceM) : 0,
      );
      const truth = trueStrokes(
        ordinary,
        index.map((cell) => all[cell]!),
        TRUE_BALLS,
      ).map((strokes, i) => uses[index[i]!]! * (strokes - levelNeeds(generator, all[index[i]!]!, level)));
      const three = index.toSorted((a, b) => truth[index.indexOf(b)]! - truth[index.indexOf(a)]!).slice(0, 3);
      const kept = new Map<string, BallGroup>();
      const know = (): KnownPlayer => {
        const lost = judge.lost(drawsOf(fit([...kept.values()], prior), DRAWS, seededRandom(1)));
        const ranked = all.map((_, i) => uses[i]! > 0);
        const ranks = ranksOf(lost, uses, ranked);
        const finding = (i: number) => ({
          shotType: all[i]!.shotType,
          ranked: ranked[i]!,
          uses: uses[i]!,
          perBall: judge.perBall(i),
          perRound: ranks[i]!,
        });
        return { lost, findings: all.map((_, i) => ({ ...finding(i), expectedStrokes: model.expects(i, level) })) };
      };
      let session: number[] = [];
      for (let balls = 0; balls < MOST; balls += SET) {
        if (balls % SESSION === 0) {
          practising.newDay();
          const onRecord = way === 'by need' ? 0 : balls;
          session = way === 'evenly' ? [] : shotsByNeed(know(), index, { sets: SESSION / SET, balls: SET, onRecord }, random);
        }
        const cell = session[(balls % SESSION) / SET] ?? index[(balls / SET) % index.length]!;
        for (let ball = 0; ball < SET; ball++) addTo(kept, ringRecord(all[cell]!, practising.hit(all[cell]!), reference), 1);
        if ((balls + SET) % LOOK > 0) continue;
        const { findings } = know();
        const named = index.toSorted((a, b) => findings[b]!.perRound.weakest3 - findings[a]!.perRound.weakest3).slice(0, 3);
        shares[(balls + SET) / LOOK - 1]! += named.filter((one) => three.includes(one)).length / 3 / players;
      }
    }
  console.log(`\ngenerator ${generator}, seed ${seed}: ${players} players; of the three weakest so many are named after`);
  const shown = [2, 5, 8, 11, 17, 23];
  for (const [way, shares] of right) {
    const enough = shares.findIndex((share) => share >= RIGHT);
    const line = shown.map((i) => `${(i + 1) * LOOK}: ${Math.round(100 * shares[i]!)}%`).join('  ');
    console.log(`${way.padEnd(20)} ${line}   ${RIGHT} right after ${enough < 0 ? `more than ${MOST}` : (enough + 1) * LOOK} balls`);
  }
}
const SET = 5;

/** Tests before and after: on so many days, so many balls. */
const TESTS = [
  [1, 20],
  [2, 20],
  [3, 20],
  [3, 60],
] as const;
const LIKELY = 75;

/**
 * Balls of one shot before and after, in rings: how often a change of just the size that they are said to show is called likely, and how often
 * where nothing changed. Nobody's balls but these are known of the player, and each day has a form of its own.
 */
function tests(generator: Generator): void {
  console.log(`\ngenerator ${generator}, seed ${seed}: ${players} players; a change that the test is said to show`);
  for (const putts of [false, true])
    for (const [days, balls] of TESTS) {
      let [said, seen, wrongly, size, madeOf] = [0, 0, 0, 0, 0];
      for (let p = 0; p < players; p++) {
        const s = seed * 100_003 + p;
        let more = 0;
        const { practising, random } = makePlayer(generator, all, s, {}, () => more);
        const { level } = practising;
        const cells = all.filter(
          (cell) =>
            isPutt(cell.shotType) === putts && !isTapIn(cell) && reference.uses(level, cell.shotType, cell.surface, cell.distanceM) > 0.2,
        );
        const cell = cells[Math.floor(random.uniform() * cells.length)]!;
        const at = all.indexOf(cell);
        const perBall = model.judge(level, level).perBall(at);
        const change = changeShown({ days, balls, inAll: balls }, { perBall, couldBe: couldBe(model, level)[at]! });
        if (change === null) continue;
        said++;
        size += change;
        const worse = shiftFor(generator, s, cell, change);
        const played = (worseBy: number) => {
          more = worseBy;
          const groups = new Map<string, BallGroup>();
          for (let day = 0; day < days; day++) {
            practising.newDay();
            for (let ball = 0; ball < balls; ball++) addTo(groups, ringRecord(cell, practising.hit(cell), reference), dayWeight(balls, 1));
          }
          return strokesLost(model, believe({ groups: [...groups.values()] }, model, level), { finishes: new Map() }, { level })[at]!;
        };
        const after = played(0);
        const prior = strokesLost(model, believe({ groups: [] }, model, level), { finishes: new Map() }, { level })[at]!;
        const chance = (before: ArrayLike<number>) => changeTold({ prior, before, since: after })?.chanceBetter ?? 0.5;
        const isLikely = (one: number) => Number(percentOf(one) >= LIKELY);
        seen += isLikely(chance(played(worse)));
        const same = chance(played(0));
        wrongly += isLikely(same);
        madeOf += Number(Math.max(same, 1 - same) >= ENOUGH);
      }
      const share = (count: number) => `${Math.round((100 * count) / Math.max(1, said))}%`;
      console.log(
        `${putts ? 'putts    ' : 'off green'} ${days} × ${String(balls).padEnd(3)} something shown for ${said}: ${(size / Math.max(1, said)).toFixed(2)} strokes a shot, called likely ${share(seen)}; without a change ${share(wrongly)}, and made something of, either way, ${share(madeOf)}`,
      );
    }
}

/** How much worse, in the logarithm of what is left, costs so many strokes. */
function shiftFor(generator: Generator, s: number, cell: (typeof all)[number], strokes: number): number {
  const needs = (more: number) => trueStrokes(makePlayer(generator, all, s, { daySd: 0 }, () => more).practising, [cell], TRUE_BALLS)[0]!;
  const now = needs(0);
  let [low, high] = [0, 3];
  for (let step = 0; step < 9; step++) {
    const middle = (low + high) / 2;
    if (needs(middle) - now < strokes) low = middle;
    else high = middle;
  }
  return high;
}

/** How long three proposals take, for one player and for many. */
function time(many: number): void {
  const UNMEASURED = { paceM: null, clubM: null, putterM: null };
  const who = Array.from({ length: many }, (_, i) => {
    const { practising, random } = makePlayer(1, all, seed * 7919 + i);
    const { level } = practising;
    const { groups } = evidenceOf(practising, all, reference, start, random);
    const evidence = { ...gather([]), groups };
    const belief = believe(evidence, model, level);
    const judged = diagnose(model, belief, evidence, { level, mix: model.mix(level) });
    return { playerId: String(i), name: `Player ${i}`, level, belief, judged, ...UNMEASURED };
  });
  for (const purpose of PURPOSES) {
    if (purpose === 'compete' && many < 2) continue;
    const from = performance.now();
    const order = { players: who, purpose, minutes: 20, green: null, units: 'imperial', coach: UNMEASURED, seed: 1 } as const;
    for (let which = 0; which < proposedFor(purpose); which++) propose(order, which, model);
    console.log(`three proposals to ${purpose.replaceAll('_', ' ')}, ${many} players: ${((performance.now() - from) / 1000).toFixed(2)} s`);
  }
}

if (values.time) for (const many of [1, 8, 24]) time(many);
else for (const generator of GENERATORS) (values.tests ? tests : values.need ? need : bench)(generator);
