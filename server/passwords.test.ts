import { isCommon } from './passwords';

test.each(['qwertyuiop', 'Password123', '1234567890', 'basketball!', 'aaaaaaaaaaaa', 'abababababab'])('“%s” is tried first', (password) =>
  expect(isCommon(password)).toBe(true),
);

test.each(['seven-paces-out', 'a long enough one', 'vkjw-39fh-aaq'])('“%s” is not', (password) => expect(isCommon(password)).toBe(false));
