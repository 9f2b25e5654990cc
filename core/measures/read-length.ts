import { decimal } from '../units/decimal';
import { METRES_PER, snap } from '../units/length';
import { CLUB_M, FLAGSTICK_M, PACE_M, PUTTER_M, SHOE_M } from './sticks';

/** What can be measured with beside units: metres of each; null where nobody measured it. */
export type OwnMeasures = {
  paceM: number | null;
  clubM: number | null;
  putterM: number | null;
  flagstickM: number | null;
  shoeM: number | null;
};
export const UNMEASURED: OwnMeasures = { paceM: null, clubM: null, putterM: null, flagstickM: null, shoeM: null };

/** Words for units, as people type them. */
const UNITS: readonly (readonly [words: RegExp, metres: (own: OwnMeasures) => number])[] = [
  [/^(m|metres?|meters?)$/, () => METRES_PER.m],
  [/^(cm|centimetres?|centimeters?)$/, () => 0.01],
  [/^(yd|yds|yards?|y)$/, () => METRES_PER.yd],
  [/^(ft|feet|foot|'|′|’)$/, () => METRES_PER.ft],
  [/^(in|ins|inch|inches|"|″|”|'')$/, () => METRES_PER.in],
  [/^(p|paces?|steps?|strides?)$/, ({ paceM }) => paceM ?? PACE_M],
  [/^(c|clubs?|club-lengths?)$/, ({ clubM }) => clubM ?? CLUB_M],
  [/^(putters?|putter-lengths?)$/, ({ putterM }) => putterM ?? PUTTER_M],
  [/^(flags?|flagsticks?|pins?)$/, ({ flagstickM }) => flagstickM ?? FLAGSTICK_M],
  [/^(shoes?|shoe-lengths?)$/, ({ shoeM }) => shoeM ?? SHOE_M],
];
const FRACTIONS: Readonly<Record<string, number>> = { '½': 0.5, '¼': 0.25, '¾': 0.75, '⅓': 1 / 3, '⅔': 2 / 3 };

/** A number that may end in a fraction: "2½", "½", "2.5", "2,5". */
function amount(text: string): number {
  const part = FRACTIONS[text.slice(-1)];
  if (part === undefined) return decimal(text);
  const whole = text.slice(0, -1);
  return whole === '' ? part : decimal(whole) + part;
}

/**
 * A length as somebody types it: "12", "12 paces", "4 ft 3", "5'6", "2½ clubs", "1,5 m". A bare number is in the field's own unit; what follows feet
 * without a unit is inches.
 * @param unitM metres of one of the field's own unit
 * @returns metres on the storage grid; NaN for what is no length
 */
export function readLength(text: string, unitM: number, own: OwnMeasures = UNMEASURED): number {
  const parts = text
    .trim()
    .toLowerCase()
    .match(/^([+−-]?[\d.,]*[½¼¾⅓⅔]?)\s*([^\d\s.,½¼¾⅓⅔]*)\s*(?:([\d.,]*[½¼¾⅓⅔]?)\s*([^\d\s.,½¼¾⅓⅔]*))?$/);
  if (!parts || parts[1] === '' || parts[1] === undefined) return NaN;
  const metresOf = (word: string) => UNITS.find(([words]) => words.test(word))?.[1](own) ?? NaN;
  const [first, word, second, secondWord] = [amount(parts[1]), parts[2] ?? '', parts[3] ?? '', parts[4] ?? ''];
  const firstM = word === '' ? unitM : metresOf(word);
  if (second === '') return secondWord === '' ? snap(first * firstM) : NaN;
  if (word === '') return NaN;
  const secondM = secondWord === '' ? (firstM === METRES_PER.ft ? METRES_PER.in : NaN) : metresOf(secondWord);
  return snap(first * firstM + Math.sign(first || 1) * amount(second) * secondM);
}
