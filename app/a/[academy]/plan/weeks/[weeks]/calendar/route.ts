import { answerCalendar } from '@/features/plan/weeks/rooms';

export async function GET(_request: Request, { params }: RouteContext<'/a/[academy]/plan/weeks/[weeks]/calendar'>) {
  const { academy, weeks } = await params;
  return answerCalendar(academy, weeks);
}
