import 'server-only';
import { withoutBalls, type KeptSkills, type SquadMember } from '@/core/board/squad';
import type { PlayerRow } from '../data';
import { keptSkills } from './briefs';
import type { KnownAt } from './known';

/** The players of a squad with their skills, a shot or a round, as they are kept; `pending`: some are still being worked out. */
export async function membersOf(
  desk: KnownAt,
  perShot: boolean,
): Promise<{ members: { player: PlayerRow; member: SquadMember }[]; pending: boolean }> {
  const players = await desk.data.listPlayers();
  const { of, pending } = await keptSkills(desk, players);
  const none = withoutBalls(desk.model.cells);
  const members = players.map(({ player }) => {
    const kept = of.get(player.playerId);
    return { player, member: { name: player.name, skills: kept ? (perShot ? kept.shot : kept.round) : none } };
  });
  return { members, pending };
}

/** What is kept of those of a squad who have hit a ball. */
export async function squadOf(desk: KnownAt): Promise<KeptSkills[]> {
  const { of } = await keptSkills(desk, await desk.data.listPlayers());
  return [...of.values()];
}
