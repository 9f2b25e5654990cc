import { sayCell, sayShots } from '../board/say-cell';
import { MANY, secondsFor } from '../game/budget';
import { schemeOf } from '../game/scoring';
import { GAME_VERSION, gameSpecSchema, type GameSpec } from '../game/spec';
import type { OwnLengths } from '../game/sizes';
import { conflictsOf } from '../green/conflicts';
import { partiesOf } from '../green/parties';
import type { GreenPlan } from '../green/plan';
import { walkingOrder } from '../green/walk';
import type { Belief } from '../skill/diagnose';
import type { SkillModel } from '../skill/model';
import { capital, counted, listed } from '../units/format';
import type { UnitSystem } from '../units/length';
import { chooseShots } from './choose';
import type { Kind, Purpose } from './kinds';
import { placesAnywhere, placesOn, type Place } from './places';
import { asIfDrawn, judgedTogether, type Judged } from './together';

/** For whom a game is made: what is known of them, and what they measure with. */
export type OrderPlayer = { playerId: string; name: string; level: number; belief: Belief; judged: Judged } & OwnLengths;

/** A game made to order: for whom, what for, how long it may take, and on which green, if on one. */
export type Order = {
  players: readonly OrderPlayer[];
  purpose: Purpose;
  minutes: number;
  green: GreenPlan | null;
  units: UnitSystem;
  /** The coach's own measures. */
  coach: OwnLengths;
  /** Another one, another choice where what is known leaves a choice; the first is the likeliest. */
  seed: number;
};

/** How many places have room in so many minutes: fewer balls from more places say more, but every place is a walk. */
const roomFor = (minutes: number) => (minutes <= 12 ? 4 : minutes <= 30 ? 6 : minutes <= 60 ? 8 : 12);

/** A game with places and balls, whose zones nobody has sized yet. */
export type Made = {
  game: GameSpec;
  places: Place[];
  /** The shot that would come first if it could be laid out on this green, as an index of the model's cells; null where it can. */
  lacks: number | null;
};

/** The longest game of a kind that fits: as many places as there is room for, and as many balls at each. */
export function layOutGame(order: Order, kind: Kind, model: SkillModel): Made | null {
  const { players, minutes, green, units, seed } = order;
  const judged = asIfDrawn(judgedTogether(players.map((player) => player.judged)), seed);
  const takes = kind.takes ?? (() => true);
  const anywhere = placesAnywhere(model.cells, units).filter(takes);
  const offered = green ? placesOn(green, model.cells, units).filter(takes) : anywhere;
  const lacks = green ? lackingFirst(kind, judged, anywhere, offered) : null;
  let least: Made | null = null;
  for (let room = Math.min(roomFor(minutes), kind.mostPlaces ?? Infinity); room >= kind.fewestPlaces; room--) {
    const places = inOrder(kind, choosePlaces(order, kind, judged, offered, room));
    if (places.length < kind.fewestPlaces) return least;
    for (let balls = kind.balls[1]; balls >= kind.balls[0]; balls--) {
      const game = draft(order, kind, places, balls, judged);
      if (!game) continue;
      least = { game, places, lacks };
      if (secondsFor(game, players.length) <= 60 * minutes) return least;
    }
  }
  return least;
}

/** A place for each shot that is chosen; where there is room, other places for the same shots. */
function choosePlaces({ players, green }: Order, kind: Kind, judged: Judged, offered: readonly Place[], room: number): Place[] {
  const placeOf = (cell: number) => offered.find((place) => place.cell === cell)!;
  const fits = (place: Place, others: readonly Place[]) => green === null || players.length < MANY || !inConflict(green, place, others);
  const goes = (cell: number, chosen: readonly number[]) => fits(placeOf(cell), chosen.map(placeOf));
  const allowed = [...new Set(offered.map(({ cell }) => cell))];
  const cells = chooseShots(judged, { by: kind.choose, places: room, balls: 2, allowed, goes }).map(({ cell }) => cell);
  const places = cells.map(placeOf);
  if (kind.mostPlaces !== null) return places;
  for (const place of cells.flatMap((cell) => offered.filter((one) => one.cell === cell)))
    if (places.length < room && !places.includes(place) && fits(place, places)) places.push(place);
  return places;
}

