import Link from 'next/link';
import { sayBand } from '@/core/golf/bands';
import { say } from '@/core/golf/words';
import { skillTable, THIN_BELOW, worstOf, type SkillRow } from '@/core/skill/table';
import { shippedReference } from '@/core/skill/reference';
import type { Shot } from '@/core/shot/shot';
import { signed } from '@/core/units/format';
import { toMetres } from '@/core/units/length';
import type { PlayerRow, SessionLine } from '@/server/data';
import { SessionLines } from '../logbook/session-lines';
import styles from './players.module.scss';
import { SkillTable } from './skill-table';
import { TableChoices } from './table-choices';

type Props = {
  slug: string;
  player: PlayerRow;
  shots: Shot[];
  sessions: SessionLine[];
  /** The level against which strokes are counted, and the distance for "share inside", in the player's own unit. */
  level: number;
  inside: number;
  timeZone: string;
  now: Date;
  /** What hands the player the key to their own sessions. */
  links: React.ReactNode;
};

/** Where one player's strokes go: a first table, every row on its own balls alone. */
export function SkillPage({ slug, player, shots, sessions, level, inside, timeZone, now, links }: Props) {
  const unit = player.units === 'metric' ? 'm' : 'ft';
  const rows = skillTable(shots, level, shippedReference, toMetres(inside, unit));
  const balls = rows.reduce((sum, row) => sum + row.balls, 0);
  const worst = worstOf(rows);
  const clamped = shippedReference.clamp(level);
  return (
    <div className="desk">
      <section>
        <div className="d-flex justify-content-between align-items-start gap-3">
          <h1>
            {player.name}{' '}
            <span className="beside">
              against level {level} · {balls.toLocaleString('en')} balls
              {player.handed === 'left' && ' · left-handed'}
            </span>
          </h1>
          <Link href={`/a/${slug}/players/${player.playerId}/edit`} className="btn btn-outline-dark flex-shrink-0 no-print">
            Change
          </Link>
        </div>
        {shots.length === 0 ? (
          <p className="empty">
            No ball yet. <Link href={`/a/${slug}/games`}>Choose a game</Link> and play it: the table fills by itself.
          </p>
        ) : (
          <>
            {worst && <WorstLine {...worst} />}
            <TableChoices level={level} ownLevel={player.level} levels={shippedReference.levels} inside={inside} unit={unit} />
            <SkillTable rows={rows} system={player.units} inside={`${inside} ${unit}`} />
            <p className="small-print mt-3">
              Strokes lost per shot against level {level}
              {clamped !== level && ` (read at level ${clamped}, where the table ends)`}; a minus gains, and ± is what eight means in ten
              stay within. The reference comes from a simulation with judged constants, not from measured players. Hatched rows are thin:
              under {THIN_BELOW} balls. Where rings leave it open, a median or a share is given as a range. Re-hits, collisions and the like
              are left out ({shots.length - balls} balls).
            </p>
          </>
        )}
      </section>
      <aside className="no-print">
        <h2>Sessions</h2>
        {sessions.length === 0 ? (
          <p className="small-print">None finished yet.</p>
        ) : (
          <SessionLines slug={slug} lines={sessions} timeZone={timeZone} now={now} withNames={false} />
        )}
        {links}
      </aside>
    </div>
  );
}

/** What a coach would say first: where most is lost, how sure that is, and what can't be told apart from it. */
function WorstLine({ row, near }: NonNullable<ReturnType<typeof worstOf>>) {
  const { perShot, give, of } = row.lost!;
  const name = ({ shotType, surface, band }: SkillRow) => `${say(shotType)} from ${say(surface)}, ${sayBand(band)}`;
  const more = near.length - 2;
  return (
    <p className={styles.say}>
      <b>Most is lost with the {name(row)}:</b> {perShot.toFixed(2)} strokes a shot ({signed(perShot - give!)} to {signed(perShot + give!)},
      eight times in ten; {of} balls).
      {near.length > 0 && ` Not told apart from it yet: ${near.slice(0, 2).map(name).join('; ')}${more > 0 ? `; and ${more} more` : ''}.`}
    </p>
  );
}
