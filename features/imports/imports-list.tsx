'use client';

import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { useRouter } from 'next/navigation';
import { counted } from '@/core/units/format';
import { useReady } from '../form/use-ready';
import styles from './imports.module.scss';
import { useSending } from './use-sending';

/** A file that was brought in, as the list shows it. */
export type ImportLine = {
  importId: string;
  fileName: string;
  kind: 'balls' | 'scores';
  state: 'coming' | 'keeping' | 'kept' | 'undoing' | 'undone';
  kept: number;
  when: string;
};

/** The files that were brought in; each can be taken back. */
export function ImportsList({ slug, imports }: { slug: string; imports: readonly ImportLine[] }) {
  if (imports.length === 0) return null;
  return (
    <section className={styles.before} aria-label="Earlier imports">
      <h2>Earlier imports</h2>
      <ul>
        {imports.map((line) => (
          <li key={line.importId}>
            <ImportBefore slug={slug} line={line} />
          </li>
        ))}
      </ul>
    </section>
  );
}

function ImportBefore({ slug, line }: { slug: string; line: ImportLine }) {
  const ready = useReady();
  const router = useRouter();
  const [asked, setAsked] = useState(false);
  const { sent, undo } = useSending(slug, () => Promise.resolve(null));
  const gone = line.state === 'undone' || sent?.at === 'undone';
  const what = counted(line.kept, line.kind === 'balls' ? 'ball' : 'score');
  return (
    <>
      <span>
        <b>{line.fileName}</b> <small>{line.when}</small>
      </span>
      <span>{gone ? 'undone' : line.state === 'kept' ? what : `${what}, not finished`}</span>
      {!gone &&
        (sent?.at === 'undoing' ? (
          <span aria-live="polite">Undoing: {Math.round(100 * sent.share)}%</span>
        ) : asked ? (
          <span className="d-flex gap-2 flex-wrap">
            <Button
              size="sm"
              variant="danger"
              onClick={() => {
                void undo(line.importId).then(() => router.refresh());
              }}
            >
              Yes, remove {what}
            </Button>
            <Button size="sm" variant="outline-dark" onClick={() => setAsked(false)}>
              Keep them
            </Button>
          </span>
        ) : (
          <Button size="sm" variant="outline-dark" disabled={!ready} onClick={() => setAsked(true)}>
            Undo
          </Button>
        ))}
      {sent?.at === 'failed' && <span className="text-danger">{sent.why}</span>}
    </>
  );
}
