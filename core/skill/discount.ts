import type { Group } from './groups';

/**
 * The model is not true of anybody, and no number of balls makes it so. Balls of one cell count for at most so many, by what was
 * recorded of them: about as many as leave open what the model's own shape gets wrong, measured on made-up players who do not play as
 * the model thinks (docs/model.md). Landings and where missed putts stop say less of what they are read for, and count apart.
 */
export const COUNT_FOR_AT_MOST = { measured: 220, zone: 350, strokes: 1500, landed: 12, stopped: 60 } as const;
type Kind = keyof typeof COUNT_FOR_AT_MOST;

function kindOf({ kind, blur }: Group): Exclude<Kind, 'stopped'> {
  if (kind === 'landed' || kind === 'along') return 'landed';
  if (kind === 'strokes' || kind === 'putted') return 'strokes';
  return kind === 'mean' || blur > 0 ? 'measured' : 'zone';
}

/** The groups with what their balls count for: n balls of one kind for n/(1 + n/most), and of several kinds together likewise. */
export function discounted(groups: readonly Group[]): Group[] {
  const load = new Map<string, number>();
  const add = (key: string, balls: number, kind: Kind) => load.set(key, (load.get(key) ?? 0) + balls / COUNT_FOR_AT_MOST[kind]);
  const keyOf = (group: Group) => (kindOf(group) === 'landed' ? `landed ${group.cell}` : group.cell);
  const stoppedKey = ({ cell }: Group) => `stopped ${cell}`;
  for (const group of groups) {
    const balls = group.n * (group.kind === 'mean' ? group.value : 1);
    add(keyOf(group), balls, kindOf(group));
    if (group.kind === 'leave') add(stoppedKey(group), balls, 'stopped');
  }
  const share = (key: string) => 1 / (1 + load.get(key)!);
  return groups.map((group) => ({
    ...group,
    n: group.n * share(keyOf(group)),
    ...(group.kind === 'leave' ? { nStopped: group.n * share(stoppedKey(group)) } : {}),
  }));
}
