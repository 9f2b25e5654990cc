import { FAMILIES, familyOf, type Family } from '@/core/golf/shot-types';
import 'server-only';
import { bestScore } from '@/core/play/play';
import { schemeOf } from '@/core/game/scoring';
import type { ScoreUnit } from '@/core/game/scoring/score-unit';
import { chanceLess, together } from '@/core/board/kinds';
import { scoreChange, stretches, type ScoreChange } from '@/core/board/over-time';
import type { SkillModel } from '@/core/skill/model';
import { changeTold, type ChangeTold } from '@/core/board/told';
import { rankOfValues } from '@/core/skill/ranks';
import { unpackLost, type SumAnswer } from '@/core/board/sums';
import type { Answer, ListedPlayer } from '../data';
import { sum } from '../sums';
import type { KnownAt } from './known';
import { mixOf } from './yardsticks';

/** Some cells over time: strokes lost, stretch by stretch, each told from its own balls alone. */
export type OverTime = {
  points: { at: number; mean: number; low: number; high: number; balls: number }[];
  change: Change | null;
};

/** Before and since a day: what was lost, of how many balls, and how likely it is that it got better. */
export type Change = { before: number; since: number; of: [number, number]; chanceBetter: number };

type Where = Pick<KnownAt, 'data' | 'model'>;

/** From a moment on, up to another and without it. */
export type Stretch = { from: Date; to: Date };

/** From the first ball to the last, and the day that divides before from since. */
export type Span = { first: Date; since: Date; last: Date };

export type GameOverTime = {
  gameId: string;
  title: string;
  version: number;
  unit: ScoreUnit;
  better: 'higher' | 'lower';
  goal: number | null;
  scores: { at: number; score: number; sessionId: string }[];
  best: number;
  change: ScoreChange | null;
};

/**
 * How skills went, each some cells together, and whether they changed since a day.
 * @param weights what each cell counts, such as its uses in a round
 * @returns null for a skill without a ball
 */
export async function overTime(
  { data, model }: Where,
  player: ListedPlayer,
  { first, since, last }: Span,
  skills: readonly (readonly number[])[],
  weights: readonly number[],
): Promise<(OverTime | null)[]> {
  const ends = stretches(first, new Date(last.getTime() + 1));
  const all = await lostIn({ data, model }, player, [...ends, ...halvesOf({ first, since, last })]);
  const [before, after] = all.splice(-2) as [SumAnswer, SumAnswer];
  return skills.map((cells) => {
    const points = all.flatMap((part, i) => {
      const balls = ballsIn(part, cells);
      if (balls === 0) return [];
      const { mean, interval80 } = rankOfValues(together(unpackLost(model, part), cells, weights));
      return [{ at: (ends[i]!.from.getTime() + ends[i]!.to.getTime()) / 2, mean, low: interval80[0], high: interval80[1], balls }];
    });
    return points.length === 0 ? null : { points, change: changeOf(model, before, after, cells, weights) };
  });
}

/** Whether a player's whole short game changed since a day, in strokes lost in a round; null with balls on one side only. */
export async function changeSince(desk: Where, player: ListedPlayer, span: Span): Promise<Change | null> {
  const { model } = desk;
  const mix = mixOf(model, player);
  const [before, after] = (await lostIn(desk, player, halvesOf(span))) as [SumAnswer, SumAnswer];
  const cells = model.cells.map((_, i) => i);
  return changeOf(
    model,
    before,
    after,
    cells,
    model.cells.map(({ key }) => mix.get(key) ?? 0),
  );
}

