import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { randomUUID } from 'node:crypto';
import { DEMO_GREENS } from '../core/demo/greens';
import { beginRun } from '../core/hour/run';
import { newPlayer } from '../core/people/player';
import type { OwnAcademy } from './own-academy';

/**
 * Every way into the program: pages, routes and actions, each with what a coach of the academy would send. A test fails when a file or an
 * action is not here.
 */

/** Pages and files that are read, by the file in `app/` that answers. */
export const PAGES: Readonly<Record<string, (of: OwnAcademy) => string>> = {
  'a/[academy]/page.tsx': ({ slug }) => `/a/${slug}`,
  'a/[academy]/games/page.tsx': ({ slug }) => `/a/${slug}/games`,
  'a/[academy]/games/new/page.tsx': ({ slug, gameId }) => `/a/${slug}/games/new?copy=${gameId}`,
  'a/[academy]/games/library/page.tsx': ({ slug }) => `/a/${slug}/games/library`,
  'a/[academy]/games/library/[key]/page.tsx': ({ slug }) => `/a/${slug}/games/library/three-hoops`,
  'a/[academy]/games/[game]/page.tsx': ({ slug, gameId }) => `/a/${slug}/games/${gameId}`,
  'a/[academy]/games/[game]/levels/page.tsx': ({ slug, gameId }) => `/a/${slug}/games/${gameId}/levels`,
  'a/[academy]/games/[game]/edit/page.tsx': ({ slug, gameId }) => `/a/${slug}/games/${gameId}/edit`,
  'a/[academy]/games/[game]/sheet/page.tsx': ({ slug, gameId, playerId }) => `/a/${slug}/games/${gameId}/sheet?by=${playerId}`,
  'a/[academy]/games/[game]/at/[station]/page.tsx': ({ slug, gameId, spec }) => `/a/${slug}/games/${gameId}/at/${spec.stations[0]!.key}`,
  'a/[academy]/games/[game]/file/route.ts': ({ slug, gameId }) => `/a/${slug}/games/${gameId}/file`,
  'a/[academy]/greens/page.tsx': ({ slug }) => `/a/${slug}/greens`,
  'a/[academy]/greens/new/page.tsx': ({ slug }) => `/a/${slug}/greens/new`,
  'a/[academy]/greens/[green]/page.tsx': ({ slug, greenId }) => `/a/${slug}/greens/${greenId}`,
  'a/[academy]/greens/[green]/plan/page.tsx': ({ slug, greenId }) => `/a/${slug}/greens/${greenId}/plan`,
  'a/[academy]/greens/[green]/file/route.ts': ({ slug, greenId }) => `/a/${slug}/greens/${greenId}/file`,
  'a/[academy]/plan/page.tsx': ({ slug }) => `/a/${slug}/plan`,
  'a/[academy]/plan/game/page.tsx': ({ slug, playerId }) => `/a/${slug}/plan/game?for=${playerId}`,
  'a/[academy]/plan/game/design/page.tsx': ({ slug, playerId }) => `/a/${slug}/plan/game/design?for=${playerId}&proposal=0`,
  'a/[academy]/plan/hour/new/page.tsx': ({ slug, playerId }) => `/a/${slug}/plan/hour/new?for=${playerId}`,
  'a/[academy]/plan/hour/[hour]/page.tsx': ({ slug, hourId }) => `/a/${slug}/plan/hour/${hourId}`,
  'a/[academy]/plan/weeks/new/page.tsx': ({ slug, playerId }) => `/a/${slug}/plan/weeks/new?for=${playerId}`,
  'a/[academy]/plan/weeks/[weeks]/page.tsx': ({ slug, weeksId }) => `/a/${slug}/plan/weeks/${weeksId}`,
  'a/[academy]/plan/weeks/[weeks]/calendar/route.ts': ({ slug, weeksId }) => `/a/${slug}/plan/weeks/${weeksId}/calendar`,
  'a/[academy]/plan/hour/[hour]/file/route.ts': ({ slug, hourId }) => `/a/${slug}/plan/hour/${hourId}/file`,
  'a/[academy]/plan/weeks/[weeks]/file/route.ts': ({ slug, weeksId }) => `/a/${slug}/plan/weeks/${weeksId}/file`,
  'a/[academy]/plan/squad/page.tsx': ({ slug, greenId }) => `/a/${slug}/plan/squad?green=${greenId}`,
  'a/[academy]/plan/squad/wall/page.tsx': ({ slug }) => `/a/${slug}/plan/squad/wall?stations=3`,
  'a/[academy]/players/page.tsx': ({ slug }) => `/a/${slug}/players`,
  'a/[academy]/players/groups/page.tsx': ({ slug }) => `/a/${slug}/players/groups`,
  'a/[academy]/players/new/page.tsx': ({ slug }) => `/a/${slug}/players/new`,
  'a/[academy]/players/links/page.tsx': ({ slug }) => `/a/${slug}/players/links`,
  'a/[academy]/players/squad/report/page.tsx': ({ slug }) => `/a/${slug}/players/squad/report`,
  'a/[academy]/players/squad/report/pdf/route.ts': ({ slug }) => `/a/${slug}/players/squad/report/pdf`,
  'a/[academy]/players/squad/page.tsx': ({ slug }) => `/a/${slug}/players/squad`,
  'a/[academy]/players/[player]/page.tsx': ({ slug, playerId }) => `/a/${slug}/players/${playerId}`,
  'a/[academy]/players/[player]/edit/page.tsx': ({ slug, playerId }) => `/a/${slug}/players/${playerId}/edit`,
  'a/[academy]/players/[player]/putting/page.tsx': ({ slug, playerId }) => `/a/${slug}/players/${playerId}/putting`,
  'a/[academy]/players/[player]/round/page.tsx': ({ slug, playerId }) => `/a/${slug}/players/${playerId}/round`,
  'a/[academy]/players/[player]/sessions/page.tsx': ({ slug, playerId }) => `/a/${slug}/players/${playerId}/sessions`,
  'a/[academy]/players/[player]/time/page.tsx': ({ slug, playerId }) => `/a/${slug}/players/${playerId}/time`,
  'a/[academy]/players/[player]/report/page.tsx': ({ slug, playerId }) => `/a/${slug}/players/${playerId}/report`,
  'a/[academy]/players/[player]/report/pdf/route.ts': ({ slug, playerId }) => `/a/${slug}/players/${playerId}/report/pdf`,
  'a/[academy]/players/[player]/family/page.tsx': ({ slug, playerId }) => `/a/${slug}/players/${playerId}/family`,
  'a/[academy]/players/[player]/everything/route.ts': ({ slug, playerId }) => `/a/${slug}/players/${playerId}/everything`,
  'a/[academy]/players/[player]/belief/route.ts': ({ slug, playerId }) => `/a/${slug}/players/${playerId}/belief`,
  'a/[academy]/reference/route.ts': ({ slug }) => `/a/${slug}/reference`,
  'a/[academy]/logbook/file/route.ts': ({ slug }) => `/a/${slug}/logbook/file`,
  'a/[academy]/logbook/shots/route.ts': ({ slug }) => `/a/${slug}/logbook/shots`,
  'a/[academy]/logbook/import/page.tsx': ({ slug }) => `/a/${slug}/logbook/import`,
  'a/[academy]/logbook/result/page.tsx': ({ slug }) => `/a/${slug}/logbook/result`,
  'a/[academy]/logbook/page.tsx': ({ slug }) => `/a/${slug}/logbook`,
  'a/[academy]/sessions/[session]/page.tsx': ({ slug, sessionId }) => `/a/${slug}/sessions/${sessionId}`,
  'a/[academy]/sessions/[session]/board/page.tsx': ({ slug, sessionId }) => `/a/${slug}/sessions/${sessionId}/board`,
  'a/[academy]/settings/activity/page.tsx': ({ slug, playerId }) => `/a/${slug}/settings/activity?player=${playerId}`,
  'a/[academy]/settings/activity/file/route.ts': ({ slug }) => `/a/${slug}/settings/activity/file`,
  'a/[academy]/settings/people/page.tsx': ({ slug }) => `/a/${slug}/settings/people`,
  'a/[academy]/settings/storage/page.tsx': ({ slug }) => `/a/${slug}/settings/storage`,
  'a/[academy]/settings/page.tsx': ({ slug }) => `/a/${slug}/settings`,
  'a/[academy]/tools/page.tsx': ({ slug }) => `/a/${slug}/tools`,
  'a/[academy]/tools/landing/page.tsx': ({ slug, playerId, greenId }) => `/a/${slug}/tools/landing?for=${playerId}&green=${greenId}`,
  'a/[academy]/tools/putts/page.tsx': ({ slug, playerId, greenId }) => `/a/${slug}/tools/putts?for=${playerId}&green=${greenId}`,
  'a/[academy]/tools/swing/page.tsx': ({ slug, playerId }) => `/a/${slug}/tools/swing?for=${playerId}`,
  'a/[academy]/tools/measures/page.tsx': ({ slug, playerId }) => `/a/${slug}/tools/measures?for=${playerId}`,
  'a/[academy]/tools/outlook/page.tsx': ({ slug, playerId }) => `/a/${slug}/tools/outlook?for=${playerId}`,
};

