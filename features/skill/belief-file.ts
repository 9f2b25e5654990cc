import { notFound } from 'next/navigation';
import { MODEL_VERSION } from '@/core/skill/model';
import { packDraws } from '@/core/skill/posterior';
import { requireCoach } from '@/server/actor';
import { uuidOr404 } from '@/server/params';
import { knownOf } from './load';

/** What is believed of a player, as a file of 32-bit numbers: their draws, as they are kept (`packDraws`). */
export async function answerBelief(slug: string, playerId: string): Promise<Response> {
  const { data, academy } = await requireCoach(slug);
  const found = await data.getPlayer(uuidOr404(playerId));
  if (!found) notFound();
  const [{ belief }, { asAsked, shots }] = await Promise.all([
    knownOf({ data, academy }, found.player),
    data.executedShots(found.player.playerId),
  ]);
  const draws = packDraws(belief.draws);
  return new Response(draws.buffer as ArrayBuffer, {
    headers: {
      'content-type': 'application/octet-stream',
      'cache-control': 'private, no-cache',
      'model-version': String(MODEL_VERSION),
      // Shots that came off as they were asked for, of so many.
      'as-asked': `${asAsked}/${shots}`,
    },
  });
}