/** What the balls of two stretches of time say of some shots, in strokes lost a shot, and whether they changed; null where one says nothing. */
export async function changesBetween(
  desk: Where,
  player: ListedPlayer,
  times: readonly [Stretch, Stretch],
  cells: readonly number[],
): Promise<((ChangeTold & { of: [number, number] }) | null)[]> {
  const { model } = desk;
  const nothing = { kind: 'lost', version: model.version, level: player.level, tallies: [], sessions: 0 } as const;
  const [[before, since], known] = await Promise.all([lostIn(desk, player, [...times]) as Promise<[SumAnswer, SumAnswer]>, sum(nothing)]);
  const [a, b, prior] = [before, since, known].map((part) => unpackLost(model, part));
  return cells.map((cell) => {
    const told = changeTold({ prior: prior![cell]!, before: a![cell]!, since: b![cell]! });
    const balls = [ballsIn(before, [cell]), ballsIn(since, [cell])] as [number, number];
    return told && balls.every((count) => count > 0) ? { ...told, of: balls } : null;
  });
}

const halvesOf = ({ first, since, last }: Span) => [
  { from: first, to: since },
  { from: since, to: new Date(last.getTime() + 1) },
];

/** What was lost in each of some stretches of time. */
async function lostIn({ data, model }: Where, player: ListedPlayer, times: Stretch[]): Promise<SumAnswer[]> {
  const told = await data.tallyStretches(player.playerId, times);
  return Promise.all(told.map((part) => sum({ kind: 'lost', version: model.version, level: player.level, ...part })));
}

const ballsIn = ({ balls }: SumAnswer, cells: readonly number[]) => cells.reduce((total, i) => total + balls[i]!, 0);

function changeOf(
  model: SkillModel,
  before: SumAnswer,
  after: SumAnswer,
  cells: readonly number[],
  weights: readonly number[],
): Change | null {
  const of: [number, number] = [ballsIn(before, cells), ballsIn(after, cells)];
  if (of[0] === 0 || of[1] === 0) return null;
  const [a, b] = [before, after].map((part) => together(unpackLost(model, part), cells, weights)) as [Float64Array, Float64Array];
  return { before: rankOfValues(a).mean, since: rankOfValues(b).mean, of, chanceBetter: chanceLess(b, a) };
}

/** A family of skills over time, in strokes lost in a round. */
export type FamilyOverTime = OverTime & { family: Family };

/** How the families of a player's skills went; those without a ball are left out. */
export async function familiesOverTime(desk: Where, player: ListedPlayer, span: Span): Promise<FamilyOverTime[]> {
  const { model } = desk;
  const mix = mixOf(model, player);
  const weights = model.cells.map(({ key }) => mix.get(key) ?? 0);
  const families = FAMILIES;
  const cells = families.map((family) => model.cells.flatMap(({ shotType }, i) => (familyOf(shotType) === family ? [i] : [])));
  const found = await overTime(desk, player, span, cells, weights);
  return families.flatMap((family, i) => (found[i] ? [{ family, ...found[i] }] : []));
}

/** Scores by game, each version on its own: only the same game compares. The most played first. */
export function gamesOverTime(scores: Answer<'scoresOf'>, since: Date): GameOverTime[] {
  const games = new Map<string, Answer<'scoresOf'>>();
  for (const one of scores) {
    const key = `${one.session.gameId}|${one.session.gameVersion}`;
    games.set(key, [...(games.get(key) ?? []), one]);
  }
  return [...games.values()]
    .map((list): GameOverTime => {
      const { spec, gameId, gameVersion } = list.at(-1)!.session;
      const scheme = schemeOf(spec.scoring);
      const better = scheme.better(spec.scoring);
      const values = (when: (at: Date) => boolean) => list.filter(({ session }) => when(session.startedAt)).map(({ score }) => score);
      return {
        gameId: gameId!,
        title: spec.title,
        version: gameVersion!,
        unit: scheme.unit(spec.scoring),
        better,
        goal: spec.goal,
        scores: list.map(({ session, score }) => ({ at: session.startedAt.getTime(), score, sessionId: session.sessionId })),
        best: bestScore(
          spec,
          list.map(({ score }) => score),
        )!,
        change: scoreChange(
          values((at) => at < since),
          values((at) => at >= since),
          better,
        ),
      };
    })
    .sort((a, b) => b.scores.length - a.scores.length || a.title.localeCompare(b.title));
}
