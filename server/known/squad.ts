import 'server-only';
import { memberOf, type SquadMember } from '@/core/board/squad';
import { diagnose } from '@/core/skill/diagnose';
import type { SkillModel } from '@/core/skill/model';
import type { PlayerRow } from '../data';
import { knownOf, madeFromOf, type Known, type KnownAt } from './known';
import { mixOf } from './yardsticks';

export type Squaddie = { player: PlayerRow; known: Known };

/** So many players are asked about at once. */
const AT_ONCE = 8;

async function eachPlayer<T>({ data }: KnownAt, of: (player: PlayerRow) => Promise<T>): Promise<T[]> {
  const players = await data.listPlayers();
  const all: T[] = [];
  for (let i = 0; i < players.length; i += AT_ONCE)
    all.push(...(await Promise.all(players.slice(i, i + AT_ONCE).map(({ player }) => of(player)))));
  return all;
}

/** What all players of an academy are known to do. */
export function squadOf(desk: KnownAt): Promise<Squaddie[]> {
  return eachPlayer(desk, async (player) => ({ player, known: await knownOf(desk, player) }));
}

/** Rows of squad boards, by everything they were made from: a large squad is judged once, and then only who has played. */
const rows = new Map<string, SquadMember>();
const MOST_ROWS = 2000;

/** The players of a squad with their skills, a shot or a round. */
export function membersOf(desk: KnownAt, perShot: boolean): Promise<{ player: PlayerRow; member: SquadMember }[]> {
  return eachPlayer(desk, async (player) => {
    const { playerId, level } = player;
    const key = [desk.academy.academyId, playerId, perShot, madeFromOf(desk, player)].join(' ');
    let row = rows.get(key);
    if (!row) {
      const known = await knownOf(desk, player);
      const mix = mixOf(desk.model, player);
      const diagnosis = diagnose(desk.model, known.belief, known.evidence, { level, mix });
      row = memberOf(
        player.name,
        diagnosis,
        desk.model.cells.map((cell) => mix.get(cell.key) ?? 0),
        perShot,
      );
      if (rows.size >= MOST_ROWS) rows.clear();
      rows.set(key, row);
    }
    return { player, member: { ...row, name: player.name } };
  });
}

/** Strokes that a squad's players are expected to need on average, by cell; null of nobody with a ball. */
export function squadPar(model: SkillModel, squad: readonly Squaddie[]): number[] | null {
  const some = squad.filter(({ known }) => known.evidence.balls > 0);
  if (some.length === 0) return null;
  const sums = model.cells.map(() => 0);
  for (const { player, known } of some) {
    const { findings } = diagnose(model, known.belief, known.evidence, { level: player.level, mix: new Map() });
    findings.forEach((finding, i) => (sums[i]! += finding.expectedStrokes / some.length));
  }
  return sums;
}
