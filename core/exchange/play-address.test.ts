import fc from 'fast-check';
import { FORGOTTEN, hourAddress, playAddress, readPlayHash, sessionOf, startAddress } from './play-address';

const id = '01890000-0000-7000-8000-000000000001';

test('an address of play names a session, and a station where one was asked for, whatever its key', () => {
  expect(playAddress(id)).toBe(`/play#${id}`);
  expect(readPlayHash(id)).toEqual({ sessionId: id, stationKey: null });
  fc.assert(
    fc.property(fc.string({ minLength: 1, maxLength: 40, unit: 'grapheme' }), (stationKey) => {
      expect(readPlayHash(playAddress(id, stationKey).slice('/play#'.length))).toEqual({ sessionId: id, stationKey });
    }),
  );
  expect(readPlayHash(`${id}~%E0%A4%A`)).toEqual({ sessionId: id, stationKey: null });
});

test('a session is what has an id, at a station or not; a start page, an hour and a phone that forgot are none', () => {
  expect([sessionOf(id), sessionOf(`${id}~a1`), sessionOf(id.toUpperCase())]).toEqual([id, id, id.toUpperCase()]);
  const others = [startAddress('here'), hourAddress('here', id)].map((address) => address.slice('/play#'.length));
  for (const hash of [...others, FORGOTTEN, '', `${id}0`, id.slice(1)]) expect(sessionOf(hash)).toBeNull();
});