/** Pages of the desk that an assistant reads too, of the players whom they see. */
export const SHARED_PAGES: readonly string[] = [
  'a/[academy]/players/page.tsx',
  'a/[academy]/players/squad/page.tsx',
  'a/[academy]/players/[player]/page.tsx',
  'a/[academy]/players/[player]/putting/page.tsx',
  'a/[academy]/players/[player]/time/page.tsx',
  'a/[academy]/players/[player]/sessions/page.tsx',
  'a/[academy]/players/[player]/report/page.tsx',
  'a/[academy]/logbook/page.tsx',
  'a/[academy]/sessions/[session]/page.tsx',
  'a/[academy]/sessions/[session]/board/page.tsx',
];
/** Pages and files of the desk that are its owner's alone. */
export const OWNER_PAGES: readonly string[] = [
  'a/[academy]/settings/activity/page.tsx',
  'a/[academy]/settings/activity/file/route.ts',
  'a/[academy]/settings/storage/page.tsx',
];

/** Whom an action is for, as it is made (`features/form/at-desk.ts`). */
const MADE_FOR = {
  ...{ atOwnersDesk: 'owner', askedAtOwnersDesk: 'owner', atDesk: 'coach', askedAtDesk: 'coach' },
  ...{ atSharedDesk: 'assistant', atHome: 'guardian' },
} as const;
type MadeFor = (typeof MADE_FOR)[keyof typeof MADE_FOR];

