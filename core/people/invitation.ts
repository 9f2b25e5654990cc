import * as z from 'zod';
import { emailSchema } from './account';

/** What somebody can be asked to be in an academy. */
export const INVITED_ROLES = ['coach', 'assistant'] as const;
export type InvitedRole = (typeof INVITED_ROLES)[number];

/** What each role may do, in a line. */
export const ROLE_WORDS = {
  owner: 'everything, including people and the academy itself',
  coach: 'players, games, plans and reports',
  assistant: 'scores at the green, for players in their groups only',
} as const;

/** What an invitation says: to work in an academy, or to read about a player of it. */
export type InvitationSaid = { academy: string; by: string; email: string; role: InvitedRole | 'guardian'; player: string | null };
export const AS_ROLE: Readonly<Record<InvitedRole, string>> = { coach: 'a coach', assistant: 'an assistant' };

/** So many days an invitation holds. */
export const INVITATION_DAYS = 7;

/** Whom to ask, to be what; and which groups they will look after. */
export const invitationSchema = z.strictObject({
  email: emailSchema.transform((typed) => typed.toLowerCase()),
  role: z.enum(INVITED_ROLES),
  groupIds: z.array(z.uuid()).max(200),
});
export type InvitationForm = z.input<typeof invitationSchema>;
