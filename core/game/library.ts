import { unitOf } from '../golf/shot-types';
import type * as z from 'zod';
import { toMetres } from '../units/length';
import { GAME_VERSION, gameSpecSchema, type GameSpec } from './spec';
import type { Station } from './station';

/** For whom a ready game is meant. */
export type Audience = 'first-timers' | 'improvers' | 'strong players' | 'everybody';
export type LibraryGame = { key: string; audience: Audience; spec: GameSpec };

type Draft = Partial<Omit<z.input<typeof gameSpecSchema>, 'title' | 'about' | 'stations'>>;
type Line = [distance: number, shotType: Station['shotType'], surface: Station['surface'], balls?: number, more?: Partial<Station>];

/** Distances in yards, those of putts in feet. */
function stationsOf(lines: readonly Line[]) {
  return lines.map(([distance, shotType, surface, balls = 1, more = {}], i) => {
    const distanceUnit = unitOf(shotType, 'imperial');
    return { key: `s${i + 1}`, shotType, surface, distanceM: toMetres(distance, distanceUnit), distanceUnit, balls, ...more };
  });
}

const ft = (feet: number) => toMetres(feet, 'ft');
const yd = (yards: number) => toMetres(yards, 'yd');
/** Rings as [feet, points]. */
const rings = (...list: [number, number][]) => list.map(([feet, points], i) => ({ key: `r${i + 1}`, radiusM: ft(feet), points }));

function ready(key: string, audience: Audience, title: string, about: string, lines: readonly Line[], more: Draft): LibraryGame {
  const spec = gameSpecSchema.parse({
    format: 'inch-game',
    version: GAME_VERSION,
    title,
    about,
    stations: stationsOf(lines),
    sizes: { unit: 'ft' },
    goal: null,
    ...more,
  });
  return { key, audience, spec };
}

/** Players for whom a ready game is meant, by the level that stands for them. */
export const LEVEL_OF: Readonly<Record<Audience, number>> = { 'first-timers': 28, improvers: 18, 'strong players': 5, everybody: 14 };

