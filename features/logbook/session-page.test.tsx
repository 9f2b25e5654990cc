import { render, screen } from '@testing-library/react';
import { plainEntrant } from '@/core/game/entrant';
import { projectShots } from '@/core/shot/project';
import { game, left, PLAYER, record, SESSION } from '@/core/testing/make';
import { SessionPage } from './session-page';

jest.mock('../session/actions', () => ({ saveNoteAction: jest.fn(), saveTagsAction: jest.fn() }));
jest.mock('../imports/actions', () => ({ removeResultAction: jest.fn() }));

type Props = React.ComponentProps<typeof SessionPage>;
const startedAt = new Date('2026-05-01T17:00:00Z');
const events = [record(game(), 0, left(5)), record(game(), 1, left(4), 1)];
const data = {
  session: {
    sessionId: SESSION,
    gameId: 'g',
    gameVersion: 2,
    spec: game(),
    startedAt,
    completedAt: startedAt,
    stoppedAt: null,
    given: null,
    importId: null,
    conditions: {},
    tags: [],
  },
  players: [{ playerId: PLAYER, name: 'Otto', units: 'imperial', paceM: null, clubM: null, putterM: null }],
  entrants: [plainEntrant(PLAYER)],
  notes: [{ own: '', coach: '', coaches: [] }],
  stations: [],
  shots: projectShots(events),
  scores: [{ score: null, met: null }],
} as unknown as Props['data'];
const show = (log: Props['log']) =>
  render(<SessionPage mayChange sees={null} slug="here" data={data} log={log} bests={new Map()} timeZone="UTC" />);
const said = (event: (typeof events)[number] | null) => ({ event, by: 'Ines', at: startedAt });

test('a session that this version can read wholly says nothing of newer ones', () => {
  show(events.map(said));
  expect(screen.getByRole('heading', { name: /Otto/ })).toBeVisible();
  expect(screen.queryByText(/newer version/)).toBeNull();
});

test.each([
  [1, /^1 record of this session comes from a newer version of the program\. It is kept/],
  [2, /^2 records of this session come from a newer version of the program\. They are kept/],
])('%s that a newer program wrote are counted at the desk', (unread, sentence) => {
  show([...events.map(said), ...Array.from({ length: unread }, () => said(null))]);
  expect(screen.getByText(sentence)).toBeVisible();
});
