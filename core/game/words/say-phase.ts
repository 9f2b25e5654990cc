import { capital, inWords, nounOf } from '../../units/format';
import type { UnitSystem } from '../../units/length';
import type { GamePhase } from '../phases';
import { schemeOf } from '../scoring';
import type { Sizes } from '../sizes';
import type { GameSpec, LeadIn } from '../spec';
import { rulesInWords, sayOrder, scoringInWords } from './say-game';

/** What a phase before the one that counts is, in a line: "Five balls at each station, station after station. A ball inside 6 ft is a hit." */
export function leadInWords({ balls, stations, order, scoring }: LeadIn, sizes: Sizes, system: UnitSystem): string {
  // Stations of its own say their balls themselves.
  const each =
    stations === null && schemeOf(scoring).countsBalls ? `${capital(inWords(balls))} ${nounOf(balls, 'ball')} at each station` : '';
  const said = [each, each && sayOrder(order)].filter(Boolean).join(', ');
  return [said && `${said}.`, scoringInWords(scoring, sizes, system)].filter(Boolean).join(' ');
}

/** What there is to do in a phase, a short sentence each: how many balls, how they score, and the rules that are not plain. */
export function phaseInWords(game: GameSpec, phase: GamePhase, system: UnitSystem): string[] {
  const { order, rules, scoring, sizes, stations } = phase;
  return [
    ...ballsInWords(phase),
    scoringInWords(scoring, sizes, system),
    ...rulesInWords({ ...game, order, rules, scoring, stations: [...stations] }, system),
  ];
}

function ballsInWords({ lots, stations }: GamePhase): string[] {
  // Where to play from is decided as it goes: nothing can be counted.
  if (!lots) return [];
  const here = stations.map((_, at) => lots.filter((lot) => lot.at === at).length);
  const each = here.every((balls) => balls === here[0]) ? here[0]! : null;
  const places = stations.length === 1 ? '' : ` at each of ${inWords(stations.length)} stations`;
  if (each === 1) return [`One ball${places}.`, 'Put the other balls away.'];
  return each === null ? [`${capital(inWords(lots.length))} balls.`] : [`${capital(inWords(each))} balls${places}.`];
}
