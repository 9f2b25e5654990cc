import 'server-only';
import { randomBytes } from 'node:crypto';
import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { createTransport } from 'nodemailer';
import type { Mail } from '@/core/people/mails';
import { env } from '../env';
import { log } from '../log';

/** Where e-mails are kept that no mail server sends. */
export const outboxFolder = () => join(env().INCH_DATA, 'outbox');

/** A mail server that does not answer is given up after so long. */
const PATIENCE_MS = 10_000;

let transport: ReturnType<typeof bySmtp> | undefined;
const bySmtp = (url: string) =>
  createTransport({ url, connectionTimeout: PATIENCE_MS, greetingTimeout: PATIENCE_MS, socketTimeout: PATIENCE_MS });

/**
 * Sends an e-mail through the mail server of the settings; without one it is written to the data folder as an .eml file, which any mail program opens.
 * @throws Error where it could not be sent
 */
export async function sendMail({ to, subject, text }: Mail): Promise<void> {
  const { SMTP_URL, MAIL_FROM } = env();
  const message = { from: MAIL_FROM, to: { name: '', address: to }, subject, text };
  if (SMTP_URL) {
    await (transport ??= bySmtp(SMTP_URL)).sendMail(message);
    return;
  }
  const { message: written } = await createTransport({ streamTransport: true, buffer: true, newline: 'unix' }).sendMail(message);
  const folder = outboxFolder();
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const name = `${new Date().toISOString().replaceAll(':', '-')}-${randomBytes(4).toString('hex')}.eml`;
  await writeFile(join(folder, name), written as Buffer, { mode: 0o600, flag: 'wx' });
}

/** The same without waiting, where how long it takes must not tell whether there is such an account; what fails is in the log. */
export function sendMailLater(mail: Mail): void {
  void sendMail(mail).catch((error: unknown) => log.error({ err: error }, 'an e-mail could not be sent'));
}
