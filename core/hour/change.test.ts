import fc from 'fast-check';
import { game, idOf } from '../testing/make';
import { bySchool, inMinutes, newHour, withPart, withTest } from './change';
import { hourSchema, PART_KINDS } from './hour';
import { PRESETS } from './school';

const made = newHour('Tuesday', PRESETS[0]!.school, 50);
const kinds = (hour: typeof made) => hour.parts.map(({ kind }) => kind).join(' ');

test('an hour begins with the parts of its school', () => {
  expect(hourSchema.parse(made)).toEqual(made);
  expect(kinds(made)).toBe('technique landing lies putting game');
});

test('another school: what is kept stays, with what is outside the short game, and the game is last', () => {
  const kept = {
    ...made,
    parts: made.parts.map((part) => (part.kind === 'putting' ? { ...part, pinned: true, title: 'Lag putts' } : part)),
  };
  const other = withPart(kept, 'other');
  const test = bySchool(other, PRESETS.find(({ key }) => key === 'test')!.school);
  expect(kinds(test)).toBe('test landing lies putting other game');
  expect(test.parts.find(({ kind }) => kind === 'putting')!.title).toBe('Lag putts');
});

test('whatever is changed, it stays an hour that can be saved', () => {
  const change = fc.oneof(
    fc.record({ do: fc.constant('school' as const), n: fc.nat(PRESETS.length - 1) }),
    fc.record({ do: fc.constant('minutes' as const), n: fc.integer({ min: 5, max: 180 }) }),
    fc.record({ do: fc.constant('part' as const), n: fc.nat(PART_KINDS.length - 2) }),
  );
  fc.assert(
    fc.property(fc.array(change, { maxLength: 6 }), (changes) => {
      let hour = made;
      for (const { do: what, n } of changes) {
        if (what === 'school') hour = bySchool(hour, PRESETS[n]!.school);
        else if (what === 'minutes') hour = inMinutes(hour, n);
        else if (hour.parts.length < Math.min(12, hour.minutes)) hour = withPart(hour, PART_KINDS[n]!);
        expect(hourSchema.parse(hour)).toEqual(hour);
        expect(new Set(hour.parts.map(({ key }) => key)).size).toBe(hour.parts.length);
      }
    }),
  );
});

test('the test follows the game', () => {
  const hour = newHour('x', PRESETS.find(({ key }) => key === 'test')!.school, 40);
  const played = { gameId: idOf(7), spec: game() };
  const parts = withTest(hour.parts.map((part) => (part.kind === 'game' ? { ...part, title: 'Lantern Six', game: played } : part)));
  expect(parts[0]).toMatchObject({ title: 'Lantern Six', game: played });
  // What is known of its luck stays as long as the game does.
  const known = parts.map((part) => ({ ...part, luck: 2 }));
  expect(withTest(known)[0]!.luck).toBe(2);
  const other = known.map((part) => (part.kind === 'game' ? { ...part, game: { gameId: idOf(8), spec: game() } } : part));
  expect(withTest(other)[0]!.luck).toBeNull();
});
