'use client';

import { counted } from '@/core/units/format';
import { useState, useTransition } from 'react';
import { Button } from 'react-bootstrap';
import { useOthers } from '@/ui/use-others';
import { useShowAll } from '@/ui/use-show-all';
import { useReady } from '../form/use-ready';
import { resumeAction, stopAction } from './actions';
import styles from './today.module.scss';

type Line = { sessionId: string; names: string; title: string; balls: number; of: number; when: string };

/**
 * Sessions that wait to be gone on with. Ending one can be taken back at once.
 * @param of how many there are; the newest are here
 */
export function Unfinished({ slug, lines, of }: { slug: string; lines: Line[]; of: number }) {
  const [ended, setEnded] = useState<Line | null>(null);
  const [busy, begin] = useTransition();
  const ready = useReady();
  const { shown, more } = useShowAll(lines, useOthers(lines.length, of));
  return (
    <>
      {ended && (
        <p className={styles.undo} role="status">
          <span>
            Ended {ended.names}, {ended.title}. {ended.balls === 0 ? 'No ball was recorded.' : `${counted(ended.balls, 'ball')} kept.`}
          </span>
          <Button
            size="sm"
            variant="outline-dark"
            disabled={busy}
            onClick={() =>
              begin(async () => {
                await resumeAction(slug, ended.sessionId);
                setEnded(null);
              })
            }
          >
            Undo
          </Button>
        </p>
      )}
      {lines.length === 0 && !ended && <p className="small-print">All sessions are finished.</p>}
      <ul className="rows">
        {shown.map((line) => (
          <li key={line.sessionId}>
            <span>
              <b>{line.names}</b>, {line.title}
              {line.balls < line.of ? `, ball ${line.balls + 1} of ${line.of}` : ''}
              <br />
              <span className="small-print">{line.when}</span>
            </span>
            <span className="d-flex gap-2 flex-shrink-0">
              <a className="btn btn-outline-dark" href={`/play#${line.sessionId}`}>
                Go on
                <span className="visually-hidden">
                  {' '}
                  with {line.title}, {line.names}
                </span>
              </a>
              <Button
                variant="outline-dark"
                disabled={busy || !ready}
                onClick={() =>
                  begin(async () => {
                    await stopAction(slug, line.sessionId);
                    setEnded(line);
                  })
                }
              >
                End
                <span className="visually-hidden">
                  {' '}
                  {line.title}, {line.names}
                </span>
              </Button>
            </span>
          </li>
        ))}
      </ul>
      {more}
    </>
  );
}
