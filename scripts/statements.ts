import { familyOf, isPutt } from '@/core/golf/shot-types';
import { rankingOf } from '@/core/board/choices';
import { chanceLess, together } from '@/core/board/kinds';
import { certaintyOf } from '@/core/board/certainty';
import { dayWeight } from '@/core/board/over-time';
import type { Random } from '@/core/math/random';
import type { Shot } from '@/core/shot/shot';
import { fit } from '@/core/skill/fit';
import type { Cell } from '@/core/skill/cells';
import { modelOf } from '@/core/skill/model';
import { holed, shot } from '@/core/testing/make';
import { evidenceOf, trueStrokes, type Hitter } from '@/core/made-up/players';
import { drawsOf } from '@/core/skill/posterior';
import { shippedReference as reference } from '@/core/golf/reference';
import { someOf } from './calibration';
import { makePlayer, type Generator } from './made-up';

/*
 * What a screen says with a probability, and how often it was so: that a club beats another in a cell, that somebody needs fewer strokes
 * than somebody else (who could help), and that a family of skills got better. A bin that holds a hundred cases and is off by more than
 * five points is marked.
 */
const DRAWS = 300;
const model = modelOf(reference);
const meanOf = (list: ArrayLike<number>) => Array.from(list).reduce((a, b) => a + b, 0) / list.length;

class Said {
  readonly #bins = Array.from({ length: 10 }, () => ({ of: 0, said: 0, was: 0 }));
  add(chance: number, was: boolean): void {
    const bin = this.#bins[Math.min(9, Math.floor(10 * chance))]!;
    bin.of++;
    bin.said += chance;
    if (was) bin.was++;
  }
  print(what: string): void {
    const bins = this.#bins.filter(({ of }) => of > 0);
    const text = bins.map(({ of, said, was }) => {
      const [a, b] = [(100 * said) / of, (100 * was) / of];
      return `${a.toFixed(0)}% ${b.toFixed(0)}% (n ${of})${of >= 100 && Math.abs(a - b) > 5 ? ' ←' : ''}`;
    });
    console.log(`  ${what}: said, and was: ${text.join(' · ')}`);
  }
}

/** A ball of a cell as it is recorded: in the hole, measured, or inside or outside a ring. */
function ballOf(
  { shotType, surface, distanceM }: Cell,
  { holed: dropped, leftM }: { holed: boolean; leftM: number },
  clubLabel: string,
  ringM: number | null,
): Shot {
  const nothing = { ...holed, holed: false };
  const result = dropped
    ? holed
    : ringM === null
      ? { ...nothing, leftM, measured: 'tape' as const }
      : leftM < ringM
        ? { ...nothing, leftMinM: 0, leftMaxM: ringM }
        : { ...nothing, leftMinM: ringM };
  return shot({ shotType, surface, distanceM, clubLabel }, result);
}

/** How far clubs of a made-up player lie apart, as logarithms of what they leave: hardly, somewhat, much. */
const CLUBS_SDS = [0.05, 0.12, 0.25];

function clubs(generator: Generator, cases: number, seed: number): void {
  const all = new Said();
  const cells = model.cells.filter(({ shotType, inRound }) => !isPutt(shotType) && inRound);
  for (let n = 0; n < cases; n++) {
    const effects: number[] = [];
    let effect = 0;
    const { practising, random } = makePlayer(generator, model.cells, seed * 7_919 + n, {}, () => effect);
    const cell = random.pick(cells);
    const sd = random.pick(CLUBS_SDS);
    const names = Array.from({ length: random.pick([2, 3, 4, 7]) }, (_, i) => `club ${i}`);
    const ringM = random.uniform() < 0.5 ? null : reference.shot(10, cell.shotType, cell.surface, cell.distanceM)!.medianLeftFt * 0.3048;
    const balls: Shot[] = [];
    const most = random.pick([2, 6, 15, 40]);
    for (const name of names) {
      effects.push(sd * random.normal());
      effect = effects.at(-1)!;
      for (let i = 1 + random.below(most); i > 0; i--) {
        if (i % 5 === 0) practising.newDay();
        balls.push(ballOf(cell, practising.hit(cell), name, ringM));
      }
    }
    const { versus } = rankingOf(balls, ({ clubLabel }) => clubLabel, practising.level, model);
    if (!versus || versus.chance === null) continue;
    const at = (name: string) => effects[names.indexOf(name)]!;
    all.add(versus.chance, at(versus.better) < at(versus.worse));
  }
  all.print(`a club beats another, ${cases} cells`);
}

/** Draws of what a player loses in the cells of one shot from one surface, together, and the truth. */
function lostIn(hitter: Pick<Hitter, 'level'> & { random: Random }, groups: Parameters<typeof fit>[0], cells: readonly number[]) {
  const lost = model.judge(hitter.level, hitter.level).lost(drawsOf(fit(groups, model.prior(hitter.level)), DRAWS, hitter.random));
  return together(
    lost,
    cells,
    model.cells.map(() => 1 / cells.length),
  );
}

