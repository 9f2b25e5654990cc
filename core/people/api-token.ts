import * as z from 'zod';
import { filledLine } from '../stored';

/** What a key to the programming interface may be good for: to read; to change; to take all out and in as an archive. */
export const TOKEN_SCOPES = ['read', 'write', 'archive'] as const;
export type TokenScope = (typeof TOKEN_SCOPES)[number];
/** What each lets another program do, as the owner of the academy reads it. */
export const SCOPE_WORDS: Readonly<Record<TokenScope, string>> = {
  read: 'Read players, games, greens, plans, sessions, shots and reports',
  write: 'Save players, games, greens, plans, results and files of balls',
  archive: 'Download and import archives of everything',
};

/** For how many days a key may hold; null: until it is ended. */
export const TOKEN_DAYS = [30, 365, null] as const;

export const apiTokenSchema = z.strictObject({
  name: filledLine(60, 'Say what it is for.'),
  scopes: z
    .array(z.enum(TOKEN_SCOPES))
    .min(1, 'Choose at least one.')
    .refine((all) => new Set(all).size === all.length, 'Choose each once.'),
  days: z.union(TOKEN_DAYS.map((days) => z.literal(days))),
});
export type ApiTokenForm = z.infer<typeof apiTokenSchema>;
