import { notFound } from 'next/navigation';
import * as z from 'zod';

/** An id from an address; what can't be one is answered like one that nothing has. */
export function uuidOr404(text: string): string {
  const parsed = z.uuid().safeParse(text);
  return parsed.success ? parsed.data : notFound();
}
