import { createHash } from 'node:crypto';
import { promisify } from 'node:util';
import type { Readable } from 'node:stream';
import { open as openZip, type Entry, type ZipFile } from 'yauzl';
import { fileOf, MANIFEST_FILE, NO_ARCHIVE, readManifest, type Manifest } from '@/core/archive/manifest';
import { BrokenArchive, GONE, rowReader } from '@/core/archive/row';
import { ARCHIVE_TABLES, type ArchiveTable } from '@/core/archive/tables';

const openFile = promisify<string, { lazyEntries: boolean; autoClose: boolean }, ZipFile>(openZip);

/** Nothing that this program writes is pressed together so much. */
const MOST_PRESSED = 200;
const MOST_MANIFEST = 1_000_000;
/** No row is as long. */
const MOST_LINE = 4_000_000;
/** The sentence for a file that is cut off or changed. */
const BROKEN = 'This archive is damaged: a part of it is missing or was changed.';

type Row = Record<string, unknown>;
type Tables = AsyncGenerator<{ table: ArchiveTable; rows: AsyncGenerator<Row> }>;

/** An archive that was opened: what it says of itself, and its tables, which are looked through as they are read. */
export type OpenArchive = { manifest: Manifest; tables: () => Tables; close: () => void };

/**
 * Opens an archive on disk. Whatever is wrong with it is said as soon as it is seen, at the latest when a table was read to its end: whoever keeps
 * something of it before has to be able to take that back.
 * @throws {BrokenArchive} with a sentence; while it is opened, and while its tables are read
 */
export async function openArchive(path: string): Promise<OpenArchive> {
  const zip = await openFile(path, { lazyEntries: true, autoClose: false }).catch(() => {
    throw new BrokenArchive(NO_ARCHIVE);
  });
  try {
    const entries = await entriesOf(zip);
    const said = entries.get(MANIFEST_FILE);
    if (!said || said.uncompressedSize > MOST_MANIFEST) throw new BrokenArchive(NO_ARCHIVE);
    const manifest = readManifest((await wholeOf(zip, said)).toString('utf8'));
    if (typeof manifest === 'string') throw new BrokenArchive(manifest);
    for (const { name, bytes } of manifest.tables) {
      const entry = entries.get(fileOf(name));
      if (!entry || entry.uncompressedSize !== bytes) throw new BrokenArchive(BROKEN);
    }
    if (entries.size !== manifest.tables.length + 1) throw new BrokenArchive('This archive has files in it that don’t belong there.');
    return { manifest, tables: () => tablesOf(zip, entries, manifest), close: () => zip.close() };
  } catch (error) {
    zip.close();
    throw error instanceof BrokenArchive ? error : new BrokenArchive(BROKEN);
  }
}

/** All that is listed at the end of a file, by name. */
async function entriesOf(zip: ZipFile): Promise<Map<string, Entry>> {
  if (zip.entryCount > ARCHIVE_TABLES.length + GONE.size + 1) throw new BrokenArchive(NO_ARCHIVE);
  const entries = new Map<string, Entry>();
  await new Promise<void>((resolve, reject) => {
    zip.on('entry', (entry: Entry) => {
      entries.set(entry.fileName, entry);
      zip.readEntry();
    });
    zip.once('end', resolve);
    zip.once('error', reject);
    zip.readEntry();
  });
  for (const { compressedSize, uncompressedSize } of entries.values())
    if (uncompressedSize > 10_000 + compressedSize * MOST_PRESSED) throw new BrokenArchive(NO_ARCHIVE);
  return entries;
}

/** What stands under an entry, unpacked; what is longer than it says, or damaged, is an error of the stream. */
const streamOf = (zip: ZipFile, entry: Entry) => promisify<Entry, Readable>(zip.openReadStream.bind(zip))(entry);

async function wholeOf(zip: ZipFile, entry: Entry): Promise<Buffer> {
  const parts: Buffer[] = [];
  for await (const part of await streamOf(zip, entry)) parts.push(part as Buffer);
  return Buffer.concat(parts);
}

async function* tablesOf(zip: ZipFile, entries: ReadonlyMap<string, Entry>, manifest: Manifest): Tables {
  for (const table of ARCHIVE_TABLES) {
    const said = manifest.tables.find(({ name }) => name === table.name);
    if (said) yield { table, rows: rowsOf(zip, entries.get(fileOf(table.name))!, table, said, manifest.version) };
  }
}

async function* rowsOf(
  zip: ZipFile,
  entry: Entry,
  table: ArchiveTable,
  said: Manifest['tables'][number],
  version: number,
): AsyncGenerator<Row> {
  const read = rowReader(table, version);
  const hash = createHash('sha256');
  let number = 0;
  let rest: Buffer = Buffer.alloc(0);
  try {
    for await (const piece of await streamOf(zip, entry)) {
      hash.update(piece as Buffer);
      const bytes: Buffer = rest.length > 0 ? Buffer.concat([rest, piece as Buffer]) : (piece as Buffer);
      let from = 0;
      for (let end = bytes.indexOf(10); end >= 0; end = bytes.indexOf(10, from)) {
        const row = read(textOf(bytes.subarray(from, end)), ++number);
        if (row) yield row;
        from = end + 1;
      }
      rest = bytes.subarray(from);
      if (rest.length > MOST_LINE) throw new BrokenArchive(BROKEN);
    }
  } catch (error) {
    throw error instanceof BrokenArchive ? error : new BrokenArchive(BROKEN);
  }
  if (rest.length > 0 || number !== said.rows || hash.digest('hex') !== said.sha256) throw new BrokenArchive(BROKEN);
}

const utf8 = new TextDecoder('utf-8', { fatal: true });
const textOf = (bytes: Buffer) => utf8.decode(bytes);