/** Whom every action of the program is for, by its name, as the sources say it. */
export function actionsBy(): ReadonlyMap<string, MadeFor> {
  const features = join(process.cwd(), 'features');
  const files = readdirSync(features, { recursive: true, encoding: 'utf8' }).filter((file) => /actions?\.ts$/.test(file));
  const made = new RegExp(`export const (\\w+) = (${Object.keys(MADE_FOR).join('|')})\\(`, 'g');
  return new Map(
    files.flatMap((file) =>
      [...readFileSync(join(features, file), 'utf8').matchAll(made)].map(
        ([, name, by]) => [name!, MADE_FOR[by as keyof typeof MADE_FOR]] as const,
      ),
    ),
  );
}

/** Pages and files of a player's guardian, and of nobody else. */
export const FAMILY_PAGES: Readonly<Record<string, (of: OwnAcademy) => string>> = {
  'family/[academy]/[player]/page.tsx': ({ slug, playerId }) => `/family/${slug}/${playerId}`,
  'family/[academy]/[player]/everything/route.ts': ({ slug, playerId }) => `/family/${slug}/${playerId}/everything`,
  'family/[academy]/[player]/report/route.ts': ({ slug, playerId }) => `/family/${slug}/${playerId}/report`,
};

/** Pages that anybody may see: they show nothing of any academy. */
export const OPEN_PAGES = [
  ...['page.tsx', 'r/page.tsx', 'begin/page.tsx', 'sign-in/page.tsx', 'sign-up/page.tsx', 'api/health/route.ts'],
  ...[
    'account/page.tsx',
    'confirm/page.tsx',
    'family/page.tsx',
    'forgot/page.tsx',
    'join/page.tsx',
    'outbox/page.tsx',
    'privacy/page.tsx',
    'reset/page.tsx',
  ],
];

export type Route = {
  method: 'GET' | 'POST' | 'PUT';
  path: (of: OwnAcademy) => string;
  body?: (of: OwnAcademy) => unknown;
  /** Nothing is said in it. */
  empty?: true;
  /** What is sent, where it is no JSON. */
  type?: string;
  /** With what one gets in. */
  by: 'coach or link' | 'link' | 'reader' | 'report' | 'invitation' | 'coach or key';
};

