import 'server-only';
import { sentErasureSchema, type Erasure } from '@/core/exchange/erasure';
import { sayIssue } from '@/core/stored';
import { dataOf } from '@/server/data';
import { tellErasureAsked } from '@/server/mail/erasure';
import { atLink, refuse } from '../play/server/routes';
import { answerEverything } from './everything';

const NO_STORE = { 'cache-control': 'no-store' };

/** Answers a personal link with everything that is kept about its player. */
export const answerEverythingByLink = (request: Request) =>
  atLink(request, 'everything for a personal link', async ({ actor }) => {
    const file = await answerEverything(actor.academyId, dataOf(actor), actor.playerId);
    return file ?? refuse(404, 'There is no such player.');
  });

/** Says whether its player asked to be erased, and the answer. */
export const answerErasure = (request: Request) =>
  atLink(request, 'a personal link', async ({ actor }) => {
    const found = await dataOf(actor).erasureOf(actor.playerId);
    const asked = found && { at: found.askedAt.toISOString(), declinedAt: found.declinedAt?.toISOString() ?? null, why: found.why };
    return Response.json({ asked } satisfies Erasure, { headers: NO_STORE });
  });

/** Takes that its player asks to be erased, or no longer does. */
export const answerAskErasure = (request: Request) =>
  atLink(request, 'a request to erase', async ({ actor }) => {
    const sent = sentErasureSchema.safeParse(await request.json().catch(() => undefined));
    if (!sent.success) return refuse(400, sayIssue(sent.error));
    const data = dataOf(actor);
    if (!sent.data.asks) await data.cancelErasure(actor.playerId);
    else if (await data.askErasure(actor.playerId, sent.data.words)) await tellErasureAsked(actor.academyId, actor.playerId);
    return answerErasure(request);
  });
