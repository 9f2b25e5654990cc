import type { Standing } from './play';

/** What each ball of the phase that counts added to the score, in the order of play. */
export function eachBall({ played, running, stations: all, phases }: Standing): { stationKey: string; score: number }[] {
  const counting = played.filter((shot) => shot.phase === phases.length - 1);
  const total = all.reduce((sum, { score }) => sum + score, 0);
  const first = total - ((running.at(-1) ?? 0) - (running[0] ?? 0));
  return counting.map(({ stationKey }, i) => ({ stationKey, score: i === 0 ? first : running[i]! - running[i - 1]! }));
}
