/**
 * A time-ordered UUID (version 7 of RFC 9562): 48 bits of milliseconds, then 74 random bits, so that ids made later
 * sort later and can be made on a device without asking anybody.
 * @param nowMs milliseconds since 1970, from 0 to 2^48 − 1
 * @param random at least ten random bytes; the caller brings them, because the core has no randomness of its own
 */
export function timeOrderedId(nowMs: number, random: Uint8Array): string {
  if (random.length < 10) throw new RangeError('ten random bytes are needed for an id');
  const time = Math.trunc(nowMs).toString(16).padStart(12, '0');
  const bytes = Array.from(random.slice(0, 10));
  bytes[0] = (bytes[0]! & 0x0f) | 0x70;
  bytes[2] = (bytes[2]! & 0x3f) | 0x80;
  const rest = bytes.map((b) => b.toString(16).padStart(2, '0')).join('');
  return `${time.slice(0, 8)}-${time.slice(8)}-${rest.slice(0, 4)}-${rest.slice(4, 8)}-${rest.slice(8)}`;
}
