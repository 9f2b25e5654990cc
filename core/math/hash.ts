/** A whole number from 0 to 2³² − 1 that stands for a text: FNV-1a. For seeds and for telling versions apart, not against malice. */
export function hash32(text: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return hash >>> 0;
}
