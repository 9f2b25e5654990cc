import { sayStrokes, type StrokesAs } from '@/core/units/strokes';
import { sayLevel } from '@/core/golf/level';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { LEAST_SCORES, sayChange } from '@/core/board/over-time';
import { sayScore, scoreFigure } from '@/core/game/words/say-score';
import { capital, counted, inWords, leftUnit } from '@/core/units/format';
import { fromMetres } from '@/core/units/length';
import type { PlayerRow } from '@/server/data';
import { ChooseGame } from '../form/choose-game';
import { PlayerHead } from './player-head';
import { SinceForm } from './since-form';
import styles from './skill.module.scss';
import type { FamilyOverTime, GameOverTime } from '../../server/known/over-time';
import { inSign } from './in-sign';
import { TimeChart } from './time-chart';

type Props = {
  slug: string;
  mayChange: boolean;
  player: PlayerRow;
  /** How the families of skills went (`FamiliesGrid`), which may come later than the rest; null: no ball yet. */
  families: ReactNode;
  games: GameOverTime[];
  /** The day that divides before from since, "2026-11-03", and in words. */
  since: { day: string; words: string };
  timeZone: string;
};

const SHOWN = 8;

/** How it went, and whether a change is one. */
export function TimePage({ slug, mayChange, player, families, games, since, timeZone }: Props) {
  const lengths = leftUnit(player.units);
  /** A score as its chart counts it: lengths in the player's unit. */
  const inUnit = (score: number, unit: GameOverTime['unit']) => (unit === 'length' ? fromMetres(score, lengths) : score);
  return (
    <div className="p-3 p-md-4">
      <PlayerHead slug={slug} player={player} mayChange={mayChange} beside={`level ${sayLevel(player.level)}`} />
      {families === null ? (
        <p className="empty">
          No ball yet. <ChooseGame slug={slug} mayChange={mayChange} /> and play it: after a few sessions this shows how it goes.
        </p>
      ) : (
        <>
          <div className="d-flex flex-wrap justify-content-between align-items-end gap-2 mt-3">
            <h2 className="mb-0">Is this a real change?</h2>
            <SinceForm day={since.day} />
          </div>
          {families}
          <p className="small-print">
            Each period is estimated from its own balls; the band is the range 8 times in 10. Before and since are compared by their own
            balls alone. {player.roundMix ? 'The player’s own round mix is used.' : 'The level’s round mix is used.'}
          </p>
          <h2 className="mt-4">Games</h2>
          {games.length === 0 ? (
            <p className="small-print">No game was played to its end yet.</p>
          ) : (
            <div className={styles.grid}>
              {games.slice(0, SHOWN).map((game) => (
                <section key={`${game.gameId}|${game.version}`} className={styles.card}>
                  <h3>{mayChange ? <Link href={`/a/${slug}/games/${game.gameId}`}>{game.title}</Link> : game.title}</h3>
                  <p className={styles.verdict}>
                    <b>Best {sayScore(game.best, game.unit, player.units)}</b> in {counted(game.scores.length, 'session')}
                    {game.goal !== null && `; goal ${scoreFigure(game.goal, game.unit, player.units)}`}.{' '}
                    <span className="small-print">
                      {game.change
                        ? `${capital(sayChange(game.change.chanceBetter))}: mean ${scoreFigure(game.change.before, game.unit, player.units)} of ${game.change.of[0]} before, ${scoreFigure(game.change.since, game.unit, player.units)} of ${game.change.of[1]} since.`
                        : `${capital(inWords(LEAST_SCORES))} results before and ${inWords(LEAST_SCORES)} since are needed to compare.`}
                    </span>
                  </p>
                  <TimeChart
                    label={`${game.title}: ${counted(game.scores.length, 'score')} over time, best ${sayScore(game.best, game.unit, player.units)}`}
                    scores={game.scores.map(({ at, score }) => ({ x: at, y: inUnit(score, game.unit) }))}
                    best={inUnit(game.best, game.unit)}
                    goal={game.goal === null ? null : inUnit(game.goal, game.unit)}
                    since={since.day}
                    axis={game.unit === 'length' ? `${lengths} in all` : game.unit}
                    timeZone={timeZone}
                  />
                </section>
              ))}
            </div>
          )}
          {games.length > SHOWN && (
            <p className="small-print">
              The {SHOWN} most played of {games.length} games.
            </p>
          )}
        </>
      )}
    </div>
  );
}

type GridProps = Pick<Props, 'since' | 'timeZone'> & { families: FamilyOverTime[]; strokes: StrokesAs };

/** The families of skills over time, a chart each. */
export function FamiliesGrid({ families, since, timeZone, strokes }: GridProps) {
  return (
    <div className={styles.grid}>
      {families.map(({ family, points, change }) => (
        <section key={family} className={styles.card}>
          <h3 className="text-capitalize">{family}</h3>
          <p className={styles.verdict}>
            {change ? (
              <>
                <b>{capital(sayChange(change.chanceBetter))}.</b>{' '}
                <span className="small-print">
                  {sayStrokes(change.before, strokes)} {strokes} a round before {since.words} ({counted(change.of[0], 'ball')}),{' '}
                  {sayStrokes(change.since, strokes)} since ({counted(change.of[1], 'ball')}).
                </span>
              </>
            ) : (
              <span className="small-print">All balls are on one side of {since.words}: nothing to compare.</span>
            )}
          </p>
          <TimeChart
            label={`${family}: strokes ${strokes} in a round over time, ${counted(points.length, 'period')}`}
            points={points.map((point) => inSign(point, strokes))}
            since={since.day}
            axis={`strokes ${strokes} a round`}
            timeZone={timeZone}
            nothing
          />
        </section>
      ))}
    </div>
  );
}

/** Stands where the families will, while they are worked out. */
export const FamiliesComing = () => (
  <p role="status" className={`small-print ${styles.coming}`}>
    Being worked out …
  </p>
);
