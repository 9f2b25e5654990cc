import Link from 'next/link';
import { notFound } from 'next/navigation';
import { sayDay } from '@/core/units/say-moment';
import { sayLevel } from '@/core/golf/level';
import { requireCoach } from '@/server/actor';
import { reportOf } from '@/server/known/report';
import { squadReportOf } from '@/server/known/squad-report';
import { uuidOr404 } from '@/server/params';
import { deadOnPhones } from '@/server/public-url';
import { PrintButton } from '../form/print-button';
import { PlayerHead } from '../skill/player-head';
import { asReportQuery, readReportAsked } from './asked';
import { CoachWords } from './coach-words';
import { reportPdf } from './pdf';
import { ReportAskedForm } from './report-asked-form';
import { ReportLinks } from './report-links';
import styles from './report.module.scss';
import { ReportView } from './report-view';
import { SquadView } from './squad-view';

type Of = { slug: string; playerId: string; params: Record<string, unknown> };

async function reportAt({ slug, playerId, params }: Of) {
  const desk = await requireCoach(slug);
  const found = await desk.data.getPlayer(uuidOr404(playerId));
  if (!found) notFound();
  const { player } = found;
  const now = new Date();
  const asked = readReportAsked(params, await desk.data.dayInAcademy());
  return { desk, player, asked, now, report: await reportOf(desk, player, asked, now) };
}

/** A player's report: read, printed, saved as PDF, given away behind a link. */
export async function ReportRoom({ slug, playerId, params }: Of) {
  const { desk, player, asked, now, report } = await reportAt({ slug, playerId, params });
  const { data, academy, model } = desk;
  const links = await data.reportsOf(player.playerId, now);
  const day = (at: Date) => sayDay(at, academy.timeZone, now);
  const query = asReportQuery(asked);
  return (
    <div className={`p-3 p-md-4 ${styles.page}`}>
      <div className="no-print">
        <PlayerHead slug={slug} player={player} beside={`level ${sayLevel(player.level)}`} />
      </div>
      <div className={styles.beside}>
        <ReportView report={report} />
        <aside className="no-print">
          <ReportAskedForm asked={asked} levels={model.reference.levels} level={player.level} />
          <div className="d-flex flex-wrap gap-2">
            <PrintButton variant="outline-dark" />
            <a className="btn btn-outline-dark" href={`/a/${slug}/players/${player.playerId}/report/pdf${query}`} download>
              Save as PDF
            </a>
          </div>
          <CoachWords key={player.reportWords} slug={slug} playerId={player.playerId} words={player.reportWords} />
          <ReportLinks
            slug={slug}
            playerId={player.playerId}
            asked={Object.fromEntries(new URLSearchParams(query))}
            links={links.map(({ reportId, period, createdAt, expiresAt }) => ({
              ...{ reportId, period },
              made: day(createdAt),
              until: day(expiresAt),
            }))}
            dead={deadOnPhones()}
          />
        </aside>
      </div>
    </div>
  );
}

/** The same as PDF. */
export async function answerReportPdf(slug: string, playerId: string, params: Record<string, unknown>): Promise<Response> {
  const { report } = await reportAt({ slug, playerId, params });
  return pdfResponse(await reportPdf(report));
}

type OfSquad = { slug: string; params: Record<string, unknown> };

async function squadReportAt({ slug, params }: OfSquad) {
  const desk = await requireCoach(slug);
  const now = new Date();
  const asked = readReportAsked(params, await desk.data.dayInAcademy());
  return { desk, asked, now, report: await squadReportOf(desk, asked, now) };
}

/** The squad's report: read, printed, saved as PDF, given away behind a link. */
export async function SquadReportRoom({ slug, params }: OfSquad) {
  const { desk, asked, now, report } = await squadReportAt({ slug, params });
  const { data, academy } = desk;
  const links = await data.reportsOf(null, now);
  const day = (at: Date) => sayDay(at, academy.timeZone, now);
  const query = asReportQuery(asked);
  return (
    <div className={`p-3 p-md-4 ${styles.page}`}>
      <div className={styles.beside}>
        <SquadView report={report} />
        <aside className="no-print">
          <ReportAskedForm asked={asked} />
          <div className="d-flex flex-wrap gap-2">
            <PrintButton variant="outline-dark" />
            <a className="btn btn-outline-dark" href={`/a/${slug}/players/squad/report/pdf${query}`} download>
              Save as PDF
            </a>
            <Link className="btn btn-outline-dark" href={`/a/${slug}/players/squad`}>
              Squad board
            </Link>
          </div>
          <ReportLinks
            slug={slug}
            playerId={null}
            asked={Object.fromEntries(new URLSearchParams(query))}
            links={links.map(({ reportId, period, createdAt, expiresAt }) => ({
              ...{ reportId, period },
              made: day(createdAt),
              until: day(expiresAt),
            }))}
            dead={deadOnPhones()}
          />
        </aside>
      </div>
    </div>
  );
}

/** The same as PDF. */
export async function answerSquadReportPdf(slug: string, params: Record<string, unknown>): Promise<Response> {
  const { report } = await squadReportAt({ slug, params });
  return pdfResponse(await reportPdf(report));
}

export function pdfResponse(pdf: Buffer): Response {
  return new Response(new Uint8Array(pdf), {
    headers: { 'content-type': 'application/pdf', 'content-disposition': 'attachment; filename="report.pdf"', 'cache-control': 'no-store' },
  });
}
