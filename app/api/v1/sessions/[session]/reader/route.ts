import { answerReaderKey } from '@/features/play/server/routes';

export async function POST(request: Request, { params }: RouteContext<'/api/v1/sessions/[session]/reader'>) {
  return answerReaderKey(request, (await params).session);
}
