import type { Home, HomeHour } from './home';

/**
 * The page that a device keeps to run one planned hour with no network: with nothing of other hours, games, players and sessions.
 * @returns null where the page does not have this hour
 */
export function homeForHour(home: Home, hourId: string): { home: Home; planned: HomeHour } | null {
  const planned = home.hours.find((one) => one.hourId === hourId);
  const { kit } = home;
  if (!planned || !kit) return null;
  const games = new Set(planned.hour.parts.flatMap(({ game }) => game?.gameId ?? []));
  const own = {
    ...kit,
    games: kit.games.filter(({ gameId }) => games.has(gameId)),
    players: kit.players.filter(({ playerId }) => planned.playerIds.includes(playerId)),
    bests: kit.bests.filter(({ gameId }) => games.has(gameId)),
  };
  return { home: { ...home, sessions: [], hours: [planned], kit: own }, planned };
}
