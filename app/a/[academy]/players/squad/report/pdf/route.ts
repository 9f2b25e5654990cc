import { answerSquadReportPdf } from '@/features/report/rooms';

export async function GET(request: Request, { params }: RouteContext<'/a/[academy]/players/squad/report/pdf'>) {
  return answerSquadReportPdf((await params).academy, Object.fromEntries(new URL(request.url).searchParams));
}
