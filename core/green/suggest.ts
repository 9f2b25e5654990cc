import { say, type ShotType, type Sit, type Surface } from '../golf/words';
import { fromMetres, type LengthUnit } from '../units/length';
import type { Line } from './line';

/** A first bounce is wanted so far beyond the edge, in metres: a yard. */
const PAST_EDGE_M = 0.9144;
/** From fringe so narrow the putter is the plain choice. */
const PUTTER_M = 2.5;
/** Rolls nearly all the way where it flies no more than this part of it. */
const RUN_SHARE = 0.3;

/** A shot type with the reason for it, in one line. */
export type Suggestion = { shotType: ShotType; reason: string };

/**
 * The shot that the place asks for, by plain rules of thumb that a coach may overrule. Chip and pitch are told apart by
 * the carry to a yard past the edge: at least half of the distance makes it a pitch.
 * @param unit the unit in which the reason gives its figures
 */
export function suggestShot(line: Line, surface: Surface, sit: Sit, unit: LengthUnit): Suggestion {
  const length = (metres: number) => `${Math.round(fromMetres(metres, unit))} ${unit}`;
  const { distanceM, edgeM, greenM, clearM, shortSided, uphill } = line;
  if (surface === 'green')
    return { shotType: 'putt', reason: edgeM > 0 ? 'On the green, though the line leaves it on the way.' : 'On the green.' };
  if (surface === 'sand') return { shotType: 'bunker', reason: `Out of sand, with ${length(greenM)} of green.` };
  const high: ShotType = surface === 'bare' || sit === 'down' || surface === 'heavy_rough' ? 'pitch' : 'lob';
  const hard = high === 'pitch' ? `; no lob from ${sit === 'down' ? 'a ball that sits down' : say(surface)}` : '';
  if (clearM !== null && shortSided)
    return { shotType: high, reason: `Sand to carry, ${length(clearM)}, and only ${length(greenM)} of green: it has to stop${hard}.` };
  if (clearM !== null) return { shotType: 'pitch', reason: `Sand on the line: carry ${length(clearM)}.` };
  if (shortSided && edgeM > PUTTER_M)
    return {
      shotType: high,
      reason: `Only ${length(greenM)} of green${uphill < -0.01 ? ', and it falls away' : ''}: it has to stop${hard}.`,
    };
  if (surface === 'fringe' && edgeM <= PUTTER_M) return { shotType: 'fringe_putt', reason: 'Short grass all the way: use the putter.' };
  const carryM = Math.min(distanceM, edgeM + PAST_EDGE_M);
  const share = carryM / distanceM;
  const parts = `carry ${length(carryM)}, run ${length(distanceM - carryM)}`;
  const short = surface === 'fringe' || surface === 'fairway' || surface === 'bare';
  if (share <= RUN_SHARE && short && sit !== 'down')
    return { shotType: 'bump_and_run', reason: `It can roll nearly all the way: ${parts}.` };
  if (share < 0.5) return { shotType: 'chip', reason: `More roll than carry: ${parts}.` };
  return { shotType: 'pitch', reason: `Carry at least as much as roll: ${parts}.` };
}
