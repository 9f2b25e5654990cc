import { randomBytes } from 'node:crypto';
import { Readable } from 'node:stream';
import { buffer } from 'node:stream/consumers';
import fc from 'fast-check';
import { seal, unseal } from './lib/seal.mjs';

/** Files that are sealed with a passphrase: what goes in comes out, and nothing else ever does. */

const PIECE = 1 << 20;
const through = async (chunks: readonly Buffer[], stream: NodeJS.ReadWriteStream): Promise<Buffer> =>
  buffer(
    Readable.from(chunks)
      .on('error', () => undefined)
      .compose(stream as never),
  );
const sealed = (plain: Buffer, passphrase = 'a long passphrase') => through([plain], seal(passphrase, { madeAt: 'now' }));
const opened = (file: Buffer, passphrase = 'a long passphrase') => through([file], unseal(passphrase));

test.each([0, 1, PIECE - 1, PIECE, PIECE + 1, 3 * PIECE, 3 * PIECE + 7])('%d bytes come out as they went in', async (length) => {
  const plain = randomBytes(length);
  const file = await sealed(plain);
  expect(file.includes(plain.subarray(0, 16)) && length > 16).toBe(false);
  expect((await opened(file)).equals(plain)).toBe(true);
});

test('in whatever chunks they come', async () => {
  const plain = randomBytes(2 * PIECE + 99);
  const file = await sealed(plain);
  const cut = (of: Buffer, at: readonly number[]) => {
    const ends = [...at.map((share) => Math.floor(share * of.length)).sort((a, b) => a - b), of.length];
    return ends.map((end, i) => of.subarray(ends[i - 1] ?? 0, end));
  };
  await fc.assert(
    fc.asyncProperty(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 6 }), async (at) => {
      expect((await through(cut(file, at), unseal('a long passphrase'))).equals(plain)).toBe(true);
      expect((await opened(await through(cut(plain, at), seal('a long passphrase')))).equals(plain)).toBe(true);
    }),
    { numRuns: 8 },
  );
});

test('what was changed, cut, turned round or is from another file is refused', async () => {
  const plain = randomBytes(2 * PIECE + 500);
  const file = await sealed(plain);
  const head = file.indexOf(10) + 1;
  const piece = PIECE + 16;
  const other = await sealed(plain);
  const changed = (at: number) => Buffer.from(file).fill(file[at]! ^ 1, at, at + 1);
  const turned = [
    file.subarray(0, head),
    file.subarray(head + piece, head + 2 * piece),
    file.subarray(head, head + piece),
    file.subarray(head + 2 * piece),
  ];
  const broken: Record<string, Buffer> = {
    'a byte of the first piece': changed(head + 5),
    'a byte of the last': changed(file.length - 20),
    'what the first line says': Buffer.from(file.toString('latin1').replace('"now"', '"nov"'), 'latin1'),
    'without the last piece': file.subarray(0, head + 2 * piece),
    'within a piece': file.subarray(0, head + piece + 100),
    'without its last byte': file.subarray(0, -1),
    'with something behind it': Buffer.concat([file, Buffer.from('x')]),
    'pieces turned round': Buffer.concat(turned),
    'a piece of another': Buffer.concat([file.subarray(0, head), other.subarray(other.indexOf(10) + 1)]),
  };
  for (const [what, bad] of Object.entries(broken))
    await expect([what, await opened(bad).catch((error: Error) => error.message)]).toEqual([
      what,
      expect.stringMatching(/damaged|cut off/),
    ]);
  await expect(opened(file, 'another passphrase')).rejects.toThrow('The passphrase is wrong');
});

test.each([
  Buffer.from(''),
  Buffer.from('no backup'),
  Buffer.from('{"sealed":1,"salt":"x","n":1073741824,"r":8,"p":1}\nxxx'),
  randomBytes(9000),
])('what is no backup is said to be none', async (file) => {
  await expect(opened(file)).rejects.toThrow('This isn’t a backup of this program.');
});

test('a passphrase is the same however its letters are put together', async () => {
  const plain = Buffer.from('balls');
  expect((await opened(await sealed(plain, 'Zoë’s passphrase'), 'Zoë’s passphrase')).equals(plain)).toBe(true);
});
