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
