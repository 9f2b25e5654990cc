import * as z from 'zod';
import { day, filledLine, line, lines } from '../stored';
import { emailSchema, NO_EMAIL } from './account';

/** Only the year of birth is kept, so that somebody counts as under age to the end of the year in which they are so old. */
export const ADULT_AT = 18;

/** Whether somebody may be under age in a year. @param bornYear null: nobody said so, and they count as grown up */
export const isUnderAge = (bornYear: number | null, year: number): boolean => bornYear !== null && year - bornYear <= ADULT_AT;

/** Whether a name is a first name or a nickname: one word. */
export const isShortName = (name: string): boolean => /^\S+$/.test(name);

/** The first word of a name. */
export const shortName = (name: string): string => name.split(/\s/, 1)[0]!;

/** What is said where a name is too much. */
export const ONE_WORD = 'Without a guardian’s consent: a first name or nickname, one word.';

/** The year in which a player was born, asked of those who are under age. @param year the present one */
export const bornYearSchema = (year: number) =>
  z.int('Enter a year, such as 2014.').min(1900, 'Enter a year, such as 2014.').max(year, 'That’s in the future.').nullable();

/** Somebody who looks after an under-age player at home, and how to reach them. */
export const guardianSchema = z
  .strictObject({
    name: filledLine(60, 'Enter their name.'),
    email: line(200)
      .transform((typed) => typed.toLowerCase())
      .refine((typed) => typed === '' || emailSchema.safeParse(typed).success, NO_EMAIL),
    phone: line(30).refine((typed) => typed === '' || /^\+?[\d ()/.-]{4,}$/.test(typed), 'Enter a phone number, such as 020 555 0142.'),
  })
  .superRefine(({ email, phone }, ctx) => {
    if (email === '' && phone === '')
      ctx.addIssue({ code: 'custom', path: ['email'], message: 'Enter an e-mail address or a phone number.' });
  });
export type GuardianForm = z.infer<typeof guardianSchema>;

/** A consent that came on paper or by word: who gave it, and on which day. */
export const consentSchema = z.strictObject({ by: filledLine(60, 'Enter who gave it.'), on: day });
export type ConsentForm = z.infer<typeof consentSchema>;

/** What whoever asks for an erasure may add. */
export const erasureWordsSchema = z.strictObject({ words: lines(500) });

/** What a guardian agrees to. */
export const consentWords = (academy: string, player: string): string =>
  `${academy} may keep ${player}’s full name and short-game results.`;
