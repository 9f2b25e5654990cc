/** What stands for an id wherever there is one: a text that is nothing else. */
const ID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i;

/**
 * A value with another id in place of each: in columns, in documents and as names of fields. All else stays.
 * @param idOf always the same for the same, so that what belonged together still does
 */
export function withNewIds(value: unknown, idOf: (id: string) => string): unknown {
  if (typeof value === 'string') return ID.test(value) ? idOf(value.toLowerCase()) : value;
  if (Array.isArray(value)) return value.map((one) => withNewIds(one, idOf));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([name, of]) => [ID.test(name) ? idOf(name.toLowerCase()) : name, withNewIds(of, idOf)]),
  );
}
