import * as z from 'zod';
import { filledLine } from '../stored';

export const groupNameSchema = filledLine(80, 'Give the group a name.');

/** Some of the players, who are coached together, and who looks after them. */
export const groupSchema = z.strictObject({
  name: groupNameSchema,
  playerIds: z.array(z.uuid()).max(2000),
  /** Accounts that work in the academy. */
  userIds: z.array(z.string().max(100)).max(200),
});
export type GroupForm = z.infer<typeof groupSchema>;
