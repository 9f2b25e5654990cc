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

/** Half of what lies eight times in ten, in standard deviations. */
const HALF80 = normalQuantile(0.9);

/** Players by the skills that the cells fall into. */
export function squadTable(cells: readonly Cell[], members: SquadMember[]): Squad {
  const kinds = kindsOf(cells);
  const weakest = members.map((member) => weakestSkills(member, 3));
  const common = kinds.map((_, k) => {
    const played = members.filter(({ skills }) => skills[k]!.balls > 0);
    const of = Math.max(1, played.length);
    const mean = played.reduce((sum, { skills }) => sum + skills[k]!.mean, 0) / of;
    // Of players who know nothing of each other, and many or few draws near enough to a bell: the deviations add up as squares.
    const half = (HALF80 * Math.sqrt(played.reduce((sum, { skills }) => sum + skills[k]!.sd ** 2, 0))) / of;
    return {
      ...{ mean, interval80: [mean - half, mean + half] as [number, number] },
      players: played.length,
      weak: weakest.filter((list) => list.includes(k)).length,
    };
  });
  return { kinds, members, common };
}

/** A player's weakest skills that were practised and lose anything, the worst first. */
export function weakestSkills({ skills }: SquadMember, most: number): number[] {
  return skills
    .map((_, k) => k)
    .filter((k) => skills[k]!.balls > 0 && skills[k]!.mean > 0)
    .sort((a, b) => skills[b]!.mean - skills[a]!.mean)
    .slice(0, most);
}

/** The skill in which the squad as a whole surely loses, and the most; null where there is none. */
export function commonWeakness({ common }: Squad): number | null {
  const losing = common.map((_, k) => k).filter((k) => common[k]!.players > 1 && common[k]!.interval80[0] > 0);
  return losing.toSorted((a, b) => common[b]!.mean - common[a]!.mean)[0] ?? null;
}

/** Players who have the same weakest skill: they could practise together. */
export function togetherIn(squad: Squad): { kind: number; names: string[] }[] {
  const by = new Map<number, string[]>();
  for (const member of squad.members) {
    const [worst] = weakestSkills(member, 1);
    if (worst !== undefined) by.set(worst, [...(by.get(worst) ?? []), member.name]);
  }
  return [...by].filter(([, names]) => names.length > 1).map(([kind, names]) => ({ kind, names }));
}

/** The chance that a skill costs less than another, of two players who know nothing of each other. */
export function chanceFewer(a: Pick<Skill, 'mean' | 'sd'>, b: Pick<Skill, 'mean' | 'sd'>): number {
  const sd = Math.hypot(a.sd, b.sd);
  return sd === 0 ? (a.mean < b.mean ? 1 : a.mean > b.mean ? 0 : 0.5) : normalCdf((b.mean - a.mean) / sd);
}

/** How sure it must be that the helper is better. */
const SURE = 0.9;
export type Help = { kind: number; helper: string; helped: string; chance: number };

/** For each player's weakest skill, who of the squad surely needs fewer strokes there; of several, who is nearest in level. */
export function helpIn(squad: Squad): Help[] {
  return squad.members.flatMap((member) => {
    const [kind] = weakestSkills(member, 1);
    if (kind === undefined) return [];
    const own = member.skills[kind]!;
    let nearest: { helper: string; chance: number; gap: number } | null = null;
    for (const other of squad.members) {
      const there = other.skills[kind]!;
      const gap = own.level - there.level;
      // A chance is dear among hundreds: it is asked only of whoever is nearer than all before.
      if (other === member || there.balls === 0 || (nearest && Math.abs(gap) >= Math.abs(nearest.gap))) continue;
      const chance = chanceFewer(there, { ...own, mean: own.mean + gap });
      if (chance >= SURE) nearest = { helper: other.name, chance, gap };
    }
    return nearest ? [{ kind, helper: nearest.helper, helped: member.name, chance: nearest.chance }] : [];
  });
}
