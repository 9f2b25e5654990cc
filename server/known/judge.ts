import 'server-only';
import type { Diagnosis } from '@/core/skill/diagnose';
import type { ListedPlayer } from '../data';
import { sum } from '../sums';
import type { Known, KnownAt } from './known';

/** Against what strokes are counted: a level, how often each cell comes up in a round, and a yardstick of one's own, cell by cell; null: the level's. */
export type Yardstick = { level: number; mix: ReadonlyMap<string, number>; par: number[] | null };

/** Judges what is known of a player by a yardstick. */
export async function judge({ model }: KnownAt, player: ListedPlayer, known: Known, { level, mix, par }: Yardstick): Promise<Diagnosis> {
  const { diagnosis } = await sum(
    { kind: 'board', version: model.version, level: player.level, ...known.made, against: { level, mix: [...mix], par } },
    { urgent: true },
  );
  return diagnosis!;
}
