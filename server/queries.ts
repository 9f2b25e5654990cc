import 'server-only';
import type { Actor } from '@/db/actor';
import type { Db } from '@/db/client';
import { countEvents, keepTables, readTables } from '@/db/queries/archive';
import { listActivity, noteDownload } from '@/db/queries/activity';
import { saveAcademy } from '@/db/queries/academies';
import { lastBackups } from '@/db/queries/backups';
import { bestOfGames } from '@/db/queries/bests';
import { carriedShots, puttRuns } from '@/db/queries/carried';
import * as erase from '@/db/queries/erase';
import * as evidence from '@/db/queries/evidence';
import { readPlayerTables } from '@/db/queries/everything';
import * as families from '@/db/queries/families';
import * as games from '@/db/queries/games';
import * as greens from '@/db/queries/greens';
import * as hours from '@/db/queries/hours';
import { keepRows, undoImport } from '@/db/queries/import-keep';
import { listGroups, removeGroup, saveGroup } from '@/db/queries/groups';
import { getImport, listImports, mappingFor, stageRows, startImport } from '@/db/queries/imports';
import { keepInvitation, listInvitations, revokeInvitation } from '@/db/queries/invitations';
import { kitOf } from '@/db/queries/kit';
import * as links from '@/db/queries/links';
import { listTags, logbookCount, logbookPage, logbookScores, logbookShots, saveTags } from '@/db/queries/logbook';
import { handOver, leaveAcademy, listMembers, removeMember, saveRole } from '@/db/queries/members';
import { addNote, notesAbout, notesOfSessions, removeNote, saveNote } from '@/db/queries/notes';
import * as players from '@/db/queries/players';
import * as readings from '@/db/queries/readings';
import * as reports from '@/db/queries/reports';
import { addResult, removeResult } from '@/db/queries/results';
import { saveRetention, whatRetentionTakes } from '@/db/queries/retention';
import * as sessions from '@/db/queries/sessions';
import * as shots from '@/db/queries/shots';
import { takeIn } from '@/db/queries/take-in';
import { keepToken, listTokens, revokeToken } from '@/db/queries/tokens';
import * as upkeep from '@/db/queries/upkeep';
import * as weeks from '@/db/queries/weeks';

export const QUERIES = {
  addNote,
  addResult,
  removeResult,
  saveAcademy,
  ...erase,
  ...evidence,
  ...families,
  ...games,
  ...greens,
  ...hours,
  ...links,
  ...players,
  ...readings,
  ...reports,
  ...sessions,
  ...shots,
  ...upkeep,
  ...weeks,
  bestOfGames,
  carriedShots,
  countEvents,
  getImport,
  handOver,
  keepInvitation,
  keepRows,
  keepTables,
  keepToken,
  kitOf,
  lastBackups,
  leaveAcademy,
  listActivity,
  listGroups,
  listImports,
  listInvitations,
  listMembers,
  listTags,
  listTokens,
  logbookCount,
  logbookPage,
  logbookScores,
  logbookShots,
  mappingFor,
  noteDownload,
  notesAbout,
  notesOfSessions,
  puttRuns,
  readPlayerTables,
  readTables,
  removeGroup,
  removeMember,
  removeNote,
  revokeInvitation,
  revokeToken,
  saveGroup,
  saveNote,
  saveRetention,
  saveRole,
  saveTags,
  stageRows,
  startImport,
  takeIn,
  undoImport,
  whatRetentionTakes,
};
type Queries = typeof QUERIES;

/** Every query that is asked by somebody, bound to who asks. */
export type Bound = {
  [
    Name in keyof Queries as Queries[Name] extends (db: Db, actor: Actor, ...rest: never[]) => unknown ? Name : never
  ]: Queries[Name] extends (db: Db, actor: Actor, ...rest: infer Rest) => infer Answer ? (...rest: Rest) => Answer : never;
};
export type QueryName = keyof Bound;
