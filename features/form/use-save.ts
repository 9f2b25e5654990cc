import type { FieldErrors, FieldValues, Path, UseFormReturn, UseFormSetError } from 'react-hook-form';
import type { Refused } from './result';

/** Puts what the server refused beside the fields it belongs to. */
function showFaults<T extends FieldValues>(result: Refused, setError: UseFormSetError<T>): void {
  for (const [path, message] of Object.entries(result.fields)) setError((path || 'root') as Path<T> | 'root', { message });
}

/** The sentence for a form that could not be sent at all. */
export const NOT_SENT = 'No connection. What you typed is still here. Try again.';

/**
 * What a form does when it is sent: saves, then goes on; or shows beside its fields what was refused, or that it could
 * not be sent at all. What was typed stays in either case.
 * @param onWrong called where the form itself finds something wrong, and nothing was sent
 */
export function useSave<T extends FieldValues, Saved extends { ok: true }>(
  { handleSubmit, setError }: UseFormReturn<T>,
  save: (form: T) => Promise<Saved | Refused>,
  then: (saved: Saved) => void,
  onWrong?: (errors: FieldErrors<T>) => void,
) {
  return handleSubmit(async (form) => {
    const result = await save(form).catch(() => null);
    if (!result) setError('root', { message: NOT_SENT });
    else if (result.ok) then(result);
    else showFaults(result, setError);
  }, onWrong);
}
