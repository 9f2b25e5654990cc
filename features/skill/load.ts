import { sayLevel } from '@/core/golf/level';
import { memberOf, type Member } from '@/core/board/squad';
import type { OwnReference } from '@/core/formats/reference-table';
import { diagnose, type Belief, type Diagnosis } from '@/core/skill/diagnose';
import { gather, type Evidence, type Tally } from '@/core/skill/evidence';
import { MODEL_VERSION } from '@/core/skill/model';
import { unpackDraws } from '@/core/skill/posterior';
import { model } from '@/core/skill/sums';
import { sum } from '@/server/sums';
import type { Academy, BallFilter, Data, PlayerRow } from '@/server/data';
import { isFiltered, type Asked } from './asked';
import { endOfDayIn, startOfDayIn } from './days';

type Desk = { data: Data; academy: Academy };

export { model };

/** What the balls of a player say: the evidence, what is believed after it, and from when ages are counted. */
export type Known = {
  evidence: Evidence;
  belief: Belief;
  asOf: Date | null;
  /** From what it was made: the balls, and what is believed, packed. */
  made: { tallies: readonly Tally[]; draws: Float32Array };
};

/** Everything known of a player, all balls together: read back where it was kept from the same evidence, else fitted and kept. */
export async function knownOf(desk: Desk, player: PlayerRow): Promise<Known> {
  const { data, academy } = desk;
  const { halfLifeDays } = academy;
  const { playerId, evidenceRev, level } = player;
  const [span, held] = await Promise.all([data.spanOfEvidence(playerId), data.heldPosterior(playerId)]);
  const asOf = span?.last ?? null;
  const tallies = asOf ? await data.tallyBalls(playerId, { asOf }, halfLifeDays) : [];
  const evidence = gather(tallies);
  const from = { modelVersion: MODEL_VERSION, evidenceRev, level, halfLifeDays, asOf: asOf ?? new Date(0) };
  const same =
    held &&
    held.modelVersion === from.modelVersion &&
    held.evidenceRev === from.evidenceRev &&
    held.level === from.level &&
    held.halfLifeDays === from.halfLifeDays &&
    held.asOf.getTime() === from.asOf.getTime();
  const read = same ? new Float32Array(Uint8Array.from(held.draws).buffer) : null;
  const known = read && unpackDraws(read, model.prior(level));
  if (known) return { evidence, belief: { level, draws: known }, asOf, made: { tallies, draws: read } };
  const packed = await believed(tallies, level);
  await data.keepPosterior(playerId, { ...from, draws: Buffer.from(packed.buffer, packed.byteOffset, packed.byteLength) });
  return { evidence, belief: { level, draws: unpackDraws(packed, model.prior(level))! }, asOf, made: { tallies, draws: packed } };
}

/** What is believed after these balls, packed: it is what a page shows first. */
async function believed(tallies: readonly Tally[], level: number): Promise<Float32Array> {
  return (await sum({ kind: 'belief', tallies, level }, { urgent: true })).values;
}

/** Which balls of a player a board looks at. */
export function filterOf(asked: Asked, timeZone: string, now: Date): BallFilter {
  const { from, to, game, sit, stance, trajectory, club, firmness, wind } = asked;
  return {
    asOf: to ? endOfDayIn(to, timeZone) : now,
    ...(from ? { from: startOfDayIn(from, timeZone) } : {}),
    ...(game ? { gameId: game } : {}),
    ...(sit ? { sit } : {}),
    ...(stance ? { stance } : {}),
    ...(trajectory ? { trajectory } : {}),
    ...(club ? { clubLabel: club } : {}),
    ...(firmness ? { firmness } : {}),
    ...(wind ? { wind } : {}),
  };
}

/** What some of the balls of a player say, on their own. */
export async function knownFrom(desk: Desk, player: PlayerRow, filter: BallFilter): Promise<Known> {
  const { level } = player;
  const tallies = await desk.data.tallyBalls(player.playerId, filter, desk.academy.halfLifeDays);
  const packed = await believed(tallies, level);
  const draws = unpackDraws(packed, model.prior(level))!;
  return { evidence: gather(tallies), belief: { level, draws }, asOf: filter.asOf, made: { tallies, draws: packed } };
}

