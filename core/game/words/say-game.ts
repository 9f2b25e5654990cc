import { counted, leftUnit } from '../../units/format';
import type { UnitSystem } from '../../units/length';
import type { PlayingOrder, Side } from '../rules';
import { schemeOf, type Scoring } from '../scoring';
import { wordsFor } from '../scoring/words';
import type { Sizes } from '../sizes';
import type { GameSpec } from '../spec';

/** How a game is scored, in a sentence or two, with its figures. */
export function scoringInWords(scoring: Scoring, sizes: Sizes, system: UnitSystem): string {
  return schemeOf(scoring).says(scoring, wordsFor(sizes, system));
}

const ORDER_WORDS: Readonly<Record<PlayingOrder, string>> = {
  blocked: 'station after station',
  serial: 'out and back, one ball at each',
  serial_twice: 'out and back, two balls where you turn',
  random: 'random, never the same station twice running',
  choice: 'the player chooses',
};
/** "out and back, one ball at each": an order of play. */
export function sayOrder(order: PlayingOrder): string {
  return ORDER_WORDS[order];
}

const SIDE_WORDS: Readonly<Record<Side, string>> = {
  long: 'past the hole',
  short: 'short of the hole',
  left: 'left of the hole',
  right: 'right of the hole',
};
export function saySide(side: Side): string {
  return SIDE_WORDS[side];
}

/** The rules of a game beyond its scoring, a short sentence each; plain ones are not said. */
export function rulesInWords({ order, rules, open, calls, scoring, stations }: GameSpec, system: UnitSystem): string[] {
  const scheme = schemeOf(scoring);
  const unit = scheme.unit(scoring);
  const costs = (n: number) => (unit === 'length' ? `${n} ${leftUnit(system)}` : counted(n, unit === 'strokes' ? 'stroke' : 'point'));
  const said: (string | false | null)[] = [
    open &&
      (calls.next
        ? `You are told what to hit next, ${counted(calls.balls ?? 1, 'ball')} at a time.`
        : `Stations are called while you play${sayCalls(calls)}.`),
    !open && stations.length > 1 && scheme.orders.length > 1 && `Order: ${sayOrder(order)}.`,
    rules.ball === 'drop' ? 'Balls are dropped.' : 'Balls are placed.',
    rules.puttOut === 'each' && 'Every ball is putted out.',
    rules.puttOut === 'after_all' && 'First all balls are hit, then all are putted out.',
    rules.timeLimitS !== null && `Time: ${sayTime(rules.timeLimitS)}; later balls don’t score.`,
    rules.attempts === 'until_works' && 'A failed ball is hit again until it works, five times at most; only the first attempt scores.',
    rules.clubOnce && 'No club twice.',
    rules.clubsApart && 'Never a neighbour of the club before.',
    rules.favouriteBanned && 'The favourite club stays in the bag.',
    rules.shotOnce && 'No shot twice: another club or another flight every time.',
    rules.goodSide !== null &&
      `Only ${saySide(rules.goodSide)} counts${rules.wrongSideCost > 0 ? `; the other side costs ${costs(rules.wrongSideCost)}` : ''}.`,
    rules.offGreenCost !== null &&
      (rules.offGreenCost > 0 ? `Off the green costs ${costs(rules.offGreenCost)}.` : 'Balls that miss the green are noted.'),
    rules.endOnPerfectRound && 'A perfect first round ends the game.',
    rules.allowances && 'Head starts may be given.',
  ];
  return said.filter((line) => typeof line === 'string');
}

/** ": three stations, two balls at each"; empty where nothing is planned. */
function sayCalls({ stations, balls }: GameSpec['calls']): string {
  const said = [stations !== null && counted(stations, 'station'), balls !== null && `${counted(balls, 'ball')} at each`].filter(Boolean);
  return said.length > 0 ? `: ${said.join(', ')}` : '';
}

/** "1 min 30 s", "10 min". */
export function sayTime(seconds: number): string {
  const [minutes, rest] = [Math.floor(seconds / 60), seconds % 60];
  return [minutes > 0 && `${minutes} min`, rest > 0 && `${rest} s`].filter(Boolean).join(' ');
}
