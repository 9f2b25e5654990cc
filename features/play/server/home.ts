import { lengthsOf, measuresOf } from '@/core/game/sizes';
import 'server-only';
import type * as z from 'zod';
import { homeSchema, storedHomes, type againSchema, type Home, type presentHome } from '@/core/exchange/home';
import { scaleForLevel } from '@/core/game/enter';
import { newPlayer, type PlayerForm } from '@/core/people/player';
import { seedOf } from '@/core/game/order';
import { sayOutcome } from '@/core/play/outcome';
import { playSession } from '@/core/play/play';
import { sayScore } from '@/core/game/words/say-score';
import { schemeOf } from '@/core/game/scoring';
import type { Academy, Answer, SessionLine } from '@/server/data';
import { dataOf } from '@/server/data';
import type { MemberDoor, PlayData, linkHolder } from '@/server/door';
import { plusDays } from '@/core/units/plain-day';

const WAITING = 10;
const OVER = 15;

type Holder = Exclude<Awaited<ReturnType<typeof linkHolder>>, string>;
type HomeSent = z.input<typeof presentHome>;

/** What a personal link opens: its player's sessions, those that can be gone on with first, and what came of the others. */
export async function homeOfLink({ actor, academy, expiresAt }: Holder): Promise<HomeSent> {
  const data = dataOf(actor);
  const { playerId } = actor;
  const found = (await data.getPlayer(playerId))!;
  const { name, units } = found.player;
  const lines = [...(await data.unfinishedSessions(WAITING, { playerId })), ...(await data.finishedSessions(OVER, { playerId }))];
  const sessions = await data.withShots(lines.map((line) => line.session));
  const kit = await data.kitOf({ playerIds: [playerId], games: 'played alone' });
  return {
    version: storedHomes.version,
    at: new Date().toISOString(),
    academy,
    player: { playerId, name, units },
    expiresAt: expiresAt.toISOString(),
    sessions: sessions.map(({ session, entrants, shots }, i) => {
      const { sessionId, spec } = session;
      const { standings } = playSession(spec, entrants, shots, { seed: seedOf(sessionId) });
      const { played, score } = standings.find((one) => one.entrant.playerId === playerId)!;
      const line = said(lines[i]!);
      return {
        ...line,
        balls: played.length,
        score: line.over && played.length > 0 ? sayScore(score, schemeOf(spec.scoring).unit(spec.scoring), units) : null,
        players: lines[i]!.players.map((one) => ({ playerId: one.playerId, name: one.name })),
      };
    }),
    hours: await hoursSent(data, kit.today.day),
    kit: kitSent(kit),
  };
}

const deskHome = ({ slug, name }: Academy) => ({
  version: storedHomes.version,
  at: new Date().toISOString(),
  academy: { slug, name },
  player: null,
  expiresAt: null,
});

/** What a coach's sign-in opens on a phone: what is going on, what came of the last, and what it takes to start a game. */
export async function homeOfDesk({ data, academy, sees }: MemberDoor, withKit: boolean): Promise<HomeSent> {
  const waiting = await data.unfinishedSessions(WAITING, { withBalls: true });
  const over = await data.finishedSessions(OVER);
  return {
    ...deskHome(academy),
    desk: sees === null,
    sessions: [
      ...waiting.map((line) => ({ ...said(line), score: null })),
      ...over.map((line) => {
        const nameOf = (id: string) => line.players.find(({ playerId }) => playerId === id)?.name ?? '';
        const { figure, words } = sayOutcome(line.session.spec, line.outcome, nameOf, line.players[0]?.units ?? academy.units);
        return { ...said(line), score: [figure, line.players.length > 1 ? words : ''].filter(Boolean).join(' · ') };
      }),
    ],
    hours: await hoursSent(data, await data.dayInAcademy()),
    kit: withKit ? kitSent(await data.kitOf()) : null,
  };
}

/** What it takes to start one game for some players at the desk; null where the game is not in use. */
export async function homeForGame(
  { data, academy }: Pick<MemberDoor, 'data' | 'academy'>,
  gameId: string,
  playerIds: readonly string[],
): Promise<Home | null> {
  const kit = kitSent(await data.kitOf({ playerIds, games: { gameId } }));
  const home = homeSchema.parse({ ...deskHome(academy), sessions: [], kit });
  return kit.games.length === 0 ? null : home;
}

/** Of planned weeks a phone gets the hours of so many days ahead. */
const AHEAD_DAYS = 8;

/** Planned hours as a phone keeps them. @param today the day there */
async function hoursSent(data: Pick<PlayData, 'listHours' | 'listWeeks'>, today: string): Promise<NonNullable<HomeSent['hours']>> {
  const [hours, weeks] = await Promise.all([data.listHours({ current: true }), data.listWeeks()]);
  const planned = new Map(weeks.flatMap((row) => row.weeks.days.map((one) => [one.hourId, one] as const)));
  return hours
    .filter(({ hourId, hour }) => !planned.has(hourId) || (hour.day ?? '') <= plusDays(today, AHEAD_DAYS))
    .map(({ hourId, hour, players, run }) => ({
      hourId,
      at: planned.get(hourId)?.at ?? null,
      hour,
      run,
      playerIds: players.map(({ playerId }) => playerId),
    }));
}

/** A session as such a page lists it. */
function said({ session, players, balls }: SessionLine) {
  const { sessionId, gameId, spec, startedAt, completedAt, stoppedAt } = session;
  return {
    sessionId,
    gameId,
    title: spec.title,
    startedAt: startedAt.toISOString(),
    over: completedAt !== null || stoppedAt !== null,
    balls,
    players: players.map(({ playerId, name }) => ({ playerId, name })),
  };
}

/** A player as a phone needs them. */
function playerSent({ handed, units, level, ...own }: Omit<PlayerForm, 'name' | 'clubs'>) {
  return { ...lengthsOf(own), handed, units, level, scale: scaleForLevel(level) };
}

function kitSent({ coach, today, games, players, bests }: Answer<'kitOf'>): NonNullable<HomeSent['kit']> {
  return {
    coach: measuresOf(coach),
    today,
    games,
    players: players.map((player) => {
      const { playerId, name, clubs, swingMarks, swings, strays, favourite } = player;
      return { playerId, name, clubs, marks: swingMarks, swings, strays, favourite, ...playerSent(player) };
    }),
    guest: { ...playerSent(newPlayer('', coach.units)), clubs: [], marks: [], swings: [], strays: null, favourite: null },
    bests,
  };
}

/** Starts a game again for the player of a link alone; false for a game that this player never played, or that takes several. */
export async function startAgain({ actor }: Holder, { sessionId, gameId }: z.infer<typeof againSchema>): Promise<boolean> {
  const data = dataOf(actor);
  if (!(await data.hasPlayed(actor.playerId, gameId))) return false;
  return data.startSession(sessionId, gameId, [{ playerId: actor.playerId, allowance: 0 }]);
}
