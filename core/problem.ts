/** What is wrong in a file, and where: "stations 2, balls". */
export type Problem = { path: string; message: string };

/** "stations 2, balls": where in a file, counted from 1 as people do. */
export function sayPath(path: readonly PropertyKey[]): string {
  return path
    .map((part) => (typeof part === 'number' ? String(part + 1) : String(part)))
    .join(', ')
    .replace(/, (\d+)/g, ' $1');
}

/** The letters and figures of a title, for the name of a file; empty where it has none. */
export function fileStem(title: string): string {
  return title
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '');
}
