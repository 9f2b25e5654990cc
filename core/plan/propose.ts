import { allowancesFor, type SuggestedAllowances } from '../forecast/allowances';
import { playRow, SEED } from '../forecast/forecast';
import { playGames, toTheEnd, type ForecastPlayer } from '../forecast/games';
import { goalFor, WANTED_CHANCE } from '../forecast/goal';
import { informationOf } from '../forecast/information';
import { outlookOf, type Outlook } from '../forecast/outlook';
import { parsFor } from '../forecast/par';
import { sizesFor, stopsOf } from '../forecast/sizes';
import { MANY, secondsFor } from '../game/budget';
import { enter } from '../game/enter';
import { schemeOf } from '../game/scoring';
import { gameSpecSchema, type GameSpec } from '../game/spec';
import type { OwnLengths } from '../game/sizes';
import { sayCell } from '../board/say-cell';
import { distance } from '../geometry/point';
import type { SkillModel } from '../skill/model';
import { METRES_PER } from '../units/length';
import { KINDS, type Kind, type Purpose } from './kinds';
import { layOutGame, type Made, type Order, type OrderPlayer } from './lay-out';
import type { Place } from './places';

/** A game that was made to order, and what it is expected to come to. */
export type Proposal = {
  kind: string;
  game: GameSpec;
  /** Why these shots, in a line. */
  why: string;
  teaches: string;
  /** "10–20 yd chips from the fairway": what would come first if the green had a place for it; null where it has. */
  lacks: string | null;
  /** Seconds that it takes all who play. */
  seconds: number;
  /** From station to station and back to the first, in metres; null on no green. */
  walkM: number | null;
  /** What each player may score, in their order. */
  outlooks: Outlook[];
  /** The chance that the player meets the goal; null where there is none: for several there is not one goal. */
  goalChance: number | null;
  /** Of what a measured ball tells about the player, what a ball of it tells; the mean of all who play. */
  tells: number;
  /** Head starts, in the order of the players; null where nobody needs one. */
  headStarts: SuggestedAllowances | null;
};

/** Games behind a forecast; of many players together fewer. */
const [GAMES, GAMES_OF_MANY] = [5000, 1000];
/** Balls behind the sizes of zones, and behind a par. */
const [ZONE_BALLS, PAR_BALLS] = [6000, 2000];
/** Par or better is meant to be as likely as not. */
const PAR_CHANCE = 0.5;

/** How many games are proposed. */
export const proposedFor = (purpose: Purpose) => KINDS[purpose].length;

/**
 * One of the games that are proposed for an order, the same for the same seed; it takes a good half second.
 * @param which from 0, of so many as `proposedFor` says
 * @returns null where no such game can be laid out: none for several that only one plays, none on a green without places for it
 */
export function propose(order: Order, which: number, model: SkillModel): Proposal | null {
  if (order.purpose === 'compete' && order.players.length < 2) return null;
  for (const kind of KINDS[order.purpose][which] ?? []) {
    const made = proposeKind(order, kind, model);
    if (made) return made;
  }
  return null;
}

/** A game of one kind; null where it can't be laid out. */
export function proposeKind(order: Order, kind: Kind, model: SkillModel): Proposal | null {
  const made = layOutGame(order, kind, model);
  return made && forecastOf(order, kind, sized(order, made.game, kind, model), made, model);
}

const forecastPlayer = (player: OrderPlayer, game: GameSpec, coach: OwnLengths): ForecastPlayer => ({
  entrant: enter(player, game.sizes, coach, 0),
  belief: player.belief,
});

/** Zones that catch what the kind wants, and pars, for the player in the middle. */
function sized({ players, coach }: Order, game: GameSpec, kind: Kind, model: SkillModel): GameSpec {
  const middle = players.toSorted((a, b) => a.level - b.level)[Math.floor(players.length / 2)]!;
  const player = forecastPlayer(middle, game, coach);
  const { stationSays } = schemeOf(game.scoring);
  const balls = { balls: ZONE_BALLS, seed: SEED };
  const sizes = kind.catches === null ? [] : sizesFor(game, player, stopsOf(game, player, model, balls), kind.catches);
  const pars = stationSays.includes('par') ? parsFor(game, player, model, PAR_CHANCE, { balls: PAR_BALLS, seed: SEED }) : null;
  const scoring = structuredClone(game.scoring);
  for (const { path, radiusM } of sizes) put(scoring, path, radiusM);
  return gameSpecSchema.parse({
    ...game,
    scoring,
    stations: pars ? game.stations.map((station, i) => ({ ...station, par: pars[i]!.par })) : game.stations,
  });
}

/** Puts a figure at its path. */
function put(into: object, path: string, value: number): void {
  const keys = path.split('.');
  const last = keys.pop()!;
  const part = keys.reduce<Record<string, unknown>>((at, key) => at[key] as Record<string, unknown>, into as Record<string, unknown>);
  part[last] = value;
}

function forecastOf({ players, units, coach }: Order, kind: Kind, drafted: GameSpec, made: Made, model: SkillModel): Proposal {
  const rows = players.map((player) => forecastPlayer(player, drafted, coach));
  const games = players.length < MANY ? GAMES : GAMES_OF_MANY;
  const alone = rows.map((row) => toTheEnd(playRow(drafted, row, model, games)));
  const goal =
    kind.goal && players.length === 1 ? goalFor(drafted, alone[0]!, WANTED_CHANCE, units === 'metric' ? 0.5 : METRES_PER.ft) : null;
  const game = { ...drafted, goal: goal?.goal ?? null };
  return {
    kind: kind.key,
    game,
    why: game.about,
    teaches: kind.teaches,
    lacks: made.lacks === null ? null : sayCell(model.cells[made.lacks]!),
    seconds: secondsFor(game, players.length),
    walkM: walkOf(made.places),
    outlooks: alone.map((played) => outlookOf(game, played)),
    goalChance: goal?.chance ?? null,
    tells: rows.reduce((sum, row) => sum + informationOf(game, row, model), 0) / rows.length,
    headStarts: game.rules.allowances ? allowancesFor(game, rows, toTheEnd(playGames(game, rows, model, { games, seed: SEED }))) : null,
  };
}

/** Round all places once. */
function walkOf(places: readonly Place[]): number | null {
  if (places.some(({ at }) => at === null)) return null;
  return places.reduce((sum, { at }, i) => sum + distance(at!, places[(i + 1) % places.length]!.at!), 0);
}
