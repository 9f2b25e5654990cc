import { createHash, randomBytes } from 'node:crypto';

/** A secret that opens something of one academy, and what is kept of it. */
export type Token = { token: string; hash: Buffer };

const SECRET_BYTES = 32;
const SHAPE = /^([A-Za-z0-9_-]{1,64})\.([A-Za-z0-9_-]{43})$/;

/** Makes a token: where to look, and 256 random bits. Only the hash is ever kept. */
export function newToken(academyId: string): Token {
  const token = `${academyId}.${randomBytes(SECRET_BYTES).toString('base64url')}`;
  return { token, hash: hashOf(token) };
}

/** In which academy to look for a token, and its hash; null for what can't be one. */
export function readToken(token: string): { academyId: string; hash: Buffer } | null {
  const parts = SHAPE.exec(token);
  return parts && { academyId: parts[1]!, hash: hashOf(token) };
}

function hashOf(token: string): Buffer {
  return createHash('sha256').update(token).digest();
}

/** The token that a request carries in its header; null without one. */
export function bearerOf(headers: Headers): string | null {
  return /^Bearer (\S{1,200})$/.exec(headers.get('authorization') ?? '')?.[1] ?? null;
}
