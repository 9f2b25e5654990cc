import pino from 'pino';
import { countError } from './metrics';

const ERROR = pino.levels.values.error!;

/** The server's log: what happened, never who: no names, no addresses of people, no tokens, nothing that was typed. */
export const log = pino({
  ...{ level: process.env.LOG_LEVEL ?? 'info', base: null, serializers: { err: bare } },
  hooks: {
    logMethod(said, method, level) {
      if (level >= ERROR) countError();
      method.apply(this, said);
    },
  },
});

/** What an error says without what it was about: a failed query says its values, which may name somebody or open something. */
export function bare(error: unknown): { type: string; message: string; code?: string | undefined; at?: string | undefined } {
  if (!(error instanceof Error)) return { type: 'unknown', message: 'not an error' };
  const told = error.cause instanceof Error ? error.cause : error;
  const message = /^failed query/i.test(told.message) ? 'a query failed' : withoutValues(told.message.split('\n')[0]!);
  return { type: told.name, message, code: (told as { code?: string }).code, at: error.stack?.split('\n    at ')[1] };
}

/** A sentence without what stands in it between quotes, an address, or a long run of letters and figures. */
function withoutValues(text: string): string {
  return text
    .replaceAll(/"[^"]*"|'[^']*'|“[^”]*”/g, '…')
    .replaceAll(/[^\s@]+@[^\s@]+/g, '…')
    .replaceAll(/[\w-]{24,}/g, '…');
}

/** Has whatever the framework prints go through the log, as bare as all else. */
export function tameConsole(): void {
  const through =
    (level: 'error' | 'warn') =>
    (...said: unknown[]): void => {
      const error = said.find((one) => one instanceof Error);
      if (error) log[level]({ err: error }, 'the framework reports an error');
      else log[level](withoutValues(String(said[0]).split('\n')[0]!));
    };
  console.error = through('error');
  console.warn = through('warn');
}
