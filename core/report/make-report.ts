import { sayChange } from '../board/over-time';
import { percentOf } from '../board/certainty';
import { rankingOf } from '../board/choices';
import { sayCell } from '../board/say-cell';
import { summaryOf } from '../board/summary';
import type { Diagnosis, Finding } from '../skill/diagnose';
import { cellKey } from '../skill/cells';
import type { SkillModel } from '../skill/model';
import { leftInterval } from '../shot/evidence';
import { settledMedian } from '../shot/median-left';
import type { Shot } from '../shot/shot';
import { schemeOf } from '../game/scoring';
import type { GameSpec } from '../game/spec';
import { sayScore } from '../game/words/say-score';
import { bestScore } from '../play/play';
import { capital, counted, listed } from '../units/format';
import type { UnitSystem } from '../units/length';
import { sayStrokes, type StrokesAs } from '../units/strokes';
import { REPORT_VERSION, type Report, type ReportShot } from './report';

/** A score that somebody made alone in a game, and when. */
export type ReportScore = { gameId: string; version: number; spec: GameSpec; score: number; at: Date };

/** All that a report is made of. Balls, scores and sessions are those of the period. */
export type ReportParts = {
  player: string;
  level: number;
  academy: string;
  period: string;
  made: string;
  system: UnitSystem;
  strokes: StrokesAs;
  against: string;
  model: SkillModel;
  /** Of the balls of the period. */
  diagnosis: Diagnosis;
  shots: readonly Shot[];
  sessions: number;
  days: number;
  /** Oldest first, those before the period too. */
  scores: readonly ReportScore[];
  from: Date;
  /** The period against all before it, shot by shot: strokes lost a shot, of so many balls before and in it. */
  changes: readonly { key: string; before: number; since: number; of: readonly [number, number]; chanceBetter: number }[];
  plan: { planned: number; done: number };
  words: string;
  sayWhen: (at: Date) => string;
};

/** What is said beside a single result. */
export const ALONE = 'One result says little on its own.';
const SHOTS = 3;
const GAMES = 6;
const CLUBS = 4;
/** A shot is worth a line from so many balls on. */
const LEAST_BALLS = 5;
/** And compared with what was before from so many on each side. */
export const ENOUGH_BALLS = 10;

/** Makes a report of what is known. */
export function makeReport(parts: ReportParts): Report {
  const { diagnosis, shots, against, strokes, system } = parts;
  const balls = shots.reduce((sum, { nBalls }) => sum + nBalls, 0);
  const summary = summaryOf(diagnosis, 'round', against, balls, strokes);
  const known = diagnosis.findings.filter((finding) => finding.balls >= LEAST_BALLS && finding.uses > 0);
  const byLoss = known.toSorted((a, b) => b.perRound.mean - a.perRound.mean);
  const weakest = byLoss.slice(0, SHOTS).filter(({ perRound }) => perRound.mean > 0);
  const strongest = byLoss
    .toReversed()
    .slice(0, SHOTS)
    .filter(({ perRound }) => perRound.mean <= 0);
  return {
    version: REPORT_VERSION,
    player: parts.player,
    academy: parts.academy,
    period: parts.period,
    made: parts.made,
    system,
    strokes,
    against,
    played: { sessions: parts.sessions, balls, days: parts.days },
    games: gamesOf(parts),
    test: testOf(parts),
    change: sayWhatChanged(parts),
    weakest: weakest.map(asShot),
    strongest: strongest.map(asShot),
    says: [summary.most, summary.best].filter(Boolean),
    clubs: clubsOf(parts),
    plan: sayPlan(parts.plan),
    // It stands after the word.
    next: capital(summary.next.replace(/^Next, /, '')),
    words: parts.words,
    tape: tapeOf(shots, weakest[0] ?? known[0]),
  };
}

const asShot = (finding: Finding): ReportShot => ({
  shot: sayCell(finding),
  mean: finding.perRound.mean,
  low: finding.perRound.interval80[0],
  high: finding.perRound.interval80[1],
  balls: finding.balls,
});

const figure = (spec: GameSpec, score: number, system: UnitSystem) => sayScore(score, schemeOf(spec.scoring).unit(spec.scoring), system);
const same = (a: ReportScore, b: ReportScore) => a.gameId === b.gameId && a.version === b.version;

