import 'server-only';
import { sql } from 'drizzle-orm';
import type { ActivityName } from '@/core/people/activity';
import type { Actor } from '@/db/actor';
import type { Db } from '@/db/client';
import { noteActivity, noteLook, type Said } from '@/db/queries/activity';
import type { Bound, QueryName } from './queries';

/**
 * What a query leaves in the record of activity. `reads`: it changes nothing. `records`: what it keeps says itself who said it (balls, readings, how
 * far a planned session has come, the rows of a file). `derived`: it keeps what is worked out from the rest. `itself`: it
 * writes its line itself, in a transaction of its own.
 * Else it says with what something was done, where anything was; null: nothing was. `before`: it works piece by piece, and what it does is kept before it begins.
 */
type Leaves<Name extends QueryName> =
  | 'reads'
  | 'records'
  | 'derived'
  | 'itself'
  | (Name extends ActivityName
      ? | ((asked: Parameters<Bound[Name]>, answer: Awaited<ReturnType<Bound[Name]>>) => Said | null)
        | { before: (asked: Parameters<Bound[Name]>) => Said }
      : never)
  | { looks: (asked: Parameters<Bound[Name]>) => string };

const ofAcademy = () => ({ about: null });
/** What stands first, a player, a game, a session. */
const first = ([id]: readonly [string, ...unknown[]]) => ({ about: id });
const archived = ([id, away]: readonly [string, boolean]) => ({ about: id, more: away ? 'archived' : 'restored' });
/** Only where it was done. */
const ifDone = ([id]: readonly [string, ...unknown[]], done: unknown) => (done === false || done === null ? null : { about: id });

/** A query that is not here is no program; that those which read change nothing is tried (`leaves.db.test.ts`). */
export const LEAVES: { readonly [Name in QueryName]: Leaves<Name> } = {
  saveAcademy: ofAcademy,
  deleteAcademyAt: ([at]) => ({ about: null, more: at ? at.toISOString().slice(0, 10) : 'never' }),
  countEvents: 'reads',
  readTables: { before: ofAcademy },
  keepTables: 'itself',
  keepToken: ([{ tokenId, scopes }]) => ({ about: tokenId, more: scopes.join(', ') }),
  listTokens: 'reads',
  revokeToken: first,
  ownReference: 'reads',
  saveReference: ([own]) => ({ about: null, more: own === null ? 'removed' : undefined }),

  listMembers: 'reads',
  saveRole: ([userId, role]) => ({ about: userId, more: role }),
  removeMember: ifDone,
  leaveAcademy: (_, left) => (left ? { about: null } : null),
  handOver: ifDone,
  keepInvitation: ([{ invitationId, role }], kept) => (kept ? { about: invitationId, more: role } : null),
  listInvitations: 'reads',
  revokeInvitation: first,
  listGroups: 'reads',
  saveGroup: first,
  removeGroup: first,
  lastBackups: 'reads',
  storageOf: 'reads',
  listRefused: 'reads',
  silentDevices: 'reads',
  whatRetentionTakes: 'reads',
  saveRetention: ([years]) => ({ about: null, more: years === null ? 'for ever' : `${years} years` }),
  listActivity: 'reads',
  noteDownload: 'records',

  listPlayers: 'reads',
  listPlayerNames: 'reads',
  getPlayer: { looks: ([playerId]) => playerId },
  savePlayer: ([playerId], came) => (came === 'saved' ? { about: playerId } : null),
  archivePlayer: archived,
  saveRoundMix: first,
  saveDreads: first,
  saveSwingMarks: first,
  savePace: ([playerId]) => ({ about: playerId }),
  bagOf: 'reads',
  whatErasingTakes: 'reads',
  erasePlayer: 'itself',
  keepLink: ifDone,
  linksOf: 'reads',
  revokeLink: first,

  familyOf: 'reads',
  erasureOf: 'reads',
  saveBornYear: first,
  saveGuardian: ifDone,
  removeGuardian: ofAcademy,
  keepGuardianInvitation: ([, { invitationId }], kept) => (kept ? { about: invitationId, more: 'guardian' } : null),
  revokeGuardianInvitation: ofAcademy,
  giveConsent: ifDone,
  withdrawConsent: ifDone,
  readPlayerTables: { before: first },
  askErasure: ifDone,
  cancelErasure: first,
  declineErasure: first,
  erasuresAsked: 'reads',

  keepReport: ([playerId], kept) => (kept ? { about: playerId } : null),
  reportsOf: 'reads',
  revokeReport: first,
  saveReportWords: first,

  carriedShots: 'reads',
  puttRuns: 'reads',

  listGames: 'reads',
  sessionsOfGames: 'reads',
  lastOfGames: 'reads',
  bestOfGames: 'reads',
  getGame: 'reads',
  saveGame: ifDone,
  archiveGame: archived,
  findGame: 'reads',
  listGreens: 'reads',
  getGreen: 'reads',
  gamesOnGreen: 'reads',
  saveGreen: ifDone,
  archiveGreen: archived,

  listHours: 'reads',
  getHour: 'reads',
  hoursOf: 'reads',
  saveHour: ifDone,
  archiveHour: archived,
  listSchools: 'reads',
  saveSchool: ofAcademy,
  takeRun: 'records',
  isPlannedFor: 'reads',
  listWeeks: 'reads',
  getWeeks: 'reads',
  weeksOfHour: 'reads',
  saveWeeks: ifDone,
  followWeeks: first,
  archiveWeeks: archived,

  startSession: ifDone,
  takeStart: ([{ sessionId }], taken) => (taken === true ? { about: sessionId } : null),
  kitOf: 'reads',
  getSession: 'reads',
  stopSession: first,
  resumeSession: first,
  conditionsToday: 'reads',
  visitsOnThisWeekday: 'reads',
  saveConditionsToday: ofAcademy,
  saveConditions: first,
  saveStationDistance: first,
  saveNote: first,
  takeIn: 'records',
  noteRefused: 'records',
  noteDevice: 'records',
  eventsOfSession: 'reads',
  sessionLog: 'reads',
  shotsOfSessions: 'reads',
  shotsOfPlayer: 'reads',
  unfinishedSessions: 'reads',
  countUnfinished: 'reads',
  finishedSessions: 'reads',
  placesOf: 'reads',
  finishedLines: 'reads',
  logbookPage: 'reads',
  logbookCount: 'reads',
  logbookScores: 'reads',
  logbookShots: 'reads',
  notesOfSessions: 'reads',
  notesAbout: 'reads',
  addNote: ifDone,
  removeNote: ofAcademy,
  listTags: 'reads',
  saveTags: first,
  addResult: ([{ sessionId }], kept) => (kept ? { about: sessionId } : null),
  removeResult: first,
  startImport: ([{ importId }]) => ({ about: importId }),
  stageRows: 'records',
  keepRows: 'records',
  undoImport: ([importId], step) => (step?.left === 0 ? { about: importId } : null),
  getImport: 'reads',
  listImports: 'reads',
  mappingFor: 'reads',
  withShots: 'reads',
  hasPlayed: 'reads',
  bestBefore: 'reads',
  scoresOf: 'reads',
  dayInAcademy: 'reads',
  playsIn: 'reads',
  keepReaderKey: first,
  newestReading: 'reads',
  takeReading: 'records',

  tallyBalls: 'reads',
  tallyStretches: 'reads',
  executedShots: 'reads',
  spanOfEvidence: 'reads',
  heldPosterior: 'reads',
  keepPosterior: 'derived',
  heldBriefs: 'reads',
  squadState: 'reads',
  keptMadeFrom: 'reads',
  heldSkills: 'reads',
  keepBrief: 'derived',
  shotsOfCell: 'reads',
  narrowings: 'reads',
};