/** How often each cell comes up in a player's rounds: their own mix where somebody gave one, else their level's. */
export function mixOf(player: Pick<PlayerRow, 'level' | 'roundMix'>): Map<string, number> {
  const mix = model.mix(player.level);
  for (const [key, uses] of Object.entries(player.roundMix ?? {})) if (mix.has(key)) mix.set(key, uses);
  return mix;
}

export type Squaddie = { player: PlayerRow; known: Known };

/** So many players are asked about at once. */
const AT_ONCE = 8;

async function eachPlayer<T>({ data }: Desk, of: (player: PlayerRow) => Promise<T>): Promise<T[]> {
  const players = await data.listPlayers();
  const all: T[] = [];
  for (let i = 0; i < players.length; i += AT_ONCE)
    all.push(...(await Promise.all(players.slice(i, i + AT_ONCE).map(({ player }) => of(player)))));
  return all;
}

/** What all players of an academy are known to do. */
export function squadOf(desk: Desk): Promise<Squaddie[]> {
  return eachPlayer(desk, async (player) => ({ player, known: await knownOf(desk, player) }));
}

/** Rows of squad boards, by everything they were made from: a large squad is judged once, and then only who has played. */
const rows = new Map<string, Member>();
const MOST_ROWS = 2000;

/** The players of a squad with their skills, a shot or a round. */
export function membersOf(desk: Desk, perShot: boolean): Promise<{ player: PlayerRow; member: Member }[]> {
  return eachPlayer(desk, async (player) => {
    const { playerId, evidenceRev, level, roundMix } = player;
    const key = JSON.stringify([desk.academy.academyId, playerId, evidenceRev, level, roundMix, desk.academy.halfLifeDays, perShot]);
    let row = rows.get(key);
    if (!row) {
      const known = await knownOf(desk, player);
      const mix = mixOf(player);
      const diagnosis = diagnose(model, known.belief, known.evidence, { level, mix });
      row = memberOf(
        player.name,
        diagnosis,
        model.cells.map((cell) => mix.get(cell.key) ?? 0),
        perShot,
      );
      if (rows.size >= MOST_ROWS) rows.clear();
      rows.set(key, row);
    }
    return { player, member: { ...row, name: player.name } };
  });
}

/** Strokes that a squad's players are expected to need on average, by cell; null of nobody with a ball. */
export function squadPar(squad: readonly Squaddie[]): number[] | null {
  const some = squad.filter(({ known }) => known.evidence.balls > 0);
  if (some.length === 0) return null;
  const sums = model.cells.map(() => 0);
  for (const { player, known } of some) {
    const { findings } = diagnose(model, known.belief, known.evidence, { level: player.level, mix: new Map() });
    findings.forEach((finding, i) => (sums[i]! += finding.expectedStrokes / some.length));
  }
  return sums;
}

/** Strokes expected by a coach's own table; of cells that it leaves out, the level's. */
export function ownPar(expected: OwnReference, level: number): number[] {
  return model.cells.map(({ key }, i) => expected[key] ?? model.expects(i, level));
}

/** One player's board: what is known, against what was asked. */
export type Board = {
  known: Known;
  diagnosis: Diagnosis;
  level: number;
  against: string;
  mix: Map<string, number>;
  ownTable: string | null;
};

export async function boardOf(desk: Desk, player: PlayerRow, asked: Asked, now: Date): Promise<Board> {
  const [known, own] = await Promise.all([
    isFiltered(asked) ? knownFrom(desk, player, filterOf(asked, desk.academy.timeZone, now)) : knownOf(desk, player),
    desk.data.ownReference(),
  ]);
  const level = typeof asked.against === 'number' ? asked.against : player.level;
  const par =
    asked.against === 'squad' ? squadPar(await squadOf(desk)) : asked.against === 'table' && own ? ownPar(own.expected, level) : null;
  const mix = mixOf(player);
  const { diagnosis } = await sum(
    { kind: 'board', level: player.level, ...known.made, against: { level, mix: [...mix], par } },
    { urgent: true },
  );
  const against = !par ? `level ${sayLevel(level)}` : asked.against === 'squad' ? 'the squad’s average' : `“${own!.name}”`;
  return { known, diagnosis: diagnosis!, level, against, mix, ownTable: own?.name ?? null };
}
