import type { DocumentKind } from '../document';
import { storedReports, type Report } from './report';
import { storedSquadReports, type SquadReport } from './squad-report';

/** A report that is given away behind a link: a player's, or a squad's. */
export type GivenReport = Report | SquadReport;

export const isSquadReport = (report: unknown): report is SquadReport =>
  (report as { format?: unknown } | null)?.format === 'inch-squad-report';

const kindOf = (report: unknown): DocumentKind<GivenReport> => (isSquadReport(report) ? storedSquadReports : storedReports);

/** Either as it was stored: each says its own version. */
export const storedGivenReports: DocumentKind<GivenReport> = {
  version: 1,
  understands: (report) => kindOf(report).understands(report),
  read: (report) => kindOf(report).read(report),
};
