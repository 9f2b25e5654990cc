import { LIBRARY } from '@/core/game/library';
import { entrantOfLevel } from '@/core/forecast/levels';
import { answering } from './answering';
import type { AskedForecast, FromForecast } from './messages';

const game = LIBRARY.find(({ key }) => key === 'sand-glass')!.spec;
const question: AskedForecast = {
  game,
  rows: [5, 18].map((level) => ({ key: `level-${level}`, entrant: entrantOfLevel(game, level) })),
  target: 'level-5',
  wantedChance: 0.4,
  wantedRate: 0.5,
  wantedPar: 0.5,
  goalStepM: 0.3048,
  together: [],
};

/** Answers until it is done; with a newer question after so many pieces. */
async function run(newer: number | null) {
  const posted: FromForecast[] = [];
  let asked = 1;
  const take = answering(
    (message) => {
      posted.push(message);
      if (newer !== null && posted.length === newer) take({ ask: ++asked, question: { ...question, target: 'level-18' } });
    },
    () => new Promise((resolve) => setTimeout(resolve, 0)),
  );
  take({ ask: 1, question });
  while (!posted.some((message) => message.ask === asked && ('done' in message || 'failed' in message)))
    await new Promise((resolve) => setTimeout(resolve, 5));
  return posted;
}

test('a question is answered in pieces, and then it is done', async () => {
  const posted = await run(null);
  expect(posted.at(-1)).toEqual({ ask: 1, done: true });
  expect(posted.filter((message) => 'part' in message && message.part.kind === 'row')).toHaveLength(4);
});

test('a newer question ends the older one', async () => {
  const posted = await run(1);
  expect(posted).not.toContainEqual({ ask: 1, done: true });
  expect(posted.at(-1)).toEqual({ ask: 2, done: true });
  // What the older one still said came before the newer one's first piece was done with.
  const older = posted.filter(({ ask }) => ask === 1);
  expect(older.length).toBeLessThan(posted.filter(({ ask }) => ask === 2).length);
});

test('what can’t be answered is said', async () => {
  const posted: FromForecast[] = [];
  const take = answering(
    (message) => posted.push(message),
    () => Promise.resolve(),
  );
  take({ ask: 7, question: { ...question, game: { ...game, stations: [] } } });
  await new Promise((resolve) => setTimeout(resolve, 5));
  expect(posted).toEqual([{ ask: 7, failed: expect.stringContaining('without stations') as string }]);
});
