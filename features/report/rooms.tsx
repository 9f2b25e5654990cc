import type { ReactNode } from 'react';
import Link from 'next/link';
import { notFound } from 'next/navigation';
import { sayDay } from '@/core/units/say-moment';
import { sayLevel } from '@/core/golf/level';
import { requireCoach, requireDesk, type Desk, type SharedDesk } from '@/server/actor';
import type { ReportLine } from '@/server/data';
import { reportOf, type ReportAsked } from '@/server/known/report';
import { squadReportOf } from '@/server/known/squad-report';
import { uuidOr404 } from '@/server/params';
import { deadOnPhones } from '@/server/public-url';
import { PrintButton } from '../form/print-button';
import { PlayerHead } from '../skill/player-head';
import { asReportQuery, readReportAsked } from './asked';
import { CoachWords } from './coach-words';
import { pdfResponse, reportPdf } from './pdf';
import { ReportAskedForm } from './report-asked-form';
import { ReportLinks } from './report-links';
import styles from './report.module.scss';
import { ReportView } from './report-view';
import { SquadView } from './squad-view';

type Of = { slug: string; playerId: string; params: Record<string, unknown> };

/** @param require the desk from which it is read */
async function reportAt<D extends SharedDesk | Desk>(require: (slug: string) => Promise<D>, { slug, playerId, params }: Of) {
  const desk = await require(slug);
  const found = await desk.data.getPlayer(uuidOr404(playerId));
  if (!found) notFound();
  const { player } = found;
  const now = new Date();
  const asked = readReportAsked(params, await desk.data.dayInAcademy());
  return { desk, player, asked, now, report: await reportOf(desk, player, asked, now) };
}

type AsideProps = {
  slug: string;
  /** null: of the squad. */
  playerId: string | null;
  asked: ReportAsked;
  /** Where the same is as PDF, within the academy. */
  file: string;
  links: readonly ReportLine[];
  timeZone: string;
  now: Date;
  form: ReactNode;
  children: ReactNode;
};

/** What can be done with a report: another period, on paper, as PDF, behind a link. */
function Aside({ slug, playerId, asked, file, links, timeZone, now, form, children }: AsideProps) {
  const query = asReportQuery(asked);
  const day = (at: Date) => sayDay(at, timeZone, now);
  return (
    <aside className="no-print">
      {form}
      <div className="d-flex flex-wrap gap-2">
        <PrintButton variant="outline-dark" />
        <a className="btn btn-outline-dark" href={`/a/${slug}/${file}${query}`} download>
          Save as PDF
        </a>
      </div>
      {children}
      <ReportLinks
        slug={slug}
        playerId={playerId}
        asked={Object.fromEntries(new URLSearchParams(query))}
        links={links.map(({ reportId, period, createdAt, expiresAt }) => ({
          ...{ reportId, period },
          made: day(createdAt),
          until: day(expiresAt),
        }))}
        dead={deadOnPhones()}
      />
    </aside>
  );
}

/** A player's report: read, printed, saved as PDF, given away behind a link. */
export async function ReportRoom({ slug, playerId, params }: Of) {
  const { desk, player, asked, now, report } = await reportAt(requireDesk, { slug, playerId, params });
  const { academy, model, coach } = desk;
  const form = <ReportAskedForm asked={asked} levels={model.reference.levels} level={player.level} />;
  return (
    <div className={`p-3 p-md-4 ${styles.page}`}>
      <div className="no-print">
        <PlayerHead slug={slug} player={player} mayChange={coach !== null} beside={`level ${sayLevel(player.level)}`} />
      </div>
      <div className={styles.beside}>
        <ReportView report={report} />
        {coach ? (
          <Aside
            slug={slug}
            playerId={player.playerId}
            asked={asked}
            file={`players/${player.playerId}/report/pdf`}
            links={await coach.data.reportsOf(player.playerId, now)}
            {...{ timeZone: academy.timeZone, now, form }}
          >
            <CoachWords key={player.reportWords} slug={slug} playerId={player.playerId} words={player.reportWords} />
          </Aside>
        ) : (
          <aside className="no-print">
            {form}
            <div>
              <PrintButton variant="outline-dark" />
            </div>
          </aside>
        )}
      </div>
    </div>
  );
}

/** The same as PDF. */
export async function answerReportPdf(slug: string, playerId: string, params: Record<string, unknown>): Promise<Response> {
  const { desk, report } = await reportAt(requireCoach, { slug, playerId, params });
  await desk.data.noteDownload('gotReport', playerId);
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
  return (
    <div className={`p-3 p-md-4 ${styles.page}`}>
      <div className={styles.beside}>
        <SquadView report={report} />
        <Aside
          slug={slug}
          playerId={null}
          asked={asked}
          file="players/squad/report/pdf"
          links={await data.reportsOf(null, now)}
          {...{ timeZone: academy.timeZone, now }}
          form={<ReportAskedForm asked={asked} />}
        >
          <Link href={`/a/${slug}/players/squad`}>Squad board</Link>
        </Aside>
      </div>
    </div>
  );
}

/** The same as PDF. */
export async function answerSquadReportPdf(slug: string, params: Record<string, unknown>): Promise<Response> {
  const { desk, report } = await squadReportAt({ slug, params });
  await desk.data.noteDownload('gotReport', null);
  return pdfResponse(await reportPdf(report));
}
