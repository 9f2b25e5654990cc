import { randomUUID } from 'node:crypto';
import { createInterface } from 'node:readline';
import { parseArgs } from 'node:util';
import { METRES_PER, snap } from '@/core/units/length';

/**
 * A stand-in for a device that reads distances: each line typed is one reading, "4 ft 3" or "1.3 m" or a plain number
 * of feet. It posts them with the key of a session, which play shows under ⋯, "Distance reader".
 */
const USAGE = 'npm run reader -- --key KEY [--url http://127.0.0.1:3000] [DISTANCE …]';

const { values, positionals } = parseArgs({
  options: { key: { type: 'string' }, url: { type: 'string', default: 'http://127.0.0.1:3000' } },
  allowPositionals: true,
});
if (!values.key) {
  console.error(USAGE);
  process.exit(2);
}
const { key, url } = values;

/** Metres of what was typed; null for what is no distance. */
function metresOf(text: string): number | null {
  const feet = /^(\d+(?:\.\d+)?)\s*(?:ft|')?(?:\s*(\d+(?:\.\d+)?)\s*(?:in|")?)?$/.exec(text);
  if (feet) return snap(Number(feet[1]) * METRES_PER.ft + Number(feet[2] ?? 0) * METRES_PER.in);
  const metres = /^(\d+(?:\.\d+)?)\s*m$/.exec(text);
  return metres ? snap(Number(metres[1])) : null;
}

// It counts on from a start that is later than any start before it, so that a restarted device is not taken for a late one:
// tenths of a second, since two starts can fall in one second.
let seq = Math.floor((Date.now() - Date.UTC(2026, 0, 1)) / 100);

async function hand(text: string): Promise<boolean> {
  const distanceM = metresOf(text.trim());
  if (distanceM === null) {
    console.error(`"${text}" is no distance: write 4 ft 3, or 1.3 m.`);
    return false;
  }
  const body = JSON.stringify({ readingId: randomUUID(), seq: ++seq, distanceM, ageMs: 0 });
  const headers = { authorization: `Bearer ${key}`, 'content-type': 'application/json' };
  const response = await fetch(`${url}/api/v1/readings`, { method: 'POST', headers, body }).catch(() => null);
  const answer = (await response?.json().catch(() => null)) as { error?: string } | null;
  if (response?.ok) console.log(`${distanceM} m handed in`);
  else console.error(answer?.error ?? 'The program could not be reached.');
  return response?.ok ?? false;
}

if (positionals.length > 0) {
  let all = true;
  for (const text of positionals) all = (await hand(text)) && all;
  process.exit(all ? 0 : 1);
}
for await (const line of createInterface({ input: process.stdin })) if (line.trim()) await hand(line);
