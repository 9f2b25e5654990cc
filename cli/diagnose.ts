import { diagnosisAnswer } from '@/core/formats/diagnosis';
import { believe, diagnose as diagnoseBy } from '@/core/skill/diagnose';
import { modelOf } from '@/core/skill/model';
import { shippedReference } from '@/core/golf/reference';
import { EVIDENCE_OPTIONS, EVIDENCE_USAGE, evidenceOptions, knownOf, readOptions } from './evidence';

export const USAGE = `diagnose SHOTS.csv ${EVIDENCE_USAGE}`;

/** `diagnose SHOTS.csv`: where a player's strokes go, in the numbers of the screens. */
export function diagnose(args: readonly string[], read: (path: string) => string): object {
  const { words, options } = readOptions(args, EVIDENCE_OPTIONS, evidenceOptions, USAGE);
  const [path] = words;
  if (!path || words.length > 1) throw new Error(`Usage: npm run -s inch -- ${USAGE}`);
  const { level, 'half-life': halfLifeDays } = options;
  const { evidence, player, asOf, ignored } = knownOf(path, read(path), options);
  const model = modelOf(shippedReference);
  const diagnosis = diagnoseBy(model, believe(evidence, model, level), evidence, { level, mix: model.mix(level) });
  return {
    ...diagnosisAnswer({ player, level, balls: evidence.balls, silent: evidence.silent, asOf, halfLifeDays }, diagnosis),
    ...(ignored.length > 0 ? { ignored_columns: ignored } : {}),
  };
}
