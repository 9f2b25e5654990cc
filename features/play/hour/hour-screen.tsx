'use client';

import { lightFormat } from 'date-fns';
import { useEffect, useState } from 'react';
import { budgetOf } from '@/core/game/budget';
import { allStations } from '@/core/game/station';
import { careLines } from '@/core/game/words/care';
import type { Hour, Part } from '@/core/hour/hour';
import { beginRun, clockOf, leaveOut, nextPart, partsOfRun, playedIn, runningAt, stopRun } from '@/core/hour/run';
import type { Run } from '@/core/hour/run-schema';
import { sayPlainDay } from '@/core/units/plain-day';
import { counted } from '@/core/units/format';
import { newId, now } from '../../form/ids';
import { playAddress, startAddress } from '@/core/exchange/play-address';
import { SAY_KIND, sayWhat } from '../../session/say-part';
import { shake, useAwake } from '../device/device-extras';
import type { StoredHour } from '../device/store';
import { tellRun } from '../device/sync';
import { beginHere } from '../start/begin-here';
import { WaitingLine } from '../waiting-line';
import styles from './hour.module.scss';
import { HourTape } from './hour-tape';
import { useResults, type Result } from './results';
import { TestAgain } from './test-again';

/** A planned hour: before it begins, part by part while it goes on, and how it was done. */
export function HourScreen({ kept }: { kept: StoredHour }) {
  const { home, hourId, token, run } = kept;
  const planned = home.hours[0]!;
  const { playerIds } = planned;
  // The desk may have changed the hour since it began.
  const hour = run ? { ...planned.hour, parts: partsOfRun(planned.hour, run) } : planned.hour;
  const units = home.player?.units ?? home.kit?.players[0]?.units ?? 'imperial';
  const results = useResults(run);
  const going = run !== null && run.endedAt === null;
  const names = playerIds.flatMap((id) => home.kit?.players.find(({ playerId }) => playerId === id)?.name ?? []);
  const at = () => new Date(now()).toISOString();
  const tell = (next: Run) => tellRun(hourId, next);
  useAwake(going);
  return (
    <div className={`${styles.page} dusk`}>
      <header>
        <a href={token === null ? startAddress(home.academy.slug) : `/j#${token}`} aria-label="Leave the hour" className={styles.back}>
          ‹
        </a>
        <b>{hour.title}</b>
        <WaitingLine />
      </header>
      {going ? (
        <Going
          {...{ hour, run, results }}
          units={units}
          onNext={(as) => void tell(nextPart(run, hour, at(), as))}
          onStop={() => void tell(stopRun(run, at()))}
          onLeaveOut={(key) => void tell(leaveOut(run, hour, key, at()))}
          onPlay={async (part) => {
            const open = run.parts[runningAt(run)]?.sessionId;
            if (open) return goToSession(open);
            const who = home.player ? [home.player.playerId] : playerIds;
            const sessionId = await beginHere(home, { gameId: part.game!.gameId, playerIds: who }, token).catch(() => null);
            if (sessionId === null) return 'This game can’t be started here. Open the hour again online.';
            await tell(playedIn(run, sessionId));
            return goToSession(sessionId);
          }}
        />
      ) : (
        <Before
          {...{ hour, run, results, units, names }}
          onBegin={() => void tell(beginRun(planned.hour, { runId: newId(), hourId }, at()))}
        />
      )}
    </div>
  );
}

function goToSession(sessionId: string): null {
  window.location.assign(playAddress(sessionId));
  return null;
}

type BeforeProps = {
  hour: Hour;
  run: Run | null;
  results: Results;
  units: 'imperial' | 'metric';
  names: readonly string[];
  onBegin: () => void;
};
type Results = ReadonlyMap<string, Result>;

