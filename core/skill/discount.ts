import type { BallGroup } from './groups';

/**
 * The model is not true of anybody, and no number of balls makes it so. Balls of one cell count for at most so many, by what was
 * recorded of them: about as many as leave open what the model's own shape gets wrong, measured on made-up players who do not play as
 * the model thinks (docs/model.md). Landings, where missed putts stop and whether the next one drops say less of what they are read
 * for, and count apart.
 */
export const COUNT_FOR_AT_MOST = { measured: 220, zone: 350, strokes: 1500, putts: 1000, landed: 12, stopped: 12, next: 60 } as const;
type Kind = keyof typeof COUNT_FOR_AT_MOST;

function kindOf({ kind, blur }: BallGroup): Kind {
  if (kind === 'made' || kind === 'putted' || kind === 'leave') return 'putts';
  if (kind === 'landed' || kind === 'along') return 'landed';
  if (kind === 'strokes') return 'strokes';
  return kind === 'mean' || blur > 0 ? 'measured' : 'zone';
}

/** What came after a missed putt, where a group says something of that. */
const afterOf = ({ kind }: BallGroup): Kind | null => (kind === 'leave' ? 'stopped' : kind === 'putted' ? 'next' : null);

/** The groups with what their balls count for: n balls of one kind for n/(1 + n/most), and of several kinds together likewise. */
export function discounted(groups: readonly BallGroup[]): BallGroup[] {
  const load = new Map<string, number>();
  const add = (key: string, balls: number, kind: Kind) => load.set(key, (load.get(key) ?? 0) + balls / COUNT_FOR_AT_MOST[kind]);
  const keyOf = (group: BallGroup) => (kindOf(group) === 'landed' ? `landed ${group.cell}` : group.cell);
  for (const group of groups) {
    const balls = group.n * (group.kind === 'mean' ? group.value : 1);
    add(keyOf(group), balls, kindOf(group));
    const after = afterOf(group);
    if (after) add(`${after} ${group.cell}`, balls, after);
  }
  const counted = (n: number, key: string) => n / (1 + load.get(key)!);
  return groups.map((group) => {
    const after = afterOf(group);
    return {
      ...group,
      n: counted(group.n, keyOf(group)),
      ...(after ? { nAfter: counted(group.n, `${after} ${group.cell}`) } : {}),
    };
  });
}
