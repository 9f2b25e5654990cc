import { answerReportAtHome } from '@/features/families/rooms';

export async function GET(_request: Request, { params }: RouteContext<'/family/[academy]/[player]/report'>) {
  const { academy, player } = await params;
  return answerReportAtHome(academy, player);
}
