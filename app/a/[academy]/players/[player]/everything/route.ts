import { answerEverythingAtDesk } from '@/features/families/rooms';

export async function GET(_request: Request, { params }: RouteContext<'/a/[academy]/players/[player]/everything'>) {
  const { academy, player } = await params;
  return answerEverythingAtDesk(academy, player);
}
