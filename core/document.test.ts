import { documentKind, lifted, versionOf, type Step } from './document';

const STEPS: Step[] = [
  // In its second version a ball got a colour, in its third the weight was said in grams.
  (older) => ({ ...older, colour: 'white' }),
  ({ ounces, ...older }) => ({ ...older, grams: Number(ounces) * 28 }),
];

test('a document is brought to the present version, one step after another', () => {
  expect(lifted({ ounces: 2 }, STEPS)).toEqual({ version: 3, colour: 'white', grams: 56 });
  expect(lifted({ version: 1, ounces: 2 }, STEPS)).toEqual({ version: 3, colour: 'white', grams: 56 });
  expect(lifted({ version: 2, colour: 'red', ounces: 1 }, STEPS)).toEqual({ version: 3, colour: 'red', grams: 28 });
});

test('one of the present version, or of a newer, stays as it is, and so does what is none', () => {
  for (const same of [{ version: 3, grams: 1 }, { version: 9, anything: [1] }, null, 'text', 4]) expect(lifted(same, STEPS)).toBe(same);
});

test('what says a version that there can’t be is not taken for an old one', () => {
  for (const odd of [{ version: 'two', ounces: 1 }, { version: -1 }, { version: { x: 1 } }, { version: 0.5 }, { version: null }])
    expect(lifted(odd, STEPS)).toBe(odd);
});

test.each([
  [{}, 1],
  [{ version: 4 }, 4],
  [{ version: 0 }, 1],
  [{ version: 1.5 }, 1],
  [{ version: '2' }, 1],
  [null, 1],
])('the version of %j is %i', (document, version) => expect(versionOf(document)).toBe(version));

test('a kind of document reads what older programs stored, and says of newer ones that it can’t', () => {
  const balls = documentKind<{ version: number; colour: string; grams: number }>(STEPS);
  expect(balls.version).toBe(3);
  expect(balls.read({ ounces: 1 }).grams).toBe(28);
  expect([{ ounces: 1 }, { version: 3 }, { version: 4 }, null, 'text'].map(balls.understands)).toEqual([true, true, false, false, false]);
});

const weights = documentKind<{ grams: number }>(STEPS);
const boxes = documentKind<{ balls: object[] }>([(older) => ({ balls: [], ...older })], {
  kind: weights,
  each: (box, of) => ({ ...box, balls: (box.balls as unknown[]).map(of) }),
});

test('what stands in a document is brought to its own present version', () => {
  const box = { version: 2, balls: [{ ounces: 1 }, { version: 3, colour: 'red', grams: 9 }] };
  expect(boxes.read(box)).toEqual({ version: 2, balls: [{ version: 3, colour: 'white', grams: 28 }, box.balls[1]] });
  expect([boxes.understands(box), boxes.understands({}), boxes.understands(null)]).toEqual([true, true, false]);
});

test('a document that holds what only a newer program knows is not understood', () => {
  expect(boxes.understands({ version: 2, balls: [{ version: 4 }] })).toBe(false);
  const newer = { version: 3, anything: 1 };
  expect([boxes.understands(newer), boxes.read(newer)]).toEqual([false, newer]);
});
