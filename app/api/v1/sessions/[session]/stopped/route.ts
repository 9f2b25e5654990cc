import { answerStopped } from '@/features/play/server/routes';

export async function PUT(request: Request, { params }: RouteContext<'/api/v1/sessions/[session]/stopped'>) {
  const { session } = await params;
  return answerStopped(session, request);
}