/** Ready games of our own invention: every way of scoring, every family of shots, every form of practice. */
export const LIBRARY: readonly LibraryGame[] = [
  // The shots of core/plan/first-look.ts for a middling level; at every other level they say as much (first-look.test.ts).
  ready(
    'first-look',
    'everybody',
    'First Look',
    'Forty balls from the ten places that say most about a short game. Play it first, and again after a few weeks.',
    [
      [5, 'putt', 'green', 4],
      [8, 'putt', 'green', 4],
      [15, 'putt', 'green', 4],
      [30, 'putt', 'green', 4],
      [45, 'putt', 'green', 4],
      [6, 'chip', 'fairway', 4],
      [6, 'chip', 'light_rough', 4],
      [15, 'chip', 'light_rough', 4],
      [15, 'pitch', 'fairway', 4],
      [40, 'pitch', 'light_rough', 4],
    ],
    { scoring: { scheme: 'ring_points', holedPoints: 5, rings: rings([3, 4], [6, 3], [12, 2], [24, 1]) } },
  ),
  ready(
    'porch-light',
    'first-timers',
    'Porch Light',
    'First putts: six from close by, each as near as a pace. For those who hold a putter for the first time.',
    [
      [3, 'putt', 'green', 2],
      [5, 'putt', 'green', 2],
      [8, 'putt', 'green', 2],
    ],
    { scoring: { scheme: 'hits', radiusM: yd(1) }, sizes: { unit: 'pace', of: 'player' }, goal: 6 },
  ),
  ready(
    'doorstep',
    'first-timers',
    'Doorstep',
    'The short chip from just off the green, wide rings, something for every ball. For beginners and juniors.',
    [
      [6, 'chip', 'fringe', 4],
      [9, 'chip', 'fairway', 4],
    ],
    { scoring: { scheme: 'ring_points', holedPoints: 6, rings: rings([3, 3], [6, 2], [12, 1]) }, goal: 10 },
  ),
  ready(
    'three-hoops',
    'improvers',
    'Three Hoops',
    'Chips from three lies, out and back, so that no two balls running are the same. For steady improvers.',
    [
      [8, 'chip', 'fringe', 4, { trajectory: 'low' }],
      [13, 'chip', 'fairway', 4],
      [17, 'chip', 'light_rough', 4],
    ],
    { order: 'serial', scoring: { scheme: 'ring_points', holedPoints: 6, rings: rings([3, 4], [6, 2], [10, 1]) }, goal: 13 },
  ),
  ready(
    'roll-call',
    'improvers',
    'Roll Call',
    'Bump and run and the putter from the fringe: the low way, before any wedge. For everybody with time for ten balls.',
    [
      [9, 'fringe_putt', 'fringe', 3],
      [14, 'bump_and_run', 'fringe', 3],
      [20, 'bump_and_run', 'fairway', 4],
    ],
    { order: 'random', scoring: { scheme: 'hits', radiusM: 2 * 0.889 }, sizes: { unit: 'club', of: 'fixed' }, goal: 4 },
  ),
  ready(
    'reckoning',
    'strong players',
    'The Reckoning',
    'Nine different shots, every foot counts, nothing is forgiven. The same nine every month.',
    [
      [7, 'chip', 'fringe'],
      [12, 'chip', 'fairway'],
      [16, 'chip', 'light_rough', 1, { sit: 'down' }],
      [22, 'bump_and_run', 'fairway'],
      [18, 'pitch', 'light_rough', 1, { stance: 'downhill' }],
      [28, 'pitch', 'fairway'],
      [14, 'bunker', 'sand'],
      [24, 'lob', 'light_rough', 1, { trajectory: 'high' }],
      [40, 'pitch', 'fairway'],
    ],
    { order: 'random', scoring: { scheme: 'total_left', farM: ft(30) }, goal: ft(110) },
  ),
  ready(
    'stepping-stones',
    'improvers',
    'Stepping Stones',
    'Only the first bounce counts: land it on the spot, let it roll where it will. For those who look at the flag too early.',
    [
      [12, 'chip', 'fairway', 4, { carryM: yd(4) }],
      [20, 'pitch', 'fairway', 4, { carryM: yd(11) }],
      [28, 'pitch', 'light_rough', 4, { carryM: yd(18) }],
    ],
    { order: 'serial', scoring: { scheme: 'landing_zone', shape: 'circle', sizeM: ft(6), finishM: null }, goal: 5 },
  ),
  ready(
    'stone-and-hearth',
    'strong players',
    'Stone and Hearth',
    'Land in a strip and finish by the hole: the right flight and the right pace at once. For strong players.',
    [
      [15, 'chip', 'fairway', 4, { carryM: yd(6), trajectory: 'low' }],
      [24, 'pitch', 'fairway', 4, { carryM: yd(15), trajectory: 'medium' }],
      [30, 'pitch', 'light_rough', 4, { carryM: yd(24), trajectory: 'high' }],
    ],
    { order: 'random', scoring: { scheme: 'landing_zone', shape: 'strip', sizeM: ft(4), finishM: ft(8) }, goal: 3 },
  ),
  ready(
    'odd-numbers',
    'everybody',
    'Odd Numbers',
    'One ball to each odd yardage, never two alike: land it on the number. Note club, swing mark and how far off it landed, and your chart of swing lengths grows.',
    [
      [27, 'pitch', 'fairway', 1, { carryM: yd(27), target: 'peg' }],
      [41, 'pitch', 'fairway', 1, { carryM: yd(41), target: 'peg' }],
      [33, 'pitch', 'fairway', 1, { carryM: yd(33), target: 'peg' }],
      [58, 'pitch', 'fairway', 1, { carryM: yd(58), target: 'peg' }],
      [22, 'pitch', 'fairway', 1, { carryM: yd(22), target: 'peg' }],
      [47, 'pitch', 'fairway', 1, { carryM: yd(47), target: 'peg' }],
      [66, 'pitch', 'fairway', 1, { carryM: yd(66), target: 'peg' }],
      [37, 'pitch', 'fairway', 1, { carryM: yd(37), target: 'peg' }],
      [52, 'pitch', 'fairway', 1, { carryM: yd(52), target: 'peg' }],
      [74, 'pitch', 'fairway', 1, { carryM: yd(74), target: 'peg' }],
    ],
    { order: 'random', scoring: { scheme: 'landing_zone', shape: 'strip', sizeM: yd(3), finishM: null }, goal: 4 },
  ),
  ready(
    'seven-doors',
    'everybody',
    'Seven Doors',
    'One ball round seven places, each into the hole, as on the course. Par is two every time.',
    [
      [6, 'chip', 'fringe', 1, { par: 2 }],
      [11, 'chip', 'fairway', 1, { par: 2 }],
      [15, 'chip', 'light_rough', 1, { par: 2 }],
      [20, 'pitch', 'fairway', 1, { par: 2 }],
      [10, 'bunker', 'sand', 1, { par: 2 }],
      [26, 'pitch', 'light_rough', 1, { par: 2 }],
      [18, 'bump_and_run', 'fairway', 1, { par: 2 }],
    ],
    { scoring: { scheme: 'hole_out', pickUpAfter: 6, extraFromLevel: 18 }, goal: 19 },
  ),
  ready(
    'long-evening',
    'everybody',
    'Long Evening',
    'Eighteen balls holed out from everywhere, in no order. A whole round of short game, with a par by level.',
    [
      [6, 'chip', 'fringe', 3, { par: 2 }],
      [14, 'chip', 'light_rough', 3, { par: 2 }],
      [20, 'bump_and_run', 'fairway', 3, { par: 2 }],
      [24, 'pitch', 'fairway', 3, { par: 3 }],
      [12, 'bunker', 'sand', 3, { par: 3 }],
      [30, 'putt', 'green', 3, { par: 2 }],
    ],
    { order: 'random', rules: { ball: 'drop', offGreenCost: 1 }, scoring: { scheme: 'hole_out', pickUpAfter: 6, extraFromLevel: 18 } },
  ),
  ready(
    'rope-ladder',
    'strong players',
    'Rope Ladder',
    'Putts from 3 to 9 ft: hole one and step back, miss and step forward. For nerves over short putts.',
    [3, 4, 5, 6, 7, 8, 9].map((feet): Line => [feet, 'putt', 'green']),
    { scoring: { scheme: 'ladder', radiusM: 0, drop: 1, bottom: 'floor', counts: 'balls', mostBalls: 40, byTurns: false }, goal: 26 },
  ),
  ready(
    'cliff-walk',
    'strong players',
    'Cliff Walk',
    'Chips from nearer to farther; a miss on the first step is the end. How high can you get? For strong players.',
    [6, 9, 12, 16, 20, 25].map((yards): Line => [yards, 'chip', 'light_rough']),
    { scoring: { scheme: 'ladder', radiusM: ft(5), drop: 2, bottom: 'end', counts: 'rungs', mostBalls: 24, byTurns: false }, goal: 1 },
  ),
  ready(
    'two-stairs',
    'everybody',
    'Two Stairs',
    'A ladder for two by turns: who passes the last step first. Unequal players may be given a head start.',
    [8, 12, 16, 20, 26].map((yards): Line => [yards, yards < 18 ? 'chip' : 'pitch', 'fairway']),
    { scoring: { scheme: 'ladder', radiusM: ft(8), drop: 1, bottom: 'floor', counts: 'rungs', mostBalls: 20, byTurns: true } },
  ),
  ready(
    'nearest-the-lamp',
    'everybody',
    'Nearest the Lamp',
    'Two or more, the same shot in turn, the nearest takes the point, first to five. For pairs and squads.',
    [
      [10, 'chip', 'fringe', 3],
      [16, 'chip', 'light_rough', 3],
      [24, 'pitch', 'fairway', 3],
      [12, 'bunker', 'sand', 3],
    ],
    {
      order: 'random',
      rules: { allowances: true },
      scoring: { scheme: 'nearest_wins', firstTo: 5, ties: 'nobody', callPoints: null, farM: ft(30) },
    },
  ),
  ready(
    'say-it-first',
    'strong players',
    'Say It First',
    'Call the landing spot and the flight, then play it. A kept call earns a point by itself, the nearest another.',
    [
      [14, 'chip', 'fairway', 4],
      [22, 'pitch', 'light_rough', 4],
      [30, 'pitch', 'fairway', 4],
    ],
    { order: 'serial', scoring: { scheme: 'nearest_wins', firstTo: null, ties: 'each', callPoints: 1, farM: ft(30) } },
  ),
  ready(
    'weathervane',
    'strong players',
    'Weathervane',
    'Low, medium and high, each straight, drawn and faded, once. Not where it stops, but whether it did what you said.',
    [[30, 'pitch', 'fairway']],
    {
      order: 'random',
      scoring: { scheme: 'shot_matrix', trajectory: ['low', 'medium', 'high'], shape: ['straight', 'draw', 'fade'], swingWidth: [] },
      goal: 7,
    },
  ),
  ready(
    'short-long-swing',
    'improvers',
    'Short Arms, Long Arms',
    'Three widths of swing by two flights from one spot: learning what each one does before choosing between them.',
    [[20, 'pitch', 'fairway']],
    {
      scoring: { scheme: 'shot_matrix', trajectory: ['low', 'high'], shape: [], swingWidth: ['compact', 'standard', 'extended'] },
      goal: 4,
    },
  ),
  ready(
    'bag-check',
    'improvers',
    'Bag Check',
    'Two chips with each of five clubs from one lie. The evening ends with a ranking of the clubs, not with an opinion.',
    [[15, 'chip', 'fairway', 2]],
    { scoring: { scheme: 'club_trial', clubs: ['7 iron', '9 iron', 'PW', '54°', '58°'], farM: ft(30) } },
  ),
  ready(
    'no-neighbours',
    'strong players',
    'No Neighbours',
    'One ball with each of seven clubs, never one next to the last: a new feel every time, from the rough.',
    [[18, 'chip', 'light_rough', 1]],
    {
      rules: { clubsApart: true },
      scoring: { scheme: 'club_trial', clubs: ['6 iron', '7 iron', '8 iron', 'PW', '50°', '54°', '58°'], farM: ft(30) },
    },
  ),
  ready(
    'unbroken',
    'everybody',
    'Unbroken',
    'Five putts of 4 ft in a row, from round the hole. Miss, and the count starts again.',
    [
      [4, 'putt', 'green', 6],
      [4, 'putt', 'green', 6],
      [4, 'putt', 'green', 6],
      [4, 'putt', 'green', 6],
    ],
    { order: 'serial', scoring: { scheme: 'streak', radiusM: 0, until: 5, counts: 'balls' }, goal: 9 },
  ),
  ready(
    'past-the-cup',
    'improvers',
    'Past the Cup',
    'Long putts that must reach: only past the hole and within a flagstick counts. For those who leave it short.',
    [
      [20, 'putt', 'green', 4],
      [30, 'putt', 'green', 4],
      [40, 'putt', 'green', 4],
    ],
    {
      order: 'random',
      sizes: { unit: 'flagstick', of: 'fixed' },
      rules: { goodSide: 'long' },
      scoring: { scheme: 'hits', radiusM: ft(7) },
      goal: 7,
    },
  ),
  ready(
    'sand-glass',
    'improvers',
    'Sand Glass',
    'Half an hour in the bunker, three lengths, the zones as large as your level. Off the green costs a point.',
    [
      [8, 'bunker', 'sand', 12],
      [13, 'bunker', 'sand', 12],
      [20, 'bunker', 'sand', 12],
    ],
    {
      order: 'serial',
      sizes: { unit: 'ft', scaled: true },
      rules: { offGreenCost: 1 },
      scoring: { scheme: 'ring_points', holedPoints: 6, rings: rings([4, 4], [8, 2], [14, 1]) },
      goal: 25,
    },
  ),
  ready(
    'groove-and-truth',
    'improvers',
    'Groove, Then Truth',
    'Five balls at each place to find the shot; then one ball from each that is putted out and counts.',
    [
      [9, 'chip', 'fringe', 1, { par: 2 }],
      [15, 'chip', 'light_rough', 1, { par: 2 }],
      [22, 'pitch', 'fairway', 1, { par: 3 }],
    ],
    {
      leadIn: [{ title: 'Find the shot', balls: 5, order: 'blocked', scoring: { scheme: 'hits', radiusM: ft(6) } }],
      scoring: { scheme: 'hole_out', pickUpAfter: 6, extraFromLevel: null },
      goal: 8,
    },
  ),
  ready(
    'until-it-works',
    'first-timers',
    'Until It Works',
    'One ball from six places; what fails is hit again until it works, and only the first try scores.',
    [
      [6, 'chip', 'fringe'],
      [10, 'chip', 'fairway'],
      [14, 'chip', 'fairway'],
      [9, 'chip', 'light_rough'],
      [16, 'pitch', 'fairway'],
      [8, 'bunker', 'sand'],
    ],
    { rules: { attempts: 'until_works' }, scoring: { scheme: 'hits', radiusM: ft(9) }, goal: 2 },
  ),
  ready(
    'clean-sheet',
    'improvers',
    'Clean Sheet',
    'Four easy stations, out and back, three times. Miss none the first time and you’re done.',
    [
      [5, 'chip', 'fringe', 3],
      [8, 'chip', 'fringe', 3],
      [10, 'fringe_putt', 'fringe', 3],
      [6, 'putt', 'green', 3],
    ],
    { order: 'serial', rules: { endOnPerfectRound: true }, scoring: { scheme: 'hits', radiusM: ft(4) }, goal: 7 },
  ),
  ready('wander', 'everybody', 'Wander', 'No plan: walk, drop, call the shot, play it. What came of it can be kept as a game.', [], {
    open: true,
    scoring: { scheme: 'ring_points', holedPoints: 6, rings: rings([3, 4], [6, 2], [10, 1]) },
  }),
];
