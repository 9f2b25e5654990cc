/** A ball as simulation makes it: everything about it is known. One is used again and again. */
export type KernelBall = {
  holed: boolean;
  leftM: number;
  /** Finished on the side that counts. */
  goodSide: boolean;
  onGreen: boolean;
  landed: boolean;
  /** To hole out, this one included, penalties too. */
  strokes: number;
  executed: boolean;
};

/** What some schemes look at beyond where a ball stopped. */
export type Seen = 'strokes' | 'landed' | 'executed';

/** A phase compiled for simulation: one player's game in a few numbers, without allocation. */
export interface Kernel {
  reset(): void;
  /**
   * Takes a ball.
   * @param at the station's place in the list
   * @param won points of the round, in schemes that compare players
   */
  take(at: number, ball: KernelBall, won: number): void;
  score(): number;
  /** Whether the game ends here, in schemes that may end before the last ball. */
  over?(): boolean;
  /** Where the next ball is played from, in schemes that decide it. */
  at?(): number;
  /** Whether a ball did what was wanted, in schemes that know a perfect round. */
  worked?(at: number, ball: KernelBall): boolean;
}

/** Whether a simulated ball is inside a zone round the hole, as `inside` says it of a recorded one. */
export function kernelInside(ball: KernelBall, radiusM: number): boolean {
  return ball.holed || (radiusM > 0 && ball.goodSide && ball.leftM <= radiusM);
}