/** A batch with one event. */
const said = (event: (of: OwnAcademy) => object): Route => ({
  method: 'POST',
  path: () => '/api/v1/shot-events',
  body: (of) => ({ sessionId: of.sessionId, sentAt: new Date().toISOString(), events: [event(of)] }),
  by: 'coach or link',
});

const inAcademy =
  (path: string | ((of: OwnAcademy) => string)) =>
  (of: OwnAcademy): string =>
    `/api/v1/${typeof path === 'string' ? path : path(of)}?academy=${of.slug}`;
const asked = (...paths: (string | ((of: OwnAcademy) => string))[]): Route[] =>
  paths.map((path) => ({ method: 'GET', path: inAcademy(path), by: 'coach or key' }));
const saves = (method: 'PUT' | 'POST', path: (of: OwnAcademy) => string, body?: (of: OwnAcademy) => unknown): Route => ({
  ...{ method, path: inAcademy(path), by: 'coach or key' },
  ...(body ? { body } : { empty: true }),
});
const importStart = (playerId: string) => ({
  importId: randomUUID(),
  kind: 'scores',
  fileName: 'notes.csv',
  columns: ['date'],
  mapping: { version: 1, kind: 'scores', header: true, columns: {}, all: {}, units: {}, dates: null },
  players: [{ playerId, name: 'Changed' }],
});
const importRows = (playerId: string) => ({
  columns: ['player', 'played_at', 'game', 'score'],
  rows: [{ line: 2, cells: [playerId, '2026-05-03T12:00:00Z', 'Changed', '3'] }],
});

