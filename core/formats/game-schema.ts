import * as z from 'zod';
import { gameSpecSchema } from '../game/spec';

/**
 * The JSON Schema of game files, as text. It says the shape of a file; what makes no sense together (a ladder in random
 * order) is refused by the program with the reason.
 */
export function gameJsonSchema(): string {
  const schema = z.toJSONSchema(gameSpecSchema, { io: 'input' });
  return `${JSON.stringify({ ...schema, title: 'Inch Game file', description: 'A game as data: *.inch-game.json' }, null, 2)}\n`;
}
