import { createHash } from 'node:crypto';

/** Whether a text is an id such as devices make. */
export const isId = (text: string): boolean => UUID.test(text);
const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/i;

/** An id made of words: always the same of the same (version 8 of RFC 9562). */
export function idFrom(...words: readonly (string | number | null)[]): string {
  const hex = createHash('sha256').update(JSON.stringify(words)).digest('hex');
  const variant = ((Number.parseInt(hex[16]!, 16) & 3) | 8).toString(16);
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-8${hex.slice(13, 16)}-${variant}${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}

/** The id that a file's own name of something has here: itself where it is one already. */
export const idOfName = (name: string, ...within: readonly string[]): string =>
  UUID.test(name) ? name.toLowerCase() : idFrom(name, ...within);
