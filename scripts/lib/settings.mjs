import { portIsFree } from './postgres.mjs';
import { Stop } from './say.mjs';

/** Where to listen, as PORT and HOST say; one clear sentence where that can't be. */
export async function chosenPort() {
  const port = Number(process.env.PORT ?? 3000);
  const host = process.env.HOST ?? '127.0.0.1';
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Stop(`PORT must be a number from 1 to 65535, not "${process.env.PORT}".`);
  if (!(await portIsFree(port, host))) throw new Stop(`Port ${port} of ${host} is taken: stop what runs there, or set PORT to another.`);
  return { port, host };
}

/** The address under which browsers reach the program, as PUBLIC_URL says. */
export function chosenUrl(otherwise) {
  const url = process.env.PUBLIC_URL ?? otherwise;
  if (!url || !URL.canParse(url)) throw new Stop(`PUBLIC_URL must be an address such as https://golf.example, not "${url ?? ''}".`);
  return new URL(url).origin;
}

/** The secret of sign-ins, as AUTH_SECRET says: several instances of the program share one. Null: the one in the data folder. */
export function chosenSecret() {
  const secret = process.env.AUTH_SECRET;
  if (secret && secret.length < 32) throw new Stop('AUTH_SECRET must have 32 characters or more: `openssl rand -hex 32` makes one.');
  return secret || null;
}

/** Runs what has to be undone in the end, the newest first, once, whatever ends the program. */
export function undoing() {
  const undo = [];
  let running;
  const tidy = () =>
    (running ??= (async () => {
      while (undo.length > 0) await undo.pop()();
    })());
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void tidy().then(() => process.exit(0)));
  return { undo, tidy };
}
