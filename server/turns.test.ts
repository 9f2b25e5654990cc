import { makeTurns, TooMany } from './turns';

const tick = () => new Promise((resolve) => setTimeout(resolve, 5));

test('one key after another in its order, several keys beside each other, no more than so many', async () => {
  const turns = makeTurns({ most: 2, waiting: 100 });
  const log: string[] = [];
  let running = 0;
  let most = 0;
  const job = (key: string, n: number) =>
    turns(key, async () => {
      most = Math.max(most, ++running);
      await tick();
      running--;
      log.push(`${key}${n}`);
    });
  await Promise.all([job('a', 1), job('a', 2), job('a', 3), job('b', 1), job('c', 1), job('b', 2)]);
  const of = (key: string) => log.filter((one) => one.startsWith(key));
  expect([of('a'), of('b'), of('c')]).toEqual([['a1', 'a2', 'a3'], ['b1', 'b2'], ['c1']]);
  expect(most).toBe(2);
});

test('a key with many jobs lets the others in between them', async () => {
  const turns = makeTurns({ most: 1, waiting: 100 });
  const log: string[] = [];
  const job = (key: string) => turns(key, async () => void log.push(key));
  await Promise.all([...Array.from({ length: 50 }, () => job('busy')), job('quiet')]);
  expect(log.indexOf('quiet')).toBeLessThan(3);
});

test('a job that fails fails alone, and its answer is its own', async () => {
  const turns = makeTurns({ most: 1, waiting: 100 });
  const [failed, fine] = await Promise.allSettled([
    turns('a', () => Promise.reject(new Error('no'))),
    turns('a', () => Promise.resolve(7)),
  ]);
  expect([failed.status, fine]).toEqual(['rejected', { status: 'fulfilled', value: 7 }]);
});

test('where too many wait the next is refused at once', async () => {
  const turns = makeTurns({ most: 1, waiting: 2 });
  const first = [turns('a', tick), turns('a', tick), turns('a', tick)];
  await expect(turns('a', tick)).rejects.toBeInstanceOf(TooMany);
  await Promise.all(first);
  await expect(turns('a', async () => 1)).resolves.toBe(1);
});
