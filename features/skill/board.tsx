import type { StrokesAs } from '@/core/units/strokes';
import { sayLevel } from '@/core/golf/level';
import Link from 'next/link';
import type { Finding } from '@/core/skill/diagnose';
import { FEW_BALLS } from '@/core/board/next';
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
  mayChange: boolean;
  player: PlayerRow;
  board: Board;
  /** Levels that can be chosen to be counted against. */
  levels: readonly number[];
  asked: BoardAsked;
  halfLifeDays: number | null;
  strokes: StrokesAs;
  narrowings: Answer<'narrowings'>;
  timeZone: string;
  now: Date;
  /** What stands behind the chosen cell. */
  panel: React.ReactNode;
  /** What to play first, for a player without a ball: there are no figures then but the level's. */
  first: React.ReactNode;
};

/** Where one player's strokes go. */
export function SkillBoard({
  slug,
  mayChange,
  player,
  board,
  levels,
  asked,
  halfLifeDays,
  strokes,
  narrowings,
  timeZone,
  now,
  panel,
  first,
}: Props) {
  const { known, diagnosis, against } = board;
  const { balls } = known.evidence;
  const base = `/a/${slug}/players/${player.playerId}`;
  const weakest = weakestOf(diagnosis, asked.per);
  const said = summaryOf(diagnosis, asked.per, against, balls, strokes);
  const weighs =
    halfLifeDays === null ? 'shots of every age count the same' : `recent shots count more (half after ${counted(halfLifeDays, 'day')})`;
  return (
    <div className="desk">
      <section>
        <PlayerHead
          slug={slug}
          player={player}
          mayChange={mayChange}
          beside={first ? `level ${sayLevel(player.level)} · no ball yet` : `compared with ${against} · ${counted(balls, 'ball')}`}
        >
          {!first && <PerSwitch asked={asked} />}
        </PlayerHead>
        {first ?? (
          <>
            <p className={styles.say}>
              <b>{said.most}</b> {said.next} {said.best}
            </p>
            {mayChange && balls >= FEW_BALLS && (
              <p className="no-print d-flex flex-wrap gap-2">
                <Link href={`/a/${slug}/plan/game?for=${player.playerId}`} className="btn btn-primary">
                  Make a game of it
                </Link>
                <Link href={`/a/${slug}/plan/hour/new?for=${player.playerId}`} className="btn btn-outline-dark">
                  Plan an hour
                </Link>
                <Link href={`/a/${slug}/plan/weeks/new?for=${player.playerId}`} className="btn btn-outline-dark">
                  Plan weeks
                </Link>
              </p>
            )}
            <Filters asked={asked} ownLevel={player.level} levels={levels} table={board.ownTable} {...narrowings} />
            {isFiltered(asked) && (
              <p className={styles.filtered}>
                {counted(balls, 'ball')} in this filter. <Link href={asQuery({ per: asked.per, against: asked.against })}>All balls</Link>
              </p>
            )}
            <Heat
              findings={diagnosis.findings}
              per={asked.per}
              asked={asked}
              strokes={strokes}
              named={weakest ? [weakest.first, ...weakest.near.slice(0, 3)] : []}
            />
            <HeatKey strokes={strokes} />
            <p className="small-print mt-2">
              Strokes {strokes} {asked.per === 'shot' ? 'a shot' : 'in a round of 18 holes'} compared with {against};{' '}
              {strokes === 'lost' ? 'a minus gains' : 'a plus gains'}. Here {weighs}
              {known.asOf && balls > 0 && `, counted from ${sayDay(known.asOf, timeZone, now)}`}.{' '}
              {saySilent(known.evidence.silent, diagnosis.noPlace)}{' '}
              {asked.per === 'round' && (
                <>
                  How often each shot comes up is {player.roundMix ? 'this player’s own' : 'what is usual at the level'}:{' '}
                  {mayChange ? <Link href={`${base}/round`}>the round mix</Link> : 'the round mix'}.{' '}
                </>
              )}
              Levels come from a simulation with judged constants, not from measured players, and the model was tested on made-up players
              only. It doesn’t know about fatigue, recording slips or green speed.
            </p>
          </>
        )}
      </section>
      <aside>
        {panel ?? (
          <Beside
            slug={slug}
            player={player}
            findings={diagnosis.findings}
            asked={asked}
            timeZone={timeZone}
            now={now}
            balls={balls}
            strokes={strokes}
          />
        )}
      </aside>
    </div>
  );
}

type BesideProps = Pick<Props, 'slug' | 'player' | 'asked' | 'timeZone' | 'now' | 'strokes'> & {
  findings: readonly Finding[];
  balls: number;
};
const SHOWN = 6;

/** What a coach may have forgotten, and what the player says of it. */
function Beside({ slug, player, findings, asked, timeZone, now, balls, strokes }: BesideProps) {
  const neglected = neglectedOf(findings, now);
  return (
    <div className={styles.panel}>
      {balls > 0 && (
        <p className="small-print">
          Choose a cell to see its balls: where they stopped, with which club, and whether the chip or the putt cost the stroke.
        </p>
      )}
      {balls > 0 && (
        <>
          <h3>Not practised</h3>
          {neglected.length === 0 ? (
            <p>Everything that comes up in a round was practised in the last four weeks.</p>
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
      <Dreads slug={slug} playerId={player.playerId} dreads={player.dreads ?? {}} findings={findings.map(dreadable)} strokes={strokes} />
    </div>
  );
}

const dreadable = ({ shotType, surface, balls, uses, perShot }: Finding) => ({ shotType, surface, balls, uses, perShot });
