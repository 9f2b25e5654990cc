import { makeGatherer } from './gather';
import { makeTurns, TooMany } from './turns';

const tick = () => new Promise((resolve) => setTimeout(resolve, 5));

function gatherer({ fails = (_n: number): boolean => false, most = 10, waiting = 100, turns = 100 } = {}) {
  const rounds: number[][] = [];
  const ask = makeGatherer<number, number>(
    makeTurns({ most: 2, waiting: turns }),
    async (all) => {
      rounds.push(all);
      await tick();
      if (all.some(fails)) throw new Error('no');
      return all.map((one) => one * 10);
    },
    { most, waiting },
  );
  return { ask, rounds };
}

test('what is asked for while one is under way is done together, and everybody gets their own answer', async () => {
  const { ask, rounds } = gatherer();
  const answers = await Promise.all([1, 2, 3, 4].map((n) => ask('a', n)));
  expect(answers).toEqual([10, 20, 30, 40]);
  expect(rounds).toEqual([[1], [2, 3, 4]]);
  await tick();
  expect(await Promise.all([ask('a', 5), ask('b', 6)])).toEqual([50, 60]);
  expect(rounds.slice(2)).toEqual([[5], [6]]);
});

test('one that fails takes no other with it', async () => {
  const { ask } = gatherer({ fails: (n: number): boolean => n === 2 });
  const settled = await Promise.allSettled([1, 2, 3].map((n) => ask('a', n)));
  expect(settled.map(({ status }) => status)).toEqual(['fulfilled', 'rejected', 'fulfilled']);
});

test('no round is larger than it may be, and nobody waits for ever', async () => {
  const { ask, rounds } = gatherer({ most: 3 });
  expect(await Promise.all([1, 2, 3, 4, 5, 6, 7].map((n) => ask('a', n)))).toEqual([10, 20, 30, 40, 50, 60, 70]);
  expect(Math.max(...rounds.map((round) => round.length))).toBe(3);
});

test('where too many wait the next is refused, and the others are answered', async () => {
  const { ask } = gatherer({ waiting: 2 });
  const asked = [1, 2, 3].map((n) => ask('a', n));
  await expect(ask('a', 4)).rejects.toBeInstanceOf(TooMany);
  expect(await Promise.all(asked)).toEqual([10, 20, 30]);
});

test('where no turn is to be had, all who wait for it are refused, and the next may ask again', async () => {
  const { ask } = gatherer({ turns: 0 });
  const settled = await Promise.allSettled([ask('a', 1), ask('a', 2)]);
  expect(settled.map(({ status }) => status)).toEqual(['rejected', 'rejected']);
  await expect(ask('a', 3)).rejects.toBeInstanceOf(TooMany);
});

test('people who ask again as soon as they are answered leave nothing behind', async () => {
  const { ask } = gatherer({ most: 5, waiting: 20, turns: 20 });
  const person = async (key: string) => {
    for (let n = 0; n < 20; n++) expect(await ask(key, n)).toBe(n * 10);
  };
  await Promise.all([...Array.from({ length: 15 }, () => person('a')), person('b'), person('c'), person('d')]);
});
