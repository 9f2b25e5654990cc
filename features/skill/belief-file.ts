import { notFound } from 'next/navigation';
import { packDraws } from '@/core/skill/posterior';
import { requireCoach } from '@/server/actor';
import { uuidOr404 } from '@/server/params';
import { knownOf } from '../../server/known/known';

/** What is believed of a player, as a file of 32-bit numbers: their draws, as they are kept (`packDraws`). */
export async function answerBelief(slug: string, playerId: string): Promise<Response> {
  const desk = await requireCoach(slug);
  const { data, model } = desk;
  const found = await data.getPlayer(uuidOr404(playerId));
  if (!found) notFound();
  const [{ belief }, { asAsked, shots }] = await Promise.all([knownOf(desk, found.player), data.executedShots(found.player.playerId)]);
  const draws = packDraws(belief.draws);
  return new Response(draws.buffer as ArrayBuffer, {
    headers: {
      'content-type': 'application/octet-stream',
      'cache-control': 'private, no-cache',
      'model-version': String(model.version),
      // Shots that came off as they were asked for, of so many.
      'as-asked': `${asAsked}/${shots}`,
    },
  });
}
