import pino from 'pino';

/** The server's log: what happened, never who: no names, no addresses of people, no tokens. */
export const log = pino({ level: process.env.LOG_LEVEL ?? 'info', base: undefined, serializers: { err: bare } });

/** A failed query says its values, which may name somebody or open something; what the database said of it is enough. */
function bare(error: unknown) {
  const told = error instanceof Error && error.cause instanceof Error ? error.cause : error;
  if (!(told instanceof Error)) return { message: 'not an error' };
  return { type: told.name, message: told.message, code: (told as { code?: string }).code };
}
