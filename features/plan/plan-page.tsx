import Link from 'next/link';
import type { HourRow } from '@/server/data';
import { HourLine } from '../session/hour-line';
import styles from './plan.module.scss';

type Props = {
  slug: string;
  hours: readonly HourRow[];
  /** The day there. */
  today: string;
  /** Whether there is anybody to plan for. */
  anybody: boolean;
};

/** The room Plan: what can be made, and what is planned. */
export function PlanPage({ slug, hours, today, anybody }: Props) {
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
  const isDone = ({ run }: HourRow) => run !== null && run.endedAt !== null;
  const open = hours.filter((one) => !isDone(one) && (one.hour.day === null || one.hour.day >= today));
  const groups = [
    ['Under way', open.filter(({ run }) => run !== null)],
    ['Today', open.filter(({ run, hour }) => run === null && hour.day === today)],
    ['To come', open.filter(({ run, hour }) => run === null && hour.day !== null && hour.day > today).toReversed()],
    ['Whenever', open.filter(({ run, hour }) => run === null && hour.day === null)],
    ['Over', hours.filter((one) => !open.includes(one))],
  ] as const;
  return (
    <div className="p-3 p-md-4">
      <h1>Plan</h1>
      <div className={styles.ways}>
        <Link href={`${base}/plan/hour/new`} className={styles.way}>
          <b>An hour</b>
          <span>Parts and minutes for a player or a group, each filled with what is worth most.</span>
        </Link>
        <Link href={`${base}/plan/squad`} className={styles.way}>
          <b>A squad in rounds</b>
          <span>Groups over stations with one bell, nobody in another’s line; a sheet, and a screen for the wall.</span>
        </Link>
        <Link href={`${base}/plan/game`} className={styles.way}>
          <b>A game to order</b>
          <span>Say for whom, how long and what for, and choose from three games.</span>
        </Link>
      </div>
      {hours.length === 0 && <p className="empty">No hour is planned yet. Plan one, and run it at the green with the clock.</p>}
      {groups.map(
        ([name, rows]) =>
          rows.length > 0 && (
            <section key={name}>
              <h2 className="mt-4 mb-1">{name}</h2>
              <ul className="rows">
                {rows.map((row) => (
                  <HourLine key={row.hourId} slug={slug} row={row} />
                ))}
              </ul>
            </section>
          ),
      )}
    </div>
  );
}
