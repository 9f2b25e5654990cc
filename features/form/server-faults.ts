import type { FieldValues, Path, UseFormSetError } from 'react-hook-form';
import type { FormResult } from './result';

/** Puts what the server refused beside the fields it belongs to. */
export function showFaults<T extends FieldValues>(result: FormResult, setError: UseFormSetError<T>): void {
  if (result.ok) return;
  for (const [path, message] of Object.entries(result.fields)) setError((path || 'root') as Path<T> | 'root', { message });
}

/** The sentence for a form that could not be sent at all. */
export const NOT_SENT = 'This could not be sent. What you typed is still here; try again when the network is back.';
