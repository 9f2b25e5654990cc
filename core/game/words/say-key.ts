import { formatLength, leftUnit } from '../../units/format';
import type { UnitSystem } from '../../units/length';
import type { AnswerKey } from '../scoring/answer-keys';
import { isBodyMeasure, sayRadius, type Sizes } from '../sizes';
import type { Station } from '../station';

/** What stands on a key: "Holed", "6 ft", "2 clubs", "out", "outside 30 ft", "landed". */
export function sayKey(
  key: Pick<AnswerKey, 'kind' | 'text' | 'edgeM'>,
  sizes: Sizes,
  system: UnitSystem,
  target: Station['target'],
): string {
  if (key.kind === 'word') return key.text ?? '';
  if (key.kind === 'holed') return key.text ?? (target === 'peg' ? 'Struck' : 'Holed');
  if (key.kind === 'ring')
    return isBodyMeasure(sizes.unit) ? sayRadius(key.edgeM!, sizes, system) : formatLength(key.edgeM!, leftUnit(system));
  if (key.text) return `${key.text} ${formatLength(key.edgeM!, leftUnit(system)).replace(' ', '\u00a0')}`;
  return key.edgeM === 0 ? 'Missed' : 'out';
}
