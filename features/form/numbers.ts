import { readNumber } from '@/ui/length-input';

/** A number field keeps what was typed; what is no number becomes NaN, and the schema says so. */
export function asNumber(value: string | number | null): number | null {
  return typeof value === 'string' ? readNumber(value) : value;
}
