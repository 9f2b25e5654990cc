import 'server-only';
import { env } from './env';

/** The address under which browsers reach the program, without a slash at its end. */
export function publicUrl(): string {
  return env().PUBLIC_URL.replace(/\/$/, '');
}

/** That address where no phone can open it, because it names this machine only; else null. */
export function deadOnPhones(): string | null {
  return ['localhost', '127.0.0.1', '[::1]'].includes(new URL(publicUrl()).hostname) ? publicUrl() : null;
}
