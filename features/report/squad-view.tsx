import { ALONE } from '@/core/report/make-report';
import type { SquadReport } from '@/core/report/squad-report';
import { counted, listed } from '@/core/units/format';
import { sayBetween, sayStrokes } from '@/core/units/strokes';
import { FOLLOWING } from './report-view';
import { ReportBars } from './report-bars';
import styles from './report.module.scss';

/** What the figures of a squad's report are. */
export const squadFoot = ({ strokes, made }: Pick<SquadReport, 'strokes' | 'made'>): string =>
  `Strokes ${strokes} in 18 holes, each player against their own level; the true figure is in the range 8 times in 10. ${ALONE} ${FOLLOWING} The levels come from a simulation with judged constants. Made ${made}.`;

/** A squad's report: on a screen, on paper, and behind a link. */
export function SquadView({ report }: { report: SquadReport }) {
  const { academy, period, strokes, players, more, away, says, shared } = report;
  const all = players.flatMap(({ weakest }) => weakest ?? []);
  return (
    <article className={`${styles.report} ${styles.squad}`} aria-label="Report, the squad">
      <header>
        <h1>The squad</h1>
        <p>
          {academy} · {period}
        </p>
      </header>
      {players.length === 0 && <p>No balls in this period.</p>}
      {says && <p className={styles.next}>{says}</p>}
      {shared.slice(1).map(({ shot, players: of }) => (
        <p key={shot}>
          {shot}: {of} of {counted(players.length, 'player')}.
        </p>
      ))}
      {players.map(({ name, sessions, balls, test, weakest, change, next }, i) => (
        <section key={i} aria-label={name}>
          <h2>
            {name}{' '}
            <small>
              {counted(balls, 'ball')} in {counted(sessions, 'session')}
            </small>
          </h2>
          {weakest && (
            <p className={styles.weakest}>
              <span>{weakest.shot}</span>
              <span className={styles.bars}>
                <ReportBars shot={weakest} all={all} as={strokes} />
              </span>
              <b className="fig">{sayStrokes(weakest.mean, strokes)}</b>
              <small>
                {sayBetween([weakest.low, weakest.high], strokes)}, {counted(weakest.balls, 'ball')}
              </small>
            </p>
          )}
          <p>
            {test && (
              <>
                <b>{test.title}</b> {test.last}. {test.says}{' '}
              </>
            )}
            {change}
          </p>
          <p>
            <b>Next:</b> {next}
          </p>
        </section>
      ))}
      {more > 0 && <p>{counted(more, 'more player')} recorded balls: see their own reports.</p>}
      {away.length > 0 && (
        <section>
          <h2>No balls in this period</h2>
          <p>{listed([...away])}</p>
        </section>
      )}
      <p className={styles.small}>{squadFoot(report)}</p>
    </article>
  );
}
