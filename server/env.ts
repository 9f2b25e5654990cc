import * as z from 'zod';

/** The settings the server needs; `scripts/` sets them all for the demo and the tests. Read when first asked for, never at build time. */
const envSchema = z.object({
  DATABASE_URL: z.string().min(1),
  /** The address under which browsers reach the program; sign-in and QR codes depend on it. */
  PUBLIC_URL: z.url(),
  AUTH_SECRET: z.string().min(32),
  LOG_LEVEL: z.enum(['debug', 'info', 'warn', 'error', 'silent']).default('info'),
});

let read: z.infer<typeof envSchema> | undefined;

/** @throws Error naming each setting that is missing or wrong */
export function env(): z.infer<typeof envSchema> {
  if (read) return read;
  const parsed = envSchema.safeParse(process.env);
  if (!parsed.success) {
    const wrong = parsed.error.issues.map((issue) => `${issue.path.join('.')}: ${issue.message}`).join('; ');
    throw new Error(`The server's settings are not complete (${wrong}). See "Settings" in the README.`);
  }
  return (read = parsed.data);
}
