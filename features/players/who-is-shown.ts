/** So many weeks back somebody's habit is looked for; so often of them somebody was here on a weekday to be expected on it. */
export const WEEKS = 6;
const OFTEN = 3;
/** So many are shown of those who are usually here; where these are fewer than a dozen, others fill up. */
const MOST = { expected: 24, together: 12 } as const;

type Player = { player: { playerId: string }; lastAt: Date | null };

/**
 * Who is shown on a day: who is usually here on its weekday, in their order, and then who was here last.
 * @param visits on how many of the last six of this weekday each was here, by player
 */
export function whoIsShown<P extends Player>(players: readonly P[], visits: ReadonlyMap<string, number>) {
  const isUsual = ({ player }: P) => (visits.get(player.playerId) ?? 0) >= OFTEN;
  const usual = players.filter(isUsual);
  const expected = usual.slice(0, MOST.expected);
  const others = players
    .filter((one) => !isUsual(one))
    .sort((a, b) => (b.lastAt?.getTime() ?? 0) - (a.lastAt?.getTime() ?? 0))
    .slice(0, Math.max(0, MOST.together - expected.length));
  return { expected, others, usual: usual.length };
}
