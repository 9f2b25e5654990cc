import 'server-only';
import type { Again, LinkHome } from '@/core/exchange/link-home';
import { seedOf } from '@/core/game/order';
import { playSession } from '@/core/play/play';
import { sayScore } from '@/core/game/words/say-score';
import { schemeOf } from '@/core/game/scoring';
import { dataOf } from '@/server/data';
import type { linkHolder } from '@/server/door';

const WAITING = 10;
const OVER = 15;

type Holder = Exclude<Awaited<ReturnType<typeof linkHolder>>, string>;

/** What a personal link opens: its player's sessions, those that can be gone on with first, and what came of the others. */
export async function homeOf({ actor, academy, expiresAt }: Holder): Promise<LinkHome> {
  const data = dataOf(actor);
  const { playerId } = actor;
  const found = (await data.getPlayer(playerId))!;
  const { name, units } = found.player;
  const lines = [...(await data.unfinishedSessions(WAITING, { playerId })), ...(await data.finishedSessions(OVER, { playerId }))];
  return {
    academy: { name: academy.name },
    player: { playerId, name, units },
    expiresAt: expiresAt.toISOString(),
    sessions: (await data.withShots(lines.map((line) => line.session))).map(({ session, entrants, shots }) => {
      const { sessionId, gameId, spec, startedAt, completedAt, stoppedAt } = session;
      const { standings } = playSession(spec, entrants, shots, { seed: seedOf(sessionId) });
      const { played, score } = standings.find((one) => one.entrant.playerId === playerId)!;
      const over = completedAt !== null || stoppedAt !== null;
      return {
        sessionId,
        gameId,
        title: spec.title,
        startedAt: startedAt.toISOString(),
        over,
        balls: played.length,
        score: over && played.length > 0 ? sayScore(score, schemeOf(spec.scoring).unit(spec.scoring), units) : null,
      };
    }),
  };
}

/** Starts a game again for the player of a link alone; false for a game that this player never played, or that takes several. */
export async function startAgain({ actor }: Holder, { sessionId, gameId }: Again): Promise<boolean> {
  const data = dataOf(actor);
  if (!(await data.hasPlayed(actor.playerId, gameId))) return false;
  return data.startSession(sessionId, gameId, [{ playerId: actor.playerId, allowance: 0 }]);
}
