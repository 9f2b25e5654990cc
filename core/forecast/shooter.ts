import type { Side } from '../game/rules';
import type { BallSource } from '../play/compile';
import type { KernelBall, Seen } from '../game/scoring/kernel';
import type { Normals } from '../math/normals';
import { normalCdf } from '../math/normal';
import { LANDED, LANDS_ANYWHERE, ownLanding } from '../skill/landing';
import { landingAt, puttingOf, SPREAD } from '../skill/parameters';
import type { Draw } from '../skill/posterior';
import type { Prior } from '../skill/prior';
import { dropsWithin, OVER_FT, TOLERANCE_FT } from '../golf/putting';
import { allInside, steepness, STOPS, stopsOf, zOf } from '../skill/shape';
import { offGreenChance } from '../skill/trouble';
import { METRES_PER } from '../units/length';
import type { Spot } from './spots';

/** By how much a day's form moves all shots, as a standard deviation of the logarithm of what is left. A judgement. */
export const FORM_SD = 0.1;
/** On which side of the hole balls from off the green stop. A judgement: more come up short than long. */
export const SHARE_ON: Readonly<Record<Side, number>> = { long: 0.44, short: 0.56, left: 0.5, right: 0.5 };
/** How far landing where it should and finishing near the hole go together, as a correlation: the more, the nearer the spot is to the hole. A judgement. */
const together = (share: number) => Math.min(0.9, 0.8 * share);
/** More strokes than that nobody takes from a green. */
const MOST_PUTTS = 12;

/** What is asked of balls beyond where they stop. */
export type Wanted = {
  seen: readonly Seen[];
  /** The side of the hole that counts. */
  side: Side | null;
  /** Whether it matters that a ball stays off the green. */
  offGreen: boolean;
  /** How far from its middle a landing zone reaches, in metres; and whether it lies right across the line of play. */
  zoneM: number;
  strip: boolean;
};

/** Distances at which a draw's putting is kept at hand, log-spaced: between them it is read linearly. */
const NODES = 24;
const FROM_FT = 0.25;
const NODE_STEP = Math.log(200 / FROM_FT) / (NODES - 1);

/** A player as the model believes them, hitting balls from the spots of a game: as one draw at a time, on one day at a time. */
export class Shooter implements BallSource {
  private readonly prior: Prior;
  private readonly spots: readonly Spot[];
  private readonly random: Normals;
  private readonly side: Side | null;
  private readonly offGreen: boolean;
  private readonly strokes: boolean;
  private readonly landed: boolean;
  private readonly executed: boolean;
  private readonly zoneM: number;
  private readonly lands: (typeof LANDED)[keyof typeof LANDED];
  private readonly isPutt: Uint8Array;
  private readonly feet: Float64Array;
  private readonly distance: Float64Array;
  /** ln of what half of the draw's balls stop inside, in metres; the same in metres today, how many are holed, and how far they land from the spot. */
  private readonly centre: Float64Array;
  private readonly today: Float64Array;
  private readonly holes: Float64Array;
  /** As many places as balls stop at, over how many are not. */
  private readonly others: Float64Array;
  private readonly landing: Float64Array;
  /** Spreads of direction and length of the draw's putts: from each spot, and at each distance kept at hand. */
  private readonly angle: Float64Array;
  private readonly length: Float64Array;
  private readonly nodeBands: readonly Float64Array[];
  private readonly nodeAngle = new Float64Array(NODES);
  private readonly nodeLength = new Float64Array(NODES);
  private steep = 2;
  private stops: Float32Array;
  private readonly anywhere: number;
  private ownLanding = 0;
  private wider = 0.5;
  private executes = 0.5;
  /** How far from where it should the last ball landed, in metres, where that is wanted. */
  landedM = 0;
  /** Where the last putt stopped that did not drop. */
  private stopFt = 0.5;
  private past = false;
  private right = false;

  constructor(spots: readonly Spot[], prior: Prior, wanted: Wanted, random: Normals) {
    this.spots = spots;
    this.prior = prior;
    this.random = random;
    this.side = wanted.side;
    this.offGreen = wanted.offGreen;
    this.strokes = wanted.seen.includes('strokes');
    this.landed = wanted.seen.includes('landed');
    this.executed = wanted.seen.includes('executed');
    this.zoneM = wanted.zoneM;
    this.lands = LANDED[wanted.strip ? 'along' : 'circle'];
    this.isPutt = Uint8Array.from(spots, (spot) => (spot.putt ? 1 : 0));
    this.feet = Float64Array.from(spots, (spot) => (spot.putt ? spot.ft : 0));
    this.distance = Float64Array.from(spots, (spot) => (spot.putt ? 0 : spot.distanceM));
    const fresh = () => new Float64Array(spots.length);
    [this.centre, this.today, this.holes, this.others, this.landing] = [fresh(), fresh(), fresh(), fresh(), fresh()];
    [this.angle, this.length] = [fresh(), fresh()];
    ({ stops: this.stops, anywhere: this.anywhere } = stopsOf(0));
    this.nodeBands = Array.from({ length: NODES }, (_, i) => prior.bandsAt(FROM_FT * Math.exp(i * NODE_STEP) * METRES_PER.ft));
  }

