import { answerBelief } from '@/features/skill/belief-file';

export async function GET(_request: Request, { params }: RouteContext<'/a/[academy]/players/[player]/belief'>) {
  const { academy, player } = await params;
  return answerBelief(academy, player);
}
