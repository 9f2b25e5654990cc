import { bearing, distance, turn, type Point } from '../geometry/point';
import type { Hand, ShotType } from '../golf/words';

/** How far a kind of shot can stray, in degrees and metres. All are estimates that nobody measured. */
type Stray = { redDeg: number; amberDeg: number; leastM: number; times: number; swingM: number };
const STRAY: Readonly<Record<'putt' | 'chip' | 'pitch' | 'bunker', Stray>> = {
  putt: { redDeg: 8, amberDeg: 15, leastM: 3, times: 1.3, swingM: 1.5 },
  chip: { redDeg: 15, amberDeg: 30, leastM: 30, times: 4, swingM: 3 },
  pitch: { redDeg: 15, amberDeg: 30, leastM: 60, times: 4, swingM: 4 },
  bunker: { redDeg: 20, amberDeg: 35, leastM: 60, times: 4, swingM: 4 },
};
/** Red reaches over this part of the reach, amber over all of it. */
const RED_PART = 0.625;
const SHANK_DEG = 75;
const SHANK_LEAST_M = 15;

const KIND: Readonly<Record<ShotType, keyof typeof STRAY>> = {
  putt: 'putt',
  fringe_putt: 'putt',
  bump_and_run: 'chip',
  chip: 'chip',
  pitch: 'pitch',
  lob: 'pitch',
  bunker: 'bunker',
};

export type Hands = Hand | 'mixed';

/** People at one place, and the line along which they play; none for people who wait. */
export type Party = {
  key: string;
  /** "Group 1", "Station 3". */
  name: string;
  at: Point;
  radiusM: number;
  hands: Hands;
  plays: { to: Point; holeKey: string; holeName: string; shotType: ShotType } | null;
  /** Whether they are known to walk to their hole and collect. */
  collects: boolean;
  /** One person, not a group: two of them at one spot are one and the same. */
  alone: boolean;
};

/** The fans of a line of play: where balls of this kind of shot may go. */
export type Fans = {
  redDeg: number;
  amberDeg: number;
  redM: number;
  reachM: number;
  shankM: number;
  shank: ('left' | 'right')[];
  swingM: number;
};

/** How far and how wide balls of a party may fly. */
export function fansOf(party: Party): Fans | null {
  if (!party.plays) return null;
  const kind = KIND[party.plays.shotType];
  const stray = STRAY[kind];
  const d = distance(party.at, party.plays.to);
  const reachM = Math.max(stray.leastM, stray.times * d);
  // A right-hander's shank goes to the right.
  const shank: Fans['shank'] =
    kind === 'putt' ? [] : party.hands === 'mixed' ? ['left', 'right'] : [party.hands === 'right' ? 'right' : 'left'];
  const { redDeg, amberDeg, swingM } = stray;
  return { redDeg, amberDeg, redM: reachM * RED_PART, reachM, shankM: Math.max(SHANK_LEAST_M, d), shank, swingM };
}

/** Where somebody may be hit: at their place, or while collecting at the hole. */
export type Conflict = {
  level: 'red' | 'amber';
  /** Whose ball, and who may be hit. */
  from: Party;
  to: Party;
  why: 'swing' | 'line' | 'shank';
  /** Whether it is at their place or while they collect at their hole. */
  where: 'standing' | 'collecting';
  distanceM: number;
};

/** How a line of play bears on people at a place; null where it does not. */
function bears(from: Party, fans: Fans, lineDeg: number, at: Point, radiusM: number): Pick<Conflict, 'level' | 'why' | 'distanceM'> | null {
  const distanceM = distance(from.at, at);
  if (distanceM <= fans.swingM + from.radiusM + radiusM) return { level: 'red', why: 'swing', distanceM };
  const offDeg = turn(lineDeg, bearing(from.at, at));
  const widerDeg = (Math.asin(Math.min(1, radiusM / distanceM)) * 180) / Math.PI;
  const off = Math.abs(offDeg) - widerDeg;
  const near = distanceM - radiusM;
  if (off <= fans.redDeg && near <= fans.reachM) return { level: near <= fans.redM ? 'red' : 'amber', why: 'line', distanceM };
  if (off <= fans.amberDeg && near <= fans.reachM) return { level: 'amber', why: 'line', distanceM };
  const sides = fans.shank.some((side) => (side === 'right' ? offDeg > -widerDeg : offDeg < widerDeg));
  if (sides && off <= SHANK_DEG && near <= fans.shankM) return { level: 'amber', why: 'shank', distanceM };
  return null;
}

/** Whether two are somebody alone at one spot, who plays from there to several holes. */
function oneAndTheSame(a: Party, b: Party): boolean {
  return a.alone && b.alone && distance(a.at, b.at) <= a.radiusM + b.radiusM;
}

/**
 * Possible conflicts between people who use a green at once, in both directions, the worst first: red before amber,
 * a swing before a line before a shank, the nearer before the farther. None found proves nothing.
 * @param of only those in which the party of this key has a part
 */
export function conflictsOf(parties: readonly Party[], of?: string): Conflict[] {
  const found: Conflict[] = [];
  for (const from of parties) {
    const fans = fansOf(from);
    if (!fans) continue;
    const lineDeg = bearing(from.at, from.plays!.to);
    for (const to of parties) {
      if (to === from || oneAndTheSame(from, to) || (of !== undefined && from.key !== of && to.key !== of)) continue;
      const standing = bears(from, fans, lineDeg, to.at, to.radiusM);
      if (standing) found.push({ ...standing, from, to, where: 'standing' });
      if (!to.plays || !to.collects) continue;
      const collecting = bears(from, fans, lineDeg, to.plays.to, to.radiusM);
      if (collecting) found.push({ ...collecting, from, to, where: 'collecting' });
    }
  }
  const rank = ({ level, why, distanceM }: Conflict) =>
    (level === 'red' ? 0 : 1e6) + ['swing', 'line', 'shank'].indexOf(why) * 1e4 + distanceM;
  return found.sort((a, b) => rank(a) - rank(b));
}
