import 'server-only';
import { signedInBy } from '@/server/actor';
import { invitationOf, takeInvitationOf, type DoorRefusal } from '@/server/door';
import { log } from '@/server/log';
import { noteConfirmed } from '@/server/mail/confirm';

const answer = (status: number, body: object) => Response.json(body, { status, headers: { 'cache-control': 'no-store' } });

const refuse = (why: DoorRefusal) =>
  why === 'too many tries'
    ? answer(429, { error: 'Too many tries. Wait 15 minutes.' })
    : answer(401, { error: 'This invitation was cancelled, used before, or has ended. Ask for a new one.' });

/** Answers a failure in words and nothing more. */
async function told(give: () => Promise<Response>): Promise<Response> {
  try {
    return await give();
  } catch (error) {
    log.error({ err: error }, 'an invitation failed');
    return answer(503, { error: 'Something went wrong on our side. Try again.' });
  }
}

/** What the invitation of a request says, and who is signed in. */
export const answerInvitation = ({ headers }: Request) =>
  told(async () => {
    const found = await invitationOf(headers);
    if (typeof found === 'string') return refuse(found);
    return answer(200, { ...found, signedInAs: (await signedInBy(headers))?.email ?? null });
  });

/** Takes it for whoever is signed in: that it reached them confirms their address. */
export const answerJoin = ({ headers }: Request) =>
  told(async () => {
    const user = await signedInBy(headers);
    if (!user) return refuse('signed out');
    const taken = await takeInvitationOf(headers, user);
    if (typeof taken === 'string') return refuse(taken);
    if (!user.emailVerified) await noteConfirmed(user.id);
    return answer(200, { address: taken.role === 'guardian' ? '/family' : `/a/${taken.slug}` });
  });
