import { readFileSync } from 'node:fs';
import { buffer } from 'node:stream/consumers';
import { fromBuffer, type Entry } from 'yauzl';

/** Files by their name. */
export type Files = Map<string, Buffer>;

/** The files of a ZIP. */
export async function unzipped(path: string): Promise<Files> {
  const files: Files = new Map();
  await new Promise<void>((resolve, reject) => {
    fromBuffer(readFileSync(path), { lazyEntries: true }, (error, zip) => {
      if (error) return reject(error);
      zip.on('entry', (entry: Entry) =>
        zip.openReadStream(entry, (_, stream) => {
          void buffer(stream).then((bytes) => {
            files.set(entry.fileName, bytes);
            zip.readEntry();
          });
        }),
      );
      zip.once('end', resolve);
      zip.readEntry();
    });
  });
  return files;
}
