import { answerHourFile } from '@/features/plan/plan-files';

export async function GET(_request: Request, { params }: RouteContext<'/a/[academy]/plan/hour/[hour]/file'>) {
  const { academy, hour } = await params;
  return answerHourFile(academy, hour);
}
