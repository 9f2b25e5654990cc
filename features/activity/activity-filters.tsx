'use client';

import { ACTIVITY_KINDS } from '@/core/people/activity';
import { asActivityQuery, type ActivityAsked } from '@/core/people/activity-asked';
import { FilterChoice, NoMatch } from '@/ui/list-filters';
import { useAsked } from '../form/use-asked';
import styles from './activity.module.scss';

type Named = { id: string; name: string };
type Props = { asked: ActivityAsked; members: readonly Named[]; players: readonly Named[]; none: boolean; children: React.ReactNode };
const NOTHING: ActivityAsked = { by: undefined, kind: undefined, player: undefined, from: undefined, to: undefined, before: undefined };

/** What narrows the record of activity; all of it stands in the address. */
export function ActivityFilters({ asked: answered, members, players, none, children }: Props) {
  const { asked, pending, go } = useAsked(answered, asActivityQuery);
  const set = (change: ActivityAsked) => go({ before: undefined, ...change });
  const named = (all: readonly Named[]) => all.map(({ id, name }) => [id, name] as const);
  const date = (key: 'from' | 'to', label: string) => (
    <label className={styles.date}>
      {label}
      <input
        type="date"
        className="form-control form-control-sm"
        value={asked[key] ?? ''}
        onChange={(event) => set({ [key]: event.target.value || undefined })}
      />
    </label>
  );
  const narrowed = asActivityQuery(asked) !== '';
  return (
    <>
      <div className={`${styles.filters} no-print`} role="group" aria-label="Filter">
        <FilterChoice
          label="Who"
          value={asked.by ?? ''}
          options={[['', 'everybody'], ...named(members)]}
          onChoose={(by) => set({ by: by || undefined })}
        />
        <FilterChoice
          label="What"
          value={asked.kind ?? ''}
          options={[['', 'anything'], ...Object.entries(ACTIVITY_KINDS)]}
          onChoose={(kind) => set({ kind: (kind || undefined) as ActivityAsked['kind'] })}
        />
        <FilterChoice
          label="Player"
          value={asked.player ?? ''}
          options={[['', 'any player'], ...named(players)]}
          onChoose={(player) => set({ player: player || undefined })}
        />
        {date('from', 'From')}
        {date('to', 'To')}
      </div>
      <div aria-busy={pending} className={pending ? styles.pending : undefined}>
        {none ? (
          narrowed ? (
            <NoMatch what="activity" all="activity" onAll={() => go(NOTHING)} />
          ) : (
            <p className="empty">Nothing yet.</p>
          )
        ) : (
          children
        )}
      </div>
    </>
  );
}
