import { addedUp, climbOf, landingIn, longestRun, nearestOfEach, ringsOf } from '../game/scoring/made';
import { oneCircle, strokesToHole } from '../game/scoring/simple';
import type { Scoring } from '../game/scoring';
import type { GameSpec } from '../game/spec';
import { flies, isPutt } from '../golf/shot-types';
import type { UnitSystem } from '../units/length';
import type { Choice } from './choose';
import type { Place } from './places';

/** What a game is for. */
export const PURPOSES = ['take_strokes_off', 'find_out', 'warm_up', 'compete'] as const;
export type Purpose = (typeof PURPOSES)[number];

/** A kind of game that can be made to order. */
export type Kind = {
  key: string;
  /** Its title, with what it is played from: "from 6 places", "chips from the fairway". */
  title: (from: string) => string;
  /** What it does for whoever plays it, in a sentence. */
  teaches: string;
  choose: Choice;
  /** Which places it can use; all of them where nothing is said. */
  takes?: (place: Place) => boolean;
  /** Null: as many as the minutes have room for, and where a green has several for one shot, those too. */
  mostPlaces: number | null;
  fewestPlaces: number;
  /** At each place. */
  balls: readonly [least: number, most: number];
  order: GameSpec['order'];
  /** Places from the easiest to the hardest, instead of a short walk. */
  climbs?: boolean;
  scoring: (units: UnitSystem, places: readonly Place[]) => Scoring;
  /** The share of balls that its widest zone should catch; null where the hole is the zone. */
  catches: number | null;
  /** Whether its score can be a goal. */
  goal: boolean;
};

const isPutted = ({ station }: Place) => isPutt(station.shotType);
const isOffGreen = (place: Place) => !isPutted(place);

/** "points from 6 places", "points, chips from the fairway". */
const titled = (name: string) => (from: string) => `${name}${from.startsWith('from ') ? '' : ','} ${from}`;

const points: Kind = {
  key: 'points',
  title: titled('points'),
  teaches: 'Different shots, none twice running: it lasts on the course.',
  choose: 'take_strokes_off',
  mostPlaces: null,
  fewestPlaces: 2,
  balls: [1, 8],
  order: 'random',
  scoring: (units) => ringsOf(3, units),
  catches: 0.75,
  goal: true,
};

const finish: Kind = {
  key: 'finish',
  title: titled('hole out'),
  teaches: 'One ball, putted out, as in a round. It says less about each shot.',
  choose: 'costliest',
  takes: isOffGreen,
  mostPlaces: null,
  fewestPlaces: 1,
  balls: [1, 3],
  order: 'random',
  scoring: strokesToHole,
  catches: null,
  goal: true,
};
const finishPutts: Kind = { ...finish, key: 'finish_putts', takes: isPutted, teaches: 'Two putts are par, one is better.' };

const landing: Kind = {
  key: 'landing',
  title: (from) => `land it, ${from}`,
  teaches: 'Only the landing spot counts. The finish follows.',
  choose: 'costliest',
  takes: ({ station }) => flies(station.shotType),
  mostPlaces: 2,
  fewestPlaces: 1,
  balls: [3, 10],
  order: 'blocked',
  scoring: landingIn,
  catches: 0.5,
  goal: true,
};

const run: Kind = {
  key: 'run',
  title: (from) => `holed in a row, ${from}`,
  teaches: 'The longest run counts: every ball matters more than the last.',
  choose: 'costliest',
  takes: isPutted,
  mostPlaces: 3,
  fewestPlaces: 1,
  balls: [3, 10],
  order: 'blocked',
  scoring: (units) => longestRun(units),
  catches: null,
  goal: true,
};

const quick: Kind = {
  key: 'quick',
  title: titled('four rings'),
  teaches: 'A tap a ball, and nearly as much learned as with a tape.',
  choose: 'find_out',
  mostPlaces: null,
  fewestPlaces: 1,
  balls: [1, 8],
  order: 'blocked',
  scoring: (units) => ringsOf(4, units),
  catches: 0.85,
  goal: true,
};

const taped: Kind = {
  ...quick,
  key: 'taped',
  title: titled('measured'),
  teaches: 'Measured balls say the most, but the tape takes time.',
  scoring: addedUp,
  catches: null,
};

