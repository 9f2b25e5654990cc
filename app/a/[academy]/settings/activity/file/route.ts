import { answerActivityFile } from '@/features/activity/rooms';

export async function GET(request: Request, { params }: RouteContext<'/a/[academy]/settings/activity/file'>) {
  return answerActivityFile((await params).academy, Object.fromEntries(new URL(request.url).searchParams));
}
