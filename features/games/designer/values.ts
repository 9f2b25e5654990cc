import { useWatch, type FieldValues, type UseFormGetValues } from 'react-hook-form';
import type { GameSpec } from '@/core/game/spec';

/*
 * What stands in the fields of the designer. Paths are put together while it runs (a phase has the same fields as the game), so no type follows
 * from them: whoever reads a value says which it is, here and nowhere else by a cast. A field that is half typed may hold NaN or null.
 */

/** A part of the game, watched. */
export function usePart<Name extends keyof GameSpec>(name: Name): GameSpec[Name] {
  return useValue<GameSpec[Name]>(name);
}

/** What a field holds, watched. */
export function useValue<Value>(path: string): Value {
  return useWatch({ name: path }) as Value;
}

/** What a field holds now. */
export function valueOf<Value>(getValues: UseFormGetValues<FieldValues>, path: string): Value {
  return getValues(path) as Value;
}
