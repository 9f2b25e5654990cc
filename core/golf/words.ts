import * as z from 'zod';

/**
 * The vocabulary of the short game. Each list is the order in which a screen offers the words; the schema beside it
 * is what forms, actions, imports and the command line accept.
 */
export const SHOT_TYPES = ['putt', 'fringe_putt', 'bump_and_run', 'chip', 'pitch', 'lob', 'bunker'] as const;
export const SURFACES = ['green', 'fringe', 'fairway', 'light_rough', 'heavy_rough', 'bare', 'sand'] as const;
export const SITS = ['clean', 'up', 'down', 'buried'] as const;
export const STANCES = ['flat', 'uphill', 'downhill', 'ball_above', 'ball_below'] as const;
export const TRAJECTORIES = ['low', 'medium', 'high'] as const;
export const SHAPES = ['straight', 'draw', 'fade'] as const;
export const SWING_WIDTHS = ['compact', 'standard', 'extended'] as const;
/** Two ways to play one shot: at the hole, or where a miss costs less. It is kept as what was called. */
export const ROUTES = ['bold', 'careful'] as const;
export type Route = (typeof ROUTES)[number];
/** On which side of the landing spot or zone a ball came down, where nobody measured by how much. */
export const LANDED_SIDES = ['short', 'long'] as const;
export const MISHITS = ['fat', 'thin', 'shank'] as const;
export const FINISHES = ['green', 'fringe', 'rough', 'sand', 'out'] as const;
const FINISH_WORDS = {
  green: 'on the green',
  fringe: 'on the fringe',
  rough: 'in the rough',
  sand: 'in the sand',
  out: 'out of play',
} as const;
/** Where a ball finished: "on the green", "in the rough". */
export const sayFinish = (finish: (typeof FINISHES)[number]): string => FINISH_WORDS[finish];
/** How a result was taken. `ring`: only "inside this ring" is known. */
export const MEASURES = ['tape', 'laser', 'pace', 'eye', 'ring'] as const;
/** Only `ordinary` is evidence about a skill; every other value is kept, marked, and scores as the game says. */
export const COUNTS = ['ordinary', 'rehit', 'conceded', 'collided', 'lie_rejected', 'no_ball', 'practice_ball', 'demonstration'] as const;
export const FIRMNESSES = ['soft', 'medium', 'firm'] as const;
export const HANDS = ['right', 'left'] as const;

export const shotTypeSchema = z.enum(SHOT_TYPES);
export const surfaceSchema = z.enum(SURFACES);

export type ShotType = (typeof SHOT_TYPES)[number];
export type Surface = (typeof SURFACES)[number];
export type Hand = (typeof HANDS)[number];
export type Sit = (typeof SITS)[number];
export type Stance = (typeof STANCES)[number];

export type Measure = (typeof MEASURES)[number];

const SPOKEN: Readonly<Record<string, string>> = {
  fringe_putt: 'putt from the fringe',
  bump_and_run: 'bump and run',
  bunker: 'bunker shot',
  ball_above: 'ball above the feet',
  ball_below: 'ball below the feet',
  up: 'sitting up',
  down: 'sitting down',
  bare: 'bare ground',
};

/** A word of the vocabulary as a coach says it: `light_rough` is "light rough", `down` is "sitting down". */
export function say(word: string): string {
  return SPOKEN[word] ?? word.replaceAll('_', ' ');
}

/** The lie in a few words, leaving out what is ordinary: "light rough, sitting down, uphill"; a flat clean one is just its surface. */
export function sayLie(lie: { surface: Surface; sit: Sit; stance: Stance }): string {
  return [say(lie.surface), lie.sit === 'clean' ? '' : say(lie.sit), lie.stance === 'flat' ? '' : say(lie.stance)]
    .filter(Boolean)
    .join(', ');
}
