import fc from 'fast-check';
import { makeCaughtUp, positionOf } from './caught-up';

const later = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

test('a replica that gets there within a moment is waited for, one that does not is not', async () => {
  let arrived = 4n;
  const caughtUp = makeCaughtUp({ written: () => Promise.resolve(5n), replayed: () => Promise.resolve(arrived) });
  expect(await caughtUp()).toBe(false);
  setTimeout(() => (arrived = 5n), 10);
  expect(await caughtUp()).toBe(true);
});

test('questions of one instant are one, and where it was seen the replica is not asked again', async () => {
  const asked = { written: 0, replayed: 0 };
  const count = (what: keyof typeof asked) => () => Promise.resolve(BigInt(((asked[what] += 1), what === 'written' ? 7 : 9)));
  const caughtUp = makeCaughtUp({ written: count('written'), replayed: count('replayed') });
  expect(await Promise.all([caughtUp(), caughtUp(), caughtUp()])).toEqual([true, true, true]);
  expect(asked).toEqual({ written: 1, replayed: 1 });
  expect(await caughtUp()).toBe(true);
  expect(asked).toEqual({ written: 2, replayed: 1 });
});

test('an error is told to whoever asked, and the next question is asked anew', async () => {
  let broken = true;
  const caughtUp = makeCaughtUp({
    written: () => Promise.resolve(1n),
    replayed: () => (broken ? Promise.reject(new Error('away')) : Promise.resolve(1n)),
  });
  await expect(caughtUp()).rejects.toThrow('away');
  broken = false;
  expect(await caughtUp()).toBe(true);
});

test('yes is said only of a replica that has all that had been committed when it was asked, whatever comes in what order', async () => {
  const steps = fc.array(fc.tuple(fc.constantFrom('commit', 'replay', 'ask'), fc.integer({ min: 0, max: 4 })), { maxLength: 40 });
  await fc.assert(
    fc.asyncProperty(steps, async (all) => {
      let [written, replayed] = [0n, 0n];
      const slowly = async (read: () => bigint) => {
        await later(0);
        const at = read();
        await later(0);
        return at;
      };
      const caughtUp = makeCaughtUp({ written: () => slowly(() => written), replayed: () => slowly(() => replayed) });
      const answers: Promise<void>[] = [];
      for (const [step, pause] of all) {
        if (step === 'commit') written++;
        else if (step === 'replay') replayed = written;
        else {
          const committed = written;
          answers.push(
            caughtUp().then((yes) => {
              if (yes) expect(replayed).toBeGreaterThanOrEqual(committed);
            }),
          );
        }
        if (pause > 0) await later(pause % 2);
      }
      replayed = written;
      await Promise.all(answers);
    }),
    { numRuns: 60 },
  );
});

test('positions in the log are read as PostgreSQL writes them', () => {
  expect([positionOf('0/0'), positionOf('0/FF'), positionOf('1/0'), positionOf('16/B374D848')]).toEqual([
    0n,
    255n,
    4_294_967_296n,
    0x16b374d848n,
  ]);
});
