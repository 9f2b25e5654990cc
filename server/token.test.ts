import { createHash } from 'node:crypto';
import { bearerOf, newToken, readToken } from './token';

test('a token says where to look, and is known again by its hash', () => {
  const { token, hash } = newToken('academy-1');
  expect(token).toMatch(/^academy-1\.[A-Za-z0-9_-]{43}$/);
  expect(readToken(token)).toEqual({ academyId: 'academy-1', hash });
  expect(hash).toEqual(createHash('sha256').update(token).digest());
});

test('no two are alike, and none can be told from another', () => {
  const made = Array.from({ length: 500 }, () => newToken('a').token);
  expect(new Set(made).size).toBe(500);
});

test.each([
  '',
  'a',
  'a.b',
  'a.' + 'x'.repeat(42),
  'a.' + 'x'.repeat(44),
  '.' + 'x'.repeat(43),
  "a'.".padEnd(46, 'x'),
  'a.' + '/'.repeat(43),
])('“%s” can be no token', (text) => expect(readToken(text)).toBeNull());

test('the header of a request carries it, and nothing else does', () => {
  const of = (value?: string) => bearerOf(new Headers(value ? { authorization: value } : {}));
  expect([of('Bearer abc'), of('bearer abc'), of('Basic abc'), of('Bearer a b'), of(`Bearer ${'x'.repeat(201)}`), of()]).toEqual([
    'abc',
    null,
    null,
    null,
    null,
    null,
  ]);
});
