import { sayLevel } from '../golf/level';
import { say } from '../golf/words';
import { formatLength, inWords, leftUnit } from '../units/format';
import type { UnitSystem } from '../units/length';
import type { Order, Side } from './rules';
import type { Scoring } from './scoring';
import { cellsOf } from './scoring/shot-matrix';
import { sayRadius, type Sizes } from './sizes';
import type { GameSpec } from './spec';

/** How a game is scored, in a sentence or two, with its figures. */
export function scoringInWords(scoring: Scoring, sizes: Sizes, system: UnitSystem): string {
  const radius = (metres: number) => (metres === 0 ? 'in the hole' : `inside ${sayRadius(metres, sizes, system)}`);
  const far = (metres: number) => formatLength(metres, leftUnit(system));
  switch (scoring.scheme) {
    case 'ring_points': {
      const rings = scoring.rings.map((ring) => `${radius(ring.radiusM)}: ${ring.points}`).join('; ');
      return `Holed: ${scoring.holedPoints}; ${rings}; outside: 0. A ball on the line scores the inner ring.`;
    }
    case 'total_left':
      return `What is left is added up. A ball outside ${far(scoring.farM)} is not measured and counts ${far(scoring.farM)}.`;
    case 'hits':
      return `A ball ${radius(scoring.radiusM)} is a hit.`;
    case 'landing_zone': {
      const size = sayRadius(scoring.sizeM, sizes, system);
      const where = {
        circle: `within ${size} of the spot`,
        strip: `within ${size} of the line, short or long`,
        peg: `within ${size} of the peg`,
      }[scoring.shape];
      return `The ball lands ${where}${scoring.finishM === null ? '.' : `, and finishes ${radius(scoring.finishM)}.`}`;
    }
    case 'hole_out': {
      const extra =
        scoring.extraFromLevel === null
          ? ''
          : ` Players of level ${sayLevel(scoring.extraFromLevel)} and above have one stroke more in each par.`;
      return `Every ball is played into the hole; after ${inWords(scoring.pickUpAfter)} strokes it is picked up.${extra}`;
    }
    case 'ladder': {
      const drop = scoring.drop === 0 ? 'a miss stays' : `a miss drops ${inWords(scoring.drop)}`;
      const bottom = scoring.bottom === 'end' ? 'a fall below the lowest rung is the end' : 'the lowest rung is a floor';
      return `A ball ${radius(scoring.radiusM)} climbs one rung, ${drop}, ${bottom}. At most ${scoring.mostBalls} balls.`;
    }
    case 'nearest_wins': {
      const end = scoring.firstTo === null ? 'All balls are played.' : `First to ${inWords(scoring.firstTo)}.`;
      const ties = scoring.ties === 'each' ? 'Equally near: each takes it.' : 'Equally near: nobody takes it.';
      const call = scoring.callPoints === null ? '' : ` The shot is called first; a kept call earns ${scoring.callPoints}.`;
      return `The nearest to the hole takes the point. ${ties} ${end}${call}`;
    }
    case 'shot_matrix':
      return `${cellsOf(scoring).length} different shots at each station, each once. A shot that did what was asked counts.`;
    case 'club_trial':
      return `The same shot with ${listOf(scoring.clubs)}. What is left is added up, and the clubs are ranked.`;
    case 'streak': {
      const until = scoring.until === null ? 'The longest run counts.' : `Over with ${inWords(scoring.until)} in a row.`;
      return `A ball ${radius(scoring.radiusM)} keeps the run going. ${until}`;
    }
  }
}

const ORDER_WORDS: Readonly<Record<Order, string>> = {
  blocked: 'station after station',
  serial: 'out and back, one ball at each',
  random: 'random, never the same station twice running',
  choice: 'the player chooses',
};
/** "out and back, one ball at each": an order of play. */
export function sayOrder(order: Order): string {
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
export function rulesInWords({ order, rules, open, scoring, stations }: GameSpec, system: UnitSystem): string[] {
  const unit = scoring.scheme === 'total_left' ? (system === 'metric' ? 'm' : 'ft') : scoring.scheme === 'hole_out' ? 'stroke' : 'point';
  const costs = (n: number) => `${n} ${unit}${unit.length > 2 && n !== 1 ? 's' : ''}`;
  const said: (string | false | null)[] = [
    open && 'Stations are called while you play.',
    !open && stations.length > 1 && scoring.scheme !== 'ladder' && `Order: ${sayOrder(order)}.`,
    rules.ball === 'drop' ? 'Balls are dropped.' : 'Balls are placed.',
    rules.puttOut && 'Every ball is putted out.',
    rules.timeLimitS !== null && `Time: ${sayTime(rules.timeLimitS)}; later balls do not score.`,
    rules.attempts === 'until_works' && 'A failed ball is hit again until it works, five times at most; only the first attempt scores.',
    rules.clubOnce && 'No club twice.',
    rules.clubsApart && 'Never a neighbour of the club before.',
    rules.favouriteBanned && 'The favourite club stays in the bag.',
    rules.shotOnce && 'No shot twice: another club or another flight every time.',
    rules.goodSide !== null &&
      `Only ${saySide(rules.goodSide)} counts${rules.wrongSideCost > 0 ? `; the other side costs ${costs(rules.wrongSideCost)}` : ''}.`,
    rules.offGreenCost !== null &&
      (rules.offGreenCost > 0 ? `Off the green costs ${costs(rules.offGreenCost)}.` : 'Balls off the green are noted.'),
    rules.endOnPerfectRound && 'A perfect first round ends the game.',
    rules.allowances && 'Head starts may be given.',
  ];
  return said.filter((line) => typeof line === 'string');
}

/** "1 min 30 s", "10 min". */
export function sayTime(seconds: number): string {
  const [minutes, rest] = [Math.floor(seconds / 60), seconds % 60];
  return [minutes > 0 && `${minutes} min`, rest > 0 && `${rest} s`].filter(Boolean).join(' ');
}

function listOf(words: readonly string[]): string {
  return words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${say(words.at(-1)!)}`;
}
