import type { Home, HomeSession } from '@/core/exchange/home';
import { schemeOf } from '@/core/game/scoring';
import { sayScore } from '@/core/game/words/say-score';
import { outcomeOf, sayOutcome } from '@/core/play/outcome';
import type { sessionsHere } from '../device/store';
import { tableOf } from '../record';

type Here = Awaited<ReturnType<typeof sessionsHere>>[number];

/** A session on the start page; `waits`: it was begun here, and the server has not heard of it yet. */
export type Line = HomeSession & { waits: boolean };

/**
 * The sessions of a start page, the newest first: as the server said last, and where this device knows more, as it is here.
 * @param token of the personal link whose page it is; undefined: the desk's
 * @param here what the device keeps, of whomever
 */
export function linesOf(home: Home, here: readonly Here[], token: string | undefined): Line[] {
  const ours = here.filter((one) => one.token === token && (token !== undefined || one.bundle.academy.slug === home.academy.slug));
  const known = new Map(ours.map((one) => [one.bundle.sessionId, one]));
  const listed = home.sessions.map((line) => {
    const held = known.get(line.sessionId);
    return held ? lineOf(home, held) : { ...line, waits: false };
  });
  const newer = ours.filter(
    ({ bundle, waits }) =>
      home.sessions.every(({ sessionId }) => sessionId !== bundle.sessionId) &&
      (waits || home.at === null || Date.parse(bundle.startedAt) > Date.parse(home.at)),
  );
  return [...newer.map((one) => lineOf(home, one)), ...listed].sort((a, b) => Date.parse(b.startedAt) - Date.parse(a.startedAt));
}

function lineOf({ player }: Home, { bundle, shots, waits }: Here): Line {
  const { sessionId, gameId, spec, startedAt, players } = bundle;
  const table = tableOf(bundle, shots);
  const over = table.over || bundle.stopped;
  const own = shots.filter((shot) => player === null || shot.playerId === player.playerId);
  const balls = own.reduce((sum, { nBalls }) => sum + nBalls, 0);
  return {
    ...{ sessionId, gameId, startedAt, over, balls, waits, title: spec.title },
    score: over && balls > 0 ? scoreOf() : null,
    players: players.map(({ playerId, name }) => ({ playerId, name })),
  };

  function scoreOf(): string {
    const mine = player && table.standings.find(({ entrant }) => entrant.playerId === player.playerId);
    if (player && mine) return sayScore(mine.score, schemeOf(spec.scoring).unit(spec.scoring), player.units);
    const nameOf = (id: string) => players.find(({ playerId }) => playerId === id)?.name ?? '';
    const { figure, words } = sayOutcome(spec, outcomeOf(spec, table), nameOf, players[0]!.units);
    return [figure, players.length > 1 ? words : ''].filter(Boolean).join(' · ');
  }
}
