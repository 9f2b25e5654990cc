import { answerApi } from '@/features/api/answer';

export const dynamic = 'force-dynamic';

async function answer(request: Request, { params }: RouteContext<'/api/v1/[...path]'>) {
  return answerApi(request, (await params).path);
}

export { answer as GET, answer as PUT, answer as POST };