/** Routes of the programming interface, by their file; the sign-in service has a test of its own. */
export const ROUTES: Readonly<Record<string, Route[]>> = {
  'api/v1/home/route.ts': [{ method: 'GET', path: ({ slug }) => `/api/v1/home?academy=${slug}`, by: 'coach or link' }],
  'api/v1/hours/[hour]/run/route.ts': [
    {
      method: 'PUT',
      path: ({ hourId }) => `/api/v1/hours/${hourId}/run`,
      body: ({ slug, hourId, hour }) => ({
        academy: slug,
        run: beginRun(hour, { runId: randomUUID(), hourId }, new Date().toISOString()),
      }),
      by: 'coach or link',
    },
  ],
  'api/v1/archive/route.ts': [
    { method: 'GET', path: ({ slug }) => `/api/v1/archive?academy=${slug}`, by: 'coach or key' },
    {
      method: 'POST',
      path: ({ slug }) => `/api/v1/archive?academy=${slug}`,
      body: () => ({ tables: [] }),
      type: 'application/zip',
      by: 'coach or key',
    },
  ],
  'api/v1/[...path]/route.ts': [
    ...asked('players', 'games', 'greens', 'hours', 'weeks', 'logbook', 'shots', 'squad/report'),
    ...asked(
      ({ playerId }) => `players/${playerId}`,
      ({ playerId }) => `players/${playerId}/board`,
      ({ playerId }) => `players/${playerId}/report`,
      ({ gameId }) => `games/${gameId}`,
      ({ greenId }) => `greens/${greenId}`,
      ({ hourId }) => `hours/${hourId}`,
      ({ weeksId }) => `weeks/${weeksId}`,
    ),
    saves(
      'PUT',
      ({ playerId }) => `players/${playerId}`,
      () => newPlayer('Changed', 'metric'),
    ),
    saves(
      'PUT',
      ({ gameId }) => `games/${gameId}`,
      ({ spec }) => ({ game: { ...spec, title: 'Changed' } }),
    ),
    saves(
      'PUT',
      ({ greenId }) => `greens/${greenId}`,
      () => DEMO_GREENS[0]!,
    ),
    saves(
      'PUT',
      ({ hourId }) => `hours/${hourId}`,
      ({ hour, playerId }) => ({ hour: { ...hour, title: 'Changed' }, players: [playerId] }),
    ),
    saves(
      'PUT',
      ({ weeksId }) => `weeks/${weeksId}`,
      ({ weeks, playerId }) => ({ weeks: { ...weeks, title: 'Changed' }, players: [playerId] }),
    ),
    saves(
      'PUT',
      () => `results/${randomUUID()}`,
      ({ playerId }) => ({ playerId, day: '2026-05-03', title: 'Changed', score: 3, unit: '', note: '' }),
    ),
    saves(
      'POST',
      () => 'imports',
      ({ playerId }) => importStart(playerId),
    ),
    saves(
      'POST',
      ({ importId }) => `imports/${importId}/rows`,
      ({ playerId }) => importRows(playerId),
    ),
    saves('POST', ({ importId }) => `imports/${importId}/keep`),
    saves('POST', ({ importId }) => `imports/${importId}/undo`),
  ],
  'api/v1/link/report/route.ts': [{ method: 'GET', path: () => '/api/v1/link/report', by: 'link' }],
  'api/v1/link/everything/route.ts': [{ method: 'GET', path: () => '/api/v1/link/everything', by: 'link' }],
  'api/v1/link/erasure/route.ts': [
    { method: 'GET', path: () => '/api/v1/link/erasure', by: 'link' },
    { method: 'PUT', path: () => '/api/v1/link/erasure', body: () => ({ asks: true, words: 'changed' }), by: 'link' },
  ],
  'api/v1/invitation/route.ts': [
    { method: 'GET', path: () => '/api/v1/invitation', by: 'invitation' },
    { method: 'POST', path: () => '/api/v1/invitation', empty: true, by: 'invitation' },
  ],
  'api/v1/report/route.ts': [{ method: 'GET', path: () => '/api/v1/report', by: 'report' }],
  'api/v1/report/pdf/route.ts': [{ method: 'GET', path: () => '/api/v1/report/pdf', by: 'report' }],
  'api/v1/sessions/route.ts': [
    {
      method: 'POST',
      path: () => '/api/v1/sessions',
      body: ({ slug, gameId, playerId }) => ({
        sentAt: new Date().toISOString(),
        start: {
          sessionId: randomUUID(),
          academy: slug,
          gameId,
          gameVersion: 1,
          startedAt: new Date().toISOString(),
          entrants: [{ playerId, level: 18, unitM: null, scale: 1, allowance: 0 }],
        },
      }),
      by: 'coach or link',
    },
  ],
  'api/v1/sessions/[session]/bundle/route.ts': [
    { method: 'GET', path: ({ sessionId }) => `/api/v1/sessions/${sessionId}/bundle`, by: 'coach or link' },
  ],
  'api/v1/sessions/[session]/live/route.ts': [
    { method: 'GET', path: ({ sessionId }) => `/api/v1/sessions/${sessionId}/live`, by: 'coach or link' },
  ],
  'api/v1/sessions/[session]/route.ts': [
    {
      method: 'PUT',
      path: ({ sessionId }) => `/api/v1/sessions/${sessionId}`,
      body: ({ playerId }) => ({ say: 'note', playerId, whose: 'coach', text: 'changed' }),
      by: 'coach or link',
    },
    {
      method: 'PUT',
      path: ({ sessionId }) => `/api/v1/sessions/${sessionId}`,
      body: ({ spec }) => ({ say: 'station', station: { key: spec.stations[0]!.key, distanceM: 9, source: 'tape' } }),
      by: 'coach or link',
    },
    {
      method: 'PUT',
      path: ({ sessionId }) => `/api/v1/sessions/${sessionId}`,
      body: () => ({ say: 'conditions', conditions: { stimpFt: 9, wind: 'light', note: 'dew' } }),
      by: 'coach or link',
    },
    {
      method: 'PUT',
      path: ({ sessionId }) => `/api/v1/sessions/${sessionId}`,
      body: () => ({ say: 'stopped', stopped: true }),
      by: 'coach or link',
    },
  ],
  'api/v1/sessions/[session]/reader/route.ts': [
    { method: 'POST', path: ({ sessionId }) => `/api/v1/sessions/${sessionId}/reader`, body: () => ({}), empty: true, by: 'coach or link' },
  ],
  'api/v1/shot-events/route.ts': [
    said(({ balls }) => ({ ...balls[0], eventId: randomUUID(), shotId: randomUUID() })),
    said(({ balls }) => ({ ...balls[0], eventId: randomUUID(), kind: 'amend', payload: { leftM: 2 } })),
    said(({ balls }) => ({ ...balls[0], eventId: randomUUID(), kind: 'void', payload: {} })),
  ],
  'api/v1/link/route.ts': [
    { method: 'GET', path: () => '/api/v1/link', by: 'link' },
    { method: 'POST', path: () => '/api/v1/link', body: ({ gameId }) => ({ sessionId: randomUUID(), gameId }), by: 'link' },
  ],
  'api/v1/readings/route.ts': [
    {
      method: 'POST',
      path: () => '/api/v1/readings',
      body: () => ({ readingId: randomUUID(), seq: 1, distanceM: 2, ageMs: 0 }),
      by: 'reader',
    },
  ],
  'api/auth/[...all]/route.ts': [],
};

