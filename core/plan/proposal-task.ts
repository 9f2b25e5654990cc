import type { PlainAgainst } from '../board/sums';
import { diagnose } from '../skill/diagnose';
import { gather, type Tally } from '../skill/evidence';
import type { SkillModel } from '../skill/model';
import { unpackDraws } from '../skill/posterior';
import type { Order, OrderPlayer } from './lay-out';
import { propose, type Proposal } from './propose';

/** A proposal asked for as plain data, so that it can be made beside what else is done. */
export type ProposalTask = {
  kind: 'proposal';
  /** Of which version the model has to be. */
  version: number;
  order: Omit<Order, 'players'>;
  players: readonly (Omit<OrderPlayer, 'belief' | 'judged'> & {
    tallies: readonly Tally[];
    /** What is believed after these balls, packed. */
    draws: Float32Array;
    mix: PlainAgainst['mix'];
  })[];
  which: number;
};

/**
 * Makes one proposal.
 * @throws RangeError where it was asked of another model
 */
export function doProposal(model: SkillModel, { version, order, players, which }: ProposalTask): Proposal | null {
  return propose({ ...order, players: knownOf(model, version, players) }, which, model);
}

/**
 * Players as they are known, from plain data.
 * @throws RangeError where it is of another model
 */
export function knownOf(model: SkillModel, version: number, players: ProposalTask['players']): OrderPlayer[] {
  if (version !== model.version) throw new RangeError(`what model ${version} knows reached model ${model.version}`);
  return players.map(({ playerId, name, level, paceM, clubM, putterM, tallies, draws, mix }) => {
    const evidence = gather(tallies);
    const belief = { level, draws: unpackDraws(draws, model.prior(level))! };
    const judged = diagnose(model, belief, evidence, { level, mix: new Map(mix) });
    return { playerId, name, level, paceM, clubM, putterM, belief, judged };
  });
}
