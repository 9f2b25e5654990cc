import { say, sayFinish } from '../golf/words';
import { formatLeft, formatTotal, counted } from '../units/format';
import type { UnitSystem } from '../units/length';
import { sayBearing } from './direction';
import type { Shot } from './shot';

/** What came of a ball, in a few words: "holed", "4 ft 3, short", "3 ft to 6 ft", "outside 10 ft", "3 strokes, 4 ft left". */
export function sayResult(shot: Shot, system: UnitSystem): string {
  const words: string[] = [];
  if (shot.strokes !== null) words.push(counted(shot.strokes, 'stroke'));
  const where = sayWhere(shot, system);
  if (where) words.push(shot.strokes === null || shot.holed ? where : `${where} left`);
  if (shot.landed !== null) words.push(shot.landed ? 'landed in the zone' : 'missed the zone');
  if (shot.executed !== null) words.push(shot.executed ? 'as asked' : 'not as asked');
  // Where nothing else is said of it, where it finished says something.
  if (words.length === 0 && shot.nBalls > 1) return `${counted(shot.nBalls, 'ball')}, no result`;
  return words.join(', ') || (shot.finish === null ? 'no result' : sayFinish(shot.finish));
}

function sayWhere(shot: Shot, system: UnitSystem): string {
  if (shot.holed) return shot.strokes !== null && shot.strokes > 1 ? '' : shot.target === 'peg' ? 'struck the peg' : 'holed';
  if (shot.nBalls > 1 && shot.sumLeftM !== null) return `${shot.nBalls} balls, ${formatTotal(shot.sumLeftM, system)} in all`;
  const direction = shot.bearingDeg === null ? '' : `, ${sayBearing(shot.bearingDeg)}`;
  if (shot.leftM !== null) return formatLeft(shot.leftM, system) + direction;
  if (shot.leftMinM === null && shot.leftMaxM === null) return '';
  const [near, far] = [shot.leftMinM ?? 0, shot.leftMaxM];
  if (far === null) return near === 0 ? 'missed' : `outside ${formatLeft(near, system)}${direction}`;
  return (near === 0 ? `inside ${formatLeft(far, system)}` : `${formatLeft(near, system)} to ${formatLeft(far, system)}`) + direction;
}

const MEASURED: Readonly<Record<Shot['measured'], string>> = {
  tape: 'taped',
  laser: 'by reader',
  pace: 'paced',
  eye: 'by eye',
  ring: '',
};
/** How a distance was measured, as a coach says it; empty for a ring. */
export function sayMeasured(measured: Shot['measured']): string {
  return MEASURED[measured];
}

const COUNTS: Readonly<Record<Shot['counts'], string>> = {
  ordinary: '',
  rehit: 'hit again',
  conceded: 'conceded',
  collided: 'struck another ball',
  lie_rejected: 'lie taken back',
  no_ball: 'without a ball',
  practice_ball: 'range ball',
  demonstration: 'coach’s demonstration',
};
/** Why a ball is no ordinary evidence; empty for one that is. */
export function sayCounts(counts: Shot['counts']): string {
  return COUNTS[counts];
}

const FINISHED: Readonly<Record<NonNullable<Shot['finish']>, string>> = {
  green: 'on the green',
  fringe: 'on the fringe',
  rough: 'in rough',
  sand: 'in sand',
  out: 'out of play',
};

/** All that is marked on a ball beside its result: "thin · sand, 1 penalty · 50° · downhill". */
export function sayMarks(shot: Partial<Shot>, system: UnitSystem): string {
  const penalty = shot.penalty ? `${shot.penalty} penalty` : '';
  const error = shot.landingErrorM;
  return [
    shot.counts && sayCounts(shot.counts),
    shot.leftM != null && `left ${formatLeft(shot.leftM, system)}`,
    shot.mishit,
    [shot.finish && FINISHED[shot.finish], penalty].filter(Boolean).join(', '),
    shot.surface && say(shot.surface),
    shot.sit && shot.sit !== 'clean' && say(shot.sit),
    shot.stance && shot.stance !== 'flat' && say(shot.stance),
    shot.clubLabel,
    shot.trajectory,
    shot.shape,
    shot.swingMark && `to ${shot.swingMark}`,
    shot.intendedM != null && `played for ${formatLeft(shot.intendedM, system)}`,
    error != null && (error === 0 ? 'landed on the spot' : `landed ${formatLeft(Math.abs(error), system)} ${error > 0 ? 'long' : 'short'}`),
    error == null && shot.landedSide && `landed ${shot.landedSide}`,
    shot.called && `called “${shot.called}”`,
    shot.nearer != null && (shot.nearer ? 'nearer' : 'not nearer'),
    shot.note,
  ]
    .filter(Boolean)
    .join(' · ');
}
