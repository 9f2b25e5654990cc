import { sayDevice } from './say-device';

test.each([
  ['Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/130.0.0.0 Safari/537.36', 'Chrome on Linux'],
  [
    'Mozilla/5.0 (iPhone; CPU iPhone OS 17_5 like Mac OS X) AppleWebKit/605.1.15 (KHTML, like Gecko) Version/17.5 Mobile/15E148 Safari/604.1',
    'Safari on iOS',
  ],
  ['', 'A device'],
  ['made up', 'A device'],
])('%s', (userAgent, said) => {
  expect(sayDevice(userAgent)).toBe(said);
});
