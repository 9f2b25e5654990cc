import type * as z from 'zod';
import type { DocumentKind } from './document';
import { fileStem, sayPath, type Problem } from './problem';

const MOST_CHARACTERS = 500_000;

/** One kind of document as a file that people hand on: how it is written, read and called. */
export type DocumentFile<T> = {
  /** How the name of such a file ends. */
  ending: string;
  /** JSON with the keys in the order of the schema, so that the same document is the same file. @throws where it is none of its kind */
  write: (document: T) => string;
  /** Reads a file of this version or an older one; what is wrong is said with its place, and nothing is thrown. */
  read: (text: string) => { document: T } | { problems: Problem[] };
  /** A name for the file of a document: letters and figures of its title. */
  nameOf: (title: string) => string;
};

/**
 * @param of `format` as the document says it, "inch-game"; `noun`, how it is called: "game"
 */
export function documentFile<T>({
  format,
  noun,
  kind,
  schema,
}: {
  format: string;
  noun: string;
  kind: DocumentKind<T>;
  schema: z.ZodType<T>;
}): DocumentFile<T> {
  const ending = `.${format}.json`;
  const refuse = (path: string, message: string) => ({ problems: [{ path, message }] });
  return {
    ending,
    write: (document) => `${JSON.stringify(schema.parse(document), null, 2)}\n`,
    read: (text) => {
      if (text.length > MOST_CHARACTERS) return refuse('', `This file is too large for a ${noun}.`);
      let value: unknown;
      try {
        value = JSON.parse(text.replace(/^\uFEFF/, ''));
      } catch {
        return refuse('', `This isn’t a ${noun} file: it isn’t JSON.`);
      }
      if (value === null || typeof value !== 'object' || Array.isArray(value))
        return refuse('', `This isn’t a ${noun} file: a ${noun} is one object.`);
      const { format: said, version } = value as Record<string, unknown>;
      if (said !== format) return refuse('format', `This isn’t a ${noun} file: its format isn’t “${format}”.`);
      if (!Number.isInteger(version) || !kind.understands(value))
        return refuse(
          'version',
          `This ${noun} file was made with a newer version of the program. This one reads files up to version ${kind.version}.`,
        );
      const parsed = schema.safeParse(kind.read(value));
      if (parsed.success) return { document: parsed.data };
      return { problems: parsed.error.issues.map((issue) => ({ path: sayPath(issue.path), message: issue.message })) };
    },
    nameOf: (title) => `${fileStem(title) || noun}${ending}`,
  };
}
