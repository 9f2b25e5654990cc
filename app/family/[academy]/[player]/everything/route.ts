import { answerEverythingAtHome } from '@/features/families/rooms';

export async function GET(_request: Request, { params }: RouteContext<'/family/[academy]/[player]/everything'>) {
  const { academy, player } = await params;
  return answerEverythingAtHome(academy, player);
}