const closeCall: Kind = {
  ...quick,
  key: 'close_call',
  title: (from) => `which is weaker, ${from}`,
  teaches: 'Compares two weak shots, to see which to practise first.',
  choose: 'close_call',
  mostPlaces: 2,
  fewestPlaces: 2,
  balls: [3, 15],
  order: 'random',
  scoring: (units) => ringsOf(3, units),
  catches: 0.75,
  goal: false,
};

const easy: Kind = {
  key: 'easy',
  title: titled('easy first'),
  teaches: 'Short, common shots and a wide ring: a feel for the greens.',
  choose: 'easy',
  takes: isOffGreen,
  mostPlaces: 4,
  fewestPlaces: 1,
  balls: [1, 4],
  order: 'blocked',
  climbs: true,
  scoring: () => oneCircle(1),
  catches: 0.75,
  goal: true,
};
const easyPutts: Kind = { ...easy, key: 'easy_putts', takes: isPutted, catches: 0.75 };

/** Balls a climb may take for each of its places. */
const TRIES = 4;

const climb: Kind = {
  key: 'climb',
  title: titled('near to far'),
  teaches: 'A good ball moves you back, a miss moves you closer.',
  choose: 'common',
  takes: isOffGreen,
  mostPlaces: 6,
  fewestPlaces: 2,
  balls: [1, 1],
  order: 'blocked',
  climbs: true,
  scoring: (units, places) => climbOf(units, places.every(isPutted), TRIES * places.length),
  catches: 0.6,
  goal: true,
};
const climbPutts: Kind = { ...climb, key: 'climb_putts', takes: isPutted, catches: null };

const nearest: Kind = {
  key: 'nearest',
  title: titled('nearest wins'),
  teaches: 'The same shot for all, and only the nearest counts.',
  choose: 'common',
  mostPlaces: null,
  fewestPlaces: 1,
  balls: [1, 4],
  order: 'random',
  scoring: nearestOfEach,
  catches: null,
  goal: false,
};

const pointsPutts: Kind = { ...points, key: 'points_putts', takes: isPutted, teaches: 'Different putts, none twice running.' };
const pointsOffGreen: Kind = { ...points, key: 'points_off_green', takes: isOffGreen };

/** The same with head starts, over what comes up most. */
const evenly = (kind: Kind, teaches: string): Kind => ({ ...kind, key: `even_${kind.key}`, choose: 'common', teaches, goal: false });
const FEWEST_WIN = 'Fewest strokes win, with a head start for the weaker player.';

/** What is proposed for each purpose: three that differ in kind, each with what stands in where its places can't be had. */
export const KINDS: Readonly<Record<Purpose, readonly (readonly Kind[])[]>> = {
  take_strokes_off: [[points], [finish, finishPutts], [landing, run]],
  find_out: [[quick], [taped], [closeCall]],
  warm_up: [[easy, easyPutts], [climb, climbPutts], [{ ...run, key: 'easy_run', choose: 'easy', climbs: true }]],
  compete: [
    [evenly(points, 'Anybody can win: the head start makes it even.')],
    [nearest],
    [evenly(finish, FEWEST_WIN), evenly(finishPutts, FEWEST_WIN)],
  ],
};

/** The test of a block of weeks: many balls of few shots, each answered by a tap. */
const test: Kind = {
  ...quick,
  key: 'test',
  title: titled('test'),
  teaches: 'The same game before and after shows what changed.',
  choose: 'costliest',
  balls: [3, 15],
  order: 'random',
};

/** What practice by need is told with: rings that fit whatever is hit. */
const need: Kind = { ...quick, key: 'need', title: () => 'by need', balls: [1, 1] };

/** The last game before an event: one ball from each place, as in a round. */
const rehearsal: Kind = { ...finish, key: 'rehearsal', choose: 'common', fewestPlaces: 2, balls: [1, 1] };

const PARTS: readonly Kind[] = [landing, pointsPutts, run, easy, pointsOffGreen, test, rehearsal, need];
/** Kinds of which parts of an hour are made. */
type PartOfHour = 'landing' | 'points_putts' | 'run' | 'easy' | 'points_off_green' | 'test' | 'rehearsal' | 'need';

/** A kind by its key. */
export const kindOf = (key: PartOfHour): Kind => PARTS.find((kind) => kind.key === key)!;
