import { useCallback } from 'react';
import { outcomeOf } from '@/core/play/outcome';
import type { GameSpec } from '@/core/game/spec';
import { schemeOf } from '@/core/game/scoring';
import { sayScore } from '@/core/game/words/say-score';
import type { Run } from '@/core/hour/run-schema';
import { readSession } from '../device/store';
import { useStored } from '../device/use-stored';
import { tableOf } from '../record';

/** What came of a game that was played in an hour, as this device knows it: the first player's score. */
export type Result = { spec: GameSpec; over: boolean; score: number; met: boolean; said: string };

/** The results of a run, by session. */
export function useResults(run: Run | null): ReadonlyMap<string, Result> {
  const ids = run ? run.parts.flatMap(({ sessionId }) => sessionId ?? []).join(' ') : '';
  const found = useStored(
    useCallback(async () => {
      const held = await Promise.all(
        ids
          .split(' ')
          .filter(Boolean)
          .map((id) => readSession(id)),
      );
      return new Map(held.flatMap((one) => (one && one.shots.length > 0 ? [[one.bundle.sessionId, resultOf(one)] as const] : [])));
    }, [ids]),
  );
  return found ?? NONE;
}

const NONE: ReadonlyMap<string, Result> = new Map();

function resultOf({ bundle, shots }: NonNullable<Awaited<ReturnType<typeof readSession>>>): Result {
  const table = tableOf(bundle, shots);
  const { spec, players, stopped } = bundle;
  const [own] = outcomeOf(spec, table).scores;
  const unit = schemeOf(spec.scoring).unit(spec.scoring);
  return {
    spec,
    over: table.over || stopped,
    score: own!.score,
    met: own!.met === true,
    said: sayScore(own!.score, unit, players[0]!.units),
  };
}