/** The games of the period, the most played first: only the same version compares. */
function gamesOf({ scores, from, system }: ReportParts): Report['games'] {
  const inside = scores.filter(({ at }) => at >= from);
  const firsts = inside.filter((one, i) => inside.findIndex((other) => same(one, other)) === i);
  return firsts
    .map((first) => {
      const all = inside.filter((one) => same(one, first));
      const { spec } = first;
      return {
        title: spec.title,
        times: all.length,
        last: figure(spec, all.at(-1)!.score, system),
        best: figure(
          spec,
          bestScore(
            spec,
            all.map(({ score }) => score),
          )!,
          system,
        ),
      };
    })
    .sort((a, b) => b.times - a.times || a.title.localeCompare(b.title))
    .slice(0, GAMES);
}

/** The last result of the period of a game that was played before, beside the three before it. */
function testOf({ scores, from, system, sayWhen }: ReportParts): Report['test'] {
  const last = scores.findLast((one, i) => one.at >= from && scores.slice(0, i).some((other) => same(one, other)));
  if (!last) return null;
  const { spec, score } = last;
  const before = scores
    .slice(0, scores.lastIndexOf(last))
    .filter((one) => same(one, last))
    .slice(-3);
  const gain = schemeOf(spec.scoring).better(spec.scoring) === 'higher' ? 1 : -1;
  const better = before.filter((one) => gain * (score - one.score) > 0).length;
  const worse = before.filter((one) => gain * (score - one.score) < 0).length;
  const of = before.length === 1 ? 'the one before' : `the ${before.length} before`;
  const says =
    better === before.length ? `Better than ${of}.` : worse === before.length ? `Not as good as ${of}.` : `Better than ${better} of ${of}.`;
  return {
    title: spec.title,
    last: figure(spec, score, system),
    when: sayWhen(last.at),
    before: before.map((one) => figure(spec, one.score, system)),
    says: `${says} ${before.length < 3 ? 'It takes more results to tell.' : ALONE}`,
  };
}

/** Shots with enough balls on both sides, those with most of them: chosen by how much is known, and not by what came out. */
function sayWhatChanged({ changes, diagnosis, strokes }: ReportParts): string[] {
  const told = changes
    .filter(({ of }) => Math.min(...of) >= ENOUGH_BALLS)
    .toSorted((a, b) => Math.min(...b.of) - Math.min(...a.of))
    .slice(0, SHOTS);
  if (told.length === 0) return [`Nothing to compare yet: it takes ${ENOUGH_BALLS} balls of a shot before this period and as many in it.`];
  return told.map(({ key, before, since, of, chanceBetter }) => {
    const shot = sayCell(diagnosis.findings.find((finding) => finding.key === key)!);
    return `${capital(shot)}: ${sayChange(chanceBetter)}. ${sayStrokes(before, strokes)} ${strokes} a shot before (${counted(of[0], 'ball')}), ${sayStrokes(since, strokes)} in this period (${counted(of[1], 'ball')}).`;
  });
}

/** What clubs and flights do for the shots that were hit most, where two of them can be told apart or were tried. */
function clubsOf({ shots, level, model, diagnosis }: ReportParts): string[] {
  const cells = diagnosis.findings.filter(({ balls }) => balls >= 2 * LEAST_BALLS).toSorted((a, b) => b.balls - a.balls);
  return cells
    .flatMap((finding) => {
      const inside = shots.filter((one) => cellKey(one.shotType, one.surface, one.distanceM) === finding.key);
      const { choices, versus } = rankingOf(inside, ({ clubLabel }) => clubLabel, level, model);
      if (!versus) return [];
      const named = listed(choices.map(({ name, balls }) => `${name} (${counted(balls, 'ball')})`));
      if (versus.chance === null) return [`${capital(sayCell(finding))}: ${named}. Too few balls to tell the clubs apart.`];
      return [
        `${capital(sayCell(finding))}: ${versus.better} before ${versus.worse}, ${percentOf(versus.chance)}% sure. ${capital(named)}.`,
      ];
    })
    .slice(0, CLUBS);
}

function sayPlan({ planned, done }: ReportParts['plan']): string {
  if (planned === 0) return 'No practice was planned in this period.';
  return `${done} of ${counted(planned, 'planned session')} ${planned === 1 ? 'was' : 'were'} done.`;
}

/** The balls of a shot on the tape. */
function tapeOf(shots: readonly Shot[], finding: Finding | undefined): Report['tape'] {
  if (!finding) return null;
  const inside = shots.filter((one) => one.nBalls === 1 && cellKey(one.shotType, one.surface, one.distanceM) === finding.key);
  const balls = inside
    .map(leftInterval)
    .filter((one) => one !== null)
    .slice(-400);
  if (balls.length < LEAST_BALLS) return null;
  return {
    label: `${capital(sayCell(finding))}: ${counted(balls.length, 'ball')}`,
    balls: balls.map(({ from, to }) => ({ from, to: Number.isFinite(to) ? to : null })),
    medianM: settledMedian(balls),
  };
}
