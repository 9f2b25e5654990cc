import { academySchema, signUpSchema, slugOf } from './account';
import { newPlayer, playerSchema } from './player';

const club = (n: number, label: string, loftDeg = 50) => ({ clubId: `00000000-0000-7000-8000-00000000000${n}`, label, loftDeg });
const faultsOf = (change: object) =>
  Object.fromEntries(
    (playerSchema.safeParse({ ...newPlayer('Otto', 'imperial'), ...change }).error?.issues ?? []).map((i) => [i.path.join('.'), i.message]),
  );

test.each([
  ['no name', { name: ' ' }, 'name', 'Enter a name or a nickname.'],
  ['no level', { level: null }, 'level', 'Enter a level such as 18, or +2'],
  ['a level of 60', { level: 60 }, 'level', 'Levels run from +10 to 54'],
  ['a pace of 3 m', { paceM: 3 }, 'paceM', 'A pace is'],
  ['a club without a name', { clubs: [club(1, '')] }, 'clubs.0.label', 'Name the club.'],
  ['a loft of 90', { clubs: [club(1, 'lob', 90)] }, 'clubs.0.loftDeg', '0 to 80'],
  ['two clubs of one name', { clubs: [club(1, 'Lob'), club(2, 'lob')] }, 'clubs.1.label', 'Another club has this name.'],
])('%s is refused beside its field', (_, change, path, reason) => {
  expect(faultsOf(change)[path]).toContain(reason);
});

test('a nickname and a level are enough', () => {
  expect(playerSchema.parse(newPlayer('  Zip ', 'metric')).name).toBe('Zip');
});

test.each([
  ['Lantern Hollow', 'lantern-hollow'],
  ['  Çédric’s Shed!! ', 'cedric-s-shed'],
  ['高尔夫', 'academy'],
])('the address of “%s” is %s', (name, slug) => {
  expect(slugOf(name)).toBe(slug);
});

test('a squad’s academy needs a name, a single player’s does not', () => {
  const own = { level: '18', handed: 'right', paceM: null, bag: 'usual' };
  const form = { who: 'squad', name: '', units: 'metric', timeZone: 'UTC', ...own };
  expect(academySchema.safeParse(form).error?.issues[0]?.path).toEqual(['name']);
  expect(academySchema.safeParse({ ...form, who: 'alone' }).success).toBe(true);
});

test('a password has at least eight characters', () => {
  expect(signUpSchema.safeParse({ name: 'A', email: 'a@b.example', password: '1234567' }).success).toBe(false);
});
