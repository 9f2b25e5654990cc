import type { Finding } from '../skill/diagnose';
import type { Lost } from '../skill/judge';
import { narrowMost, OpenStrokes, type Batch } from './open';

/** What practice is for: to find out where strokes are lost, or to take them off. */
export const PURPOSES = ['find_out', 'take_strokes_off'] as const;
export type Purpose = (typeof PURPOSES)[number];

/** What is known of a player, by a round. */
export type KnownPlayer = { findings: readonly Pick<Finding, 'ranked' | 'uses' | 'perBall' | 'perRound'>[]; lost: Lost };

export type Wish = {
  purpose: Purpose;
  /** How many places, and how many balls from each. */
  places: number;
  balls: number;
  /** Which cells can be laid out, as indices; every ranked one where nothing is said. */
  allowed?: readonly number[];
};

/** Of the places of a game that takes strokes off, so many find out more. */
const TO_FIND_OUT = 1 / 3;

/** Where all is settled, what is least known still comes first. */
const LEAST_WEIGHT = 1e-3;

/**
 * The shots of a game made to order. To find out: batch by batch the one that narrows most what is open of the shots that could be among the
 * three weakest, each weighted by p(1 − p). To take strokes off: those that lose most in a round, and a third to
 * find out.
 */
export function chooseShots({ findings, lost }: KnownPlayer, { purpose, places, balls, allowed }: Wish): Batch[] {
  const cells = (allowed ?? findings.map((_, i) => i)).filter((i) => findings[i]!.ranked && findings[i]!.uses > 0);
  const open = new OpenStrokes({ lost, uses: findings.map(({ uses }) => uses), perBall: findings.map(({ perBall }) => perBall) });
  const weights = findings.map(({ perRound: { weakest3 } }) => weakest3 * (1 - weakest3) + LEAST_WEIGHT);
  const losing = purpose === 'find_out' ? [] : mostLost(findings, cells, Math.round(places * (1 - TO_FIND_OUT)));
  const first = losing.map((cell): Batch => ({ cell, balls }));
  for (const batch of first) open.hit(batch);
  const others = cells.filter((cell) => !losing.includes(cell));
  return [...first, ...narrowMost(open, { batches: places - first.length, balls, allowed: others, weights })];
}

/** The cells that cost most in a round and are likelier to lose than to gain, the costliest first. */
function mostLost(findings: KnownPlayer['findings'], cells: readonly number[], most: number): number[] {
  return cells
    .filter((i) => findings[i]!.perRound.mean > 0)
    .toSorted((a, b) => findings[b]!.perRound.mean - findings[a]!.perRound.mean)
    .slice(0, most);
}
