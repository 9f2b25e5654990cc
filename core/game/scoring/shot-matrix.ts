import * as z from 'zod';
import { ROUTES, say, SHAPES, SWING_WIDTHS, TRAJECTORIES } from '../../golf/words';
import { capital, counted, listed } from '../../units/format';
import { snap } from '../../units/length';
import { MOST_BALLS, type Station } from '../station';
import { farKey, holedKey, wordKey } from './answer-keys';
import { cappedM, type ShotAsked } from './ball';
import { edgeSchema } from './fields';
import { NO_RULES, PLAIN, type Lot, type Scheme } from './scheme';
import { measuredZone } from './zone';

const AXES = { route: ROUTES, trajectory: TRAJECTORIES, shape: SHAPES, swingWidth: SWING_WIDTHS } as const;
type Axis = keyof typeof AXES;
export const MATRIX_AXES = Object.keys(AXES) as Axis[];
/** The values that an attribute of a shot can have. */
export const valuesOf = (axis: Axis): readonly string[] => AXES[axis];

/** An attribute of the matrix and those of its values that are in it; none where it is left out. */
const axis = <const T extends readonly [string, ...string[]]>(values: T) =>
  z
    .array(z.enum(values))
    .max(values.length)
    .refine((list) => new Set(list).size === list.length, 'The same value twice.')
    .refine((list) => list.length !== 1, 'One value is no choice: take two, or none.');

export const shotMatrixSchema = z
  .strictObject({
    scheme: z.literal('shot_matrix'),
    /** Bold against careful. */
    route: axis(ROUTES).default([]),
    trajectory: axis(TRAJECTORIES),
    shape: axis(SHAPES),
    swingWidth: axis(SWING_WIDTHS),
    /** Compared by what was left, a ball farther away than this counting as so much; null: a shot that did what was asked counts. */
    farM: edgeSchema.nullable().default(null),
  })
  .superRefine((scoring, ctx) => {
    const axes = MATRIX_AXES.filter((name) => scoring[name].length > 0).length;
    const refuse = (path: string, message: string) => ctx.addIssue({ code: 'custom', path: [path], message });
    if (scoring.farM === null && axes < 2) refuse('trajectory', 'Cross two or three of these: choose values of at least two.');
    if (scoring.farM !== null && axes < 1) refuse('trajectory', 'Choose at least two shots to compare.');
    if (scoring.farM === null && scoring.route.length > 0) refuse('route', 'Bold and careful are compared by the distance left.');
  });
export type ShotMatrix = z.infer<typeof shotMatrixSchema>;
type State = { done: number; played: number; leftM: number };

/** Every combination, the first attribute changing slowest. */
export function cellsOf(scoring: Pick<ShotMatrix, Axis>): ShotAsked[] {
  return MATRIX_AXES.reduce<ShotAsked[]>(
    (cells, name) =>
      scoring[name].length === 0 ? cells : cells.flatMap((cell) => scoring[name].map((value) => ({ ...cell, [name]: value }))),
    [{}],
  );
}

