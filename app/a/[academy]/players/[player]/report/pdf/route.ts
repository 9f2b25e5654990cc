import { answerReportPdf } from '@/features/report/rooms';

export async function GET(request: Request, { params }: RouteContext<'/a/[academy]/players/[player]/report/pdf'>) {
  const { academy, player } = await params;
  return answerReportPdf(academy, player, Object.fromEntries(new URL(request.url).searchParams));
}
