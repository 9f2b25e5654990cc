import { PassThrough, type Readable, type Transform } from 'node:stream';
import { ZipFile } from 'yazl';

/** Puts files into a ZIP, one after the other. */
export type Zip = {
  /** A file that is there as a whole. */
  whole: (name: string, content: string | Buffer) => void;
  /** A file that is read piece by piece. @param through sees each piece on its way */
  stream: (name: string, content: Readable, through?: Transform) => Promise<void>;
};

/**
 * Writes a ZIP as it is read.
 * @param mtime when its files are said to have been made
 * @param fill an error of it breaks the stream off: what came of it has no end, and can be opened nowhere
 */
export function writeZip(mtime: Date, fill: (zip: Zip) => Promise<void>): Readable {
  const zip = new ZipFile();
  const out = zip.outputStream as Readable;
  const into: Zip = {
    whole: (name, content) => zip.addBuffer(Buffer.from(content as string), name, { mtime }),
    stream: (name, content, through = new PassThrough()) =>
      new Promise<void>((resolve, reject) => {
        for (const stream of [content, through]) stream.once('error', reject);
        out.once('close', () => reject(new Error('Nobody reads on.')));
        through.once('end', resolve);
        zip.addReadStream(content.pipe(through), name, { mtime });
      }),
  };
  fill(into).then(
    () => zip.end(),
    (error: Error) => out.destroy(error),
  );
  return out;
}
