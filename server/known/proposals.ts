import 'server-only';
import { lengthsOf, measuresOf } from '@/core/game/sizes';
import type { ProposalTask } from '@/core/plan/proposal-task';
import type { Proposal } from '@/core/plan/propose';
import type { PlayerRow } from '../data';
import { sum } from '../sums';
import { knownOf, type KnownAt } from './known';
import { mixOf } from './yardsticks';

/** Who plays, and what is wished for, without what the academy says itself. */
export type Ordered = { players: readonly PlayerRow[] } & Pick<ProposalTask['order'], 'purpose' | 'minutes' | 'green' | 'seed'>;

/** What is known of those for whom a game is made: read once for all that are proposed. */
export async function orderedFrom(desk: KnownAt, { players, ...wish }: Ordered): Promise<Omit<ProposalTask, 'which'>> {
  const { academy, model } = desk;
  const known = await Promise.all(
    players.map(async (player) => {
      const { playerId, name, level } = player;
      const { made } = await knownOf(desk, player);
      return { playerId, name, level, ...lengthsOf(player), ...made, mix: [...mixOf(model, player)] };
    }),
  );
  const order = { ...wish, units: academy.units, coach: measuresOf(academy) };
  return { kind: 'proposal', version: model.version, order, players: known };
}

/** One of the games proposed; null where none of its kind can be laid out. */
export function proposalOf(task: Omit<ProposalTask, 'which'>, which: number): Promise<Proposal | null> {
  return sum({ ...task, which }, { urgent: true });
}
