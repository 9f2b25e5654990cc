import { readFileSync } from 'node:fs';
import { diagnose, USAGE as DIAGNOSE } from './diagnose';
import { forecast, USAGE as FORECAST } from './forecast';
import { landing, USAGE as LANDING } from './landing';
import { score } from './score';

/**
 * The core with no screen: `npm run -s inch -- COMMAND …`. Each command prints one JSON object on standard output; what
 * is wrong goes to standard error, with exit status 2.
 */
type Command = { run: (files: readonly string[], read: (path: string) => string) => object; usage: string };

const COMMANDS: Record<string, Command> = {
  score: { run: score, usage: 'score GAME.json SHOTS.csv' },
  diagnose: { run: diagnose, usage: DIAGNOSE },
  forecast: { run: forecast, usage: FORECAST },
  landing: { run: landing, usage: LANDING },
};

function read(path: string): string {
  try {
    return readFileSync(path, 'utf8');
  } catch {
    throw new Error(`The file ${path} can't be read.`);
  }
}

const [name = '', ...rest] = process.argv.slice(2);
const command = COMMANDS[name];
try {
  if (!command)
    throw new Error(
      `Usage: npm run -s inch -- ${Object.values(COMMANDS)
        .map(({ usage }) => usage)
        .join(' | ')}`,
    );
  process.stdout.write(`${JSON.stringify(command.run(rest, read))}\n`);
} catch (error) {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exitCode = 2;
}