type Settings = { units: string; timeZone: string; [more: string]: unknown };
const settings: Settings = {
  units: 'metric',
  timeZone: 'UTC',
  paceM: null,
  clubM: null,
  putterM: null,
  flagstickM: null,
  shoeM: null,
  halfLifeDays: 60,
};
const now = () => new Date();

/** Actions of the desk by their name, with what they are sent beside the address of the academy. */
export const ACTIONS: Readonly<Record<string, (of: OwnAcademy) => unknown[]>> = {
  saveGameAction: ({ gameId, spec }) => [gameId, { ...spec, title: 'Changed' }, null, null],
  importGameAction: ({ spec }) => [randomUUID(), JSON.stringify({ ...spec, title: 'Changed' })],
  fillAction: ({ playerId, hour: { school, parts } }) => [[playerId], { school, parts, greenId: null, seed: 1 }],
  saveHourAction: ({ hourId, hour, playerId }) => [hourId, { ...hour, title: 'Changed' }, [playerId], now()],
  archiveHourAction: ({ hourId }) => [hourId, true],
  saveSchoolAction: ({ hour: { school } }) => [randomUUID(), { ...school, name: 'Changed' }],
  blockTestAction: ({ playerId }) => [[playerId], { minutes: 20, days: 8, greenId: null, shots: [] }],
  saveWeeksAction: ({ weeksId, weeks, playerId }) => [weeksId, { ...weeks, title: 'Changed' }, [playerId], now()],
  importPlanAction: () => ['{}'],
  archiveWeeksAction: ({ weeksId }) => [weeksId, true],
  archiveAction: ({ gameId }) => [gameId, true],
  kitAction: ({ gameId, playerId }) => [{ gameId }, [playerId]],
  savePaceAction: ({ playerId }) => [playerId, 0.8],
  saveGreenAction: ({ greenId }) => [greenId, DEMO_GREENS[0]!, now()],
  importGreenAction: () => [randomUUID(), JSON.stringify({ type: 'FeatureCollection', features: [] })],
  archiveGreenAction: ({ greenId }) => [greenId, true],
  mappingForAction: () => [['date', 'player']],
  startImportAction: ({ playerId }) => [importStart(playerId)],
  sendRowsAction: ({ importId, playerId }) => [importId, importRows(playerId)],
  addResultAction: ({ playerId }) => [randomUUID(), { playerId, day: '2026-05-03', title: 'Changed', score: 3, unit: '', note: '' }],
  removeResultAction: ({ sessionId }) => [sessionId],
  keepRowsAction: ({ importId }) => [importId],
  undoImportAction: ({ importId }) => [importId],
  saveWordsAction: ({ playerId }) => [playerId, 'changed'],
  shareReportAction: ({ playerId }) => [playerId, { from: '2026-05-01', to: '2026-05-20' }, 30],
  shareSquadReportAction: () => [{ from: '2026-05-01', to: '2026-05-20' }, 30],
  revokeReportAction: ({ reportId }) => [reportId],
  saveTagsAction: ({ sessionId }) => [sessionId, ['changed']],
  saveNoteAction: ({ sessionId, playerId }) => [sessionId, playerId, 'coach', 'changed'],
  saveTodayAction: () => [{ stimpFt: 9, firmness: 'firm' }],
  savePlayerAction: ({ playerId }) => [playerId, newPlayer('Changed', 'metric'), now()],
  archivePlayerAction: ({ playerId }) => [playerId, true],
  saveBornYearAction: ({ playerId }) => [playerId, { bornYear: 2014 }],
  saveGuardianAction: ({ playerId, guardianId }) => [playerId, guardianId, { name: 'Changed', email: '', phone: '020 555 0142' }],
  removeGuardianAction: ({ guardianId }) => [guardianId],
  inviteGuardianAction: ({ guardianId }) => [guardianId],
  revokeGuardianInvitationAction: ({ guardianId }) => [guardianId],
  recordConsentAction: ({ playerId }) => [playerId, { by: 'Changed', on: '2026-05-01' }],
  withdrawConsentAction: ({ playerId }) => [playerId],
  declineErasureAction: ({ playerId }) => [playerId, { why: 'changed' }],
  giveConsentAction: ({ playerId }) => [playerId],
  takeConsentBackAction: ({ playerId }) => [playerId],
  askErasureAction: ({ playerId }) => [playerId, { words: 'changed' }],
  cancelErasureAction: ({ playerId }) => [playerId],
  addPlayerNoteAction: ({ playerId }) => [playerId, randomUUID(), { text: 'changed' }],
  removePlayerNoteAction: ({ noteId }) => [noteId],
  erasePlayerAction: ({ playerId, name }) => [playerId, `${name} Player`],
  makeLinksAction: ({ playerId }) => [[playerId], 30],
  revokeLinkAction: ({ linkId }) => [linkId],
  saveSettings: () => [settings],
  saveOwnTable: () => ['ours', 'skill,strokes\n'],
  removeOwnTable: () => [],
  makeKeyAction: () => [{ name: 'Changed', scopes: ['read'], days: 30 }],
  revokeKeyAction: ({ tokenId }) => [tokenId],
  inviteAction: () => [{ email: 'changed@test.example', role: 'assistant', groupIds: [] }],
  revokeInvitationAction: ({ invitationId }) => [invitationId],
  saveRoleAction: ({ helperId }) => [helperId, 'coach'],
  removeMemberAction: ({ helperId }) => [helperId],
  handOverAction: ({ helperId, name }) => [helperId, `Academy ${name}`],
  saveGroupAction: ({ groupId, playerId }) => [groupId, { name: 'Changed', playerIds: [playerId], userIds: [] }],
  removeGroupAction: ({ groupId }) => [groupId],
  previewRetentionAction: () => [1],
  saveRetentionAction: () => [5],
  deleteAcademyAction: ({ name }) => [`Academy ${name}`],
  keepAcademyAction: () => [],
  saveDreadsAction: ({ playerId }) => [playerId, { 'pitch|fairway': 4 }],
  saveRoundMixAction: ({ playerId }) => [playerId, { 'chip|fairway|1': 2 }],
  saveSwingMarksAction: ({ playerId }) => [playerId, ['hip', 'chest']],
  stopAction: ({ sessionId }) => [sessionId],
  resumeAction: ({ sessionId }) => [sessionId],
};

