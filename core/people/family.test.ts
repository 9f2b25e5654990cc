import fc from 'fast-check';
import { bornYearSchema, consentSchema, guardianSchema, isShortName, isUnderAge, shortName } from './family';

test('somebody counts as under age to the end of the year in which they are 18; without a year as grown up', () => {
  expect([2026, 2027, 2028].map((year) => isUnderAge(2009, year))).toEqual([true, true, false]);
  expect(isUnderAge(null, 2026)).toBe(false);
  expect(isUnderAge(2026, 2026)).toBe(true);
});

test('a first name or nickname is one word, hyphens and accents included', () => {
  expect(['Zélie', 'Mary-Ann', 'O’Neill', 'Zélie Varga', 'J. P.'].map(isShortName)).toEqual([true, true, true, false, false]);
  expect(shortName('Zélie Varga')).toBe('Zélie');
});

test('what is left of any name is one word of it', () => {
  fc.assert(
    fc.property(
      fc.string({ minLength: 1 }).filter((name) => name.trim() === name && name !== ''),
      (name) => {
        expect(isShortName(shortName(name))).toBe(true);
        expect(name.startsWith(shortName(name))).toBe(true);
      },
    ),
  );
});

test('a guardian can be reached by one way at least', () => {
  const wrong = (form: object) => guardianSchema.safeParse(form).error?.issues.map(({ path, message }) => [path.join('.'), message]);
  expect(wrong({ name: 'Ada', email: '', phone: '' })).toEqual([['email', 'Enter an e-mail address or a phone number.']]);
  expect(wrong({ name: '', email: 'ada@', phone: 'call me' })).toEqual([
    ['name', 'Enter their name.'],
    ['email', 'Enter an e-mail address, such as name@club.example.'],
    ['phone', 'Enter a phone number, such as 020 555 0142.'],
  ]);
  expect(guardianSchema.parse({ name: 'Ada', email: 'Ada@Test.Example', phone: '+44 (0)20 555-0142' })).toEqual({
    ...{ name: 'Ada', email: 'ada@test.example', phone: '+44 (0)20 555-0142' },
  });
});

test('years of birth and days of consent that can’t be are refused with a sentence', () => {
  const year = (bornYear: unknown) => bornYearSchema(2026).safeParse(bornYear).error?.issues[0]!.message;
  expect([year(2014), year(null), year(2027), year(14), year(Number.NaN)]).toEqual([
    undefined,
    undefined,
    'That’s in the future.',
    'Enter a year, such as 2014.',
    'Enter a year, such as 2014.',
  ]);
  expect(consentSchema.safeParse({ by: 'Ada', on: '2026-02-30' }).success).toBe(false);
});
