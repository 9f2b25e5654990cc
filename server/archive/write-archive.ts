import { createHash } from 'node:crypto';
import { Transform, type Readable } from 'node:stream';
import { ARCHIVE_VERSION } from '@/core/archive/row';
import { fileOf, MANIFEST_FILE, type Manifest } from '@/core/archive/manifest';
import type { ArchiveTable } from '@/core/archive/tables';
import { writeZip } from './write-zip';

type Table = Manifest['tables'][number];
/** Gives the tables one after the other; the next comes once the one before was read. */
type Tables = (take: (table: ArchiveTable, lines: Readable) => Promise<void>) => Promise<void>;

/**
 * Writes an archive as it is read, so that however much it is, little of it is in memory.
 * @param about what stands in the manifest beside the tables
 * @param tables an error of theirs breaks the stream off: what came of it has no end, and can be opened nowhere
 */
export function writeArchive(about: Pick<Manifest, 'madeAt' | 'academy'>, tables: Tables): Readable {
  return writeZip(new Date(about.madeAt), async (zip) => {
    const written: Table[] = [];
    await tables(async ({ name }, lines) => {
      const { through, told } = counted();
      await zip.stream(fileOf(name), lines, through);
      written.push({ name, ...told() });
    });
    const manifest: Manifest = { format: 'inch-game-archive', version: ARCHIVE_VERSION, ...about, tables: written };
    zip.whole(MANIFEST_FILE, JSON.stringify(manifest, null, 1));
  });
}

/** Lets bytes through, and tells afterwards how many lines they were, how many bytes, and their hash. */
function counted(): { through: Transform; told: () => Omit<Table, 'name'> } {
  const hash = createHash('sha256');
  let [rows, bytes] = [0, 0];
  const through = new Transform({
    transform(piece: Buffer, _, done) {
      hash.update(piece);
      bytes += piece.length;
      for (let at = piece.indexOf(10); at >= 0; at = piece.indexOf(10, at + 1)) rows++;
      done(null, piece);
    },
  });
  return { through, told: () => ({ rows, bytes, sha256: hash.digest('hex') }) };
}
