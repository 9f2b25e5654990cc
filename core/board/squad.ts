import type { Cell } from '../skill/cells';
import type { Diagnosis } from '../skill/diagnose';
import { normalCdf, normalQuantile } from '../math/normal';
import { kindsOf, together, type Kind } from './kinds';
import { rankOfValues } from '../skill/ranks';

/** One player's figure in one skill: strokes lost, how sure that is (`sd` of the draws), of so many balls. */
export type Skill = {
  mean: number;
  sd: number;
  interval80: [number, number];
  balls: number;
  /** Strokes that the player's own level needs: with what is lost, what the player needs. */
  level: number;
};
export type SquadMember = { name: string; skills: Skill[] };

/** What is kept of a player for the squad: skill by skill, a shot and in a round, and the strokes expected of them cell by cell. */
export type KeptSkills = { shot: Skill[]; round: Skill[]; expected: number[] };

/** Players by skills, and what follows from it. */
export type Squad = {
  kinds: Kind[];
  members: SquadMember[];
  /** By player: up to three skills in which they lose most, the worst first. */
  weakest: number[][];
  /** By skill: what the squad loses on average, of those with a ball in it, and in how many cases it is among a player's three weakest. */
  common: { mean: number; interval80: [number, number]; players: number; weak: number }[];
};

/** Somebody without a ball: of them nothing is said in any skill. */
export function withoutBalls(cells: readonly Cell[]): Skill[] {
  return kindsOf(cells).map(() => ({ mean: 0, sd: 0, interval80: [0, 0], balls: 0, level: 0 }));
}

/** All that is kept of a player for the squad. @param weights how often each cell comes up in a round */
export function keptSkillsOf(diagnosis: Diagnosis, weights: readonly number[]): KeptSkills {
  return {
    shot: skillsOf(diagnosis, weights, true),
    round: skillsOf(diagnosis, weights, false),
    expected: diagnosis.findings.map(({ expectedStrokes }) => rounded(expectedStrokes)),
  };
}

/** To a ten-thousandth of a stroke: what is kept of hundreds of players is read at once. */
const rounded = (strokes: number) => Math.round(strokes * 1e4) / 1e4;

/**
 * One player's skills.
 * @param weights what each cell counts, such as its uses in a round; shared out within each skill where `perShot`
 */
export function skillsOf(diagnosis: Diagnosis, weights: readonly number[], perShot: boolean): Skill[] {
  return kindsOf(diagnosis.findings).map(({ cells }): Skill => {
    const uses = cells.reduce((sum, cell) => sum + weights[cell]!, 0);
    const shares = perShot ? weights.map((weight) => (uses > 0 ? weight / uses : 1 / cells.length)) : weights;
    const draws = together(diagnosis.lost, cells, shares);
    const level = cells.reduce((sum, cell) => sum + shares[cell]! * diagnosis.findings[cell]!.referenceStrokes, 0);
    const { mean, interval80 } = rankOfValues(draws);
    const sd = Math.sqrt(draws.reduce((sum, value) => sum + (value - mean) ** 2, 0) / Math.max(1, draws.length));
    return {
      ...{ mean: rounded(mean), sd: rounded(sd), interval80: [rounded(interval80[0]), rounded(interval80[1])], level: rounded(level) },
      balls: cells.reduce((sum, cell) => sum + diagnosis.findings[cell]!.balls, 0),
    };
  });
}

/** Strokes that a squad's players are expected to need on average, by cell; null of nobody. */
export function squadPar(squad: readonly KeptSkills['expected'][]): number[] | null {
  const [first] = squad;
  return first ? first.map((_, i) => squad.reduce((sum, expected) => sum + expected[i]!, 0) / squad.length) : null;
}

/** Half of what lies eight times in ten, in standard deviations; beyond it, on one side, lies one in ten. */
const HALF80 = normalQuantile(0.9);

/** Players by the skills that the cells fall into. */
export function squadTable(cells: readonly Cell[], members: SquadMember[]): Squad {
  const kinds = kindsOf(cells);
  const weakest = members.map(weakestSkills);
  const sums = kinds.map(() => ({ players: 0, mean: 0, variance: 0, weak: 0 }));
  // Of hundreds of players what is kept of one lies together: they are gone through once, each with all skills.
  for (const [i, { skills }] of members.entries()) {
    for (const [k, { mean, sd, balls }] of skills.entries()) {
      if (balls === 0) continue;
      const sum = sums[k]!;
      sum.players++;
      sum.mean += mean;
      sum.variance += sd ** 2;
    }
    for (const k of weakest[i]!) sums[k]!.weak++;
  }
  const common = sums.map(({ players, weak, ...sum }) => {
    const mean = sum.mean / Math.max(1, players);
    // Of players who know nothing of each other, and many or few draws near enough to a bell: the deviations add up as squares.
    const half = (HALF80 * Math.sqrt(sum.variance)) / Math.max(1, players);
    return { mean, interval80: [mean - half, mean + half] as [number, number], players, weak };
  });
  return { kinds, members, weakest, common };
}

