import { apart, inPlayingOrder } from './order';
import { type PlayingOrder, PLAIN_RULES, type Rules } from './rules';
import { schemeOf, type Scoring } from './scoring';
import type { Lot, Phase } from './scoring/scheme';
import type { Sizes } from './sizes';
import { ballsPlanned, type Calls } from './calls';
import { MOST_BALLS, type Station } from './station';

/** What phases are made of: a game, whole or still being designed. */
type Parts = {
  open: boolean;
  calls: Calls;
  stations: readonly Station[];
  order: PlayingOrder;
  sizes: Sizes;
  scoring: Scoring;
  rules: Rules;
  leadIn: readonly { balls: number; stations: readonly Station[] | null; order: PlayingOrder; scoring: Scoring; title: string }[];
};

/** One phase of a game in the order of play. */
export type GamePhase = Phase<Scoring> & {
  index: number;
  title: string;
  order: PlayingOrder;
  /** Its balls; null where the scheme decides as it goes from where to play. */
  lots: readonly Lot[] | null;
  /** Number of its first turn in the game. */
  firstTurn: number;
};

/** What the last phase is called, the one that counts. */
export const COUNTS = 'What counts';

/** What is played one after the other, what counts last. */
function partsOf(game: Parts) {
  return [
    ...game.leadIn.map(({ balls, stations, ...phase }) => ({
      ...phase,
      rules: PLAIN_RULES,
      stations: stations ?? game.stations.map((station) => ({ ...station, balls })),
    })),
    { title: COUNTS, order: game.order, scoring: game.scoring, rules: game.rules, stations: game.stations },
  ];
}

/** How many balls one part has at most, one player's: no order changes that. */
function turnsOf(game: Parts, scoring: Scoring, stations: readonly Station[]): number {
  const planned = game.open ? ballsPlanned(game.calls) : null;
  if (planned !== null) return planned;
  const { most, lots } = schemeOf(scoring);
  if (most) return most(scoring, stations);
  return lots ? lots(scoring, stations).length : stations.reduce((sum, { balls }) => sum + Math.min(balls, MOST_BALLS), 0);
}

/**
 * The phases of a game, the one that counts last.
 * @param seed decides random orders
 */
export function phasesOf(game: Parts, seed = 0): GamePhase[] {
  let firstTurn = 0;
  return partsOf(game).map(({ title, order, scoring, rules, stations }, index) => {
    const decides = schemeOf(scoring).most !== undefined;
    const lots = decides ? null : inPlayingOrder(arranged(lotsOf(scoring, stations), scoring, rules), order, seed + index);
    const turns = turnsOf(game, scoring, stations);
    const phase = { index, title, order, scoring, rules, stations, sizes: game.sizes, lots, turns, firstTurn };
    firstTurn += turns;
    return phase;
  });
}

/** All balls of a phase, station by station. */
export function lotsOf(scoring: Scoring, stations: readonly Station[]): Lot[] {
  const scheme = schemeOf(scoring);
  return (
    scheme.lots?.(scoring, stations) ??
    stations.flatMap((station, at) =>
      Array.from({ length: Math.min(station.balls, MOST_BALLS) }, (_, ball): Lot => ({ at, ballNo: ball + 1, asked: {} })),
    )
  );
}

/** Where the game says the clubs and neighbours are kept apart, the order of the clubs follows from that, there and back from station to station. */
function arranged(lots: readonly Lot[], scoring: Scoring, rules: Rules): readonly Lot[] {
  const clubs = schemeOf(scoring).clubs?.(scoring) ?? [];
  const order = rules.clubsApart ? apart(clubs.length) : null;
  if (!order || clubs.length === 0) return lots;
  const stations = Math.max(0, ...lots.map((lot) => lot.at + 1));
  return Array.from({ length: stations }, (_, at) => at).flatMap((at) =>
    (at % 2 === 0 ? order : order.toReversed()).flatMap((club) => lots.filter((lot) => lot.at === at && lot.asked.club === clubs[club])),
  );
}

/** All the balls of a game at most, one player's. */
export function ballsOf(game: Parts): number {
  return partsOf(game).reduce((sum, { scoring, stations }) => sum + turnsOf(game, scoring, stations), 0);
}