/** Actions of whoever is signed in: they know no academy. */
export const ACCOUNT_ACTIONS: Readonly<Record<string, unknown[]>> = {
  endSignInsAction: ['nobody'],
  leaveAction: ['nowhere', 'Academy Nowhere'],
  makeAcademy: [{ who: 'squad', name: 'Another', units: 'metric', timeZone: 'UTC' }],
};

const root = process.cwd();

/** The files in `app/` that answer an address. */
export function answeringFiles(): string[] {
  const app = join(root, 'app');
  return readdirSync(app, { recursive: true, encoding: 'utf8' })
    .filter((file) => /(^|\/)(page\.tsx|route\.ts)$/.test(file))
    .map((file) => relative('.', file));
}

/** The actions of the build: by name, their id and a page that knows them. */
export function actionsOfTheBuild(): Map<string, string> {
  const text = readFileSync(join(root, '.next', 'server', 'server-reference-manifest.json'), 'utf8');
  const { node } = JSON.parse(text) as { node: Record<string, { exportedName: string }> };
  return new Map(Object.entries(node).map(([id, { exportedName }]) => [exportedName, id]));
}

/** What is sent to an action, as the framework writes it. */
export function written(args: readonly unknown[]): string {
  return JSON.stringify(args, function (this: Record<string, unknown>, key, value: unknown) {
    const raw = this[key];
    if (raw instanceof Date) return `$D${raw.toISOString()}`;
    return typeof value === 'string' && value.startsWith('$') ? `$${value}` : value;
  });
}
