import { between, game, holed, idOf, left, record, voidOf } from '../testing/make';
import { projectShots } from './project';
import { readEvents } from './read-event';
import { shotBatchSchema, shotEventSchema, shotRecordSchema, type ShotEvent } from './shot';

const spec = game();
const first = record(spec, 0, left(4));
const amend = (payload: object, n: number): ShotEvent =>
  shotEventSchema.parse({ ...voidOf(first, n), eventId: idOf(9000 + n), kind: 'amend', payload });

test('a shot is what was recorded', () => {
  expect(projectShots([first])).toEqual([{ ...first.payload, shotId: first.shotId }]);
});

test('a correction is a new fact that changes what it names', () => {
  const [shot] = projectShots([first, amend({ leftM: 2 }, 1), amend({ mishit: 'thin' }, 2)]);
  expect(shot).toMatchObject({ leftM: 2, mishit: 'thin', stationKey: 'a' });
});

test('a correction that would contradict the rest is not applied', () => {
  const [shot] = projectShots([first, amend({ holed: true }, 1)]);
  expect(shot).toMatchObject({ holed: false, leftM: first.kind === 'record' ? first.payload.leftM : 0 });
});

test('a removal is final, whatever comes after or before it', () => {
  expect(projectShots([first, voidOf(first, 1), amend({ leftM: 1 }, 2)])).toEqual([]);
  expect(projectShots([voidOf(first, 1), first])).toEqual([]);
});

test('a correction of something that was never recorded is nothing', () => {
  expect(projectShots([amend({ leftM: 1 }, 1)])).toEqual([]);
});

test.each([
  ['holed with something left', { ...holed, leftM: 1 }],
  ['a distance and a ring', { ...left(4), leftMinM: 1, leftMaxM: 2 }],
  ['a ring inside out', between(6, 3)],
  ['a bearing of 360', { ...left(4), bearingDeg: 360 }],
  ['a negative distance', { ...left(4), leftM: -1 }],
])('%s is refused', (_, result) => {
  expect(shotRecordSchema.safeParse({ ...first.payload, ...result }).success).toBe(false);
});

test('a batch is read event by event: what can’t be stored keeps nothing else waiting, and each says why', () => {
  const bad = { ...first, eventId: idOf(7), payload: { ...first.payload, note: `x${String.fromCharCode(0)}` } };
  const late = { ...first, eventId: idOf(8), deviceAt: '0000-01-01T00:00:00Z' };
  const huge = { ...first, eventId: idOf(9), deviceSeq: 2 ** 40 };
  const read = readEvents([bad, first, late, huge, { ...first, eventId: 'x' }, null]);
  expect(read.events).toEqual([first]);
  expect(read.refused).toEqual([
    { eventId: idOf(7), why: 'note: This has a character that can’t be saved. Type it again.' },
    { eventId: idOf(8), why: 'deviceAt: That date can’t be right.' },
    { eventId: idOf(9), why: expect.stringMatching(/^deviceSeq: /) },
    { eventId: null, why: expect.stringMatching(/^eventId: /) },
    { eventId: null, why: expect.any(String) },
  ]);
  expect(shotBatchSchema.safeParse({ sessionId: first.sessionId, events: Array(201).fill(first) }).success).toBe(false);
  expect(shotBatchSchema.safeParse({ sessionId: 'x', events: [first] }).success).toBe(false);
});
