import 'server-only';
import { lengthsOf, measuresOf } from '@/core/game/sizes';
import { LIBRARY } from '@/core/game/library';
import type { GreenPlan } from '@/core/green/plan';
import type { Part } from '@/core/hour/hour';
import type { School } from '@/core/hour/school';
import type { RoundByNeed } from '@/core/plan/by-need';
import type { BlockTest, BlockTestTask } from '@/core/plan/block-test';
import type { FillOrder } from '@/core/plan/fill';
import type { FilledParts } from '@/core/plan/filled';
import type { ProposalTask } from '@/core/plan/proposal-task';
import type { Proposal } from '@/core/plan/propose';
import type { ListedPlayer } from '../data';
import { sum } from '../sums';
import { knownOf, type KnownAt } from './known';
import { mixOf } from './yardsticks';

/** Who plays, and what is wished for, without what the academy says itself. */
export type Ordered = { players: readonly ListedPlayer[] } & Pick<ProposalTask['order'], 'purpose' | 'minutes' | 'green' | 'seed'>;

/** What is known of those for whom a game is made: read once for all that are proposed. */
export async function orderedFrom(desk: KnownAt, { players, ...wish }: Ordered): Promise<Omit<ProposalTask, 'which'>> {
  const { academy, model } = desk;
  const order = { ...wish, units: academy.units, coach: measuresOf(academy) };
  return { kind: 'proposal', version: model.version, order, players: await Promise.all(players.map((player) => plainOf(desk, player))) };
}

async function plainOf(desk: KnownAt, player: ListedPlayer) {
  const { playerId, name, level } = player;
  const { made } = await knownOf(desk, player);
  return { playerId, name, level, ...lengthsOf(player), ...made, mix: [...mixOf(desk.model, player)] };
}

/** What an hour should be filled for. */
export type Wished = { school: School; parts: readonly Part[]; green: GreenPlan | null; seed: number } & Pick<
  FillOrder,
  'shots' | 'rehearses'
>;

/** What parts of an hour are filled with, from ready games, the academy's own, and what is made for these players; by the keys of the parts. */
export async function filledParts(
  desk: KnownAt,
  players: readonly ListedPlayer[],
  { school, parts, green, seed, ...aim }: Wished,
): Promise<FilledParts> {
  const { data, academy, model } = desk;
  const [own, known] = await Promise.all([
    data.listGames(),
    Promise.all(
      players.map(async (player) => {
        const [plain, bag] = await Promise.all([plainOf(desk, player), data.bagOf(player.playerId)]);
        return { ...plain, clubs: bag.clubs.map(({ label }) => label) };
      }),
    ),
  ]);
  const candidates = [...own.map(({ gameId, spec }) => ({ gameId, spec })), ...LIBRARY.map(({ spec }) => ({ gameId: null, spec }))];
  const order = { ...aim, school, green, seed, candidates, units: academy.units, coach: measuresOf(academy) };
  return sum({ kind: 'fill', version: model.version, order, players: known, parts }, { urgent: true });
}

/** What a block of weeks works on, and how that is tested, for these players. */
export async function blockTest(
  desk: KnownAt,
  players: readonly ListedPlayer[],
  { minutes, green, days, shots }: { minutes: number; green: GreenPlan | null } & Pick<BlockTestTask, 'days' | 'shots'>,
): Promise<BlockTest> {
  const { kind: _, ...ordered } = await orderedFrom(desk, { players, purpose: 'find_out', minutes, green, seed: 1 });
  return sum({ kind: 'block_test', ...ordered, days, shots }, { urgent: true });
}

/** A round in which the program says what to hit next; null where the green has no places for it. */
export function roundByNeed(task: Omit<ProposalTask, 'which'>): Promise<RoundByNeed | null> {
  return sum({ ...task, kind: 'by_need' }, { urgent: true });
}

/** One of the games proposed; null where none of its kind can be laid out. */
export function proposalOf(task: Omit<ProposalTask, 'which'>, which: number): Promise<Proposal | null> {
  return sum({ ...task, which }, { urgent: true });
}
