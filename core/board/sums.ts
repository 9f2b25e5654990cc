import { dayWeight } from './over-time';
import { believe, diagnose, strokesLost, type Diagnosis } from '../skill/diagnose';
import { gather, type Evidence, type Tally } from '../skill/evidence';
import type { SkillModel } from '../skill/model';
import { packDraws, unpackDraws } from '../skill/posterior';

/** What takes long on a page, so that it can be done beside the others: from plain data to plain data. */
export type SumTask = {
  /** Of which version the model has to be. */
  version: number;
  tallies: readonly Tally[];
  /** Of the player. */
  level: number;
} &
  /** What is believed of a player of a level after their balls. */
  (
    | { kind: 'belief' }
    /** What was lost in a stretch of time, told from its balls alone; these were of so many sessions. */
    | { kind: 'lost'; sessions: number }
    /** Where the strokes of a player go, against something; `draws` are what is believed after the same balls, packed. */
    | { kind: 'board'; against: PlainAgainst; draws: Float32Array }
  );

/** Against what strokes are counted, as plain data. */
export type PlainAgainst = { level: number; mix: readonly (readonly [string, number])[]; par: readonly number[] | null };

export type SumAnswer = {
  /** Of a belief its draws, packed; of what was lost the draws of each cell, one cell after the other: strokes lost a shot. */
  values: Float32Array;
  /** Balls by cell, in the order of the model's cells. */
  balls: number[];
  /** Of a board. */
  diagnosis?: Diagnosis;
};

/**
 * Does one such sum.
 * @throws RangeError where it was asked of another model
 */
export function doSum(model: SkillModel, task: SumTask): SumAnswer {
  if (task.version !== model.version) throw new RangeError(`a sum for model ${task.version} reached model ${model.version}`);
  if (task.kind === 'board') return boardOf(model, task);
  return task.kind === 'belief' ? beliefOf(model, task) : lostOf(model, task);
}

function beliefOf(model: SkillModel, { tallies, level }: SumTask): SumAnswer {
  const evidence = gather(tallies);
  return { values: packDraws(believe(evidence, model, level).draws), balls: ballsOf(model, evidence) };
}

function boardOf(model: SkillModel, { tallies, level, against, draws }: SumTask & { kind: 'board' }): SumAnswer {
  const evidence = gather(tallies);
  const belief = { level, draws: unpackDraws(draws, model.prior(level))! };
  const { par, mix } = against;
  const diagnosis = diagnose(model, belief, evidence, { level: against.level, mix: new Map(mix), ...(par ? { par } : {}) });
  return { values: new Float32Array(0), balls: ballsOf(model, evidence), diagnosis };
}

/** No ball weighs less than another for its age; all weigh less where they are of few days. */
function lostOf(model: SkillModel, { tallies, level, sessions }: SumTask & { kind: 'lost' }): SumAnswer {
  const weight = dayWeight(
    tallies.reduce((sum, { balls }) => sum + balls, 0),
    sessions,
  );
  const evidence = gather(tallies.map((tally) => ({ ...tally, weight: tally.weight * weight })));
  const lost = strokesLost(model, believe(evidence, model, level), evidence, { level });
  const draws = lost[0]!.length;
  const values = new Float32Array(lost.length * draws);
  lost.forEach((cell, i) => values.set(cell, i * draws));
  return { values, balls: ballsOf(model, evidence) };
}

function ballsOf(model: SkillModel, { cells }: Evidence): number[] {
  return model.cells.map(({ key }) => cells.get(key)?.balls ?? 0);
}

/** What was lost in each cell, as it was packed. */
export function unpackLost(model: SkillModel, { values }: Pick<SumAnswer, 'values'>): Float32Array[] {
  const draws = values.length / model.cells.length;
  return model.cells.map((_, i) => values.subarray(i * draws, (i + 1) * draws));
}
