import { writeFileSync } from 'node:fs';
import { referenceCsv } from '@/core/made-up/reference-csv';

/** Writes the reference table anew, from how the players of each level play: `npm run docs:reference`. */
const HEAD = `/**
 * The reference players: expected strokes to hole out, hole-out rate, median and 90% distance left, and uses per round,
 * by level, shot type, surface and distance band. Levels are handicaps: −5 is a tour player, 0 a scratch amateur.
 *
 * Made by \`npm run docs:reference\` from \`core/made-up/level-play.ts\`, a simulation that is held to published figures, not measured
 * players: screens say so. Between levels, and beyond them, \`reference.ts\` reads on. Columns are those of the open format, so
 * that a coach's own table can take its place.
 */
`;
writeFileSync('core/golf/reference-data.ts', `${HEAD}export const REFERENCE_CSV = \`\\\n${referenceCsv()}\`;\n`);
