import fc from 'fast-check';
import Papa from 'papaparse';
import { game } from '../testing/make';
import { readCell, writeCells } from './cells';
import { SESSION_TABLE_COLUMNS, writeSessionTable, type SessionOut } from './session-table';

const parse = (csv: string) => Papa.parse<string[]>(csv.replace(/\n$/, '')).data;

test('cells come back as they went out, and none of them is a formula in a spreadsheet', () => {
  const cell = fc.oneof(
    fc.string({ maxLength: 20 }),
    fc.constantFrom('=1+1', '+44', '-2', '@sum', "'=1", "''=1", "'x", '\t=1', 'a,b', 'say "so"', 'two\nlines', '=HYPERLINK("x")'),
  );
  fc.assert(
    fc.property(fc.array(fc.record({ a: cell, b: cell }), { minLength: 1, maxLength: 5 }), (rows) => {
      const [head, ...read] = parse(writeCells(['a', 'b'], rows));
      expect(head).toEqual(['a', 'b']);
      expect(read.map((cells) => cells.map(readCell))).toEqual(rows.map(({ a, b }) => [a, b]));
      for (const text of read.flat()) expect(text).not.toMatch(/^[=+\-@\t\r]/);
    }),
  );
});

test('a number below zero stays a number', () => {
  expect(writeCells(['a'], [{ a: -2 }])).toBe('a\n-2\n');
  expect(writeCells(['a'], [], false)).toBe('');
});

const session: SessionOut = {
  sessionId: 's1',
  startedAt: new Date('2026-05-01T18:00:00Z'),
  gameVersion: 2,
  spec: game({ title: '=Two Spots', goal: 20 }),
  conditions: { stimpFt: 9.5, firmness: 'firm', wet: true },
  tags: ['league', 'night'],
  balls: 12,
  given: null,
  outcome: {
    through: true,
    scores: [
      { playerId: 'p1', score: 21, met: true },
      { playerId: 'p2', score: 8, met: false },
    ],
    ahead: ['p1'],
  },
  players: [
    { playerId: 'p1', name: 'Ana', ownNote: 'good, "calm"', coachNotes: [] },
    { playerId: 'p2', name: '-Ben', ownNote: '', coachNotes: [{ by: 'Ines', text: 'two\nlines' }] },
  ],
};

test('a session has a row for each who played', () => {
  const [head, ...rows] = parse(writeSessionTable([session]));
  expect(head).toEqual([...SESSION_TABLE_COLUMNS]);
  const of = (row: string[]) => Object.fromEntries(SESSION_TABLE_COLUMNS.map((column, i) => [column, readCell(row[i]!)]));
  expect(rows).toHaveLength(2);
  expect(of(rows[0]!)).toEqual({
    session_id: 's1',
    played_at: '2026-05-01T18:00:00.000Z',
    player: 'Ana',
    game: '=Two Spots',
    game_version: '2',
    score: '21',
    unit: 'points',
    goal: '20',
    goal_met: 'true',
    to_the_end: 'true',
    balls: '12',
    stimp_ft: '9.5',
    firmness: 'firm',
    wet: 'true',
    wind: '',
    tags: 'league, night',
    note: 'good, "calm"',
    coach_note: '',
  });
  expect(of(rows[1]!)).toMatchObject({ player: '-Ben', score: '8', goal_met: 'false', coach_note: 'two\nlines' });
  expect(parse(writeSessionTable([session], false))).toEqual(rows);
});