  /**
   * Becomes one of the players that the evidence allows.
   * @param executes how often their shots come off as asked
   */
  be({ delta, rest }: Draw, executes: number): void {
    this.steep = steepness(rest[SPREAD]!);
    this.stops = stopsOf(rest[SPREAD]!).stops;
    this.ownLanding = rest[landingAt(this.prior.bands)]!;
    this.executes = executes;
    this.spots.forEach((spot, at) => {
      if (spot.putt) {
        const own = puttingOf(this.prior, rest, spot.bands);
        this.angle[at] = own.angle;
        this.length[at] = own.distance;
      } else this.centre[at] = spot.mu + delta[spot.cell]!;
    });
    if (!this.strokes) return;
    this.nodeBands.forEach((at, i) => {
      const own = puttingOf(this.prior, rest, at);
      this.nodeAngle[i] = own.angle;
      this.nodeLength[i] = own.distance;
    });
  }

  /** A new game on a new day: its form, as an addition to the logarithm of what is left and of how far putts start off line. */
  day(form: number): void {
    for (let at = 0; at < this.today.length; at++) {
      const spot = this.spots[at]!;
      if (spot.putt) continue;
      const centre = this.centre[at]! + form;
      this.today[at] = Math.exp(centre);
      this.holes[at] = allInside(this.steep * (spot.logCap - centre), spot.luck);
      this.others[at] = STOPS / (1 - this.holes[at]!);
      if (this.landed) this.landing[at] = spot.landing * Math.exp(centre + this.lands.nearer + ownLanding(spot.landing) * this.ownLanding);
    }
    this.wider = Math.exp(form);
  }

  /** Hits a ball from a spot, and fills in what is wanted of it. */
  hit(at: number, ball: KernelBall): void {
    if (this.isPutt[at] === 1) {
      ball.holed = this.drops(this.feet[at]!, this.angle[at]!, this.length[at]!);
      ball.leftM = ball.holed ? 0 : this.stopFt * METRES_PER.ft;
      if (this.side !== null) ball.goodSide = this.stoppedOn(this.side);
    } else {
      const drawn = this.landed ? this.land(at) : this.random.share();
      const holed = this.holes[at]!;
      ball.holed = drawn < holed;
      if (ball.holed) ball.leftM = 0;
      else {
        const stop = ((drawn - holed) * this.others[at]!) | 0;
        ball.leftM = this.stops[stop]! * (stop < this.anywhere ? this.distance[at]! : this.today[at]!);
      }
      if (this.side !== null) ball.goodSide = this.random.uniform() < SHARE_ON[this.side];
      if (this.offGreen) ball.onGreen = this.random.uniform() >= offGreenChance(ball.leftM);
      if (this.landed) ball.landed = this.landedM <= this.zoneM;
    }
    if (this.strokes) ball.strokes = ball.holed ? 1 : 1 + this.putts(ball.leftM / METRES_PER.ft);
    if (this.executed) ball.executed = this.random.uniform() < this.executes;
  }

  /** Lands a ball, and says which of the finishes it goes on to: of all, in order, the share that lies nearer. */
  private land(at: number): number {
    const spot = this.spots[at]!;
    const ties = spot.putt ? 0 : together(spot.landing);
    const near = this.random.normal();
    const error = normalCdf(ties * near + Math.sqrt(1 - ties * ties) * this.random.normal());
    const came = error / (1 - LANDS_ANYWHERE);
    this.landedM = came < 1 ? this.landing[at]! * Math.exp(zOf(came) / this.lands.steepness) : Infinity;
    return normalCdf(near);
  }

  /** Rolls a putt: whether it drops. Where it stops otherwise is kept. */
  private drops(ft: number, angle: number, length: number): boolean {
    const direction = angle * this.wider * this.random.normal();
    const rolled = Math.max(0, (ft + OVER_FT) * (1 + length * this.random.normal()));
    if (Math.abs(direction) < dropsWithin(ft) && rolled >= ft && rolled < ft + TOLERANCE_FT) return true;
    const along = rolled * Math.cos(direction) - ft;
    const across = rolled * Math.sin(direction);
    this.stopFt = Math.sqrt(along * along + across * across);
    this.past = along >= 0;
    this.right = across >= 0;
    return false;
  }

  private stoppedOn(side: Side): boolean {
    if (side === 'long' || side === 'short') return this.past === (side === 'long');
    return this.right === (side === 'right');
  }

  /** Putts to hole out from so many feet. */
  private putts(from: number): number {
    let ft = from;
    for (let putts = 1; putts < MOST_PUTTS; putts++) {
      if (ft < FROM_FT) return putts;
      const place = Math.min(NODES - 1.000001, Math.log(ft / FROM_FT) / NODE_STEP);
      const low = Math.floor(place);
      const share = place - low;
      const angle = this.nodeAngle[low]! + share * (this.nodeAngle[low + 1]! - this.nodeAngle[low]!);
      const length = this.nodeLength[low]! + share * (this.nodeLength[low + 1]! - this.nodeLength[low]!);
      if (this.drops(ft, angle, length)) return putts;
      ft = this.stopFt;
    }
    return MOST_PUTTS;
  }
}
