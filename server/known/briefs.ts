import 'server-only';
import { after } from 'next/server';
import { BRIEF_VERSION, briefOf, type Brief } from '@/core/board/brief';
import type { Answer, PlayerRow } from '../data';
import { log } from '../log';
import { boardOf } from './board';
import { madeFromOf, type KnownAt } from './known';
import { changeSince } from './over-time';

/** A trend is the last four weeks with balls against all before. */
const RECENT_MS = 28 * 86_400_000;

/** Everything that a brief follows from. */
const briefFrom = (desk: KnownAt, player: PlayerRow) => `${BRIEF_VERSION} ${madeFromOf(desk, player)}`;

/** What a list of players shows: each in a line as it is kept, and whether some are still being worked out. */
export type Briefs = { of: ReadonlyMap<string, Brief>; pending: boolean };

/**
 * Every player in a line, at once: as it is kept, even of fewer balls than there are now. What is missing or from other balls is made after
 * the page is answered, whoever was here last first.
 */
export async function briefsOf(desk: KnownAt, players: Answer<'listPlayers'>): Promise<Briefs> {
  const held = await desk.data.heldBriefs();
  const stale = players
    .filter(({ player, balls }) => balls > 0 && held.get(player.playerId)?.madeFrom !== briefFrom(desk, player))
    .sort((a, b) => (b.lastAt?.getTime() ?? 0) - (a.lastAt?.getTime() ?? 0));
  if (stale.length > 0)
    after(() =>
      makeAll(
        desk,
        stale.map(({ player }) => player),
      ),
    );
  return { of: new Map([...held].map(([playerId, { brief }]) => [playerId, brief])), pending: stale.length > 0 };
}

/** Academies whose briefs are being made. */
const underWay = new Set<string>();

async function makeAll(desk: KnownAt, players: readonly PlayerRow[]): Promise<void> {
  const { academyId } = desk.academy;
  if (underWay.has(academyId)) return;
  underWay.add(academyId);
  try {
    for (const player of players) await makeBrief(desk, player);
  } catch (error) {
    log.warn({ err: error }, 'players could not be summed up');
  } finally {
    underWay.delete(academyId);
  }
}

async function makeBrief(desk: KnownAt, player: PlayerRow): Promise<void> {
  const { known, diagnosis } = await boardOf(desk, player, { filter: null, against: undefined });
  const span = await desk.data.spanOfEvidence(player.playerId);
  if (!span) return;
  const since = new Date(span.last.getTime() - RECENT_MS);
  const trend = since > span.first ? await changeSince(desk, player, { ...span, since }) : null;
  const brief = briefOf(diagnosis, known.evidence.balls, trend);
  await desk.data.keepBrief(player.playerId, { madeFrom: briefFrom(desk, player), brief });
}
