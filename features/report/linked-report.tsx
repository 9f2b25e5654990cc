'use client';

import { useEffect, useState } from 'react';
import { Button } from 'react-bootstrap';
import { isSquadReport, type GivenReport } from '@/core/report/given-report';
import { PrintButton } from '../form/print-button';
import { saveFile } from '../form/save-file';
import { ReportView } from './report-view';
import { SquadView } from './squad-view';

const NO_NETWORK = 'No connection. Try again.';

/** A report behind a link: the token stands behind the # and is sent in a header, so that no log has it. */
export function LinkedReport() {
  const [report, setReport] = useState<GivenReport | null>(null);
  const [wrong, setWrong] = useState('');
  const ask = (what: string) => fetch(what, { headers: { authorization: `Bearer ${window.location.hash.slice(1)}` }, cache: 'no-store' });
  useEffect(() => {
    const load = async () => {
      const answer = await ask('/api/v1/report').catch(() => null);
      if (!answer) return setWrong(NO_NETWORK);
      const body = (await answer.json()) as { report?: GivenReport; error?: string };
      if (answer.ok && body.report) setReport(body.report);
      else setWrong(body.error ?? NO_NETWORK);
    };
    const again = () => {
      setReport(null);
      setWrong('');
      void load();
    };
    void load();
    window.addEventListener('hashchange', again);
    return () => window.removeEventListener('hashchange', again);
  }, []);
  const pdf = async () => {
    const answer = await ask('/api/v1/report/pdf').catch(() => null);
    if (!answer?.ok) return setWrong(NO_NETWORK);
    saveFile('report.pdf', await answer.blob());
  };
  return (
    <main id="main" className="p-3 p-md-4 d-grid gap-3">
      {wrong && (
        <p role="alert" className="empty">
          {wrong}
        </p>
      )}
      {!report && !wrong && <p>Opening the report …</p>}
      {report && (
        <>
          {isSquadReport(report) ? <SquadView report={report} /> : <ReportView report={report} />}
          <div className="d-flex gap-2 no-print">
            <PrintButton variant="outline-dark" />
            <Button variant="outline-dark" onClick={() => void pdf()}>
              Save as PDF
            </Button>
          </div>
        </>
      )}
    </main>
  );
}
