import Link from 'next/link';
import { counted } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import type { GreenRow } from '@/server/data';
import { saySize } from './say-size';
import styles from './greens.module.scss';
import { PlanPicture } from './plan-picture';

type Props = { slug: string; greens: readonly GreenRow[]; units: UnitSystem };

/** The greens of an academy, each with its shape. */
export function GreenList({ slug, greens, units }: Props) {
  if (greens.length === 0)
    return (
      <p className="empty">
        No greens yet. <Link href={`/a/${slug}/greens/new`}>Draw the first one</Link>: pace from a hole to the edge in eight directions.
      </p>
    );
  return (
    <ul className={styles.list}>
      {greens.map(({ greenId, plan, version }) => (
        <li key={greenId}>
          <Link href={`/a/${slug}/greens/${greenId}`}>
            <PlanPicture plan={plan} system={units} label={`${plan.title} from above`} wide={320} high={190} small />
            <span className={styles.name}>
              <b>{plan.title}</b>
              <span className="small-print">
                {saySize(plan.outline, units)}
                <br />
                {counted(plan.holes.length, 'hole')}, {counted(plan.stations.length, 'station')}
                {plan.stimpFt !== null && ` · Stimp ${plan.stimpFt}`}
                {version > 1 && ` · version ${version}`}
              </span>
            </span>
          </Link>
        </li>
      ))}
    </ul>
  );
}
