import { capital, counted } from '@/core/units/format';
import { sayPlainDay } from '@/core/units/plain-day';
import { verdictOf } from '@/core/plan/verdict';
import type { Weeks } from '@/core/weeks/weeks';
import { blockDone } from '@/server/known/weeks';
import type { HourRow, ListedPlayer } from '@/server/data';
import type { requireCoach } from '@/server/actor';
import styles from './weeks.module.scss';

type Props = {
  desk: Awaited<ReturnType<typeof requireCoach>>;
  weeks: Weeks;
  hours: readonly HourRow[];
  players: readonly ListedPlayer[];
  today: string;
};

/** So many of the last blocks have their verdict shown. */
const SHOWN = 2;

/** A plain verdict on each block that is over, the last first: what was done, what changed and how sure, what that says, what to alter. */
export async function Verdicts({ desk, weeks, hours, players, today }: Props) {
  const over = weeks.blocks.filter(({ until, shots }) => until < today && shots.length > 0).toReversed();
  const all = await Promise.all(
    over.slice(0, SHOWN).map(async (block) => ({
      block,
      of: await Promise.all(
        players.map(async (player) => ({
          name: player.name,
          verdict: verdictOf(await blockDone(desk, weeks, block, hours, player), desk.academy.strokesAs),
        })),
      ),
    })),
  );
  return all.map(({ block, of }) => (
    <section key={block.from} className={styles.verdict} aria-label={`Verdict on the weeks from ${sayPlainDay(block.from)}`}>
      <h2>
        Verdict, {sayPlainDay(block.from)} to {sayPlainDay(block.until)}
      </h2>
      {of.length > 1 && <p>{capital(of[0]!.verdict.done)}</p>}
      <div className={styles.verdicts}>
        {of.map(({ name, verdict }) => (
          <div key={name}>
            {of.length > 1 && <h3>{name}</h3>}
            {of.length === 1 && <p>{verdict.done}</p>}
            <ul>
              {verdict.changes.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
            <p>
              <b>{verdict.says}</b> {verdict.alter}
            </p>
          </div>
        ))}
      </div>
      {of.length === 0 && <p className="small-print">Nobody is left whom {counted(1, 'plan')} was for.</p>}
    </section>
  ));
}