function lackingFirst({ choose }: Kind, judged: Judged, anywhere: readonly Place[], offered: readonly Place[]): number | null {
  const [first] = chooseShots(judged, { by: choose, places: 1, balls: 2, allowed: anywhere.map(({ cell }) => cell) });
  return first && offered.every(({ cell }) => cell !== first.cell) ? first.cell : null;
}

/** Whether somebody at one place would be in the way of somebody at another, badly. */
function inConflict(green: GreenPlan, place: Place, others: readonly Place[]): boolean {
  const keys = new Set([place, ...others].map(({ station }) => station.place));
  const parties = partiesOf({ ...green, stations: green.stations.filter(({ key }) => keys.has(key)), groups: [] });
  return conflictsOf(parties, place.station.place!).some(({ level }) => level === 'red');
}

/** From the easiest on; else by a short walk, and where nobody says on which green, the far before the near. */
function inOrder(kind: Kind, places: readonly Place[]): Place[] {
  const far = ({ station }: Place) => station.distanceM;
  if (kind.climbs) return places.toSorted((a, b) => far(a) - far(b));
  const spots = places.flatMap(({ at }) => (at ? [at] : []));
  if (spots.length === places.length) return walkingOrder(spots).map((i) => places[i]!);
  return places.toSorted((a, b) => far(b) - far(a));
}

/** The game as far as it follows from its places; null where so many balls make no game. */
function draft({ players, units, purpose }: Order, kind: Kind, places: readonly Place[], balls: number, judged: Judged): GameSpec | null {
  const scoring = kind.scoring(units, places);
  const lands = schemeOf(scoring).stationSays.includes('carryM');
  const stations = places.map(({ station }, i) => ({ ...station, key: `s${i + 1}`, balls, carryM: lands ? station.carryM : null }));
  const alone = new Set(stations.map(({ shotType, surface }) => `${shotType} ${surface}`)).size === 1;
  const title = kind.title(alone && stations.length < NAMED_ALONE ? sayShots(stations[0]!) : `from ${counted(stations.length, 'place')}`);
  const parsed = gameSpecSchema.safeParse({
    format: 'inch-game',
    version: GAME_VERSION,
    title: (players.length === 1 ? `${players[0]!.name.slice(0, 40)}: ${title}` : capital(title)).slice(0, 80),
    about: whyOf(
      judged,
      places.map(({ cell }) => cell),
      kind.choose,
    ).slice(0, 200),
    stations,
    order: stations.length === 1 && kind.order === 'random' ? 'blocked' : kind.order,
    sizes: { unit: units === 'metric' ? 'm' : 'ft' },
    scoring,
    rules: { allowances: purpose === 'compete' },
    goal: null,
  });
  return parsed.success ? parsed.data : null;
}

/** With fewer places than that, all of one kind of shot, the shot is named. */
const NAMED_ALONE = 4;
/** So many shots of a kind are named. */
const NAMED = 2;

/** Why these shots: "Weakest: 6–10 ft putts. To find out: 10–20 yd chips from light rough." */
export function whyOf({ findings }: Judged, cells: readonly number[], choose: Kind['choose']): string {
  const say = (cells: readonly number[]) => listed(cells.slice(0, NAMED).map((cell) => sayCell(findings[cell]!)));
  if (choose === 'close_call') return `Too close to call: ${say(cells)}.`;
  if (choose === 'common' || choose === 'easy')
    return `What comes up most: ${say(cells.toSorted((a, b) => findings[b]!.uses - findings[a]!.uses))}.`;
  const losing = cells
    .filter((cell) => findings[cell]!.balls > 0 && findings[cell]!.perRound.interval80[0] > 0)
    .toSorted((a, b) => findings[b]!.perRound.mean - findings[a]!.perRound.mean);
  const others = cells.filter((cell) => !losing.includes(cell));
  return [losing.length > 0 ? `Weakest: ${say(losing)}.` : '', others.length > 0 ? `To find out: ${say(others)}.` : '']
    .filter(Boolean)
    .join(' ');
}
