import { allowanceSchema } from '@/core/game/entrant';
import { readNumber } from '@/ui/length-input';

/** Reads a head start as it is typed: nothing is none. */
export function readAllowance(text: string): { allowance: number } | { wrong: string } {
  const read = allowanceSchema.safeParse(readNumber(text) ?? 0);
  return read.success ? { allowance: read.data } : { wrong: read.error.issues[0]!.message };
}

/** The head starts of those who play, by the player; null where one of them makes no sense. */
export function readAllowances(typed: Readonly<Record<string, string>>, playerIds: readonly string[]): Record<string, number> | null {
  const read = playerIds.map((playerId) => [playerId, readAllowance(typed[playerId] ?? '')] as const);
  const right = read.flatMap(([playerId, one]) => ('wrong' in one ? [] : [[playerId, one.allowance] as const]));
  return right.length === read.length ? Object.fromEntries(right) : null;
}
