import { sayLevel } from '@/core/golf/level';
import Link from 'next/link';
import type { Finding } from '@/core/skill/diagnose';
import { neglectedOf, saySilent, summaryOf } from '@/core/board/summary';
import { weakestOf } from '@/core/board/settle';
import { sayCell } from '@/core/board/say-cell';
import { counted } from '@/core/units/format';
import type { Answer, PlayerRow } from '@/server/data';
import { sayDay } from '@/core/units/say-moment';
import { asQuery, isFiltered, type BoardAsked } from './asked';
import { Dreads } from './dreads';
import { Filters } from './filters';
import { Heat, HeatKey } from './heat';
import type { Board } from '@/server/known/board';
import { PerSwitch } from './per-switch';
import { PlayerHead } from './player-head';
import styles from './skill.module.scss';

type Props = {
  slug: string;
  player: PlayerRow;
  board: Board;
  /** Levels that can be chosen to be counted against. */
  levels: readonly number[];
  asked: BoardAsked;
  halfLifeDays: number | null;
  narrowings: Answer<'narrowings'>;
  timeZone: string;
  now: Date;
  /** What stands behind the chosen cell. */
  panel: React.ReactNode;
};

/** Where one player's strokes go. */
export function SkillBoard({ slug, player, board, levels, asked, halfLifeDays, narrowings, timeZone, now, panel }: Props) {
  const { known, diagnosis, against } = board;
  const { balls } = known.evidence;
  const base = `/a/${slug}/players/${player.playerId}`;
  const weakest = weakestOf(diagnosis, asked.per);
  const said = summaryOf(diagnosis, asked.per, against, balls);
  const weighs = halfLifeDays === null ? 'balls of every age weigh alike' : `a ball weighs half after ${counted(halfLifeDays, 'day')}`;
  return (
    <div className="desk">
      <section>
        <PlayerHead slug={slug} player={player} beside={`against ${against} · ${counted(balls, 'ball')}`}>
          <PerSwitch asked={asked} />
        </PlayerHead>
        {balls === 0 && !isFiltered(asked) ? (
          <p className="empty">
            No ball yet. <Link href={`/a/${slug}/games`}>Choose a game</Link> and play it: from the first balls on, this says where the
            strokes go, and how sure that is. Until then the figures below are what is usual at level {sayLevel(player.level)}.
          </p>
        ) : (
          <p className={styles.say}>
            <b>{said.most}</b> {said.best} {said.next}
          </p>
        )}
        <Filters asked={asked} ownLevel={player.level} levels={levels} table={board.ownTable} {...narrowings} />
        {isFiltered(asked) && (
          <p className={styles.filtered}>
            Only {counted(balls, 'ball')} are looked at. <Link href={asQuery({ per: asked.per, against: asked.against })}>All balls</Link>
          </p>
        )}
        <Heat
          findings={diagnosis.findings}
          per={asked.per}
          asked={asked}
          named={weakest ? [weakest.first, ...weakest.near.slice(0, 3)] : []}
        />
        <HeatKey />
        <p className="small-print mt-2">
          Strokes lost {asked.per === 'shot' ? 'a shot' : 'in a round of 18 holes'} against {against}; a minus gains. Here {weighs}
          {known.asOf && balls > 0 && `, counted from ${sayDay(known.asOf, timeZone, now)}`}.{' '}
          {saySilent(known.evidence.silent, diagnosis.noPlace)}{' '}
          {asked.per === 'round' && (
            <>
              How often each shot comes up is {player.roundMix ? 'this player’s own' : 'what is usual at the level'}:{' '}
              <Link href={`${base}/round`}>the round mix</Link>.{' '}
            </>
          )}
          The level comes from a simulation with judged constants, not from measured players; the model was tried on made-up players only.
          It knows nothing of fatigue, of slips in recording and of the speed of the green.
        </p>
      </section>
      <aside>
        {panel ?? (
          <Beside slug={slug} player={player} findings={diagnosis.findings} asked={asked} timeZone={timeZone} now={now} balls={balls} />
        )}
      </aside>
    </div>
  );
}

type BesideProps = Pick<Props, 'slug' | 'player' | 'asked' | 'timeZone' | 'now'> & { findings: readonly Finding[]; balls: number };
const SHOWN = 6;

/** What a coach may have forgotten, and what the player says of it. */
function Beside({ slug, player, findings, asked, timeZone, now, balls }: BesideProps) {
  const neglected = neglectedOf(findings, now);
  return (
    <div className={styles.panel}>
      <p className="small-print">Choose a cell to see what stands behind it: where its balls stopped, which club, chip or putt.</p>
      {balls > 0 && (
        <>
          <h3>Not practised</h3>
          {neglected.length === 0 ? (
            <p>Nothing that comes up in a round was left out for four weeks.</p>
          ) : (
            <ul className={styles.list}>
              {neglected.slice(0, SHOWN).map((finding) => (
                <li key={finding.key}>
                  <Link href={asQuery(asked, { cell: finding.key })} scroll={false} replace>
                    {sayCell(finding)}
                  </Link>{' '}
                  <small className="small-print text-nowrap">
                    {finding.lastAt ? `last ${sayDay(finding.lastAt, timeZone, now)}` : 'never'} · {finding.uses.toFixed(1)} a round
                  </small>
                </li>
              ))}
            </ul>
          )}
          {neglected.length > SHOWN && (
            <p className="small-print">and {neglected.length - SHOWN} more that come up less often (not practised for four weeks)</p>
          )}
        </>
      )}
      <Dreads slug={slug} playerId={player.playerId} dreads={player.dreads ?? {}} findings={findings.map(dreadable)} />
    </div>
  );
}

const dreadable = ({ shotType, surface, balls, uses, perShot }: Finding) => ({ shotType, surface, balls, uses, perShot });
