'use client';

import { ACTIVITY_KINDS } from '@/core/people/activity';
import { asActivityQuery, type ActivityAsked } from '@/core/people/activity-asked';
import { FilterChoice, FilterDate, Filters, Found, NoMatch } from '@/ui/list-filters';
import { useAsked } from '../form/use-asked';

type Named = { id: string; name: string };
type Props = { asked: ActivityAsked; members: readonly Named[]; players: readonly Named[]; none: boolean; children: React.ReactNode };
const NOTHING: ActivityAsked = { by: undefined, kind: undefined, player: undefined, from: undefined, to: undefined, before: undefined };

/** What narrows the record of activity; all of it stands in the address. */
export function ActivityFilters({ asked: answered, members, players, none, children }: Props) {
  const { asked, pending, go } = useAsked(answered, asActivityQuery);
  const set = (change: ActivityAsked) => go({ before: undefined, ...change });
  const named = (all: readonly Named[]) => all.map(({ id, name }) => [id, name] as const);
  const date = (key: 'from' | 'to', label: string) => (
    <FilterDate label={label} value={asked[key]} onChoose={(day) => set({ [key]: day })} />
  );
  const narrowed = asActivityQuery(asked) !== '';
  return (
    <>
      <Filters>
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
      </Filters>
      <Found pending={pending}>
        {none ? (
          narrowed ? (
            <NoMatch what="activity" all="activity" onAll={() => go(NOTHING)} />
          ) : (
            <p className="empty">Nothing yet.</p>
          )
        ) : (
          children
        )}
      </Found>
    </>
  );
}
