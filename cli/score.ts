import { scoreAnswer, scoreTable } from '@/core/formats/score-table';
import { readShotTable } from '@/core/formats/shot-table';
import { gameAt } from './game';

/** `score GAME.json SHOTS.csv`: what the screens say of the same game and balls. */
export function score(files: readonly string[], read: (path: string) => string): object {
  const [gamePath, shotsPath] = files;
  if (!gamePath || !shotsPath) throw new Error('Usage: npm run -s inch -- score GAME.json SHOTS.csv');
  const game = gameAt(gamePath, read);
  const { rows, problems, ignored } = readShotTable(read(shotsPath));
  if (problems.length > 0) throw new Error(`${shotsPath}: ${problems.map(({ line, message }) => `line ${line}: ${message}`).join('; ')}`);
  if (rows.length === 0) throw new Error(`${shotsPath}: there is no ball in it.`);
  return { ...scoreAnswer(game, scoreTable(game, rows)), ...(ignored.length > 0 ? { ignored_columns: ignored } : {}) };
}
