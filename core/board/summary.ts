import { counted, listed, signed } from '../units/format';
import type { Diagnosis, Finding } from '../skill/diagnose';
import { sayCell } from './say-cell';
import { ballsToSettle, MOST_BALLS, rankOf, weakestOf, type Per, type Weakest } from './settle';

/** Fewer balls than this settle nothing: what is said is what such players are like. */
export const FEW_BALLS = 20;
/** As many names as a coach would read out. */
const NAMES = 4;
/** With more near-ties than that beside the names, there is no first. */
const MANY = 4;
/** A cell that was not practised for so long is neglected. */
export const NEGLECTED_DAYS = 28;

/** Less than this is no headline: strokes a shot and a round, and how sure it is to be among the three weakest. */
const LEAST = { shot: 0.03, round: 0.05 } as const;
const LEAST_SURE = 0.1;

/** Of so many draws nothing is surer than that. */
const percent = (share: number) => `${Math.min(99, Math.round(100 * share))}%`;
const a = (per: Per) => (per === 'round' ? 'a round' : 'a shot');

/** What a coach could read out: where most is lost and how sure that is, what is best (nothing of few balls), and what would settle it. */
export type Summary = { most: string; best: string; next: string };

/**
 * Three sentences, computed.
 * @param against what strokes are counted against, in words: "level 10"
 */
export function summaryOf(diagnosis: Diagnosis, per: Per, against: string, balls: number): Summary {
  const weakest = weakestOf(diagnosis, per);
  return {
    most: sayMost(diagnosis, weakest, per, against, balls),
    best: balls < FEW_BALLS ? '' : sayBest(diagnosis.findings, per, against),
    next: balls < FEW_BALLS ? `From about ${FEW_BALLS} balls on it begins to tell.` : sayNext(diagnosis, weakest, per),
  };
}

function sayMost({ findings }: Diagnosis, weakest: Weakest | null, per: Per, against: string, balls: number): string {
  if (balls === 0) return 'No ball yet: the figures are what is usual at this level.';
  if (balls < FEW_BALLS) return `${counted(balls, 'ball')} say little yet: the figures are mostly what is usual at this level.`;
  if (!weakest) return `Nothing is likelier to lose strokes than to gain them against ${against}.`;
  const first = findings[weakest.first]!;
  const { mean, weakest3 } = rankOf(first, per);
  if (mean < LEAST[per] || weakest3 < LEAST_SURE) {
    const likeliest = [weakest.first, ...weakest.near].slice(0, 2).map((i) => sayCell(findings[i]!));
    return `No clear weakness against ${against} yet. Most likely: ${listed(likeliest)}.`;
  }
  const lead = `Weakest: ${sayCell(first)}, ${signed(mean)} ${a(per)}, ${percent(weakest3)} sure to be among the three weakest`;
  const unknown =
    weakest.unknown.length === 0 ? '' : `; ${counted(weakest.unknown.length, 'kind')} of shot never played could cost as much`;
  if (weakest.near.length === 0) return `${lead}${unknown}.`;
  const near = weakest.near.slice(0, NAMES - 1).map((i) => `${sayCell(findings[i]!)} (${signed(rankOf(findings[i]!, per).mean)})`);
  const more = weakest.near.length - near.length;
  if (more > MANY) {
    const names = [first, ...weakest.near.slice(0, NAMES - 2).map((i) => findings[i]!)].map(sayCell);
    return `Too early to name one: ${weakest.near.length + 1} kinds of shot can’t be told apart. Likeliest to cost most: ${listed(names)}.`;
  }
  return `${lead}; too close to call: ${listed(near)}${more > 0 ? `, and ${more} more` : ''}${unknown}.`;
}

function sayBest(findings: readonly Finding[], per: Per, against: string): string {
  const practised = findings.filter((finding) => finding.balls > 0 && finding.uses > 0);
  const sure = practised.filter((finding) => rankOf(finding, per).interval80[1] < 0);
  const best = (sure.length > 0 ? sure : practised).toSorted((x, y) => rankOf(x, per).mean - rankOf(y, per).mean)[0];
  if (!best || -rankOf(best, per).mean < LEAST[per]) return `No clear strength against ${against} yet.`;
  const gains = `${signed(-rankOf(best, per).mean)} ${a(per)} gained on ${against}`;
  return sure.length > 0 ? `Best: ${sayCell(best)}, ${gains}.` : `Best, but not surely: ${sayCell(best)}, ${gains}.`;
}

function sayNext(diagnosis: Diagnosis, weakest: Weakest | null, per: Per): string {
  const { findings } = diagnosis;
  if (weakest && weakest.near.length > 0) {
    const [rival] = weakest.near;
    const balls = ballsToSettle(diagnosis, per, weakest.first, rival!);
    const names = `${sayCell(findings[weakest.first]!)} and ${sayCell(findings[rival!]!)}`;
    return balls === null
      ? `To tell ${names} apart would take more than ${MOST_BALLS.toLocaleString('en')} balls of each.`
      : `About ${roundly(balls)} more balls each of ${names} would settle which loses more.`;
  }
  if (weakest && weakest.unknown.length > 0) {
    const most = weakest.unknown.toSorted((x, y) => findings[y]!.uses - findings[x]!.uses).slice(0, 2);
    return `A dozen balls each of ${listed(most.map((i) => sayCell(findings[i]!)))} would begin to tell whether they cost as much.`;
  }
  return weakest ? `The weakest shot is clear: practise it next.` : `Hit more from the spots with few balls.`;
}

/** 23 is "25", 140 is "140", 7 is "7": no more digits than are known. */
function roundly(balls: number): number {
  const step = balls < 10 ? 1 : balls < 100 ? 5 : 10;
  return Math.ceil(balls / step) * step;
}

/** Balls that count for nothing on a board, and why; empty where there are none. */
export function saySilent(silent: number, noPlace: number): string {
  const parts = [
    silent > 0 ? `${counted(silent, 'ball')} not counted: no distance, ring or strokes recorded.` : '',
    noPlace > 0 ? `${counted(noPlace, 'ball')} not counted: the reference has no such shot.` : '',
  ];
  return parts.filter(Boolean).join(' ');
}

/** Cells that come up in rounds and were not practised for weeks, or never, the most used first. */
export function neglectedOf(findings: readonly Finding[], now: Date): Finding[] {
  const since = (finding: Finding) => (finding.lastAt ? (now.getTime() - finding.lastAt.getTime()) / 86_400_000 : Infinity);
  return findings.filter((finding) => finding.uses > 0 && since(finding) > NEGLECTED_DAYS).toSorted((x, y) => y.uses - x.uses);
}
