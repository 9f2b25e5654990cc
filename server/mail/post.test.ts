/** @jest-environment node */
import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import PostalMime from 'postal-mime';
import { SMTPServer } from 'smtp-server';

const folder = mkdtempSync(join(tmpdir(), 'inch-mail-'));
const mail = { to: 'ana@club.example', subject: 'A new password – now', text: 'Hello Ana,\n\nhttps://golf.example/reset#ab=cd\n' };

beforeEach(() => {
  jest.resetModules();
  Object.assign(process.env, {
    ...{ DATABASE_URL: 'x', PUBLIC_URL: 'https://golf.example', AUTH_SECRET: 'x'.repeat(32), INCH_DATA: folder },
    ...{ SMTP_URL: '', MAIL_FROM: 'Golf <golf@club.example>', DEMO: '' },
  });
});
afterAll(() => rmSync(folder, { recursive: true }));

test('without a mail server an e-mail is a file that only its owner reads, and only the demo shows it', async () => {
  const { sendMail } = await import('./post');
  await sendMail(mail);
  const [name] = readdirSync(join(folder, 'outbox'));
  expect(name).toMatch(/^\d{4}-\d\d-\d\dT[\d.-]+Z-[0-9a-f]{8}\.eml$/);
  const path = join(folder, 'outbox', name!);
  expect(statSync(path).mode & 0o777).toBe(0o600);
  expect(readFileSync(path, 'utf8')).toContain('From: Golf <golf@club.example>');
  expect(await (await import('./outbox')).readOutbox()).toBeNull();
  jest.resetModules();
  process.env.DEMO = 'yes';
  const shown = await (await import('./outbox')).readOutbox();
  expect(shown).toEqual([{ name, at: expect.any(Date), to: mail.to, subject: mail.subject, text: mail.text }]);
});

test('with a mail server it is sent there, and a line break in an address starts no other header', async () => {
  const got: string[] = [];
  const server = new SMTPServer({
    authOptional: true,
    disabledCommands: ['STARTTLS'],
    onData: (stream, _session, done) => {
      const parts: Buffer[] = [];
      stream.on('data', (part: Buffer) => parts.push(part));
      stream.on('end', () => (got.push(Buffer.concat(parts).toString()), done()));
    },
  });
  await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening));
  process.env.SMTP_URL = `smtp://127.0.0.1:${(server.server.address() as AddressInfo).port}`;
  const { sendMail } = await import('./post');
  await sendMail(mail);
  await sendMail({ ...mail, subject: 'Hello\r\nBcc: eve@evil.example' }).catch(() => undefined);
  await new Promise<void>((closed) => server.close(closed));
  const { from, to, subject, text } = await PostalMime.parse(got[0]!);
  expect([from?.address, to?.[0]?.address, subject, text]).toEqual(['golf@club.example', mail.to, mail.subject, mail.text]);
  for (const one of got) expect(one).not.toMatch(/^Bcc:/im);
});

test('a mail server that is not there is an error', async () => {
  process.env.SMTP_URL = 'smtp://127.0.0.1:9';
  const { sendMail } = await import('./post');
  await expect(sendMail(mail)).rejects.toThrow();
});
