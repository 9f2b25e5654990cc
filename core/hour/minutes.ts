import { shareOut } from '../math/share-out';

/** Each part keeps at least a minute. */
const LEAST = 1;

/**
 * Gives one of several parts other minutes: what it takes or leaves is its neighbour's, the next one's or, of the last, the one before; where
 * that has no more to give, those beyond it give too. The sum stays.
 */
export function withMinutes<P extends { minutes: number }>(parts: readonly P[], at: number, wanted: number): P[] {
  const sum = parts.reduce((total, part) => total + part.minutes, 0);
  const most = sum - LEAST * (parts.length - 1);
  const minutes = parts.map((part) => part.minutes);
  let owed = Math.min(most, Math.max(LEAST, Math.round(wanted))) - minutes[at]!;
  minutes[at]! += owed;
  const after = minutes.map((_, i) => i).filter((i) => i > at);
  const before = minutes
    .map((_, i) => i)
    .filter((i) => i < at)
    .toReversed();
  for (const i of [...after, ...before]) {
    const gives = Math.min(owed, minutes[i]! - LEAST);
    minutes[i]! -= gives;
    owed -= gives;
  }
  return parts.map((part, i) => ({ ...part, minutes: minutes[i]! }));
}

/** Moves the end of a part (not the last) to a minute of the whole, as far as the two beside it give way. The sum stays. */
export function withBoundary<P extends { minutes: number }>(parts: readonly P[], at: number, minute: number): P[] {
  const from = parts.slice(0, at).reduce((total, part) => total + part.minutes, 0);
  const both = parts[at]!.minutes + parts[at + 1]!.minutes;
  const first = Math.min(both - LEAST, Math.max(LEAST, Math.round(minute) - from));
  return parts.map((part, i) => (i === at ? { ...part, minutes: first } : i === at + 1 ? { ...part, minutes: both - first } : part));
}

/** Fits parts into other minutes, in their proportions; each keeps at least one. */
export function fittedInto<P extends { minutes: number }>(parts: readonly P[], minutes: number): P[] {
  if (parts.length === 0) return [];
  const over = shareOut(
    parts.map((part) => Math.max(1e-6, part.minutes - LEAST)),
    Math.max(0, Math.round(minutes) - LEAST * parts.length),
  );
  return parts.map((part, i) => ({ ...part, minutes: LEAST + over[i]! }));
}

/** Takes a part out; the others share its minutes. */
export function without<P extends { minutes: number }>(parts: readonly P[], at: number): P[] {
  const sum = parts.reduce((total, part) => total + part.minutes, 0);
  return fittedInto(
    parts.filter((_, i) => i !== at),
    sum,
  );
}
