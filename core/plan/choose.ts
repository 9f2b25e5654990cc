import { losesMore } from '../board/settle';
import { isPutt } from '../golf/shot-types';
import type { Finding } from '../skill/diagnose';
import type { Lost } from '../skill/judge';
import { narrowMost, OpenStrokes, type Batch } from './open';

/** How the shots of a game are chosen. */
export const CHOICES = ['find_out', 'take_strokes_off', 'costliest', 'close_call', 'common', 'easy'] as const;
export type Choice = (typeof CHOICES)[number];

/** What is known of a player, by a round. */
export type KnownPlayer = {
  findings: readonly Pick<Finding, 'ranked' | 'uses' | 'perBall' | 'perRound' | 'shotType' | 'expectedStrokes'>[];
  lost: Lost;
};

export type Wish = {
  by: Choice;
  /** How many places, and how many balls from each. */
  places: number;
  balls: number;
  /** Which cells can be laid out, as indices; every ranked one where nothing is said. */
  allowed?: readonly number[];
  /** Whether one more goes with those that are chosen already; without it, any does. */
  goes?: (cell: number, chosen: readonly number[]) => boolean;
};

/** Of the places of a game that takes strokes off, so many find out more. */
const TO_FIND_OUT = 1 / 3;

/** No more of the places are putts, where there is anything else to hit: a putt says much about a round, but a game of putts is no short game. */
const [PUTTS, PUTTS_TO_FIND_OUT] = [1 / 2, 2 / 3];

/** Where all is settled, what is least known still comes first. */
const LEAST_WEIGHT = 1e-3;

/**
 * The shots of a game, at most as many as there are places; at most half of them putts (to find out, two thirds) where there is anything else to hit.
 * - `find_out`: batch by batch the one that narrows most what is open of the shots that could be among the three weakest, each weighted by p(1 − p).
 * - `take_strokes_off`: those that lose most in a round, and a third to find out.
 * - `costliest`: those that lose most alone; where none loses, what comes up most.
 * - `close_call`: the two of the costliest that are hardest to tell apart.
 * - `common`: what comes up most in a round. `easy`: of that, what is holed out in the fewest strokes.
 */
export function chooseShots(known: KnownPlayer, wish: Wish): Batch[] {
  const { findings } = known;
  const allowed = (wish.allowed ?? findings.map((_, i) => i)).filter((i) => findings[i]!.ranked && findings[i]!.uses > 0);
  const others = allowed.some((i) => !isPutt(findings[i]!.shotType));
  const mostPutts = others ? Math.ceil(wish.places * (wish.by === 'find_out' ? PUTTS_TO_FIND_OUT : PUTTS)) : wish.places;
  const goes = (cell: number, chosen: readonly number[]) =>
    (!isPutt(findings[cell]!.shotType) || chosen.filter((i) => isPutt(findings[i]!.shotType)).length < mostPutts) &&
    (wish.goes?.(cell, chosen) ?? true);
  const cells = WAYS[wish.by](known, { ...wish, allowed, goes });
  return cells.map((cell) => ({ cell, balls: wish.balls }));
}

type Way = (known: KnownPlayer, wish: Required<Wish>) => number[];
const WAYS: Readonly<Record<Choice, Way>> = {
  find_out: findOut,
  take_strokes_off: takeStrokesOff,
  costliest,
  close_call: closeCall,
  common,
  easy,
};

function findOut(known: KnownPlayer, wish: Required<Wish>, first: readonly number[] = []): number[] {
  const { findings, lost } = known;
  const { places, balls, allowed, goes } = wish;
  const open = new OpenStrokes({ lost, uses: findings.map(({ uses }) => uses), perBall: findings.map(({ perBall }) => perBall) });
  const weights = findings.map(({ perRound: { weakest3 } }) => weakest3 * (1 - weakest3) + LEAST_WEIGHT);
  for (const cell of first) open.hit({ cell, balls });
  return [...first, ...narrowMost(open, { batches: places - first.length, balls, allowed, weights, first, goes }).map(({ cell }) => cell)];
}

function takeStrokesOff(known: KnownPlayer, wish: Required<Wish>): number[] {
  return findOut(known, wish, mostLost(known, { ...wish, places: Math.round(wish.places * (1 - TO_FIND_OUT)) }));
}

function costliest(known: KnownPlayer, wish: Required<Wish>): number[] {
  const found = mostLost(known, wish);
  return found.length > 0 ? found : common(known, wish);
}

/** The cells that cost most in a round and are likelier to lose than to gain, the costliest first. */
function mostLost({ findings }: KnownPlayer, { allowed, places, goes }: Required<Wish>): number[] {
  const losing = allowed.filter((i) => findings[i]!.perRound.mean > 0);
  return taken(
    losing.toSorted((a, b) => findings[b]!.perRound.mean - findings[a]!.perRound.mean),
    places,
    goes,
  );
}

/** So many of the costliest are looked at for two that are close. */
const LOOKED_AT = 5;

function closeCall(known: KnownPlayer, wish: Required<Wish>): number[] {
  const { findings, lost } = known;
  const uses = findings.map((finding) => finding.uses);
  const first = costliest(known, { ...wish, places: LOOKED_AT });
  const pairs = first.flatMap((a, i) => first.slice(i + 1).map((b) => [a, b] as const)).filter(([a, b]) => wish.goes(b, [a]));
  const off = ([a, b]: readonly [number, number]) => Math.abs(losesMore({ lost }, uses, a, b) - 0.5);
  const [closest] = pairs.toSorted((one, other) => off(one) - off(other));
  return closest ? [...closest] : first.slice(0, 1);
}

function common({ findings }: KnownPlayer, { allowed, places, goes }: Required<Wish>): number[] {
  return taken(
    allowed.toSorted((a, b) => findings[b]!.uses - findings[a]!.uses),
    places,
    goes,
  );
}

/** So many times as many as there are places are what comes up most. */
const OF_THE_COMMON = 3;

/** Putts are easier by their strokes; what is easy of the others, half of the places are. */
function easy(known: KnownPlayer, wish: Required<Wish>): number[] {
  const { findings } = known;
  const usual = common(known, { ...wish, places: OF_THE_COMMON * wish.places, goes: () => true });
  return taken(
    usual.toSorted((a, b) => findings[a]!.expectedStrokes - findings[b]!.expectedStrokes),
    wish.places,
    wish.goes,
  );
}

/** The first so many that go together. */
function taken(cells: readonly number[], most: number, goes: Required<Wish>['goes']): number[] {
  const chosen: number[] = [];
  for (const cell of cells) if (chosen.length < most && goes(cell, chosen)) chosen.push(cell);
  return chosen;
}
