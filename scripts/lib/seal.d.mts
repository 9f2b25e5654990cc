import type { Transform } from 'node:stream';

export const LEAST_PASSPHRASE: number;
export class Sealed extends Error {}
export function seal(passphrase: string, said?: Record<string, string>): Transform;
export function unseal(passphrase: string, onHead?: (head: Record<string, unknown>) => void): Transform;
