import { makeRate, type PuttingSkill } from '../golf/putting';
import type { Shot } from '../shot/shot';
import { METRES_PER } from '../units/length';

/** How putts run from a station, as its game says: null where it says nothing. */
export type PuttRuns = { slope: 'uphill' | 'downhill' | null; breaks: 'straight' | 'left_to_right' | 'right_to_left' | null };
export const RUNS = ['uphill', 'downhill', 'straight', 'left_to_right', 'right_to_left'] as const;
export type Run = (typeof RUNS)[number];

/** Putts of one way to run: how many were holed, how many a level would hole from the same distances, and of the misses with a direction how many came up short. */
export type RunResult = { run: Run; putts: number; holed: number; expected: number; short: number; directed: number };

/**
 * Results by how putts run: up and down, and by the side they break. A putt counts in each way that its station names.
 * @param runsOf how a ball's station runs; null where its game says nothing
 */
export function byBreak(
  shots: readonly Pick<Shot, 'holed' | 'distanceM' | 'bearingDeg' | 'sessionId' | 'phase' | 'stationKey'>[],
  runsOf: (shot: Pick<Shot, 'sessionId' | 'phase' | 'stationKey'>) => PuttRuns | null,
  level: PuttingSkill,
): RunResult[] {
  const results = new Map<Run, RunResult>();
  for (const shot of shots) {
    const runs = runsOf(shot);
    for (const run of [runs?.slope, runs?.breaks]) {
      if (!run) continue;
      const now = results.get(run) ?? { run, putts: 0, holed: 0, expected: 0, short: 0, directed: 0 };
      now.putts++;
      now.expected += makeRate(level, Math.max(0.2, shot.distanceM / METRES_PER.ft));
      if (shot.holed) now.holed++;
      else if (shot.bearingDeg !== null) {
        now.directed++;
        if (shot.bearingDeg > 90 && shot.bearingDeg < 270) now.short++;
      }
      results.set(run, now);
    }
  }
  return RUNS.flatMap((run) => results.get(run) ?? []);
}
