import { fromMetres, METRES_PER, type LengthUnit, type UnitSystem } from './length';

const trim = (value: number, decimals: number) => String(Number(value.toFixed(decimals)));

/** "14 yd", "6.5 ft", "12.8 m": a length in one unit, with no more decimals than asked. */
export function formatLength(metres: number, unit: LengthUnit, decimals = 1): string {
  return `${trim(fromMetres(metres, unit), decimals)} ${unit}`;
}

/**
 * What is left to the hole, as a coach says it: "4 ft 3", "9 in", "23 ft"; metric "1.30 m".
 * Inches are rounded to the nearest one, and not said at all from 20 ft up, where nobody measures them.
 */
export function formatLeft(metres: number, system: UnitSystem): string {
  if (system === 'metric') return `${metres.toFixed(metres < 10 ? 2 : 1)} m`;
  const inches = Math.round(metres / METRES_PER.in);
  return inches >= 240 ? `${Math.round(inches / 12)} ft` : feetAndInches(inches);
}

/** A sum of distances: to the inch however long it is, "24 ft 6"; metric "7.47 m". */
export function formatTotal(metres: number, system: UnitSystem): string {
  return system === 'metric' ? `${metres.toFixed(2)} m` : feetAndInches(Math.round(metres / METRES_PER.in));
}

function feetAndInches(inches: number): string {
  const feet = Math.floor(inches / 12);
  const rest = inches % 12;
  if (feet === 0) return `${rest} in`;
  return rest === 0 ? `${feet} ft` : `${feet} ft ${rest}`;
}

/** "0.12", "−0.07": strokes with two decimals and a true minus; what rounds to nothing has no sign. */
export function signed(value: number): string {
  const text = Math.abs(value).toFixed(2);
  return value < 0 && text !== '0.00' ? `−${text}` : text;
}

/** A noun as it stands beside a count: "ball" of one, "balls" of all others. */
export function nounOf(count: number, noun: string): string {
  return count === 1 ? noun : `${noun}s`;
}

/** "1 ball", "1,260 balls". */
export function counted(count: number, noun: string): string {
  return `${count.toLocaleString('en')} ${nounOf(count, noun)}`;
}

/** The unit for what is left, for rings and for zones: feet, or metres for metric readers. */
export function leftUnit(system: UnitSystem): LengthUnit {
  return system === 'metric' ? 'm' : 'ft';
}

const NUMBERS = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'];
/** Small numbers in words, larger ones in figures. */
export function inWords(n: number): string {
  return NUMBERS[n] ?? String(n);
}

/** "a", "a and b", "a, b and c". */
export function listed(names: readonly string[]): string {
  return names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
}

const NAMED = 8;
/** Names as `listed` says them, of more than eight the first seven: "a, b, c, d, e, f, g and 33 more". */
export function listedInShort(names: readonly string[]): string {
  return listed(names.length > NAMED ? [...names.slice(0, NAMED - 1), `${names.length - NAMED + 1} more`] : names);
}

/** Words with a capital, as a sentence begins. */
export function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
