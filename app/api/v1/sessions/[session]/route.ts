import { answerTelling } from '@/features/play/server/routes';

export async function PUT(request: Request, { params }: RouteContext<'/api/v1/sessions/[session]'>) {
  return answerTelling(request, (await params).session);
}
