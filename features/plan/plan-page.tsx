import Link from 'next/link';
import type { HourRow, WeeksRow } from '@/server/data';
import { isGoing } from '@/core/hour/run';
import { counted } from '@/core/units/format';
import { HourLine } from '../session/hour-line';
import { BringBack } from './bring-back';
import { ImportPlan } from './import-plan';
import { archiveHourAction } from './hour/actions';
import { archiveWeeksAction } from './weeks/actions';
import { WeeksLine } from './weeks/weeks-line';
import styles from './plan.module.scss';

type Props = {
  slug: string;
  hours: readonly HourRow[];
  weeks: readonly WeeksRow[];
  /** Those that were put away. */
  away: { hours: readonly HourRow[]; weeks: readonly WeeksRow[] };
  /** The day there, and now. */
  today: string;
  now: Date;
  /** Whether there is anybody to plan for. */
  anybody: boolean;
};

/** So many of the groups come before everything else: what goes on, and what is for today. */
const NOW = 2;

/** The room Plan: what can be made, and what is planned. */
export function PlanPage({ slug, hours, weeks, away, today, now, anybody }: Props) {
  const base = `/a/${slug}`;
  if (!anybody)
    return (
      <div className="p-3 p-md-4">
        <h1>Plan</h1>
        <p className="empty">
          Plans are made for somebody: <Link href={`${base}/players/new`}>add a player</Link> first.
        </p>
      </div>
    );
  const isUnderWay = ({ run }: HourRow) => isGoing(run, now.getTime());
  const isOpen = (one: HourRow) => isUnderWay(one) || (one.run === null && (one.hour.day === null || one.hour.day >= today));
  // Those of planned weeks stand in their calendar; here only while they can be done.
  const inWeeks = new Set(weeks.flatMap((row) => row.weeks.days.map(({ hourId }) => hourId)));
  const alone = hours.filter(({ hourId }) => !inWeeks.has(hourId));
  const open = alone.filter(isOpen);
  const groups = [
    ['Under way', hours.filter(isUnderWay)],
    ['Today', hours.filter((one) => isOpen(one) && !isUnderWay(one) && one.hour.day === today)],
    ['Coming up', open.filter((one) => !isUnderWay(one) && one.hour.day !== null && one.hour.day > today).toReversed()],
    ['Any day', open.filter((one) => !isUnderWay(one) && one.hour.day === null)],
    ['Done and past', alone.filter((one) => !isOpen(one))],
  ] as const;
  const lines = ([name, rows]: (typeof groups)[number]) =>
    rows.length > 0 && (
      <section key={name}>
        <h2 className="mt-4 mb-1">{name}</h2>
        <ul className="rows">
          {rows.map((row) => (
            <HourLine key={row.hourId} {...{ slug, row, today, now }} />
          ))}
        </ul>
      </section>
    );
  return (
    <div className="p-3 p-md-4">
      <div className="d-flex flex-wrap justify-content-between align-items-center gap-2">
        <h1 className="mb-0">Plan</h1>
        <ImportPlan slug={slug} />
      </div>
      {groups.slice(0, NOW).map(lines)}
      <div className={styles.ways}>
        <Link href={`${base}/plan/hour/new`} className={styles.way}>
          <b>An hour</b>
          <span>Split your time into parts. Each is filled with what helps most.</span>
        </Link>
        <Link href={`${base}/plan/weeks/new`} className={styles.way}>
          <b>The next weeks</b>
          <span>Choose your practice days. Weak shots are tested before and after, with a verdict every four weeks.</span>
        </Link>
        <Link href={`${base}/plan/squad`} className={styles.way}>
          <b>A squad in rounds</b>
          <span>Groups change stations at a bell. Print the sheet, or show it on the wall.</span>
        </Link>
        <Link href={`${base}/plan/game`} className={styles.way}>
          <b>A game made to order</b>
          <span>Say who it is for, how long and what for. Choose from three games.</span>
        </Link>
      </div>
      {hours.length === 0 && weeks.length === 0 && (
        <p className="empty">No hour is planned yet. Plan one, and run it at the green with the clock.</p>
      )}
      {weeks.length > 0 && (
        <section>
          <h2 className="mt-4 mb-1">Weeks</h2>
          <ul className="rows">
            {weeks.map((row) => (
              <WeeksLine key={row.weeksId} {...{ slug, row, today }} />
            ))}
          </ul>
        </section>
      )}
      {groups.slice(NOW).map(lines)}
      {away.hours.length + away.weeks.length > 0 && (
        <details className="mt-4">
          <summary>{counted(away.hours.length + away.weeks.length, 'plan')} put away</summary>
          <ul className="rows">
            {away.weeks.map(({ weeksId, weeks: { title } }) => (
              <li key={weeksId}>
                <Link href={`${base}/plan/weeks/${weeksId}`}>{title}</Link>
                <BringBack bring={archiveWeeksAction.bind(null, slug, weeksId, false)} />
              </li>
            ))}
            {away.hours.map(({ hourId, hour }) => (
              <li key={hourId}>
                <Link href={`${base}/plan/hour/${hourId}`}>{hour.title}</Link>
                <BringBack bring={archiveHourAction.bind(null, slug, hourId, false)} />
              </li>
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}
