'use client';

import { useCallback, useEffect, useState } from 'react';
import type { Report, ReportShot } from '@/core/report/report';
import { counted } from '@/core/units/format';
import { sayBetween, sayStrokes } from '@/core/units/strokes';
import { getReport } from '../device/server';
import { keepReport, readReport } from '../device/store';
import { useStored } from '../device/use-stored';
import styles from './start.module.scss';

/** How the player of a personal link does, in plain words: opened once with a network, it is there without one. */
export function OwnReport({ token }: { token: string }) {
  const [open, setOpen] = useState(false);
  return (
    <section aria-label="How you’re doing">
      <h2>How you’re doing</h2>
      {open ? (
        <Opened token={token} />
      ) : (
        <button type="button" className="btn btn-outline-dark btn-lg w-100" onClick={() => setOpen(true)}>
          Open your report
        </button>
      )}
    </section>
  );
}

function Opened({ token }: { token: string }) {
  const kept = useStored(useCallback(() => readReport(token), [token]));
  const [asked, setAsked] = useState('asking');
  useEffect(() => {
    void getReport(token).then(async (answer) => {
      if (typeof answer === 'object') await keepReport(token, answer.got.report);
      setAsked(typeof answer === 'object' ? 'got' : answer);
    });
  }, [token]);
  if (!kept)
    return (
      <p role="status">{asked === 'asking' || kept === undefined ? 'One moment …' : 'No network. Open it once while you’re online.'}</p>
    );
  return (
    <>
      {asked === 'unreachable' && (
        <p role="status" className={styles.offline}>
          No network: made {kept.made}.
        </p>
      )}
      <Told report={kept} />
    </>
  );
}

function Told({ report }: { report: Report }) {
  const { period, played, says, weakest, strongest, change, test, plan, next, words, strokes, against } = report;
  return (
    <div className={styles.report}>
      <p className="small-print">
        {period}: {counted(played.balls, 'ball')} in {counted(played.sessions, 'session')}
      </p>
      <p className={styles.next}>
        <b>Next:</b> {next}
      </p>
      {words && (
        <p className={styles.words}>
          <b>From the coach:</b> {words}
        </p>
      )}
      {says.map((line) => (
        <p key={line}>{line}</p>
      ))}
      <Shots title={strokes === 'lost' ? 'Costs you most' : 'Weakest'} shots={weakest} as={strokes} />
      <Shots title="Your best" shots={strongest} as={strokes} />
      <h3>What changed</h3>
      {change.map((line) => (
        <p key={line}>{line}</p>
      ))}
      {test && (
        <p>
          {test.title}: {test.last}, {test.when}. {test.says}
        </p>
      )}
      <p>{plan}</p>
      <p className="small-print">
        Strokes {strokes} in 18 holes against {against}; a minus is strokes {strokes === 'lost' ? 'gained' : 'lost'}. The true figure is in
        the range 8 times in 10.
      </p>
    </div>
  );
}

function Shots({ title, shots, as }: { title: string; shots: readonly ReportShot[]; as: Report['strokes'] }) {
  if (shots.length === 0) return null;
  return (
    <>
      <h3>
        {title} <small>strokes {as} a round</small>
      </h3>
      <ul>
        {shots.map(({ shot, mean, low, high, balls }) => (
          <li key={shot}>
            {shot} <b className="fig">{sayStrokes(mean, as)}</b>
            <small>
              {sayBetween([low, high], as)}, {counted(balls, 'ball')}
            </small>
          </li>
        ))}
      </ul>
    </>
  );
}
