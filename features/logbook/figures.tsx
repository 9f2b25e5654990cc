import { figuresOf, headToHead, type HeadToHead } from '@/core/logbook/figures';
import type { LogbookFilter } from '@/core/logbook/asked';
import { schemeOf } from '@/core/game/scoring';
import { sayScore, scoreFigure } from '@/core/game/words/say-score';
import { counted } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import type { SharedDesk } from '@/server/actor';
import styles from './logbook.module.scss';

type At = { data: SharedDesk['data']; filter: LogbookFilter; system: UnitSystem };

/** Bests and averages of the game that is looked for, of the sessions that were found. */
export async function GameFigures({ data, filter, system }: At) {
  const found = filter.gameId ? await data.logbookScores(filter) : null;
  if (!found || found.scores.length === 0) return null;
  const { scoring } = found.spec;
  const unit = schemeOf(scoring).unit(scoring);
  const rows = figuresOf(found.scores, schemeOf(scoring).better(scoring));
  const versions = new Set(rows.map(({ version }) => version)).size > 1;
  const byLast = rows.some(({ lastFive }) => lastFive !== null);
  const byGround = rows.some(({ grounds }) => grounds.length > 0);
  const say = (score: number) => scoreFigure(score, unit, system);
  return (
    <table className={styles.figures}>
      <caption>Bests and averages</caption>
      <thead>
        <tr>
          <th scope="col">Player</th>
          <th scope="col">Best</th>
          <th scope="col">Average</th>
          {byLast && <th scope="col">Last five</th>}
          {byGround && <th scope="col">By ground</th>}
        </tr>
      </thead>
      <tbody>
        {rows.map(({ playerId, name, version, best, all, lastFive, grounds }) => (
          <tr key={`${playerId} ${version}`}>
            <th scope="row">
              {name} {versions && <small>version {version}</small>}
            </th>
            <td>
              <b className="fig">{sayScore(best, unit, system)}</b>
            </td>
            <td>
              {say(all.mean)} <small>of {all.of}</small>
            </td>
            {byLast && <td>{lastFive ? say(lastFive.mean) : ''}</td>}
            {byGround && (
              <td className={styles.grounds}>
                {grounds.map(({ ground, mean, of }) => (
                  <span key={ground}>
                    {ground} {say(mean)} <small>of {of}</small>{' '}
                  </span>
                ))}
              </td>
            )}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** So many of the newest sessions of two are looked at. */
const LOOKED_AT = 200;

/** How the two who are looked for stand against each other. */
export async function TwoPlayers({ data, filter, names }: Pick<At, 'data' | 'filter'> & { names: ReadonlyMap<string, string> }) {
  const { playerId, against } = filter;
  if (!playerId || !against) return null;
  const { lines, next } = await data.logbookPage(filter, { sort: 'newest', after: null, limit: LOOKED_AT });
  const tally = headToHead(
    // Balls that came in without a game have no winner.
    lines
      .filter(({ session: { gameId } }) => gameId !== null)
      .map(({ outcome, session: { spec } }) => ({ outcome, better: schemeOf(spec.scoring).better(spec.scoring) })),
    playerId,
    against,
  );
  if (tally.sessions === 0) return null;
  return (
    <p className={styles.two}>
      {sayTwo(tally, names.get(playerId) ?? '', names.get(against) ?? '')}
      {next !== null && ` The newest ${LOOKED_AT} are counted.`}
    </p>
  );
}

/** "Maren 5, Otto 3, level 1: 9 sessions together." */
export function sayTwo({ sessions, first, second, level }: HeadToHead, a: string, b: string): string {
  return `${a} ${first}, ${b} ${second}${level > 0 ? `, level ${level}` : ''}: ${counted(sessions, 'session')} together.`;
}
