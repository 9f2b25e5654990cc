import 'server-only';
import { isIP } from 'node:net';
import { env } from './env';

/** The address under which browsers reach the program, without a slash at its end. */
export function publicUrl(): string {
  return env().PUBLIC_URL.replace(/\/$/, '');
}

/** The host for which a device keeps passkeys; null where it keeps none, because the address is made of numbers. This machine goes by its name. */
export function passkeyHost(): string | null {
  const host = new URL(publicUrl()).hostname.replace(/^\[|\]$/g, '');
  if (host === '127.0.0.1' || host === '::1') return 'localhost';
  return isIP(host) ? null : host;
}

/** That address where no phone can open it, because it names this machine only; else null. */
export function deadOnPhones(): string | null {
  return ['localhost', '127.0.0.1', '[::1]'].includes(new URL(publicUrl()).hostname) ? publicUrl() : null;
}
