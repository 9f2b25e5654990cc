'use client';

import { Button, Form } from 'react-bootstrap';
import { ballsOf } from '@/core/game/phases';
import { sayMinutes, secondsFor } from '@/core/game/budget';
import { capital, counted, inWords, signed } from '@/core/units/format';
import { sayPlainDay } from '@/core/units/plain-day';
import { MOST_SHOTS, type Block } from '@/core/weeks/weeks';
import styles from './weeks.module.scss';

/** A shot that can be worked on: its key, and as a coach names it. */
export type ShotChoice = { key: string; shot: string };

type Props = {
  block: Block;
  /** From 1. */
  number: number;
  shots: readonly ShotChoice[];
  players: number;
  /** Whether it is over, is chosen from now, or waits for the verdict on the one before. */
  state: 'over' | 'now' | 'waits';
  busy: boolean;
  /** Works on these shots; on the costliest where none is named. */
  onShots: (shots: readonly string[]) => void;
};

/** Four weeks: which shots they are about, how that is tested, and what such a test can show. */
export function BlockPanel({ block, number, shots, players, state, busy, onShots }: Props) {
  const { from, until, tests, game, testDays } = block;
  const nameOf = (key: string) => shots.find((one) => one.key === key)?.shot ?? key;
  const others = (at: number) => block.shots.filter((_, i) => i !== at);
  return (
    <section className={styles.block} aria-label={`Weeks from ${sayPlainDay(from)}`} aria-busy={busy}>
      <h2>
        {sayPlainDay(from)} to {sayPlainDay(until)}
      </h2>
      {state === 'now' && (
        <div className={`${styles.keys} no-print`}>
          {Array.from({ length: Math.min(MOST_SHOTS, block.shots.length + 1) }, (_, at) => (
            <Form.Select
              key={at}
              size="sm"
              aria-label={`Shot ${at + 1}`}
              value={block.shots[at] ?? ''}
              disabled={busy}
              onChange={({ target }) => {
                const next = [...others(at).slice(0, at), ...(target.value ? [target.value] : []), ...others(at).slice(at)];
                onShots([...new Set(next)]);
              }}
            >
              <option value="">{at === 0 ? 'the costliest' : 'no other'}</option>
              {shots.map(({ key, shot }) => (
                <option key={key} value={key}>
                  {shot}
                </option>
              ))}
            </Form.Select>
          ))}
          {block.shots.length === 0 && (
            <Button size="sm" variant="primary" disabled={busy} onClick={() => onShots([])}>
              Choose the shots
            </Button>
          )}
        </div>
      )}
      {block.shots.length === 0 ? (
        <p className="small-print">
          {state === 'waits'
            ? `The shots are chosen when the ${inWords(number - 1) === 'one' ? 'first four weeks' : 'weeks before'} are over.`
            : 'No shots chosen yet.'}
        </p>
      ) : (
        <>
          <p className={state === 'now' ? `${styles.about} ${styles.chosenBelow}` : styles.about}>
            {block.shots.map((key, i) => (
              <b key={key}>
                {i > 0 && ' and '}
                {nameOf(key)}
              </b>
            ))}
          </p>
          {game && (
            <p className="small-print">
              The test: {counted(ballsOf(game.spec), 'ball')} in rings, {sayMinutes(secondsFor(game.spec, players))}, first and again at the
              end
              {testDays > 1 ? `, on ${inWords(testDays)} days each time` : ''}.
            </p>
          )}
          {tests.map(({ shot, balls, shows }) => (
            <p key={shot} className="small-print">
              {capital(nameOf(shot))}:{' '}
              {shows === null
                ? `${counted(balls, 'ball')} can hardly show a change. The score still tells you something.`
                : `${counted(balls, 'ball')} before and ${balls} after show a change of ${signed(shows)} strokes a shot, 4 times in 5.`}
            </p>
          ))}
        </>
      )}
    </section>
  );
}
