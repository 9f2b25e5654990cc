import { isPutt } from '../golf/shot-types';
import { finishingPutts } from '../shot/finishing';
import { isEvidence } from '../shot/evidence';
import type { Shot } from '../shot/shot';
import { addTo, binOf, groupOf, placeOf, type RecordedBall, type BallGroup, type LandingZoneSeen } from './groups';
import { cellKey } from './cells';

/** Balls that say the same of the same place: how many, how much they weigh by their age, and when the last was played. */
export type Tally = { ball: RecordedBall; balls: number; weight: number; lastAt: Date };

/** What a player's records say, sorted for the model and for the boards. */
export type Evidence = {
  groups: BallGroup[];
  /** By cell: how many balls, the putts inside records of strokes included, and when the last was played. */
  cells: Map<string, { balls: number; lastAt: Date }>;
  /** By cell, where any ball's finish or penalty was marked: all whose distance left is known, or that are out. */
  finishes: ReadonlyMap<string, readonly Tally[]>;
  balls: number;
  /** Ordinary balls of which nothing was recorded that says how good they were. */
  silent: number;
  /** Putts by the place they were played from, in metres: how many, and how many of them dropped. */
  putts: Map<number, { balls: number; holed: number }>;
};

const DAY_MS = 86_400_000;

/** How much a ball of some age counts: half as much after each half-life; all alike without one. */
export function weightOf(ageMs: number, halfLifeDays: number | null): number {
  return halfLifeDays === null ? 1 : 2 ** (-Math.max(0, ageMs) / (halfLifeDays * DAY_MS));
}

/** Balls as tallies of one each. Balls after `asOf`, from which ages are counted, are left out. */
export function talliesOf(
  shots: readonly Shot[],
  asOf: Date,
  halfLifeDays: number | null,
  zoneOf: (shot: Shot) => LandingZoneSeen | null = () => null,
): Tally[] {
  return shots.flatMap((shot) => {
    const lastAt = new Date(shot.playedAt);
    const ageMs = asOf.getTime() - lastAt.getTime();
    if (ageMs < 0) return [];
    return [{ ball: { ...shot, zone: zoneOf(shot) }, balls: 1, weight: weightOf(ageMs, halfLifeDays), lastAt }];
  });
}

/** Sorts tallies, however they were counted, into evidence; one after the other, so that a long list need not be held. */
export function gather(tallies: Iterable<Tally>): Evidence {
  const groups = new Map<string, BallGroup>();
  const cells: Evidence['cells'] = new Map();
  const finishes = new Map<string, Map<string, Tally>>();
  const putts: Evidence['putts'] = new Map();
  const marked = new Set<string>();
  let [all, silent] = [0, 0];
  const take = (tally: Tally) => {
    const { ball, balls, weight, lastAt } = tally;
    const one = groupOf(ball);
    if (one) {
      addTo(groups, one, weight);
      const held = cells.get(one.cell);
      const count = balls * ball.nBalls;
      all += count;
      if (isPutt(ball.shotType)) {
        const from = putts.get(one.distanceM) ?? { balls: 0, holed: 0 };
        putts.set(one.distanceM, { balls: from.balls + count, holed: from.holed + (one.kind === 'made' && one.value === 1 ? count : 0) });
      }
      cells.set(one.cell, { balls: (held?.balls ?? 0) + count, lastAt: held && held.lastAt > lastAt ? held.lastAt : lastAt });
    } else if (isEvidence(ball)) silent += balls * ball.nBalls;
    if (!saysWhere(ball)) return;
    const cell = cellKey(ball.shotType, ball.surface, ball.distanceM);
    if ((ball.finish !== null && ball.finish !== 'green') || ball.penalty > 0) marked.add(cell);
    const where = ball.leftM === null ? ball : { ...ball, leftM: middleOfBin(ball.leftM) };
    let here = finishes.get(cell);
    if (!here) finishes.set(cell, (here = new Map()));
    const same = `${placeOf(ball.distanceM)}|${where.leftM}|${ball.leftMinM}|${ball.leftMaxM}|${ball.finish}|${ball.penalty}|${ball.holed}|${ball.strokes}`;
    const held = here.get(same);
    if (held) here.set(same, { ...held, balls: held.balls + balls, weight: held.weight + weight });
    else here.set(same, { ...tally, ball: where });
  };
  for (const tally of tallies) {
    take(tally);
    const putt = puttOf(tally);
    if (putt) take(putt);
  }
  const told = [...finishes].flatMap(([cell, here]) => (marked.has(cell) ? [[cell, [...here.values()]] as const] : []));
  return { groups: [...groups.values()], cells, finishes: new Map(told), balls: all, silent, putts };
}

/** What stands for every distance of its bin: tallies hold any of them. */
function middleOfBin(leftM: number): number {
  const { lo, hi } = binOf(leftM);
  return Math.sqrt(lo * hi);
}

/** Whether a ball from off the green says how its finish compares with its distance. */
function saysWhere({ counts, shotType, holed, leftM, leftMinM, leftMaxM, finish, nBalls }: RecordedBall): boolean {
  if (counts !== 'ordinary' || isPutt(shotType) || nBalls > 1) return false;
  return holed || leftM !== null || leftMinM !== null || leftMaxM !== null || finish === 'out';
}

/** The putts that are inside a record of strokes, from the middle of the bin that its distance left is in. */
function puttOf(tally: Tally): Tally | null {
  const putts = finishingPutts(tally.ball);
  if (!putts) return null;
  const ball: RecordedBall = {
    ...tally.ball,
    shotType: 'putt',
    surface: 'green',
    sit: 'clean',
    stance: 'flat',
    target: 'hole',
    distanceM: middleOfBin(putts.distanceM),
    holed: putts.strokes === 1,
    strokes: putts.strokes,
    leftM: null,
    leftMinM: null,
    leftMaxM: null,
    finish: null,
    landed: null,
    landingErrorM: null,
    executed: null,
    zone: null,
  };
  return { ...tally, ball };
}
