import { answerSessionsFile } from '@/features/logbook/sessions-file';

export async function GET(request: Request, { params }: RouteContext<'/a/[academy]/logbook/file'>) {
  return answerSessionsFile((await params).academy, Object.fromEntries(new URL(request.url).searchParams));
}
