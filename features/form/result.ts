import type * as z from 'zod';

/** What an action answers to a form: done, or what is wrong and where. Nothing typed is lost: the form keeps it. */
export type Refused = { ok: false; fields: Record<string, string> };

/** The faults of an input, by the dotted path of their field; the form itself is the empty path. */
export function faults(error: z.ZodError): Refused {
  const fields: Record<string, string> = {};
  for (const issue of error.issues) fields[issue.path.join('.')] ??= issue.message;
  return { ok: false, fields };
}

/** A refusal that is nobody's field. */
export const refused = (sentence: string): Refused => ({ ok: false, fields: { '': sentence } });

/** What is wrong with a file, by its place in it. */
export function problemsByPlace(problems: readonly { path: string; message: string }[]): Refused {
  const fields: Record<string, string> = {};
  for (const { path, message } of problems) fields[path] = [fields[path], message].filter(Boolean).join('; ');
  return { ok: false, fields };
}

/** What is said where somebody else saved the same thing since it was opened here. */
export const changedElsewhere = (what: 'game' | 'green' | 'hour' | 'plan' | 'player'): Refused =>
  refused(
    `This ${what} was changed somewhere else after you opened it, so nothing was saved. Open it in a new tab and make your change there.`,
  );
