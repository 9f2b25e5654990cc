import { answerReferenceFile } from '@/features/skill/reference-file';

export async function GET(request: Request, { params }: RouteContext<'/a/[academy]/reference'>) {
  return answerReferenceFile((await params).academy, new URL(request.url).searchParams.get('level'));
}
