import { normalCdf } from '../math/normal';
import type { KnownPlayer } from './choose';
import { OpenStrokes } from './open';

/** Where all is settled, what is least known still comes first. */
const LEAST_WEIGHT = 1e-3;

/**
 * What to hit next, ball by ball or set by set, from what is known before the first of them: always the shot whose balls narrow most what is
 * open of the shots that could be among the three weakest, each weighted by p(1 − p). What comes of the balls is not asked: that narrows
 * what is open the same way, so a phone without the model can go on alone.
 */
export class ByNeed {
  readonly #open: OpenStrokes;
  readonly #weights: readonly number[];
  readonly #known: KnownPlayer;

  constructor(known: KnownPlayer) {
    const { findings, lost } = (this.#known = known);
    this.#open = new OpenStrokes({ lost, uses: findings.map(({ uses }) => uses), perBall: findings.map(({ perBall }) => perBall) });
    this.#weights = findings.map(({ perRound: { weakest3 } }) => weakest3 * (1 - weakest3) + LEAST_WEIGHT);
  }

  /**
   * The next shot.
   * @param allowed which can be hit here, as indices; at least one
   * @param balls how many are hit in a row
   * @param last what was hit before: it does not come again, unless it is all there is
   */
  next(allowed: readonly number[], balls: number, last: number | null = null): number {
    const others = allowed.filter((cell) => cell !== last);
    const choice = others.length > 0 ? others : allowed;
    const drops = choice.map((cell) => this.#open.drop({ cell, balls }, this.#weights));
    return choice[drops.indexOf(Math.max(...drops))]!;
  }

  /** So many balls of a shot were hit. */
  hit(cell: number, balls: number): void {
    this.#open.hit({ cell, balls });
  }

  /** How likely it is that the third weakest shot is weaker than the fourth, by what is open now and what was lost before. */
  get sure(): number {
    const { findings } = this.#known;
    const order = findings
      .map((_, i) => i)
      .filter((i) => findings[i]!.ranked)
      .toSorted((a, b) => findings[b]!.perRound.mean - findings[a]!.perRound.mean);
    const [third, fourth] = [order[2], order[3]];
    if (third === undefined || fourth === undefined) return 1;
    const variance = this.#open.variance(third) + this.#open.variance(fourth);
    const gap = findings[third]!.perRound.mean - findings[fourth]!.perRound.mean;
    return variance <= 0 ? 1 : normalCdf(gap / Math.sqrt(variance));
  }
}

/** Sure enough is four to one; more balls than these are no advice. */
const [SURE_ENOUGH, MOST] = [0.8, 300];
const SET = 5;

/**
 * About how many more balls it takes until the three weakest are told from the rest, if each comes from where it is needed.
 * @returns null where more than 300 would not do
 */
export function ballsToTell(known: KnownPlayer, allowed: readonly number[]): number | null {
  const need = new ByNeed(known);
  let last: number | null = null;
  for (let balls = 0; balls <= MOST; balls += SET) {
    if (need.sure >= SURE_ENOUGH) return balls;
    last = need.next(allowed, SET, last);
    need.hit(last, SET);
  }
  return null;
}
