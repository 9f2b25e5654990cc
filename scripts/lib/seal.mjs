import { createCipheriv, createDecipheriv, randomBytes, scryptSync } from 'node:crypto';
import { Transform } from 'node:stream';

/*
 * A file that is sealed with a passphrase. Its first line says in JSON what it is and how the key is made (scrypt, RFC 7914); then come pieces of a
 * mebibyte, each sealed by itself (AES-256-GCM, NIST SP 800-38D) with the number of the piece and whether it is the last: so a file that was changed,
 * cut, or put together from others is refused, piece by piece, and can be of any length.
 */
const PIECE = 1 << 20;
const TAG = 16;
const MOST_LINE = 4096;
export const LEAST_PASSPHRASE = 12;

/** A file that can't be opened: with a sentence that says why. */
export class Sealed extends Error {}

const keyOf = (passphrase, { salt, n, r, p }) =>
  scryptSync(passphrase.normalize('NFC'), Buffer.from(salt, 'base64'), 32, { N: n, r, p, maxmem: 256 * n * r });

/** Of one file, no two pieces have the same: its number, and whether it is the last. The key is of this file alone. */
function nonceOf(i, last) {
  const nonce = Buffer.alloc(12);
  nonce.writeUInt32BE(i, 7);
  nonce[11] = last ? 1 : 0;
  return nonce;
}

/** Seals what goes through. @param said what the first line says besides, for everybody to read */
export function seal(passphrase, said = {}) {
  const head = { ...said, sealed: 1, salt: randomBytes(16).toString('base64'), n: 1 << 15, r: 8, p: 1 };
  const line = Buffer.from(`${JSON.stringify(head)}\n`);
  const key = keyOf(passphrase, head);
  let [held, size, i, begun] = [[], 0, 0, false];
  const piece = (plain, last) => {
    const cipher = createCipheriv('aes-256-gcm', key, nonceOf(i++, last));
    cipher.setAAD(line);
    return Buffer.concat([cipher.update(plain), cipher.final(), cipher.getAuthTag()]);
  };
  return new Transform({
    transform(chunk, _, done) {
      if (!begun) this.push(line);
      begun = true;
      held.push(chunk);
      size += chunk.length;
      // A full piece waits for what comes after it: it may be the last.
      if (size > PIECE) {
        const all = Buffer.concat(held);
        let at = 0;
        for (; all.length - at > PIECE; at += PIECE) this.push(piece(all.subarray(at, at + PIECE), false));
        held = [all.subarray(at)];
        size = all.length - at;
      }
      done();
    },
    flush(done) {
      if (!begun) this.push(line);
      this.push(piece(Buffer.concat(held), true));
      done();
    },
  });
}

/** Opens what was sealed. @param onHead is told what the first line says @throws {Sealed} through the stream, before anything false is let through */
export function unseal(passphrase, onHead = () => {}) {
  let [held, line, key, i] = [Buffer.alloc(0), null, null, 0];
  const open = (sealed, last) => {
    if (sealed.length < TAG) throw new Sealed('The file is cut off.');
    const decipher = createDecipheriv('aes-256-gcm', key, nonceOf(i, last));
    decipher.setAAD(line);
    decipher.setAuthTag(sealed.subarray(-TAG));
    const plain = decipher.update(sealed.subarray(0, -TAG));
    try {
      decipher.final();
    } catch {
      throw new Sealed(i === 0 ? 'The passphrase is wrong, or the file is damaged or cut off.' : 'The file is damaged or cut off.');
    }
    i++;
    return plain;
  };
  const begin = () => {
    const end = held.indexOf(10);
    if (end < 0 && held.length < MOST_LINE) return false;
    const head = end < 0 ? null : readHead(held.subarray(0, end).toString());
    if (!head) throw new Sealed('This isn’t a backup of this program.');
    line = held.subarray(0, end + 1);
    held = held.subarray(end + 1);
    key = keyOf(passphrase, head);
    onHead(head);
    return true;
  };
  const attempt = (run, done) => {
    try {
      run();
      done();
    } catch (error) {
      done(error);
    }
  };
  return new Transform({
    transform(chunk, _, done) {
      attempt(() => {
        held = Buffer.concat([held, chunk]);
        if (!key && !begin()) return;
        for (; held.length > PIECE + TAG; held = held.subarray(PIECE + TAG)) this.push(open(held.subarray(0, PIECE + TAG), false));
      }, done);
    },
    flush(done) {
      attempt(() => {
        if (!key) throw new Sealed('This isn’t a backup of this program.');
        this.push(open(held, true));
      }, done);
    },
  });
}

/** The first line; null where it is none of ours. Figures that would take all memory are none. */
function readHead(text) {
  try {
    const head = JSON.parse(text);
    const right = head.sealed === 1 && typeof head.salt === 'string' && head.n === 1 << 15 && head.r === 8 && head.p === 1;
    return right ? head : null;
  } catch {
    return null;
  }
}
