import 'server-only';
import { withoutBalls, type KeptSkills, type SquadMember } from '@/core/board/squad';
import type { ListedPlayer } from '../data';
import { keptSkills } from './briefs';
import type { KnownAt } from './known';

/** The players of a squad with their skills, a shot or a round, as they are kept; `pending`: some are still being worked out. */
export async function membersOf(
  desk: KnownAt,
  perShot: boolean,
): Promise<{ members: { player: ListedPlayer; member: SquadMember }[]; pending: boolean }> {
  const players = await desk.data.listPlayers();
  const part = perShot ? 'shot' : 'round';
  const { of, pending } = await keptSkills(desk, players, part);
  const none = withoutBalls(desk.model.cells);
  const members = players.map(({ player }) => {
    return { player, member: { name: player.name, skills: of.get(player.playerId)?.[part] ?? none } };
  });
  return { members, pending };
}

/** The strokes expected of those of a squad who have hit a ball, cell by cell. */
export async function squadOf(desk: KnownAt): Promise<KeptSkills['expected'][]> {
  const { of } = await keptSkills(desk, await desk.data.listPlayers(), 'expected');
  return [...of.values()].flatMap(({ expected }) => (expected ? [expected] : []));
}
