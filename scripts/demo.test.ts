import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** Starts the demo with some settings, where it is bound to stop at once. */
function demo(env: Record<string, string>) {
  const done = spawnSync(process.execPath, [join(__dirname, 'demo.mjs')], {
    encoding: 'utf8',
    env: { ...process.env, ...env },
    timeout: 30_000,
  });
  return { status: done.status, said: done.stderr.trim() };
}

test('a port that is taken is one clear sentence and a non-zero exit', async () => {
  const server = createServer();
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const { port } = server.address() as AddressInfo;
  const { status, said } = demo({ PORT: String(port) });
  server.close();
  expect(status).toBe(1);
  expect(said).toBe(`Port ${port} of 127.0.0.1 is taken: stop what runs there, or set PORT to another.`);
});

test('a data folder that can’t be written to is named', () => {
  const folder = mkdtempSync(join(tmpdir(), 'inch-demo-'));
  writeFileSync(join(folder, 'file'), '');
  const { status, said } = demo({ PORT: '39871', INCH_DATA: join(folder, 'file', 'below') });
  rmSync(folder, { recursive: true });
  expect(status).toBe(1);
  expect(said).toMatch(/^The data folder .* can't be written to \(ENOTDIR\)\. Make it writable, or name another in INCH_DATA\.$/);
});

test.each([
  ['PORT', 'seven', 'PORT must be a number from 1 to 65535, not "seven".'],
  ['PUBLIC_URL', 'golf', 'PUBLIC_URL must be an address such as https://golf.example, not "golf".'],
])('a %s of “%s” is refused', (name, value, sentence) => {
  const { status, said } = demo({ PORT: '39872', [name]: value });
  expect([status, said]).toEqual([1, sentence]);
});
