/** Whether two stored values are the same, whatever the order of their keys. */
export function same(a: unknown, b: unknown): boolean {
  return inOrder(a) === inOrder(b);
}

/** A value as JSON with the keys of its objects in order. */
function inOrder(value: unknown): string {
  return JSON.stringify(value, (_, part: unknown) =>
    part !== null && typeof part === 'object' && !Array.isArray(part)
      ? Object.fromEntries(Object.entries(part).toSorted(([a], [b]) => (a < b ? -1 : 1)))
      : part,
  );
}
