import { mean } from 'd3-array';
import type { Outcome } from '../play/outcome';
import type { Conditions } from '../shot/conditions';
import { GROUNDS } from './asked';

/** A score that a player made in one version of a game, and on what ground. */
export type ScoreMade = { playerId: string; name: string; version: number; score: number; at: Date; conditions: Conditions };

type Mean = { mean: number; of: number };
/** What a player's scores in one version of a game come to. */
export type Figures = {
  playerId: string;
  name: string;
  version: number;
  best: number;
  all: Mean;
  /** Of the last five, where there are more than that. */
  lastFive: Mean | null;
  /** By how the green was, where that was said and differed. */
  grounds: (Mean & { ground: (typeof GROUNDS)[number] })[];
};

const LAST = 5;
const meanOf = (scores: readonly ScoreMade[]): Mean => ({ mean: mean(scores, ({ score }) => score)!, of: scores.length });

/** Bests and averages by player and version of one game, the newest version first, the best player first: only the same version compares. */
export function figuresOf(scores: readonly ScoreMade[], better: 'higher' | 'lower'): Figures[] {
  const by = new Map<string, ScoreMade[]>();
  for (const one of scores) {
    const key = `${one.playerId} ${one.version}`;
    by.set(key, [...(by.get(key) ?? []), one]);
  }
  const sign = better === 'higher' ? 1 : -1;
  return [...by.values()]
    .map((list): Figures => {
      const inOrder = list.toSorted((a, b) => a.at.getTime() - b.at.getTime());
      const { playerId, name, version } = inOrder[0]!;
      const grounds = GROUNDS.flatMap((ground) => {
        const on = inOrder.filter(({ conditions }) => (ground === 'wet' ? conditions.wet === true : conditions.firmness === ground));
        return on.length === 0 ? [] : [{ ground, ...meanOf(on) }];
      });
      return {
        playerId,
        name,
        version,
        best: sign * Math.max(...inOrder.map(({ score }) => sign * score)),
        all: meanOf(inOrder),
        lastFive: inOrder.length > LAST ? meanOf(inOrder.slice(-LAST)) : null,
        // One ground for all says nothing beyond the average.
        grounds: grounds.some(({ of }) => of < inOrder.length) ? grounds : [],
      };
    })
    .sort((a, b) => b.version - a.version || sign * (b.best - a.best) || a.name.localeCompare(b.name));
}

/** How two players stand against each other, over sessions in which both played. */
export type HeadToHead = { sessions: number; first: number; second: number; level: number };

/** @param sessions with the way in which a score is better in each */
export function headToHead(
  sessions: readonly { outcome: Outcome; better: 'higher' | 'lower' }[],
  firstId: string,
  secondId: string,
): HeadToHead {
  const tally = { sessions: 0, first: 0, second: 0, level: 0 };
  for (const { outcome, better } of sessions) {
    const [a, b] = [firstId, secondId].map((id) => outcome.scores.find(({ playerId }) => playerId === id)?.score);
    if (a === undefined || b === undefined) continue;
    tally.sessions++;
    if (a === b) tally.level++;
    else if (a > b === (better === 'higher')) tally.first++;
    else tally.second++;
  }
  return tally;
}
