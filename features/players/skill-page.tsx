import Link from 'next/link';
import { sayBand } from '@/core/golf/bands';
import { say } from '@/core/golf/words';
import { skillTable, THIN_BELOW } from '@/core/skill/table';
import { shippedReference } from '@/core/skill/reference';
import type { Shot } from '@/core/shot/shot';
import { toMetres } from '@/core/units/length';
import type { SessionLine } from '@/db/queries/sessions';
import type { PlayerRow } from '@/db/queries/players';
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
};

/** Where one player's strokes go: a first table, every row on its own balls alone. */
export function SkillPage({ slug, player, shots, sessions, level, inside, timeZone, now }: Props) {
  const unit = player.units === 'metric' ? 'm' : 'ft';
  const rows = skillTable(shots, level, shippedReference, toMetres(inside, unit));
  const balls = rows.reduce((sum, row) => sum + row.balls, 0);
  const worst = rows.find((row) => !row.thin && row.lost !== null && row.lost.perShot > 0);
  const clamped = shippedReference.clamp(level);
  return (
    <div className={styles.board}>
      <section className={styles.main}>
        <div className="d-flex justify-content-between align-items-start gap-3">
          <h1>
            {player.name}{' '}
            <span className={styles.under}>
              against level {level} · {balls.toLocaleString('en')} balls
              {player.handed === 'left' && ' · left-handed'}
            </span>
          </h1>
          <Link href={`/a/${slug}/players/${player.playerId}/edit`} className="btn btn-outline-dark flex-shrink-0 no-print">
            Change
          </Link>
        </div>
        {shots.length === 0 ? (
          <p className={styles.empty}>
            No ball yet. <Link href={`/a/${slug}/games`}>Choose a game</Link> and play it: the table fills by itself.
          </p>
        ) : (
          <>
            {worst && (
              <p className={styles.say}>
                <b>
                  Most is lost with the {say(worst.shotType)} from {say(worst.surface)}, {sayBand(worst.band)}:
                </b>{' '}
                {worst.lost!.perShot.toFixed(2)} strokes a shot, of {worst.lost!.of} balls. How sure that is comes with more balls; rows
                that lie close together can&rsquo;t be told apart.
              </p>
            )}
            <TableChoices level={level} ownLevel={player.level} levels={shippedReference.levels} inside={inside} unit={unit} />
            <SkillTable rows={rows} system={player.units} inside={`${inside} ${unit}`} />
            <p className="small-print mt-3">
              Strokes lost per shot against level {level}
              {clamped !== level && ` (read at level ${clamped}, where the table ends)`}; a minus gains. The reference comes from a
              simulation with judged constants, not from measured players. Hatched rows are thin: under {THIN_BELOW} balls. Where rings
              leave it open, a median or a share is given as a range. Re-hits, collisions and the like are left out ({shots.length - balls}{' '}
              balls).
            </p>
          </>
        )}
      </section>
      <aside className={styles.side}>
        <h2>Sessions</h2>
        {sessions.length === 0 ? (
          <p className="small-print">None finished yet.</p>
        ) : (
          <SessionLines slug={slug} lines={sessions} timeZone={timeZone} now={now} withNames={false} />
        )}
      </aside>
    </div>
  );
}
