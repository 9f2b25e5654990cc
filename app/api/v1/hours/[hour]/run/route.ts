import { answerRun } from '@/features/play/server/routes';

export const dynamic = 'force-dynamic';

export async function PUT(request: Request, { params }: RouteContext<'/api/v1/hours/[hour]/run'>) {
  return answerRun(request, (await params).hour);
}
