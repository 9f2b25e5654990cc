import { secondsFor } from '../game/budget';
import type { GameSpec } from '../game/spec';
import { hourSchema, type Hour, type Part } from '../hour/hour';
import { beginRun, nextPart } from '../hour/run';
import type { Run } from '../hour/run-schema';
import { PRESETS } from '../hour/school';
import { DEMO_GAMES } from './games';

const MINUTE_MS = 60_000;
const DAY_MS = 24 * 60 * MINUTE_MS;

/** An hour of the invented academy: for whom, and how long ago it was begun; null: it is still to be done. */
export type DemoHour = { player: string; hour: Hour; run: ((ids: { runId: string; hourId: string }) => Run) | null };

/**
 * Planned hours as of a moment: one under way, one for today, one done a week ago.
 * @param gameId the id of a game of the academy, by its title
 * @param today the day there
 */
export function demoHours(now: Date, today: string, gameId: (title: string) => string): DemoHour[] {
  const played = (title: string) => {
    const spec = DEMO_GAMES.find((game: GameSpec) => game.title === title)!;
    return { title, minutes: Math.ceil(secondsFor(spec, 1) / 60), game: { gameId: gameId(title), spec } };
  };
  const hour = (title: string, day: string | null, parts: readonly (Pick<Part, 'kind' | 'minutes' | 'title'> & Partial<Part>)[]) =>
    hourSchema.parse({
      format: 'inch-hour',
      version: 1,
      title,
      day,
      minutes: parts.reduce((sum, { minutes }) => sum + minutes, 0),
      school: PRESETS[0]!.school,
      parts: parts.map((part, i) => ({ key: `p${i + 1}`, ...part })),
    });
  const before = (minutes: number) => new Date(now.getTime() - minutes * MINUTE_MS).toISOString();
  const pitches = hour('Pitches, then the Six', null, [
    {
      kind: 'technique',
      minutes: 10,
      title: '20–30 yd pitches from light rough',
      sets: 3,
      setOf: 6,
      cue: 'brush the grass',
      why: 'Weakest: 20–30 yd pitches from light rough.',
    },
    { kind: 'lies', ...played('Thick and Thin'), why: 'Weakest: 20–30 yd pitches from light rough.' },
    { kind: 'putting', ...played('Six to Ten'), why: 'To find out: 6–10 ft putts.' },
    { kind: 'game', ...played('Half Moon'), why: 'Last, and everything counts.' },
  ]);
  const long = hour('Lag putts before the league', today, [
    { kind: 'putting', ...played('Six to Ten'), why: 'Weakest: 20–40 ft putts.' },
    { kind: 'other', minutes: 5, title: 'Stretch and drink' },
    { kind: 'game', ...played('Half Moon') },
  ]);
  const done = { ...pitches, title: 'Chips and a game', day: null };
  const start = 7 * DAY_MS;
  const ago = (minutes: number) => new Date(now.getTime() - start + minutes * MINUTE_MS).toISOString();
  return [
    {
      player: 'Ottilie',
      hour: pitches,
      run: (ids) => nextPart(beginRun(pitches, ids, before(14)), pitches, before(3)),
    },
    { player: 'Maren', hour: long, run: null },
    {
      player: 'Teodor',
      hour: done,
      run: (ids) => [11, 28, 36, 52].reduce((run, minute) => nextPart(run, done, ago(minute)), beginRun(done, ids, ago(0))),
    },
  ];
}
