import 'server-only';
import { squadPar } from '@/core/board/squad';
import { sayLevel } from '@/core/golf/level';
import type { Diagnosis } from '@/core/skill/diagnose';
import type { BallFilter, ListedPlayer } from '../data';
import { judge } from './judge';
import { knownFrom, knownOf, type Known, type KnownAt } from './known';
import { squadOf } from './squad';
import { mixOf, ownPar } from './yardsticks';

/** One player's board: what is known, against what was asked. */
export type Board = {
  known: Known;
  diagnosis: Diagnosis;
  level: number;
  against: string;
  mix: Map<string, number>;
  ownTable: string | null;
};

/** Which balls a board looks at, none: all of them; and against what strokes are counted, nothing: the player's own level. */
export type BoardOf = { filter: BallFilter | null; against: number | 'squad' | 'table' | undefined };

export async function boardOf(desk: KnownAt, player: ListedPlayer, { filter, against: asked }: BoardOf): Promise<Board> {
  const { data, model } = desk;
  const [known, own] = await Promise.all([filter ? knownFrom(desk, player, filter) : knownOf(desk, player), data.ownReference()]);
  const level = typeof asked === 'number' ? asked : player.level;
  const par = asked === 'squad' ? squadPar(await squadOf(desk)) : asked === 'table' && own ? ownPar(model, own.expected, level) : null;
  const mix = mixOf(model, player);
  const diagnosis = await judge(desk, player, known, { level, mix, par });
  const against = !par ? `level ${sayLevel(level)}` : asked === 'squad' ? 'the squad’s average' : `“${own!.name}”`;
  return { known, diagnosis, level, against, mix, ownTable: own?.name ?? null };
}
