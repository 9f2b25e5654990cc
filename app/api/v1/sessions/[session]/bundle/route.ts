import { answerBundle } from '@/features/play/server/routes';

export const dynamic = 'force-dynamic';

export async function GET(request: Request, { params }: RouteContext<'/api/v1/sessions/[session]/bundle'>) {
  return answerBundle(request, (await params).session);
}
