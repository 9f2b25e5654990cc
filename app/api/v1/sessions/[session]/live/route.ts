import { answerLive } from '@/features/play/server/routes';

export const dynamic = 'force-dynamic';

export async function GET(request: Request, { params }: RouteContext<'/api/v1/sessions/[session]/live'>) {
  return answerLive(request, (await params).session);
}
