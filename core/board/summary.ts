import { counted, listed } from '../units/format';
import type { Diagnosis, Finding } from '../skill/diagnose';
import { sayAmongWeakest } from './certainty';
import { FEW_BALLS, nextOf, sayNext } from './next';
import { sayCell } from './say-cell';
import { sayStrokes, type StrokesAs } from '../units/strokes';
import { rankOf, standsOut, weakestOf, type Per, type Weakest } from './settle';

/** As many names as a coach would read out. */
const NAMES = 4;
/** A cell that was not practised for so long is neglected. */
export const NEGLECTED_DAYS = 28;

/** Less than this is no headline: strokes a shot and a round, and how sure it is to be among the three weakest. */
const LEAST = { shot: 0.03, round: 0.05 } as const;
const LEAST_SURE = 0.1;

const a = (per: Per) => (per === 'round' ? 'a round' : 'a shot');

/** What a coach could read out: where most is lost and how sure that is, what to practise next, and what is best (nothing of few balls). */
export type Summary = { most: string; next: string; best: string };

/**
 * Three sentences, computed.
 * @param against what strokes are counted against, in words: "level 10"
 * @param as in which sign; lost, as in files, where nobody chose
 */
export function summaryOf(diagnosis: Diagnosis, per: Per, against: string, balls: number, as: StrokesAs = 'lost'): Summary {
  const weakest = weakestOf(diagnosis, per);
  return {
    most: sayMost(diagnosis, weakest, per, against, balls, as),
    next: sayNext(nextOf(diagnosis, weakest, per, balls), diagnosis.findings, balls),
    best: balls < FEW_BALLS ? '' : sayBest(diagnosis.findings, per, against, as),
  };
}

function sayMost({ findings }: Diagnosis, weakest: Weakest | null, per: Per, against: string, balls: number, as: StrokesAs): string {
  if (balls === 0) return 'No ball yet: the figures are what is usual at this level.';
  if (balls < FEW_BALLS) return `Only ${counted(balls, 'ball')} so far: the figures are mostly what is usual at this level.`;
  if (!weakest) return `No weakness against ${against} so far.`;
  const first = findings[weakest.first]!;
  const { mean, weakest3 } = rankOf(first, per);
  if (mean < LEAST[per] || weakest3 < LEAST_SURE) {
    const likeliest = [weakest.first, ...weakest.near].slice(0, 2).map((i) => sayCell(findings[i]!));
    return `No clear weakness against ${against} yet. Nearest to one: ${listed(likeliest)}.`;
  }
  const lead = `Weakest: ${sayCell(first)}, ${sayStrokes(mean, as)} ${as} ${a(per)}, ${sayAmongWeakest(weakest3)}.`;
  const others = weakest.unknown.length;
  const unknown = others === 0 ? '' : ` ${counted(others, 'kind')} of shot not played yet could be as weak.`;
  if (weakest.near.length === 0) return lead + unknown;
  const near = weakest.near.slice(0, NAMES - 1).map((i) => `${sayCell(findings[i]!)} (${sayStrokes(rankOf(findings[i]!, per).mean, as)})`);
  const more = weakest.near.length - near.length;
  if (!standsOut(weakest)) {
    const names = [first, ...weakest.near.slice(0, NAMES - 2).map((i) => findings[i]!)].map(sayCell);
    return `Too early to name one weakness: ${weakest.near.length + 1} kinds of shot are too close to call. Likeliest: ${listed(names)}.`;
  }
  return `${lead} Too close to call: ${listed(more > 0 ? [...near, `${more} more`] : near)}.${unknown}`;
}

function sayBest(findings: readonly Finding[], per: Per, against: string, as: StrokesAs): string {
  const practised = findings.filter((finding) => finding.balls > 0 && finding.uses > 0);
  const sure = practised.filter((finding) => rankOf(finding, per).interval80[1] < 0);
  const best = (sure.length > 0 ? sure : practised).toSorted((x, y) => rankOf(x, per).mean - rankOf(y, per).mean)[0];
  if (!best || -rankOf(best, per).mean < LEAST[per]) return `No clear strength against ${against} yet.`;
  const gains = `${sayStrokes(rankOf(best, per).mean, as)} ${as} ${a(per)}`;
  return `${sure.length > 0 ? 'Best' : 'Best, but too close to call'}: ${sayCell(best)}, ${gains}.`;
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
