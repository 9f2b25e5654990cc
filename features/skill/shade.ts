/** Steps of the fill, from gaining most to losing most; its token, and whether letters on it are dark. */
const STEPS = ['--gain-3', '--gain-2', '--gain-1', '--lose-1', '--lose-2', '--lose-3', '--lose-4'] as const;

/**
 * The fill of a figure: ochre loses, blue gains, the deeper the more; hatched where it is too close to call.
 * @param share of the largest figure on the board, from −1 to 1
 */
export function shadeOf(share: number, unsure: boolean): React.CSSProperties {
  const step = share < 0 ? (share < -0.6 ? 0 : share < -0.25 ? 1 : 2) : share < 0.2 ? 3 : share < 0.45 ? 4 : share < 0.75 ? 5 : 6;
  const colour = `var(${STEPS[unsure ? Math.min(5, Math.max(1, step)) : step]})`;
  return {
    color: step === 6 && !unsure ? 'var(--on-flag)' : 'var(--ink)',
    background: unsure ? `repeating-linear-gradient(135deg, ${colour} 0 4px, var(--card) 4px 8px)` : colour,
  };
}