/** Every combination of attributes of the shot; the score is how many were executed, or all that was left. */
export const shotMatrix: Scheme<ShotMatrix, State> = {
  ...PLAIN,
  kind: 'shot_matrix',
  label: 'shot matrix',
  inShort: 'Every flight and shape, or low against high.',
  about: 'The same shot in every combination of flight, shape and swing width: how many worked, or what each left.',
  opens: false,
  shortens: false,
  without: ['shotOnce'],
  refuses({ scoring, stations, rules }) {
    const found = stations.flatMap((station, i) =>
      fixedBy(scoring, station).map((name) => ({ path: ['stations', i, name], message: FREE })),
    );
    if (rules.shotOnce) return [...found, { path: ['rules', 'shotOnce'], message: 'A matrix already says which shots are played.' }];
    return found;
  },
  compares: (scoring) =>
    scoring.farM === null
      ? null
      : {
          what: 'shot',
          wayOf({ called, trajectory, shape, swingWidth }) {
            const was = { route: ROUTES.find((route) => route === called), trajectory, shape, swingWidth };
            const asked = Object.fromEntries(MATRIX_AXES.flatMap((name) => (scoring[name].length > 0 ? [[name, was[name]]] : [])));
            return sayCell(asked as ShotAsked) || null;
          },
        },
  refusesLeadIn: ({ scoring }, stations) =>
    stations.some((station) => fixedBy(scoring, station).length > 0) ? [{ path: ['scoring'], message: FREE }] : [],
  allows: ({ farM }) => ({ ...NO_RULES, again: farM === null }),
  sees: ({ farM }) => (farM === null ? ['executed'] : []),
  takesDistance: ({ farM }) => farM !== null,
  unit: ({ farM }) => (farM === null ? 'cells' : 'length'),
  better: ({ farM }) => (farM === null ? 'higher' : 'lower'),
  fresh: () => ({ scheme: 'shot_matrix', route: [], trajectory: [...TRAJECTORIES], shape: [...SHAPES], swingWidth: [], farM: null }),
  zones: ({ farM }) => (farM === null ? [] : [measuredZone(farM)]),
  fitted: (scoring) => scoring,
  says(scoring) {
    const shots = cellsOf(scoring).map((cell) => sayCell(cell));
    const which = shots.length <= 4 ? listed(shots) : `${shots.length} different shots`;
    return scoring.farM === null
      ? `${capital(which)} at each station. A shot that did what was asked counts.`
      : `The same shot, ${which}: distances left are added up and compared.`;
  },
  saysGoal: (goal, { scoring, turns }, { left, each }) =>
    scoring.farM === null
      ? `${Math.ceil(goal)} of ${counted(turns, 'shot')} as asked.`
      : `${left(goal)} over ${counted(turns, 'ball')}: ${each(goal, turns)} each on average.`,
  lots: (scoring, stations) =>
    stations.flatMap((station, at) =>
      cellsOf(scoring).flatMap((asked, cell) =>
        Array.from({ length: Math.min(station.balls, MOST_BALLS) }, (_, ball): Lot => ({
          at,
          ballNo: cell * station.balls + ball + 1,
          asked,
        })),
      ),
    ),
  asks: ({ scoring: { farM } }) =>
    farM === null
      ? [wordKey('done', 'as asked', { executed: true }, 1), wordKey('not', 'not', { executed: false }, 0)]
      : [holedKey(), farKey(farM)],
  start: () => ({ done: 0, played: 0, leftM: 0 }),
  step: ({ done, played, leftM }, ball, _lot, { scoring: { farM } }) => ({
    done: done + (ball.executed === true ? 1 : 0),
    played: played + 1,
    leftM: farM === null ? 0 : snap(leftM + cappedM(ball, farM)),
  }),
  score: ({ done, leftM }, { scoring }) => (scoring.farM === null ? done : leftM),
  success: (ball, _station, { scoring }) => (scoring.farM === null ? ball.executed === true : null),
  best: ({ scoring, turns }) => (scoring.farM === null ? turns : 0),
  verdict: (ball, _station, { scoring }) => (scoring.farM !== null ? '' : ball.executed ? 'as asked' : 'not'),
  notes: ({ done, played }, { scoring }) => (scoring.farM === null ? [{ label: 'worked', value: `${done} of ${played}` }] : []),
  compile({ scoring: { farM } }) {
    let score = 0;
    return {
      reset: () => void (score = 0),
      take: (_at, ball) => {
        if (farM === null) score += ball.executed ? 1 : 0;
        else score = snap(score + (ball.holed ? 0 : Math.min(ball.leftM, farM)));
      },
      score: () => score,
    };
  },
};

const FREE = 'The matrix changes this: leave it free here.';

/** What a station fixes that the matrix would change. */
function fixedBy(scoring: ShotMatrix, station: Station): ('trajectory' | 'shape')[] {
  return (['trajectory', 'shape'] as const).filter((name) => station[name] !== null && scoring[name].length > 0);
}

/** What is asked of one ball, in words: "low draw", "bold", "high, compact swing". */
export function sayCell({ route, trajectory, shape, swingWidth }: ShotAsked): string {
  const words = [route, trajectory, shape].filter(Boolean).join(' ');
  return [words, swingWidth && `${say(swingWidth)} swing`].filter(Boolean).join(', ');
}
