import { STROKES_AS } from '../units/strokes';
import * as z from 'zod';
import { ownLength, ownLengths } from '../measures/own-lengths';
import { levelSchema } from '../golf/level';
import { HANDS } from '../golf/words';
import { UNIT_SYSTEMS } from '../units/length';
import { filledLine, line, timeZone } from '../stored';

/** What is said of text that is no e-mail address. */
export const NO_EMAIL = 'Enter an e-mail address, such as name@club.example.';
export const emailSchema = z.email(NO_EMAIL).max(200, 'At most 200 characters.');
const email = emailSchema;

export const signInSchema = z.strictObject({ email, password: z.string().min(1, 'Enter your password.').max(1000) });

/** The fewest characters of a password. */
export const PASSWORD_LEAST = 10;
export const PASSWORD_MOST = 128;
const newPassword = z
  .string()
  .min(PASSWORD_LEAST, `At least ${PASSWORD_LEAST} characters.`)
  .max(PASSWORD_MOST, `At most ${PASSWORD_MOST} characters.`);

export const signUpSchema = z.strictObject({
  name: filledLine(60, 'Enter your name.'),
  email,
  password: newPassword,
});

/** Another name for an account, as others see it. */
export const ownNameSchema = signUpSchema.pick({ name: true });

/** Another address for an account: it counts once the link that goes there was opened. */
export const changeEmailSchema = z.strictObject({ email, password: z.string().min(1, 'Enter your password.').max(PASSWORD_MOST) });

/** Another password for an account. */
export const passwordSchema = z.strictObject({ current: z.string().min(1, 'Enter your password.').max(PASSWORD_MOST), next: newPassword });

/** Where to send a link for a new password. */
export const forgotSchema = z.strictObject({ email });

/** A new password in place of a forgotten one. */
export const resetSchema = z.strictObject({ newPassword });

/** What is asked before something dear is changed: the password that holds. */
export const ownPasswordSchema = z.strictObject({ password: z.string().min(1, 'Enter your password.').max(PASSWORD_MOST) });

/** What a device answers when it is asked for a passkey, as the browser has it; the sign-in library reads all of it. */
const deviceAnswer = z.looseObject({ id: z.string().min(1).max(1400) });
/** A new passkey. */
export const newPasskeySchema = z.strictObject({ response: deviceAnswer, name: filledLine(60, 'Name this device.') });
/** A sign-in with a passkey. */
export const passkeySchema = z.strictObject({ response: deviceAnswer });
/** One of the passkeys of an account. */
export const ownPasskeySchema = z.strictObject({ id: z.string().min(1).max(100) });

/** The second step at sign-in: six digits of an app, or one of the recovery codes. */
export const codeSchema = z.strictObject({
  code: z
    .string()
    .max(40)
    .transform((typed) => typed.replaceAll(/\s/g, ''))
    .pipe(z.string().regex(/^(\d{6}|\w{5}-\w{5})$/, 'Enter the six digits your app shows, or a recovery code such as a1b2C-d3e4F.')),
  /** Whether this device is asked no more for a month. */
  trustDevice: z.boolean(),
});

/** The clubs of somebody alone: those that most people carry, or their own, entered later. */
export const BAGS = ['usual', 'later'] as const;

/** What makes an academy: a coach's, or the academy of one of a player alone. */
export const academySchema = z
  .strictObject({
    who: z.enum(['squad', 'alone']),
    name: line(80),
    units: z.enum(UNIT_SYSTEMS),
    /** Of somebody alone: what a player is asked once. */
    level: levelSchema,
    handed: z.enum(HANDS),
    paceM: ownLengths.paceM,
    bag: z.enum(BAGS),
    /** As the browser has it; one that is not known here is taken as UTC. */
    timeZone: line(60),
  })
  .superRefine(({ who, name }, ctx) => {
    if (who === 'squad' && name === '') ctx.addIssue({ code: 'custom', path: ['name'], message: 'Give the academy a name.' });
  });
export type AcademyForm = z.infer<typeof academySchema>;

/** What holds for a whole academy and can be changed later. */
export const settingsSchema = z.strictObject({
  units: z.enum(UNIT_SYSTEMS),
  timeZone,
  ...ownLengths,
  flagstickM: ownLength('flagstick', 1, 3, '3 to 10 ft (1 to 3 m)'),
  /** After how many days a ball counts half for what is believed of a skill; null: never less. */
  halfLifeDays: z.int('Enter whole days.').min(7, 'At least a week.').max(3650, 'At most ten years.').nullable(),
  strokesAs: z.enum(STROKES_AS),
});
export type Settings = z.infer<typeof settingsSchema>;

/** For how many years sessions are kept; null: for ever. */
export const KEEP_YEARS = [1, 2, 3, 5, 10] as const;
export const keepYearsSchema = z.int('Choose how long.').min(1, 'At least a year.').max(100).nullable();

/** The part of an address that names an academy: "Lantern Hollow!" is "lantern-hollow"; e-mails without a Latin form are left out. */
export function slugOf(name: string): string {
  const slug = name
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 40);
  return slug || 'academy';
}
