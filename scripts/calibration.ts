import { playRow, type Row } from '@/core/forecast/forecast';
import { toTheEnd } from '@/core/forecast/games';
import { playerOfLevel } from '@/core/forecast/levels';
import { FORM_SD } from '@/core/forecast/shooter';
import { compile } from '@/core/play/compile';
import { plainEntrant } from '@/core/game/entrant';
import { LIBRARY } from '@/core/game/library';
import { schemeOf } from '@/core/game/scoring';
import { seededRandom, type Random } from '@/core/math/random';
import type { Cell } from '@/core/skill/cells';
import { believe } from '@/core/skill/diagnose';
import { modelOf } from '@/core/skill/model';
import { evidenceOf, hitterOf, madeUp } from '@/core/made-up/players';
import { shippedReference as reference } from '@/core/golf/reference';
import type { PlayerTruth } from '@/core/made-up/simulate';
import { reallyHits } from '@/core/testing/later-game';
import { isPutt } from '@/core/golf/shot-types';

/** Library games, every way of scoring that made-up players can play: where a ball stops is all that they know. */
const GAMES = [
  'three-hoops',
  'until-it-works',
  'past-the-cup',
  'reckoning',
  'seven-doors',
  'cliff-walk',
  'rope-ladder',
  'nearest-the-lamp',
  'bag-check',
  'unbroken',
];
/** Games behind each forecast. */
const FORECAST = 800;
const DECILES = 10;
const CELLS = 24;

/**
 * Forecast against what happened: each made-up player leaves so many balls of evidence, each game is forecast from it,
 * and then played once as the player really plays. The place of the score among the forecast ones, with chance between
 * equal ones (the randomised probability integral transform), is even from 0 to 1 where forecasts are calibrated.
 */
export function calibration(players: number, balls: number, seed: number): void {
  const model = modelOf(reference);
  const specs = GAMES.map((key) => LIBRARY.find((entry) => entry.key === key)!.spec);
  const counts = specs.map(() => new Array<number>(DECILES).fill(0));
  for (let p = 0; p < players; p++) {
    const random = seededRandom(seed * 100_003 + p);
    const truth = madeUp(model.cells, random);
    const { groups } = evidenceOf(hitterOf(truth, reference, random), someOf(model.cells, random), reference, balls, random);
    const belief = believe({ groups }, model, truth.level);
    specs.forEach((spec, i) => {
      const row: Row = { key: '', entrant: plainEntrant('', truth.level), belief };
      const forecast = toTheEnd(playRow(spec, row, model, FORECAST, p + 1)).scores[0]!;
      const scheme = schemeOf(spec.scoring);
      // Whom they play against is of their level, of whom nothing else is known.
      const others = scheme.players > 1 ? [playerOfLevel(spec, truth.level, model)] : [];
      const stepper = compile(
        spec,
        [row, ...others].map(({ entrant }) => entrant),
        p,
      );
      const hits = (player: PlayerTruth) => reallyHits(player, spec, FORM_SD * random.normal(), reference, random);
      const against = madeUp(model.cells, random, { level: truth.level });
      stepper.play([hits(truth), ...others.map(() => hits(against))]);
      counts[i]![placeOf(stepper.score(0), forecast, random)]!++;
    });
  }
  console.log(
    `\nforecasts against ${players} later games of ${players} players with ${balls} balls each, seed ${seed}: in a tenth of the forecast, % (10 is even)`,
  );
  specs.forEach((spec, i) => {
    const shares = counts[i]!.map((count) => (100 * count) / players);
    const off = Math.max(...shares.map((share) => Math.abs(share - 100 / DECILES)));
    console.log(
      `${spec.title.padEnd(18)} ${schemeOf(spec.scoring).label.padEnd(13)} ${shares.map((share) => share.toFixed(1).padStart(5)).join('')}   off by at most ${off.toFixed(1)}`,
    );
  });
}

/** The cells that a made-up player plays: some off the green, and all putts. */
export function someOf(cells: readonly Cell[], random: Random): Cell[] {
  const chosen = cells
    .filter((cell) => !isPutt(cell.shotType) && cell.inRound)
    .map((cell) => ({ cell, at: random.uniform() }))
    .sort((a, b) => a.at - b.at)
    .slice(0, CELLS)
    .map(({ cell }) => cell);
  return [...chosen, ...cells.filter((cell) => isPutt(cell.shotType))];
}

/** The tenth of the forecast in which a score lies. */
function placeOf(score: number, forecast: Float64Array, random: Random): number {
  let [less, same] = [0, 0];
  for (const one of forecast) {
    if (one < score - 1e-9) less += 1;
    else if (one <= score + 1e-9) same += 1;
  }
  return Math.min(DECILES - 1, Math.floor((DECILES * (less + random.uniform() * (same + 1))) / (forecast.length + 1)));
}
