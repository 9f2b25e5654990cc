import 'server-only';
import { invitationOf, takeInvitationOf } from '@/server/invitations';
import { log } from '@/server/log';

const answer = (status: number, body: object) => Response.json(body, { status, headers: { 'cache-control': 'no-store' } });
const ENDED = 'This invitation was taken back, used before, or has ended. Ask for a new one.';

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
    if (found === 'too many tries') return answer(429, { error: 'Too many tries. Wait 15 minutes.' });
    return typeof found === 'string' ? answer(401, { error: ENDED }) : answer(200, found);
  });

/** Takes it for whoever is signed in. */
export const answerJoin = ({ headers }: Request) =>
  told(async () => {
    const slug = await takeInvitationOf(headers);
    return slug === null ? answer(401, { error: ENDED }) : answer(200, { address: `/a/${slug}` });
  });
