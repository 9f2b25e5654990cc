import { writeFileSync } from 'node:fs';
import { gameJsonSchema } from '@/core/formats/game-schema';

/** Writes the JSON Schema of game files to docs/. */
writeFileSync(new URL('../docs/game-file.schema.json', import.meta.url), gameJsonSchema());