/** A player's three weakest skills that were practised and lose anything, the worst first. */
function weakestSkills({ skills }: SquadMember): number[] {
  return skills
    .map((_, k) => k)
    .filter((k) => skills[k]!.balls > 0 && skills[k]!.mean > 0)
    .sort((a, b) => skills[b]!.mean - skills[a]!.mean)
    .slice(0, 3);
}

/** The skill in which the squad as a whole surely loses, and the most; null where there is none. */
export function commonWeakness({ common }: Squad): number | null {
  const losing = common.map((_, k) => k).filter((k) => common[k]!.players > 1 && common[k]!.interval80[0] > 0);
  return losing.toSorted((a, b) => common[b]!.mean - common[a]!.mean)[0] ?? null;
}

/** Players who have the same weakest skill: they could practise together. */
export function togetherIn(squad: Squad): { kind: number; names: string[] }[] {
  const by = new Map<number, string[]>();
  for (const [i, { name }] of squad.members.entries()) {
    const [worst] = squad.weakest[i]!;
    if (worst === undefined) continue;
    const names = by.get(worst);
    if (names) names.push(name);
    else by.set(worst, [name]);
  }
  return [...by].filter(([, names]) => names.length > 1).map(([kind, names]) => ({ kind, names }));
}

/** The chance that a skill costs less than another, of two players who know nothing of each other. */
export function chanceFewer(a: Pick<Skill, 'mean' | 'sd'>, b: Pick<Skill, 'mean' | 'sd'>): number {
  const sd = Math.hypot(a.sd, b.sd);
  return sd === 0 ? (a.mean < b.mean ? 1 : a.mean > b.mean ? 0 : 0.5) : normalCdf((b.mean - a.mean) / sd);
}

export type Help = { kind: number; helper: string; helped: string; chance: number };

/** Of each of these skills, who practised it, as columns: the player, the strokes that their level needs, those that they need, and how sure that is. */
function practisedIn(members: readonly SquadMember[], kinds: readonly number[]) {
  const of = new Map(kinds.map((kind) => [kind, { who: [], level: [], needs: [], variance: [] } as Practised]));
  // As above, one player after the other.
  for (const member of members)
    for (const [kind, { who, level, needs, variance }] of of) {
      const skill = member.skills[kind]!;
      if (skill.balls === 0) continue;
      who.push(member);
      level.push(skill.level);
      needs.push(skill.level + skill.mean);
      variance.push(skill.sd ** 2);
    }
  return of;
}
type Practised = { who: SquadMember[]; level: number[]; needs: number[]; variance: number[] };

/** For each player's weakest skill, who of the squad surely (90%) needs fewer strokes there; of several, who is nearest in level. */
export function helpIn(squad: Squad): Help[] {
  const practised = practisedIn(squad.members, [...new Set(squad.weakest.flatMap(([kind]) => kind ?? []))]);
  return squad.members.flatMap(({ name, skills }, i) => {
    const [kind] = squad.weakest[i]!;
    if (kind === undefined) return [];
    const own = skills[kind]!;
    const { who, level, needs, variance } = practised.get(kind)!;
    let helper = -1;
    let nearest = Infinity;
    // Hundreds are held against hundreds: the chance as such is worked out of one.
    for (let other = 0; other < who.length; other++) {
      const gap = Math.abs(own.level - level[other]!);
      if (gap >= nearest) continue;
      const fewer = own.mean + own.level - needs[other]!;
      if (fewer <= 0 || fewer ** 2 < HALF80 ** 2 * (own.sd ** 2 + variance[other]!)) continue;
      [helper, nearest] = [other, gap];
    }
    if (helper < 0) return [];
    const there = who[helper]!;
    const chance = chanceFewer(there.skills[kind]!, { ...own, mean: own.mean + own.level - there.skills[kind]!.level });
    return [{ kind, helper: there.name, helped: name, chance }];
  });
}
