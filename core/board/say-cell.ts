import { isPutt, pluralOf, saysSurface } from '../golf/shot-types';
import { sayBand } from '../golf/bands';
import { say } from '../golf/words';
import type { Cell } from '../skill/cells';

/** "6–10 ft putts", "20–30 yd pitches from light rough": a cell as a coach would name it in a sentence. */
export function sayCell({ shotType, surface, band }: Pick<Cell, 'shotType' | 'surface' | 'band'>): string {
  return `${sayBand(band)} ${isPutt(shotType) ? pluralOf(shotType) : sayShots({ shotType, surface })}`;
}

/** A shot as the head of a row or a column, beside which its surface stands: a putt from off the green is the putter. */
export function sayShot(shotType: Cell['shotType']): string {
  return shotType === 'fringe_putt' ? 'putter' : say(shotType);
}

/** "chips from the fringe", "bunker shots": shots of a kind from a surface. */
export function sayShots({ shotType, surface }: Pick<Cell, 'shotType' | 'surface'>): string {
  const shots = pluralOf(shotType);
  if (saysSurface(shotType)) return shots;
  return `${shots} from ${surface === 'fringe' || surface === 'fairway' ? `the ${say(surface)}` : say(surface)}`;
}
