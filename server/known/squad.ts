import 'server-only';
import { LRUCache } from 'lru-cache';
import { helpIn, squadTable, togetherIn, withoutBalls, type Help, type KeptSkills, type Squad } from '@/core/board/squad';
import { keptSkills } from './briefs';
import type { KnownAt } from './known';

/** The players of a squad by skills, who could practise together and who could help whom; `pending`: some are still being worked out. */
export type SquadBoard = {
  squad: Squad;
  /** By player, as the squad has them. */ ids: string[];
  levels: number[];
  together: { kind: number; names: string[] }[];
  help: Help[];
  pending: boolean;
};

/** So many players of boards are remembered: of a large academy's both, a shot and in a round, and of many small ones'. */
const REMEMBERED = 4_000;
/** Boards of which all is worked out, by what they follow from: as long as that is so, they are the same. */
const remembered = new LRUCache<string, SquadBoard>({ maxSize: REMEMBERED, sizeCalculation: ({ ids }) => Math.max(1, ids.length) });

/** The squad board, as what is kept of its players says it: the same question is answered once. */
export async function squadBoardOf(desk: KnownAt, part: 'shot' | 'round'): Promise<SquadBoard> {
  const { data, academy, model } = desk;
  const followsFrom = async () => [academy.academyId, part, model.version, academy.halfLifeDays, await data.squadState()].join(' ');
  const key = await followsFrom();
  const before = remembered.get(key);
  if (before) return before;
  const board = await makeBoard(desk, part);
  // What changed while it was made may be in it, or not.
  if (!board.pending && (await followsFrom()) === key) remembered.set(key, board);
  return board;
}

async function makeBoard(desk: KnownAt, part: 'shot' | 'round'): Promise<SquadBoard> {
  const players = await desk.data.listPlayers();
  const { of, pending } = await keptSkills(desk, players, part);
  const none = withoutBalls(desk.model.cells);
  const squad = squadTable(
    desk.model.cells,
    players.map(({ player }) => ({ name: player.name, skills: of.get(player.playerId)?.[part] ?? none })),
  );
  return {
    squad,
    ids: players.map(({ player }) => player.playerId),
    levels: players.map(({ player }) => player.level),
    together: togetherIn(squad),
    help: helpIn(squad),
    pending,
  };
}

/** The strokes expected of those of a squad who have hit a ball, cell by cell. */
export async function squadOf(desk: KnownAt): Promise<KeptSkills['expected'][]> {
  const { of } = await keptSkills(desk, await desk.data.listPlayers(), 'expected');
  return [...of.values()].flatMap(({ expected }) => (expected ? [expected] : []));
}