type Query = (db: Db, actor: Actor, ...asked: never[]) => Promise<unknown>;
type Any = (asked: readonly unknown[], answer?: unknown) => Said | null;

/** A query that also leaves in the record what it does: in one transaction with it, wherever it is one. */
export function leaving(name: QueryName, query: Query): (db: Db, actor: Actor, ...asked: unknown[]) => Promise<unknown> {
  const leaves = LEAVES[name] as
    'reads' | 'records' | 'derived' | 'itself' | Any | { before: Any } | { looks: (asked: readonly unknown[]) => string };
  const ask = query as (db: Db, actor: Actor, ...asked: unknown[]) => Promise<unknown>;
  const what = name as ActivityName;
  if (typeof leaves === 'string') return ask;
  if (typeof leaves === 'function')
    return (db, actor, ...asked) =>
      db.transaction(async (tx) => {
        const answer = await ask(tx, actor, ...asked);
        const said = leaves(asked, answer);
        if (said && (await hasWritten(tx))) await noteActivity(tx, actor, what, said);
        return answer;
      });
  if ('before' in leaves)
    return async (db, actor, ...asked) => {
      await noteActivity(db, actor, what, leaves.before(asked)!);
      return ask(db, actor, ...asked);
    };
  return async (db, actor, ...asked) => {
    const answer = await ask(db, actor, ...asked);
    if (answer !== null && 'userId' in actor) await lookedAt(db, actor, leaves.looks(asked));
    return answer;
  };
}

/** Whether a transaction has changed anything: of what is not there nothing was (PostgreSQL numbers a transaction with its first change). */
async function hasWritten(tx: Db): Promise<boolean> {
  const { rows } = await tx.execute<{ wrote: boolean }>(sql`select pg_current_xact_id_if_assigned() is not null as wrote`);
  return rows[0]!.wrote;
}

/** Who looked at whom since the program began: it saves asking at each page. */
const seen = new Map<string, number>();
const DAY_MS = 86_400_000;
const MOST_SEEN = 10_000;

async function lookedAt(db: Db, actor: Actor & { userId: string }, about: string): Promise<void> {
  const key = `${actor.academyId} ${actor.userId} ${about}`;
  const now = Date.now();
  if ((seen.get(key) ?? 0) > now - DAY_MS) return;
  if (seen.size >= MOST_SEEN) seen.clear();
  seen.set(key, now);
  await noteLook(db, actor, 'lookedAt', about);
}
