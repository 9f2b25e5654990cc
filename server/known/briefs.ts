import 'server-only';
import { LRUCache } from 'lru-cache';
import { after } from 'next/server';
import { BRIEF_VERSION, briefOf, type Brief } from '@/core/board/brief';
import { keptSkillsOf, type KeptSkills } from '@/core/board/squad';
import type { Answer, ListedPlayer } from '../data';
import { log } from '../log';
import { judge } from './judge';
import { knownOf, madeFromOf, type KnownAt } from './known';
import { changeSince } from './over-time';
import { mixOf } from './yardsticks';

/** A trend is the last four weeks with balls against all before. */
const RECENT_MS = 28 * 86_400_000;

/** Everything that a brief follows from. */
const briefFrom = (desk: KnownAt, player: ListedPlayer) => `${BRIEF_VERSION} ${madeFromOf(desk, player)}`;

/** What a list of players shows: each in a line as it is kept, and whether some are still being worked out. */
export type Briefs = { of: ReadonlyMap<string, Brief>; pending: boolean };

type Players = Answer<'listPlayers'>;
type MadeFrom = ReadonlyMap<string, { madeFrom: string }>;

/** Makes after the page is answered what is not kept, or from other balls, whoever was here last first. @returns whether there is any */
function makeLater(desk: KnownAt, players: Players, held: MadeFrom): boolean {
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
  return stale.length > 0;
}

/** Some megabytes: what the lists and squads of a few large academies show. */
const REMEMBERED = 6_000;
type Held = { madeFrom: string };
/** What is kept of players, by academy, part and player. From the same balls it is the same, so it is read from the database once. */
const remembered = new LRUCache<string, Held>({ max: REMEMBERED });

/**
 * What is kept of each player, by player.
 * @param part which part of it `read` reads, of these players
 */
async function keptOf<Kept extends Held>(
  { data, academy }: KnownAt,
  part: 'line' | keyof KeptSkills,
  read: (playerIds: string[]) => Promise<ReadonlyMap<string, Kept>>,
): Promise<ReadonlyMap<string, Kept>> {
  const keyOf = (playerId: string) => `${academy.academyId} ${part} ${playerId}`;
  const there = await data.keptMadeFrom();
  const all = new Map<string, Kept>();
  const unread: string[] = [];
  for (const [playerId, madeFrom] of there) {
    const kept = remembered.get(keyOf(playerId));
    if (kept?.madeFrom === madeFrom) all.set(playerId, kept as Kept);
    else unread.push(playerId);
  }
  for (const [playerId, kept] of await read(unread)) {
    remembered.set(keyOf(playerId), kept);
    all.set(playerId, kept);
  }
  return all;
}

/** Every player in a line, at once: as it is kept, even of fewer balls than there are now. */
export async function briefsOf(desk: KnownAt, players: Players): Promise<Briefs> {
  const held = await keptOf(desk, 'line', (playerIds) => desk.data.heldBriefs(playerIds));
  const pending = makeLater(desk, players, held);
  return { of: new Map([...held].map(([playerId, { brief }]) => [playerId, brief])), pending };
}

type Skills = { madeFrom: string; skills: Partial<KeptSkills> };

/** A part of what is kept of each player for the squad, as this program makes it. */
async function skillsHere(desk: KnownAt, part: keyof KeptSkills): Promise<ReadonlyMap<string, Skills>> {
  const all = await keptOf<Skills>(desk, part, (playerIds) => desk.data.heldSkills(part, playerIds));
  return new Map([...all].filter(([, { madeFrom }]) => madeFrom.startsWith(`${BRIEF_VERSION} `)));
}

/** Of whom nothing is kept: so many are waited for. */
const WAITED_FOR = 12;

/** A part of what is kept of players for the squad, even of fewer balls than there are now; of a few of whom nothing is, it is made first. */
export async function keptSkills(
  desk: KnownAt,
  players: Players,
  part: keyof KeptSkills,
): Promise<{ of: ReadonlyMap<string, Partial<KeptSkills>>; pending: boolean }> {
  let held = await skillsHere(desk, part);
  const missing = players.filter(({ player, balls }) => balls > 0 && !held.has(player.playerId));
  if (missing.length > 0 && missing.length <= WAITED_FOR) {
    await Promise.all(missing.map(({ player }) => makeBrief(desk, player)));
    held = await skillsHere(desk, part);
  }
  const here = new Set(players.map(({ player }) => player.playerId));
  const of = [...held].flatMap(([playerId, { skills }]) => (here.has(playerId) ? [[playerId, skills] as const] : []));
  return { of: new Map(of), pending: makeLater(desk, players, held) };
}

/** Academies whose briefs are being made. */
const underWay = new Set<string>();

async function makeAll(desk: KnownAt, players: readonly ListedPlayer[]): Promise<void> {
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

async function makeBrief(desk: KnownAt, player: ListedPlayer): Promise<void> {
  const known = await knownOf(desk, player);
  const mix = mixOf(desk.model, player);
  const diagnosis = await judge(desk, player, known, { level: player.level, mix, par: null });
  const span = await desk.data.spanOfEvidence(player.playerId);
  if (!span) return;
  const since = new Date(span.last.getTime() - RECENT_MS);
  const trend = since > span.first ? await changeSince(desk, player, { ...span, since }) : null;
  const brief = briefOf(diagnosis, known.evidence.balls, trend);
  const skills = keptSkillsOf(
    diagnosis,
    desk.model.cells.map(({ key }) => mix.get(key) ?? 0),
  );
  await desk.data.keepBrief(player.playerId, { madeFrom: briefFrom(desk, player), brief, skills });
}
