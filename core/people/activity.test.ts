import { ACTIVITIES, ACTIVITY_KINDS, activitiesOf, sayDone, type ActivityKind, type ActivityName } from './activity';
import { asActivityQuery, readActivityAsked } from './activity-asked';

test.each([
  [{ what: 'savePlayer', about: 'p', name: 'Maren', more: null }, 'changed the player Maren'],
  [{ what: 'saveRole', about: 'u', name: 'Perrin', more: 'coach' }, 'changed the role of Perrin: coach'],
  [{ what: 'archiveGame', about: 'g', name: 'Half Moon', more: 'restored' }, 'restored the game Half Moon'],
  [{ what: 'savePace', about: null, name: null, more: null }, 'changed the pace of the coach'],
  [{ what: 'keepReport', about: null, name: null, more: null }, 'shared a report of the squad'],
  [{ what: 'gotBalls', about: null, name: null, more: null }, 'downloaded balls of everybody'],
  // Whoever was erased is named nowhere.
  [{ what: 'savePlayer', about: 'p', name: null, more: null }, 'changed the player (since removed)'],
  [{ what: 'lookedAt', about: 'p', name: null, more: null }, 'viewed (since removed)'],
  [{ what: 'saveNote', about: 's', name: null, more: null }, 'wrote a note in (since removed)'],
  [{ what: 'startImport', about: 'f', name: 'notes.csv', more: null }, 'imported notes.csv'],
  [{ what: 'erasePlayer', about: 'p', name: null, more: null }, 'erased a player'],
  [{ what: 'removeResult', about: 's', name: null, more: null }, 'removed a result'],
  [{ what: 'revokeLink', about: 'l', name: null, more: null }, 'ended a personal link'],
  [{ what: 'joined', about: null, name: null, more: 'assistant' }, 'joined: assistant'],
  [{ what: 'fromTheFuture', about: null, name: null, more: null }, 'fromTheFuture'],
])('%j is said: %s', (line, said) => {
  expect(sayDone(line)).toBe(said);
});

test('each thing that is kept is of one kind, or of the academy as a whole', () => {
  const kinds = Object.keys(ACTIVITY_KINDS) as ActivityKind[];
  for (const what of Object.keys(ACTIVITIES) as ActivityName[]) {
    const of = kinds.filter((kind) => activitiesOf(kind).includes(what));
    expect([what, of.length]).toEqual([what, of.length > 0 || ACTIVITIES[what][0] !== 'academy' ? 1 : 0]);
  }
  expect(activitiesOf('looks')).toEqual(['lookedAt']);
  expect(activitiesOf('people')).toEqual(expect.arrayContaining(['keepInvitation', 'saveRole', 'removeMember', 'handOver']));
});

test('what is looked for stands in the address; what makes no sense is passed over', () => {
  const asked = {
    by: 'u1',
    kind: 'looks',
    player: '0b5b3bd4-6f5e-4a51-9d7c-3c3f0b7b6f21',
    from: '2026-01-02',
    to: '2026-02-03',
    before: 7,
  } as const;
  expect(readActivityAsked(Object.fromEntries(new URLSearchParams(asActivityQuery(asked))))).toEqual(asked);
  expect(asActivityQuery({})).toBe('');
  expect(readActivityAsked({ by: '', kind: 'x', player: 'p', from: '2026-02-30', to: ['a'], before: '-1', more: 'x' })).toEqual({});
});
