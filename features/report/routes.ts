import 'server-only';
import type { GivenReport } from '@/core/report/given-report';
import { linkedReport } from '@/server/door';
import { log } from '@/server/log';
import { pdfResponse, reportPdf } from './pdf';

const refuse = (status: number, error: string) => Response.json({ error }, { status, headers: { 'cache-control': 'no-store' } });

/** Answers with the report that the link of a request shows. */
async function withReport(request: Request, give: (report: GivenReport) => Promise<Response> | Response): Promise<Response> {
  try {
    const found = await linkedReport(request.headers);
    if (found === 'too many tries') return refuse(429, 'Too many tries. Wait 15 minutes.');
    if (typeof found === 'string') return refuse(401, 'This link has ended. Ask your coach for a new one.');
    return await give(found.report);
  } catch (error) {
    log.error({ err: error }, 'a report by a link failed');
    return refuse(503, 'Something went wrong on our side. Try again.');
  }
}

export const answerReport = (request: Request) =>
  withReport(request, (report) => Response.json({ report }, { headers: { 'cache-control': 'no-store' } }));
export const answerLinkedPdf = (request: Request) => withReport(request, async (report) => pdfResponse(await reportPdf(report)));