/** With how many others each is compared. */
const OTHERS = 10;

function helps(generator: Generator, players: number, seed: number): void {
  const said = new Said();
  const chips = model.cells.flatMap(({ shotType, surface, inRound }, i) =>
    shotType === 'chip' && surface === 'light_rough' && inRound ? [i] : [],
  );
  const cells = chips.map((i) => model.cells[i]!);
  const others = model.cells.filter(({ inRound, surface }) => inRound && surface !== 'sand').slice(0, 12);
  const judged = (n: number) => {
    const { practising, ordinary, random } = makePlayer(generator, model.cells, seed * 104_729 + n);
    const { groups } = evidenceOf(practising, [...cells, ...others], reference, random.pick([40, 150, 500]), random);
    const judge = model.judge(practising.level, practising.level);
    return {
      draws: lostIn({ ...practising, random }, groups, chips).map((value) => value + meanOf(chips.map((i) => judge.levelExpects(i)))),
      truth: meanOf(trueStrokes(ordinary, cells, 4000)),
    };
  };
  const each = Array.from({ length: players }, (_, n) => judged(n));
  const pairs = each.flatMap((a, i) => each.slice(i + 1, i + 1 + OTHERS).map((b) => [a, b] as const));
  for (const [a, b] of pairs) {
    const chance = chanceLess(a.draws as Float64Array, b.draws as Float64Array);
    said.add(Math.max(chance, 1 - chance), chance >= 0.5 ? a.truth < b.truth : b.truth < a.truth);
  }
  said.print(`needs fewer strokes (could help), ${pairs.length} pairs of ${players} players`);
}

function changes(generator: Generator, cases: number, seed: number): void {
  const said = new Said();
  for (let n = 0; n < cases; n++) {
    let shift = 0;
    const { practising, random } = makePlayer(generator, model.cells, seed * 15_485 + n, {}, () => shift);
    const family = random.pick(['chipping', 'pitching'] as const);
    const cells = model.cells.flatMap(({ shotType, inRound }, i) => (familyOf(shotType) === family && inRound ? [i] : []));
    const played = cells
      .map((i) => model.cells[i]!)
      .filter(() => random.uniform() < 0.4)
      .slice(0, 6);
    if (played.length === 0) continue;
    const balls = random.pick([30, 100, 300]);
    const half = (by: number) => {
      shift = by;
      const { groups } = evidenceOf(practising, played, reference, balls, random);
      const weight = dayWeight(balls, Math.ceil(balls / 10));
      return lostIn(
        { ...practising, random },
        groups.map((group) => ({ ...group, n: group.n * weight })),
        cells,
      );
    };
    const change = 0.15 * random.normal();
    const [before, since] = [half(0), half(change)];
    const chance = chanceLess(since, before);
    const sure = Math.max(chance, 1 - chance);
    if (certaintyOf(sure) !== 'too close to call') said.add(sure, chance >= 0.5 ? change < 0 : change > 0);
  }
  said.print(`a family of skills got better or worse, ${cases} players`);
}

/** The same of all shots together by their uses in a round, as a list of players says it: a month against three times as many balls before. */
function trends(generator: Generator, cases: number, seed: number): void {
  const said = new Said();
  for (let n = 0; n < cases; n++) {
    let shift = 0;
    const { practising, random } = makePlayer(generator, model.cells, seed * 25_013 + n, {}, () => shift);
    const { level } = practising;
    const played = someOf(model.cells, random);
    const mix = model.mix(level);
    const weights = model.cells.map(({ key }) => mix.get(key) ?? 0);
    const balls = random.pick([30, 100, 300]);
    const lostOf = (by: number, count: number) => {
      shift = by;
      const { groups } = evidenceOf(practising, played, reference, count, random);
      const weight = dayWeight(count, Math.ceil(count / 10));
      const weighed = groups.map((group) => ({ ...group, n: group.n * weight }));
      const lost = model.judge(level, level).lost(drawsOf(fit(weighed, model.prior(level)), DRAWS, random));
      return together(
        lost,
        model.cells.map((_, i) => i),
        weights,
      );
    };
    const change = 0.15 * random.normal();
    const [before, since] = [lostOf(0, 3 * balls), lostOf(change, balls)];
    const chance = chanceLess(since, before);
    const sure = Math.max(chance, 1 - chance);
    if (certaintyOf(sure) !== 'too close to call') said.add(sure, chance >= 0.5 ? change < 0 : change > 0);
  }
  said.print(`the whole short game got better or worse, ${cases} players`);
}

export function statements(generator: Generator, players: number, seed: number): void {
  console.log(`\ngenerator ${generator}, seed ${seed}: statements with a probability`);
  clubs(generator, 60 * players, seed);
  helps(generator, 3 * players, seed);
  changes(generator, 15 * players, seed);
  trends(generator, 15 * players, seed);
}
