import { answerShotsFile } from '@/features/logbook/sessions-file';

export async function GET(request: Request, { params }: RouteContext<'/a/[academy]/logbook/shots'>) {
  return answerShotsFile((await params).academy, Object.fromEntries(new URL(request.url).searchParams));
}
