import { shareOut } from '../math/share-out';
import type { PartKind } from './hour';
import { repetitionShare, type School } from './school';

/** Shorter than this a part is not worth its walk; judged. */
const SHORTEST: Readonly<Record<PartKind, number>> = { technique: 4, test: 5, landing: 5, lies: 4, putting: 4, other: 1, game: 6 };
/** Where time is short, what goes first. */
const GOES_FIRST: readonly PartKind[] = ['landing', 'technique', 'putting', 'lies', 'test'];

/** What is left after technique, by its parts; judged. */
const SHARES = { test: 0.2, landing: 0.18, lies: 0.3, putting: 0.22, game: 0.3 } as const;

/** The parts of an hour by a school, with minutes that add up. Where time is short there are fewer of them. */
export function partsOf(school: School, minutes: number): { kind: PartKind; minutes: number }[] {
  const technique = repetitionShare(school);
  const middle = school.aims === 'landing' ? (['landing', 'lies'] as const) : (['lies', 'landing'] as const);
  const rest = [...(school.again ? (['test'] as const) : []), ...middle, 'putting', 'game'] as const;
  const sum = rest.reduce((total, kind) => total + SHARES[kind], 0);
  const weights = new Map<PartKind, number>(rest.map((kind) => [kind, ((1 - technique) * SHARES[kind]) / sum]));
  if (technique > 0) weights.set('technique', technique);
  let kinds: PartKind[] = [...(technique > 0 ? (['technique'] as const) : []), ...rest];
  // A test comes before what is practised, technique too.
  if (school.again) kinds = ['test', ...kinds.filter((kind) => kind !== 'test')];
  const least = () => kinds.reduce((total, kind) => total + SHORTEST[kind], 0);
  for (const kind of GOES_FIRST) if (least() > minutes) kinds = kinds.filter((one) => one !== kind);
  if (kinds.length === 1) return [{ kind: kinds[0]!, minutes }];
  const over = shareOut(
    kinds.map((kind) => Math.max(1e-6, weights.get(kind)! * minutes - SHORTEST[kind])),
    minutes - least(),
  );
  return kinds.map((kind, i) => ({ kind, minutes: SHORTEST[kind] + over[i]! }));
}

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
