import type { Cell } from '../skill/cells';
import type { Diagnosis } from '../skill/diagnose';
import { chanceLess, kindsOf, together, type Kind } from './kinds';
import { rankOfValues } from '../skill/ranks';

/** One player's figure in one skill: strokes lost, of so many balls; `draws` of it. */
export type Skill = {
  mean: number;
  interval80: [number, number];
  balls: number;
  draws: Float64Array;
  /** Strokes that the player's own level needs: with what is lost, what the player needs. */
  level: number;
};
export type SquadMember = { name: string; skills: Skill[] };

/** Players by skills, and what follows from it. */
export type Squad = {
  kinds: Kind[];
  members: SquadMember[];
  /** By skill: what the squad loses on average, of those with a ball in it, and in how many cases it is among a player's three weakest. */
  common: { mean: number; interval80: [number, number]; players: number; weak: number }[];
};

/**
 * One player's skills.
 * @param weights what each cell counts, such as its uses in a round; shared out within each skill where `perShot`
 */
export function memberOf(name: string, diagnosis: Diagnosis, weights: readonly number[], perShot: boolean): SquadMember {
  const skills = kindsOf(diagnosis.findings).map(({ cells }): Skill => {
    const uses = cells.reduce((sum, cell) => sum + weights[cell]!, 0);
    const shares = perShot ? weights.map((weight) => (uses > 0 ? weight / uses : 1 / cells.length)) : weights;
    const draws = together(diagnosis.lost, cells, shares);
    const level = cells.reduce((sum, cell) => sum + shares[cell]! * diagnosis.findings[cell]!.referenceStrokes, 0);
    return { ...rankOfValues(draws), draws, level, balls: cells.reduce((sum, cell) => sum + diagnosis.findings[cell]!.balls, 0) };
  });
  return { name, skills };
}

/** Players by the skills that the cells fall into. */
export function squadTable(cells: readonly Cell[], members: SquadMember[]): Squad {
  const kinds = kindsOf(cells);
  const weakest = members.map((member) => weakestSkills(member, 3));
  const common = kinds.map((_, k) => {
    const played = members.filter(({ skills }) => skills[k]!.balls > 0);
    const average = new Float64Array(played[0]?.skills[k]!.draws.length ?? 0);
    for (const { skills } of played) skills[k]!.draws.forEach((value, i) => (average[i]! += value / played.length));
    return {
      ...rankOfValues(average),
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

/** How sure it must be that the helper is better. */
const SURE = 0.9;
export type Help = { kind: number; helper: string; helped: string; chance: number };

/** For each player's weakest skill, who of the squad surely needs fewer strokes there; of several, who is nearest in level. */
export function helpIn(squad: Squad): Help[] {
  return squad.members.flatMap((member) => {
    const [kind] = weakestSkills(member, 1);
    if (kind === undefined) return [];
    const own = member.skills[kind]!;
    const others = squad.members
      .filter((other) => other !== member && other.skills[kind]!.balls > 0)
      .map((other) => ({ other, gap: own.level - other.skills[kind]!.level }))
      .sort((x, y) => Math.abs(x.gap) - Math.abs(y.gap));
    for (const { other, gap } of others) {
      const chance = chanceLess(other.skills[kind]!.draws, own.draws.map((value) => value + gap) as Float64Array);
      if (chance >= SURE) return [{ kind, helper: other.name, helped: member.name, chance }];
    }
    return [];
  });
}
