import * as z from 'zod';
import { SHAPES, SWING_WIDTHS, TRAJECTORIES } from '../../golf/words';
import { counted } from '../../units/format';
import { wordKey } from './answer-keys';
import type { ShotAsked } from './ball';
import { NO_RULES, PLAIN, type Lot, type Refusal, type Scheme } from './scheme';

const AXES = { trajectory: TRAJECTORIES, shape: SHAPES, swingWidth: SWING_WIDTHS } as const;
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
    trajectory: axis(TRAJECTORIES),
    shape: axis(SHAPES),
    swingWidth: axis(SWING_WIDTHS),
  })
  .superRefine((scoring, ctx) => {
    if (MATRIX_AXES.filter((name) => scoring[name].length > 0).length < 2)
      ctx.addIssue({
        code: 'custom',
        path: ['trajectory'],
        message: 'A matrix crosses two or three attributes: choose values of at least two.',
      });
  });
export type ShotMatrix = z.infer<typeof shotMatrixSchema>;
type State = { done: number; played: number };

/** Every combination, the first attribute changing slowest. */
export function cellsOf(scoring: ShotMatrix): ShotAsked[] {
  return MATRIX_AXES.reduce<ShotAsked[]>(
    (cells, name) =>
      scoring[name].length === 0 ? cells : cells.flatMap((cell) => scoring[name].map((value) => ({ ...cell, [name]: value }))),
    [{}],
  );
}

/** Every combination of two or three attributes of the shot once; the score is how many were executed. */
export const shotMatrix: Scheme<ShotMatrix, State> = {
  ...PLAIN,
  kind: 'shot_matrix',
  label: 'shot matrix',
  about: 'Every combination of flight, shape or swing width once, at each station. The score is how many worked.',
  countsBalls: false,
  leadsIn: false,
  opens: false,
  shortens: false,
  without: ['shotOnce'],
  refuses({ scoring, stations, rules }) {
    const found = stations.flatMap((station, i): Refusal[] => [
      ...(station.balls === 1 ? [] : [{ path: ['stations', i, 'balls'], message: 'Every combination is played once.' }]),
      ...(['trajectory', 'shape'] as const).flatMap((name) =>
        station[name] !== null && scoring[name].length > 0
          ? [{ path: ['stations', i, name], message: 'The matrix changes this: leave it free here.' }]
          : [],
      ),
    ]);
    if (rules.shotOnce) found.push({ path: ['rules', 'shotOnce'], message: 'In a matrix every combination already comes once.' });
    return found;
  },
  allows: () => ({ ...NO_RULES, again: true }),
  sees: () => ['executed'],
  takesDistance: () => false,
  unit: () => 'cells',
  better: () => 'higher',
  fresh: () => ({ scheme: 'shot_matrix', trajectory: [...TRAJECTORIES], shape: [...SHAPES], swingWidth: [] }),
  zones: () => [],
  fitted: (scoring) => scoring,
  says: (scoring) => `${cellsOf(scoring).length} different shots at each station, each once. A shot that did what was asked counts.`,
  saysGoal: (goal, { turns }) => `${Math.ceil(goal)} of ${counted(turns, 'shot')} as asked.`,
  lots: (scoring, stations) => stations.flatMap((_, at) => cellsOf(scoring).map((asked, cell): Lot => ({ at, ballNo: cell + 1, asked }))),
  asks: () => [wordKey('done', 'as asked', { executed: true }, 1), wordKey('not', 'not', { executed: false }, 0)],
  start: () => ({ done: 0, played: 0 }),
  step: ({ done, played }, ball) => ({ done: done + (ball.executed === true ? 1 : 0), played: played + 1 }),
  score: ({ done }) => done,
  success: (ball) => ball.executed === true,
  best: ({ turns }) => turns,
  verdict: (ball) => (ball.executed ? 'as asked' : 'not'),
  notes: ({ done, played }) => [{ label: 'worked', value: `${done} of ${played}` }],
  compile() {
    let done = 0;
    return {
      reset: () => void (done = 0),
      take: (_at, ball) => void (done += ball.executed ? 1 : 0),
      score: () => done,
    };
  },
};
