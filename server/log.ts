import pino from 'pino';

/** The server's log: what happened, never who: no names, no addresses of people, no tokens. */
export const log = pino({ level: process.env.LOG_LEVEL ?? 'info', base: undefined });
