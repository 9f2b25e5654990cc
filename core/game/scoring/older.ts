/** What the third version of games says of a way of scoring beyond the second: holing out says what it counts, a matrix what it compares. */
export function scoringOfThree(scoring: unknown): unknown {
  const { scheme } = scoring as { scheme?: unknown };
  if (scheme === 'hole_out') return { counts: 'strokes', ...(scoring as object) };
  if (scheme === 'shot_matrix') return { route: [], farM: null, ...(scoring as object) };
  return scoring;
}
