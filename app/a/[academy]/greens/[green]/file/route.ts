import { answerGreenFile } from '@/features/greens/rooms';

export async function GET(_request: Request, { params }: RouteContext<'/a/[academy]/greens/[green]/file'>) {
  const { academy, green } = await params;
  return answerGreenFile(academy, green);
}
