import type { Report, ReportShot } from '@/core/report/report';
import { counted } from '@/core/units/format';
import { sayBetween, sayStrokes } from '@/core/units/strokes';
import { Tape } from '@/ui/tape';
import { ReportBars } from './report-bars';
import styles from './report.module.scss';

/** Why there can be more balls behind a figure than were recorded. */
export const FOLLOWING = 'A ball that was putted out counts once for the shot and once for the putt.';

/** A player's report on one page: on a screen, on paper, and behind a link. */
export function ReportView({ report }: { report: Report }) {
  const { player, academy, period, made, played, games, test, change, weakest, strongest, says, clubs, plan, next, words, tape } = report;
  return (
    <article className={styles.report} aria-label={`Report, ${player}`}>
      <header>
        <h1>{player}</h1>
        <p>
          {academy} · {period}
        </p>
      </header>
      <p className={styles.next}>
        <b>Next:</b> {next}
      </p>
      {words && (
        <section className={styles.words}>
          <h2>From the coach</h2>
          <p>{words}</p>
        </section>
      )}
      <section>
        <h2>Where strokes go</h2>
        {says.map((sentence) => (
          <p key={sentence}>{sentence}</p>
        ))}
        <Shots title="Weakest" shots={weakest} report={report} />
        <Shots title="Strongest" shots={strongest} report={report} />
      </section>
      <section>
        <h2>What changed</h2>
        {change.map((sentence) => (
          <p key={sentence}>{sentence}</p>
        ))}
        {test && (
          <p>
            <b>{test.title}</b>, {test.when}: <b className="fig">{test.last}</b>, before that {test.before.join(', ')}. {test.says}
          </p>
        )}
      </section>
      {tape && (
        <section>
          <Tape
            label={tape.label}
            balls={tape.balls.map(({ from, to }) => ({ from, to: to ?? Infinity }))}
            medianM={tape.medianM}
            system={report.system}
            width={520}
          />
          <p className={styles.small}>{tape.label}</p>
        </section>
      )}
      <section>
        <h2>What was played</h2>
        <p>
          {played.balls === 0
            ? 'No balls in this period.'
            : `${counted(played.balls, 'ball')} in ${counted(played.sessions, 'session')} on ${counted(played.days, 'day')}. ${plan}`}
          {played.balls === 0 && ` ${plan}`}
        </p>
        {games.length > 0 && (
          <table>
            <thead>
              <tr>
                <th scope="col">Game</th>
                <th scope="col">Times</th>
                <th scope="col">Last</th>
                <th scope="col">Best</th>
              </tr>
            </thead>
            <tbody>
              {games.map(({ title, times, last, best }, i) => (
                <tr key={i}>
                  <th scope="row">{title}</th>
                  <td className="fig">{times}</td>
                  <td>{last}</td>
                  <td>{best}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </section>
      {clubs.length > 0 && (
        <section>
          <h2>Clubs</h2>
          <ul>
            {clubs.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </section>
      )}
      <p className={styles.small}>
        Strokes {report.strokes} in 18 holes against {report.against}; the true figure is in the range 8 times in 10. {FOLLOWING} The levels
        come from a simulation with judged constants. Made {made}.
      </p>
    </article>
  );
}

function Shots({ title, shots, report }: { title: string; shots: readonly ReportShot[]; report: Report }) {
  if (shots.length === 0) return null;
  return (
    <table className={styles.shots}>
      <caption>{title}</caption>
      <tbody>
        {shots.map((one) => (
          <tr key={one.shot}>
            <th scope="row">{one.shot}</th>
            <td className={styles.bars}>
              <ReportBars shot={one} all={[...report.weakest, ...report.strongest]} as={report.strokes} />
            </td>
            <td className="fig">{sayStrokes(one.mean, report.strokes)}</td>
            <td className={styles.small}>
              {sayBetween([one.low, one.high], report.strokes)}, {counted(one.balls, 'ball')}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
