/*
 * Documents live for years: what was stored by an older program is read by a newer one, and a phone that nobody updated meets what a newer one
 * wrote. Each kind of document has a version; whatever changes about its shape is a version more and a step here, and nothing else.
 */

/** Brings a document of one version to the next: what is new gets what it meant before it was there. */
export type Step = (older: Record<string, unknown>) => Record<string, unknown>;

/** The version that a document says it has; those that say none are the first. */
export function versionOf(document: unknown): number {
  const version = (document as { version?: unknown } | null)?.version;
  return typeof version === 'number' && Number.isInteger(version) && version > 0 ? version : 1;
}

/**
 * Brings a document to the present version, step by step. What is no document of an older version is given back as it is.
 * @param steps from the first version to the second, from the second to the third, and so on; the present version is one more than there are
 */
export function lifted(document: unknown, steps: readonly Step[]): unknown {
  if (typeof document !== 'object' || document === null) return document;
  const from = versionOf(document);
  // What says that it has a version, and none that there could be, is refused as it is by whoever looks at its shape.
  if ('version' in document && document.version !== undefined && document.version !== from) return document;
  return steps
    .slice(from - 1)
    .reduce<Record<string, unknown>>((older, step, i) => ({ ...step(older), version: from + i + 1 }), document as Record<string, unknown>);
}

/** One kind of document: how it is read, whichever version of the program stored it. */
export type DocumentKind<T> = {
  /** The version that this program writes. */
  version: number;
  /** Whether a document is of a version that this program can read: a newer one may mean what it does not know. */
  understands: (document: unknown) => boolean;
  /** A document that was stored, in the present shape. What shape it had when it came in was looked at then. */
  read: (document: unknown) => T;
};

/** Documents of another kind that stand in one, each with a version of its own. */
export type Holds = {
  kind: Pick<DocumentKind<object>, 'understands' | 'read'>;
  /** The document with each of them put through `of`; it may be of any shape, if nobody looked at it yet. */
  each: (document: Record<string, unknown>, of: (held: unknown) => unknown) => Record<string, unknown>;
};

/**
 * @param steps how the shape of this kind changed; its version is one more than there are
 * @param holds what stands in it: it is brought to its present version too, and what this program does not know of it is not understood
 */
export function documentKind<T>(steps: readonly Step[], holds?: Holds): DocumentKind<T> {
  const version = steps.length + 1;
  const isDocument = (document: unknown): document is Record<string, unknown> => typeof document === 'object' && document !== null;
  return {
    version,
    understands: (document) => {
      if (!isDocument(document) || versionOf(document) > version) return false;
      let all = true;
      holds?.each(lifted(document, steps) as Record<string, unknown>, (held) => {
        all &&= holds.kind.understands(held);
        return held;
      });
      return all;
    },
    read: (document) => {
      const present = lifted(document, steps);
      return (holds && isDocument(present) && versionOf(present) <= version ? holds.each(present, holds.kind.read) : present) as T;
    },
  };
}
