import { ownAddress } from './own-address';

test('after signing in one is sent to an address of this program only', () => {
  expect(['/a/x', '/play#0-1', '//evil.example', 'https://evil.example', '/\\evil', undefined, ['/a', '/b']].map(ownAddress)).toEqual([
    '/a/x',
    '/play#0-1',
    '/',
    '/',
    '/',
    '/',
    '/',
  ]);
});
