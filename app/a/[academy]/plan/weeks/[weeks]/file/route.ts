import { answerWeeksFile } from '@/features/plan/plan-files';

export async function GET(_request: Request, { params }: RouteContext<'/a/[academy]/plan/weeks/[weeks]/file'>) {
  const { academy, weeks } = await params;
  return answerWeeksFile(academy, weeks);
}
