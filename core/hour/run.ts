import type { Hour } from './hour';
import { fittedInto } from './minutes';
import type { Run, RunPart } from './run-schema';
import { RUN_VERSION } from './steps';

const MINUTE_MS = 60_000;

/** An hour that begins now, with its first part. @param at a moment in ISO 8601 */
export function beginRun({ parts }: Pick<Hour, 'parts'>, ids: { runId: string; hourId: string }, at: string): Run {
  return {
    format: 'inch-run',
    version: RUN_VERSION,
    ...ids,
    startedAt: at,
    endedAt: null,
    change: 0,
    parts: parts.map((part, i) => ({
      ...{ key: part.key, minutes: part.minutes, endedAt: null, sessionId: null },
      ...(i === 0 ? { state: 'running', startedAt: at } : { state: 'waiting', startedAt: null }),
    })),
  };
}

/** The part that goes on, or -1. */
export const runningAt = (run: Run) => run.parts.findIndex(({ state }) => state === 'running');

/** Nobody practises longer in one go: what was begun before that and never ended is over, whoever forgot to say so. */
const LONGEST_MS = 12 * 60 * MINUTE_MS;

/** Whether an hour is under way. @param now milliseconds since 1970 */
export const isGoing = (run: Pick<Run, 'endedAt' | 'startedAt'> | null, now: number): boolean =>
  run !== null && run.endedAt === null && now - Date.parse(run.startedAt) < LONGEST_MS;

/** The parts of a run as the hour has them; one that was taken out of the hour since it began still has its minutes. */
export function partsOfRun({ parts }: Pick<Hour, 'parts'>, run: Pick<Run, 'parts'>): Hour['parts'] {
  return run.parts.map(
    ({ key, minutes }) =>
      parts.find((part) => part.key === key) ?? {
        ...{
          key,
          minutes,
          kind: 'other',
          title: 'Removed from the plan',
          cue: '',
          sets: null,
          setOf: null,
          game: null,
          why: '',
          pinned: false,
          luck: null,
        },
      },
  );
}

/** Minutes of the whole hour, as it was planned. */
const planned = (hour: Pick<Hour, 'parts'>) => hour.parts.reduce((sum, { minutes }) => sum + minutes, 0);

/** Fits what is left to do into what is left of the hour; where nothing is left, a minute each. */
function fittedIn(run: Run, hour: Pick<Hour, 'parts'>, at: string): Run {
  const left = planned(hour) - (Date.parse(at) - Date.parse(run.startedAt)) / MINUTE_MS;
  const isLeft = ({ state, startedAt }: RunPart) => state === 'waiting' || (state === 'running' && startedAt === at);
  const open = run.parts.filter(isLeft);
  // In the proportions in which they were planned, however often they were fitted in since.
  const before = open.map((part) => ({ ...part, minutes: hour.parts.find((one) => one.key === part.key)?.minutes ?? part.minutes }));
  const fitted = new Map(fittedInto(before, left).map((part) => [part.key, part.minutes]));
  return { ...run, parts: run.parts.map((part) => ({ ...part, minutes: fitted.get(part.key) ?? part.minutes })) };
}

/** Ends the part that goes on and begins the next that waits; after the last, the hour is over. */
export function nextPart(run: Run, hour: Pick<Hour, 'parts'>, at: string, as: 'done' | 'skipped' = 'done'): Run {
  const now = runningAt(run);
  if (now < 0) return run;
  const next = run.parts.findIndex(({ state }, i) => i > now && state === 'waiting');
  const parts = run.parts.map((part, i): RunPart => {
    if (i === now) return { ...part, state: as, endedAt: at };
    return i === next ? { ...part, state: 'running', startedAt: at } : part;
  });
  const moved = { ...run, change: run.change + 1, parts };
  return next < 0 ? { ...moved, endedAt: at } : fittedIn(moved, hour, at);
}

/** Leaves out a part that still waits; its time goes to the others. */
export function leaveOut(run: Run, hour: Pick<Hour, 'parts'>, which: string, at: string): Run {
  const parts = run.parts.map((part): RunPart => (part.key === which && part.state === 'waiting' ? { ...part, state: 'skipped' } : part));
  const now = runningAt(run);
  const left = { ...run, change: run.change + 1, parts };
  if (now < 0) return left;
  // The part that goes on keeps its own time; what waits is fitted into what is left after it.
  const end = Math.max(Date.parse(at), Date.parse(parts[now]!.startedAt!) + parts[now]!.minutes * MINUTE_MS);
  return fittedIn(left, hour, new Date(end).toISOString());
}

/** Ends the hour before its end: what goes on is stopped, what waits is left out. */
export function stopRun(run: Run, at: string): Run {
  if (run.endedAt !== null) return run;
  const parts = run.parts.map((part): RunPart => {
    if (part.state === 'running') return { ...part, state: 'stopped', endedAt: at };
    return part.state === 'waiting' ? { ...part, state: 'skipped' } : part;
  });
  return { ...run, change: run.change + 1, endedAt: at, parts };
}

/** Says what is played in the part that goes on. */
export function playedIn(run: Run, sessionId: string): Run {
  const now = runningAt(run);
  return { ...run, change: run.change + 1, parts: run.parts.map((part, i) => (i === now ? { ...part, sessionId } : part)) };
}

/** How the clock stands, in seconds. */
export type Clock = {
  /** Since the hour began, and of the part that goes on. */
  goneS: number;
  partS: number;
  /** What the part has left; less than nothing once it is over its time. */
  leftS: number;
  /** Against the plan as it was: late if more than nothing. */
  lateS: number;
};

/** @param now milliseconds since 1970 */
export function clockOf(run: Run, hour: Pick<Hour, 'parts'>, now: number): Clock {
  const end = run.endedAt === null ? now : Date.parse(run.endedAt);
  const goneS = Math.max(0, (end - Date.parse(run.startedAt)) / 1000);
  const at = runningAt(run);
  const part = run.parts[at];
  const partS = part?.startedAt ? Math.max(0, (end - Date.parse(part.startedAt)) / 1000) : 0;
  const before = hour.parts.slice(0, Math.max(0, at)).reduce((sum, { minutes }) => sum + minutes, 0);
  return { goneS, partS, leftS: part ? part.minutes * 60 - partS : 0, lateS: at < 0 ? 0 : goneS - partS - before * 60 };
}