/** What is planned, or how it was done; and the way to begin. */
function Before({ hour, run, results, units, names, onBegin }: BeforeProps) {
  const gone = run ? Math.round(clockOf(run, hour, 0).goneS / 60) : 0;
  return (
    <main>
      <p className={styles.who}>
        {names.join(', ')} · {hour.minutes} min
      </p>
      {run && (
        <p className={styles.done}>
          Done {sayPlainDay(lightFormat(new Date(run.startedAt), 'yyyy-MM-dd'))}: {gone} min
          {gone === hour.minutes ? ', as planned' : ` of ${hour.minutes} planned`}.
        </p>
      )}
      {run && <TestAgain hour={hour} run={run} results={results} units={units} />}
      <HourTape hour={hour} run={null} />
      <ol className={styles.parts}>
        {hour.parts.map((part) => {
          const done = run?.parts.find(({ key }) => key === part.key);
          return (
            <li key={part.key}>
              <span className={styles.partMinutes}>{part.minutes}</span>
              <span>
                <small>{SAY_KIND[part.kind]}</small>
                <b>{part.title}</b>
                <small>{[sayWhat(part, units), part.cue].filter(Boolean).join(' · ')}</small>
              </span>
              <span className="fig">{done ? (results.get(done.sessionId ?? '')?.said ?? SAY_STATE[done.state]) : ''}</span>
            </li>
          );
        })}
      </ol>
      {!run && (
        <>
          <p className={styles.bring}>Bring {counted(mostBalls(hour), 'ball')}.</p>
          <ul className={styles.care}>
            {careLines({ stations: hour.parts.flatMap(({ game }) => (game ? allStations(game.spec) : [])), leadIn: [] }).map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </>
      )}
      <div className={styles.keys}>
        <button type="button" className="btn btn-primary btn-lg" onClick={onBegin}>
          {run ? 'Once more' : 'Start the clock'}
        </button>
      </div>
    </main>
  );
}

const SAY_STATE = { waiting: '', running: '', done: 'done', skipped: 'left out', stopped: 'stopped' } as const;

type GoingProps = {
  hour: Hour;
  run: Run;
  results: Results;
  units: 'imperial' | 'metric';
  onNext: (as: 'done' | 'skipped') => void;
  onStop: () => void;
  onLeaveOut: (key: string) => void;
  /** @returns why it can't be played, in a sentence */
  onPlay: (part: Part) => Promise<string | null>;
};

/** The part that goes on, its clock, and what comes next. */
function Going({ hour, run, results, units, onNext, onStop, onLeaveOut, onPlay }: GoingProps) {
  const nowMs = useTick();
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<string | null>(null);
  const [asksStop, setAsksStop] = useState(false);
  const at = runningAt(run);
  const part = hour.parts.find(({ key }) => key === run.parts[at]!.key)!;
  const clock = clockOf(run, hour, nowMs);
  const later = run.parts.slice(at + 1).filter(({ state }) => state === 'waiting');
  const next = hour.parts.find(({ key }) => key === later[0]?.key);
  const result = results.get(run.parts[at]!.sessionId ?? '');
  const played = result?.over ?? false;
  const over = clock.leftS < 0;
  useEffect(() => {
    if (over) shake();
  }, [over]);
  // The same test comes last: who passes it at once need not.
  const again =
    part.kind === 'test' && result?.met ? later.find(({ key }) => hour.parts.find((one) => one.key === key)?.kind === 'game') : undefined;
  return (
    <main>
      <HourTape hour={hour} run={run} goneS={clock.goneS} />
      <p className={styles.who}>
        Part {at + 1} of {run.parts.length} · {SAY_KIND[part.kind]}
        {Math.abs(clock.lateS) >= 60 && ` · ${Math.round(Math.abs(clock.lateS) / 60)} min ${clock.lateS > 0 ? 'late' : 'early'}, fitted in`}
      </p>
      <h1 className={styles.title}>{part.title}</h1>
      <p className={over ? `${styles.clock} ${styles.over}` : styles.clock} role="timer" aria-label={over ? 'Over time' : 'Time left'}>
        {over && '+'}
        {sayClock(Math.abs(clock.leftS))}
      </p>
      {part.cue && <p className={styles.cue}>“{part.cue}”</p>}
      {sayWhat(part, units) && <p className={styles.what}>{sayWhat(part, units)}</p>}
      {part.why && !played && <p className={styles.why}>{part.why}</p>}
      {result && (
        <p className={styles.result}>
          {result.said}
          {result.met && ' · goal met'}
        </p>
      )}
      {again && (
        <p className={styles.passed}>
          Passed.{' '}
          <button type="button" className="btn btn-outline-dark" onClick={() => onLeaveOut(again.key)}>
            Skip the test at the end
          </button>
        </p>
      )}
      <p className={styles.next}>
        {next ? (
          <>
            Then {SAY_KIND[next.kind].toLowerCase()}: {next.title}, {later[0]!.minutes} min
            {ballsFor(next) > 0 && `, ${counted(ballsFor(next), 'ball')}`}
          </>
        ) : (
          'The last part.'
        )}
      </p>
      {refused && <p role="alert">{refused}</p>}
      <div className={styles.keys}>
        {part.game && !played && (
          <button
            type="button"
            className="btn btn-primary btn-lg"
            disabled={busy}
            onClick={() => {
              setBusy(true);
              void onPlay(part).then((problem) => {
                setRefused(problem);
                setBusy(false);
              });
            }}
          >
            {result ? 'Go on playing' : 'Play'}
          </button>
        )}
        <button
          type="button"
          className={`btn btn-lg ${part.game && !played ? 'btn-outline-dark' : 'btn-primary'}`}
          onClick={() => onNext('done')}
        >
          {next ? 'Next part' : 'Finish'}
        </button>
        <div className={styles.small}>
          <button type="button" className="btn btn-outline-dark" onClick={() => onNext('skipped')}>
            Skip this
          </button>
          {asksStop ? (
            <button type="button" className="btn btn-dark" onClick={onStop} onBlur={() => setAsksStop(false)}>
              Really end it
            </button>
          ) : (
            <button type="button" className="btn btn-outline-dark" onClick={() => setAsksStop(true)}>
              End the hour
            </button>
          )}
        </div>
      </div>
    </main>
  );
}

/** Balls that a part takes at once. */
const ballsFor = ({ game, setOf }: Part) => (game ? budgetOf(game.spec).balls : (setOf ?? 0));
const mostBalls = ({ parts }: Hour) => Math.max(1, ...parts.map(ballsFor));

/** "7:05", "1:02:00". */
function sayClock(seconds: number): string {
  const whole = Math.floor(seconds);
  const [h, m, s] = [Math.floor(whole / 3600), Math.floor((whole % 3600) / 60), whole % 60];
  const two = (n: number) => String(n).padStart(2, '0');
  return h > 0 ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`;
}

/** Now, once a second. */
function useTick(): number {
  const [ms, setMs] = useState(now);
  useEffect(() => {
    const timer = setInterval(() => setMs(now()), 1000);
    return () => clearInterval(timer);
  }, []);
  return ms;
}
