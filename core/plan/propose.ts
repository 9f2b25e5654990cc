import { sayCell } from '../board/say-cell';
import { budgetOf } from '../game/budget';
import { ringsAbout } from '../game/scoring/rings-about';
import { GAME_VERSION, gameSpecSchema, type GameSpec } from '../game/spec';
import type { Station } from '../game/station';
import { unitOf } from '../golf/shot-types';
import { usualLeft } from '../golf/usual-left';
import { cellKey, type Cell } from '../skill/cells';
import type { Diagnosis } from '../skill/diagnose';
import { listed } from '../units/format';
import { fromMetres, toMetres, type UnitSystem } from '../units/length';
import { chooseShots, type Purpose } from './choose';
import { isTapIn } from './first-look';
import type { Batch } from './open';

/** For whom a game is made, what for, and how long it may take. */
export type Order = { name: string; level: number; units: UnitSystem; purpose: Purpose; minutes: number };

/** More balls than that from one place are a groove, fewer say little. */
const [MOST_BALLS, LEAST_BALLS] = [8, 2];
/** The ring in feet where only putts are played, whose reference is the hole. */
const PUTTS_FT = 3;

/** How many places fit so many minutes: fewer balls from more places say more, but every place is a walk. */
const placesIn = (minutes: number) => (minutes <= 12 ? 4 : minutes <= 30 ? 6 : 8);

/**
 * A game made to order: the shots chosen for what is known of the player (`chooseShots`), rings sized to the level, as many balls from each
 * place as the minutes allow. To take strokes off no station comes twice running; to find out they come one after another.
 */
export function propose(diagnosis: Pick<Diagnosis, 'findings' | 'lost'>, order: Order): GameSpec {
  const { purpose, minutes } = order;
  const allowed = diagnosis.findings.flatMap((finding, i) => (isTapIn(finding) ? [] : [i]));
  const chosen = chooseShots(diagnosis, { purpose, places: placesIn(minutes), balls: LEAST_BALLS, allowed });
  const games = Array.from({ length: MOST_BALLS - LEAST_BALLS + 1 }, (_, i) => gameOf(diagnosis, chosen, MOST_BALLS - i, order));
  return games.find((game) => budgetOf(game).totalS <= 60 * minutes) ?? games.at(-1)!;
}

function gameOf({ findings }: Pick<Diagnosis, 'findings'>, chosen: readonly Batch[], balls: number, order: Order): GameSpec {
  const { name, level, units, purpose } = order;
  const stations = chosen.map(({ cell }, i) => {
    const { shotType, surface } = findings[cell]!;
    return { key: `s${i + 1}`, shotType, surface, ...layOut(findings[cell]!, units), balls };
  });
  return gameSpecSchema.parse({
    format: 'inch-game',
    version: GAME_VERSION,
    title: `For ${name}: ${purpose === 'find_out' ? 'find out' : 'take strokes off'}`.slice(0, 80),
    about: aboutOf(findings, chosen),
    stations,
    order: purpose === 'find_out' ? 'blocked' : 'random',
    sizes: { unit: units === 'metric' ? 'm' : 'ft' },
    scoring: ringsAbout(medianM(stations as Station[], level), units),
    goal: null,
  });
}

/** So many shots of a kind are named. */
const NAMED = 2;

/** Why these shots: "Weakest: 6–10 ft putts. To find out: 10–20 yd chips from light rough." */
function aboutOf(findings: Diagnosis['findings'], chosen: readonly Batch[]): string {
  const losing = chosen.filter(({ cell }) => findings[cell]!.balls > 0 && findings[cell]!.perRound.interval80[0] > 0);
  const others = chosen.filter((one) => !losing.includes(one));
  const say = (list: readonly Batch[]) => listed(list.slice(0, NAMED).map(({ cell }) => sayCell(findings[cell]!)));
  return [losing.length > 0 ? `Weakest: ${say(losing)}.` : '', others.length > 0 ? `To find out: ${say(others)}.` : '']
    .filter(Boolean)
    .join(' ');
}

/** Distances are laid out in whole units; where that would be another skill, in halves, else in tenths. */
const STEPS = [1, 0.5, 0.1];

/** From how far a cell is practised, as somebody paces it out, and in which unit; it stays within the cell. */
export function layOut({ key, shotType, surface, distanceM }: Cell, units: UnitSystem) {
  const distanceUnit = unitOf(shotType, units);
  const rounded = (step: number) =>
    toMetres(Number((Math.round(fromMetres(distanceM, distanceUnit) / step) * step).toFixed(1)), distanceUnit);
  const fits = STEPS.map(rounded).find((metres) => cellKey(shotType, surface, metres) === key);
  return { distanceUnit, distanceM: fits ?? distanceM };
}

/** What half of the level's balls finish inside, over all stations but putts; metres. */
function medianM(stations: readonly Station[], level: number): number {
  const lefts = Object.values(usualLeft(level, stations));
  return lefts.length === 0 ? toMetres(PUTTS_FT, 'ft') : lefts.reduce((a, b) => a + b, 0) / lefts.length;
}
