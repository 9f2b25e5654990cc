import 'server-only';
import type { Belief } from '@/core/skill/diagnose';
import { gather, type Evidence, type Tally } from '@/core/skill/evidence';
import type { SkillModel } from '@/core/skill/model';
import { unpackDraws } from '@/core/skill/posterior';
import { straysOf } from '@/core/tools/strays';
import type { MemberRole } from '@/db/actor';
import type { Academy, BallFilter, ListedPlayer } from '../data';
import type { DataFor } from '../rights';
import { sum } from '../sums';

/** Where somebody asks what is known: the data of an academy, and the model that reads it. */
export type KnownAt = { data: DataFor<MemberRole>; academy: Academy; model: SkillModel };

/** What the balls of a player say: the evidence, what is believed after it, and from when ages are counted. */
export type Known = {
  evidence: Evidence;
  belief: Belief;
  asOf: Date | null;
  /** From what it was made: the balls, and what is believed, packed. */
  made: { tallies: readonly Tally[]; draws: Float32Array };
};

/** All that what is known of a player by a round follows from: what is kept from the same need not be made again. */
export function madeFromOf({ academy, model }: KnownAt, { evidenceRev, level, roundMix }: ListedPlayer): string {
  return JSON.stringify([model.version, evidenceRev, level, roundMix, academy.halfLifeDays]);
}

/** Everything known of a player, all balls together: read back where it was kept from the same evidence, else fitted and kept. */
export async function knownOf(desk: KnownAt, player: ListedPlayer): Promise<Known> {
  const { data, academy, model } = desk;
  const { halfLifeDays } = academy;
  const { playerId, evidenceRev, level } = player;
  const [span, held] = await Promise.all([data.spanOfEvidence(playerId), data.heldPosterior(playerId)]);
  const asOf = span?.last ?? null;
  const tallies = asOf ? await data.tallyBalls(playerId, { asOf }, halfLifeDays) : [];
  const evidence = gather(tallies);
  const from = { modelVersion: model.version, evidenceRev, level, halfLifeDays, asOf: asOf ?? new Date(0) };
  const same =
    held?.strays &&
    held.modelVersion === from.modelVersion &&
    held.evidenceRev === from.evidenceRev &&
    held.level === from.level &&
    held.halfLifeDays === from.halfLifeDays &&
    held.asOf.getTime() === from.asOf.getTime();
  const read = same ? new Float32Array(Uint8Array.from(held.draws).buffer) : null;
  const known = read && unpackDraws(read, model.prior(level));
  if (known) return { evidence, belief: { level, draws: known }, asOf, made: { tallies, draws: read } };
  const packed = await believed(model, tallies, level);
  const belief = { level, draws: unpackDraws(packed, model.prior(level))! };
  const strays = { balls: evidence.balls, offGreen: straysOf(belief, model).offGreen };
  await data.keepPosterior(playerId, { ...from, draws: Buffer.from(packed.buffer, packed.byteOffset, packed.byteLength), strays });
  return { evidence, belief, asOf, made: { tallies, draws: packed } };
}

/** What is believed after these balls, packed: it is what a page shows first. */
async function believed(model: SkillModel, tallies: readonly Tally[], level: number): Promise<Float32Array> {
  return (await sum({ kind: 'belief', version: model.version, tallies, level }, { urgent: true })).values;
}

/** What some of the balls of a player say, on their own. */
export async function knownFrom(desk: KnownAt, player: ListedPlayer, filter: BallFilter): Promise<Known> {
  const { data, academy, model } = desk;
  const { level } = player;
  const tallies = await data.tallyBalls(player.playerId, filter, academy.halfLifeDays);
  const packed = await believed(model, tallies, level);
  const draws = unpackDraws(packed, model.prior(level))!;
  return { evidence: gather(tallies), belief: { level, draws }, asOf: filter.asOf, made: { tallies, draws: packed } };
}
