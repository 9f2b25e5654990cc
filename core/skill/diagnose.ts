import { seededRandom } from '../math/random';
import type { Cell } from './cells';
import type { Evidence } from './evidence';
import { fit } from './fit';
import type { Lost } from './judge';
import type { SkillModel } from './model';
import { drawsOf, packDraws, unpackDraws, type Draw } from './posterior';
import { ranksOf, type Rank } from './ranks';
import { levelTrouble, troubleOf } from './trouble';

/** How many players that the evidence allows stand for all of them: a probability is known to 2.5 points. */
export const DRAWS = 400;
/** The same draws for the same evidence, on every screen and in the command line. */
const SEED = 1;

/** What is believed of a player who was entered with a level: fitted once, and read against any level. */
export type Belief = { level: number; draws: Draw[] };

export function believe(evidence: Pick<Evidence, 'groups'>, model: SkillModel, level: number): Belief {
  const prior = model.prior(level);
  // As they are kept: a belief that was read back says the same to the last digit.
  const draws = packDraws(drawsOf(fit(evidence.groups, prior), DRAWS, seededRandom(SEED)));
  return { level, draws: unpackDraws(draws, prior)! };
}

/** What the records say of one cell. */
export type Finding = Cell & {
  balls: number;
  /** Whether it is on the boards: it comes up in rounds, or was played. */
  ranked: boolean;
  /** When it was last practised; null: never. */
  lastAt: Date | null;
  expectedStrokes: number;
  referenceStrokes: number;
  /** How often it comes up in 18 holes. */
  uses: number;
  /** By how many strokes single balls differ, where they differ by their skill's own spread: s·dE/dμ, or a putt's make or miss. */
  perBall: number;
  perShot: Rank;
  perRound: Rank;
};

/** Against what strokes are counted. */
export type Against = {
  level: number;
  /** Uses in a round, by cell key. */
  mix: ReadonlyMap<string, number>;
  /** Strokes that are expected of each cell instead of the level's, such as a squad's average. */
  par?: readonly number[];
};

/** `noPlace`: balls of shots that the model has no cell for. */
export type Diagnosis = { findings: Finding[]; lost: Lost; noPlace: number };

/** Strokes lost a shot, draw by draw, of every cell in the order of the model's cells. */
export function strokesLost(
  model: SkillModel,
  belief: Belief,
  evidence: Pick<Evidence, 'finishes'>,
  { level, par }: Omit<Against, 'mix'>,
): Lost {
  const { reference } = model;
  const judge = model.judge(belief.level, level);
  const { prior } = judge;
  const random = seededRandom(SEED);
  return judge.lost(belief.draws).map((values, i) => {
    const cell = prior.cells[i]!;
    const shift = par ? model.expects(i, level) - par[i]! : 0;
    const finishes = evidence.finishes.get(cell.key);
    if (!finishes) return shift === 0 ? values : values.map((value) => value + shift);
    const { mean, sd } = troubleOf(finishes, level, reference, levelTrouble(judge.levelCurve(i).mu, level, reference));
    return values.map((value) => value + shift + mean + sd * random.normal());
  });
}

/** Where a player's strokes go: every cell, in the order of the model's cells. */
export function diagnose(model: SkillModel, belief: Belief, evidence: Evidence, against: Against): Diagnosis {
  const { level, mix, par } = against;
  const judge = model.judge(belief.level, level);
  const { prior } = judge;
  const lost = strokesLost(model, belief, evidence, against);
  const uses = prior.cells.map((cell) => mix.get(cell.key) ?? 0);
  const ranked = prior.cells.map(({ key, inRound }, i) => inRound || uses[i]! > 0 || evidence.cells.has(key));
  const [perShot, perRound] = [ranksOf(lost, undefined, ranked), ranksOf(lost, uses, ranked)];
  const findings = prior.cells.map((cell, i): Finding => {
    const reached = evidence.cells.get(cell.key);
    const referenceStrokes = par?.[i] ?? model.expects(i, level);
    return {
      ...cell,
      balls: reached?.balls ?? 0,
      ranked: ranked[i]!,
      lastAt: reached?.lastAt ?? null,
      expectedStrokes: referenceStrokes + perShot[i]!.mean,
      referenceStrokes,
      uses: uses[i]!,
      perBall: judge.perBall(i),
      perShot: perShot[i]!,
      perRound: perRound[i]!,
    };
  });
  const noPlace = [...evidence.cells].reduce((sum, [key, { balls }]) => sum + (prior.index.has(key) ? 0 : balls), 0);
  return { findings, lost, noPlace };
}
