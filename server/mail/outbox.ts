import 'server-only';
import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import PostalMime from 'postal-mime';
import { env } from '../env';
import { outboxFolder } from './post';

/** An e-mail of the outbox. */
export type Sent = { name: string; at: Date; to: string; subject: string; text: string };

const MOST = 50;

/** The e-mails that the demo did not send, the newest first; null where this is no demo, whose e-mails are for nobody else to read. */
export async function readOutbox(): Promise<Sent[] | null> {
  if (env().DEMO !== 'yes' || env().SMTP_URL) return null;
  const folder = outboxFolder();
  const names = (await readdir(folder).catch(() => [])).filter((name) => name.endsWith('.eml'));
  return Promise.all(
    names
      .toSorted()
      .toReversed()
      .slice(0, MOST)
      .map(async (name) => {
        const { date, to, subject, text } = await PostalMime.parse(await readFile(join(folder, name)));
        const at = new Date(date ?? 0);
        return { name, at, to: to?.[0]?.address ?? '', subject: subject ?? '', text: text ?? '' };
      }),
  );
}
