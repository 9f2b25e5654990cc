'use client';

import { sayLevel } from '@/core/golf/level';
import { useId } from 'react';
import { sayScore, sayUnit } from '@/core/game/words/say-score';
import type { Outlook } from '@/core/forecast/outlook';
import { schemeOf } from '@/core/game/scoring';
import { counted } from '@/core/units/format';
import styles from './forecast.module.scss';
import { axisOf, bareFigure, isUndone, orMore } from './score-axis';
import { percent, type Shared } from './shared';
import { ScoreTape } from './score-tape';
import type { Beliefs, Candidate } from './use-beliefs';

/** A level, or a player. */
export type RowOf = { key: string; name: string; player: Candidate | null };

type Props = Pick<Shared, 'game' | 'units' | 'answer'> & {
  rows: readonly RowOf[];
  beliefs: Beliefs;
  /** For which row something is suggested, and what changes that; null where nothing is. */
  target: { key: string; onChange: (key: string) => void } | null;
  onLeaveOut: (player: Candidate) => void;
};

/** What each level and each chosen player scores, on one axis, with the chance of the goal. */
export function ScoreRows({ game, units, answer, rows, beliefs: { known, failed }, target, onLeaveOut }: Props) {
  const group = useId();
  const Who = target ? 'label' : 'span';
  const scheme = schemeOf(game.scoring);
  const unit = scheme.unit(game.scoring);
  const axis = axisOf(
    rows.flatMap(({ key }) => answer.rows[key]?.outlook ?? []),
    game.goal,
  );
  const games = Math.min(...rows.map(({ key }) => answer.rows[key]?.outlook.games ?? 0));
  const full = rows.filter(({ key }) => answer.rows[key]?.rough === false && answer.rows[key].ask === answer.ask).length;
  const say = (score: number) => bareFigure(score, game, units);
  const whole = (outlook: Outlook, score: number) => (isUndone(outlook, score) ? 'not finished' : sayScore(score, unit, units));
  return (
    <>
      <p className="small-print mb-1" aria-live="polite">
        <b>{sayUnit(unit, units)}</b>
        {scheme.better(game.scoring) === 'lower' && ', fewer is better'} · bar: 8 games in 10 · mark: median ·{' '}
        {games > 0 ? `${games.toLocaleString('en')} games a row` : 'playing it through'}
        {games > 0 && full < rows.length && `, ${full} of ${rows.length} rows in full`}
      </p>
      <div className={styles.rows} {...(target ? { role: 'radiogroup', 'aria-label': 'For whom goals and sizes are suggested' } : {})}>
        <div className={styles.head} aria-hidden="true">
          <span />
          <span />
          <span>median</span>
          <span>{game.goal === null ? '' : `goal ${say(game.goal)}`}</span>
        </div>
        {rows.map(({ key, name, player }) => {
          const row = answer.rows[key];
          const old = row && row.ask !== answer.ask;
          return (
            <div
              key={key}
              className={key === target?.key ? `${styles.row} ${styles.target}` : styles.row}
              data-row={key}
              data-rough={row?.rough ?? true}
              data-old={old ?? true}
            >
              <Who className={styles.who}>
                {target && <input type="radio" name={group} checked={key === target.key} onChange={() => target.onChange(key)} />}
                <span title={name}>{name}</span>
              </Who>
              <div style={old ? { opacity: 0.55 } : undefined}>
                {row && <ScoreTape outlook={row.outlook} axis={axis} goal={game.goal} say={say} own={player !== null} />}
              </div>
              <b className="fig">{row ? orMore(row.outlook, row.outlook.p50, say) : '…'}</b>
              <b className="fig">{row?.outlook.goalChance == null ? '' : percent(row.outlook.goalChance)}</b>
              {row && (
                <span className="visually-hidden">
                  {`${name}: median ${whole(row.outlook, row.outlook.p50)}, 8 games in 10 from ${whole(row.outlook, row.outlook.p10)} to ${whole(row.outlook, row.outlook.p90)}`}
                </span>
              )}
              {row?.outlook.undone && row.outlook.undone.chance > 0.005 && (
                <p className={styles.of}>not finished in {percent(row.outlook.undone.chance)} of games</p>
              )}
              {player && (
                <p className={styles.of}>
                  {ofWhom(
                    player,
                    known.some((one) => one.key === key),
                    failed.includes(key),
                  )}
                  <button type="button" className={styles.drop} onClick={() => onLeaveOut(player)}>
                    ×<span className="visually-hidden"> Leave out {player.name}</span>
                  </button>
                </p>
              )}
            </div>
          );
        })}
      </div>
    </>
  );
}

/** On what a player's row stands. */
function ofWhom({ level, balls }: Candidate, known: boolean, failed: boolean): string {
  if (balls === 0) return `no ball yet: as any player of level ${sayLevel(level)}`;
  if (failed) return `the records can’t be fetched now: as any player of level ${sayLevel(level)}`;
  return known ? `from ${counted(balls, 'ball')}` : 'reading the records …';
}
