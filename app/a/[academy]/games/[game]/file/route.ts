import { answerGameFile } from '@/features/games/rooms';

export async function GET(_request: Request, { params }: RouteContext<'/a/[academy]/games/[game]/file'>) {
  const { academy, game } = await params;
  return answerGameFile(academy, game);
}
