'use client';

import { useEffect, useState } from 'react';
import { asLogbookQuery, GROUNDS, LOGBOOK_COLUMNS, type LogbookAsked, type LogbookColumn, type LogbookFilter } from '@/core/logbook/asked';
import { say, SHOT_TYPES, SURFACES } from '@/core/golf/words';
import { capital } from '@/core/units/format';
import { FilterChoice, FilterDate, FilterToggle, Found, ListFilters, NoMatch } from '@/ui/list-filters';
import { useAsked } from '../form/use-asked';
import { useReady } from '../form/use-ready';
import styles from './logbook.module.scss';

type Named = { id: string; name: string };
type Props = {
  asked: LogbookAsked;
  players: readonly Named[];
  games: readonly Named[];
  greens: readonly Named[];
  tags: readonly string[];
  /** Nothing is like that. */
  none: boolean;
  children: React.ReactNode;
};

/** Typed words are looked for once nobody has typed for so long. */
const TYPED_MS = 300;
const SAY_SORT = [
  ['newest', 'newest first'],
  ['oldest', 'oldest first'],
  ['game', 'by game'],
] as const;
const SAY_COLUMN: Readonly<Record<LogbookColumn, string>> = { change: 'Compared with last time', conditions: 'Conditions', tags: 'Tags' };
/** What stands in the second row, which is folded away until one of it narrows something. */
const SELDOM: readonly (keyof LogbookFilter)[] = ['against', 'shotType', 'surface', 'greenId', 'ground', 'from', 'to', 'tag', 'several'];

/** What narrows the logbook; all of it stands in the address. What was found stands in it, and is dimmed while it is looked for anew. */
export function LogbookFilters({ asked: answered, players, games, greens, tags, none, children }: Props) {
  const { asked, pending, go } = useAsked(answered, asLogbookQuery);
  const ready = useReady();
  const { filter, sort, without } = asked;
  const set = (change: LogbookFilter) => go({ filter: { ...filter, ...change }, after: null });
  const [text, setText] = useState(filter.find ?? '');
  useEffect(() => {
    const typed = text.trim() || undefined;
    if (typed === filter.find) return;
    const timer = setTimeout(() => set({ find: typed }), TYPED_MS);
    return () => clearTimeout(timer);
    // Only what is typed starts it.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [text]);
  const choice = <Key extends keyof LogbookFilter>(
    key: Key,
    label: string,
    any: string,
    options: readonly (readonly [string, string])[],
  ) => (
    <FilterChoice
      label={label}
      value={filter[key] ?? ''}
      options={[['', any], ...options]}
      onChoose={(value) => set({ [key]: value || undefined })}
    />
  );
  const named = (all: readonly Named[]) => all.map(({ id, name }) => [id, name] as const);
  const words = (all: readonly string[]) => all.map((one) => [one, capital(say(one))] as const);
  const date = (key: 'from' | 'to', label: string) => (
    <FilterDate label={label} value={filter[key]} onChoose={(day) => set({ [key]: day })} />
  );
  const columns = (
    <div role="group" aria-label="Columns" className={styles.columns}>
      <span>Columns</span>
      {LOGBOOK_COLUMNS.map((column) => (
        <FilterToggle
          key={column}
          pressed={!without.includes(column)}
          onPress={() => go({ without: without.includes(column) ? without.filter((one) => one !== column) : [...without, column] })}
        >
          {SAY_COLUMN[column]}
        </FilterToggle>
      ))}
    </div>
  );
  return (
    <>
      <fieldset disabled={!ready} className={styles.filters}>
        <ListFilters find="Find a player, a game or a tag" text={text} onText={setText}>
          <FilterChoice
            label="Player"
            value={filter.playerId ?? ''}
            options={[['', 'all players'], ...named(players)]}
            // Whom somebody played with says nothing once nobody is looked for, or the other one is.
            onChoose={(value) =>
              set({ playerId: value || undefined, ...(value && value !== filter.against ? {} : { against: undefined }) })
            }
          />
          {choice('gameId', 'Game', 'all games', named(games))}
          {choice('goal', 'Goal', 'goal or not', [
            ['met', 'goal met'],
            ['missed', 'goal missed'],
          ])}
          <FilterChoice label="Order" value={sort} options={SAY_SORT} onChoose={(next) => go({ sort: next, after: null })} />
        </ListFilters>
        <details className={styles.more} open={SELDOM.some((key) => filter[key] !== undefined) || undefined}>
          <summary>More filters and columns</summary>
          <div className={styles.seldom}>
            {filter.playerId && choice('against', 'With', 'with anybody', named(players.filter(({ id }) => id !== filter.playerId)))}
            {choice('shotType', 'Shot', 'any shot', words(SHOT_TYPES))}
            {choice('surface', 'Lie', 'any lie', words(SURFACES))}
            {greens.length > 0 && choice('greenId', 'On', 'any green', named(greens))}
            {choice('ground', 'Green', 'any conditions', words(GROUNDS))}
            {tags.length > 0 &&
              choice(
                'tag',
                'Tag',
                'any tag',
                tags.map((tag) => [tag, tag] as const),
              )}
            {date('from', 'From')}
            {date('to', 'To')}
            <FilterToggle pressed={filter.several === 'yes'} onPress={() => set({ several: filter.several ? undefined : 'yes' })}>
              Two or more players
            </FilterToggle>
          </div>
          {columns}
        </details>
      </fieldset>
      <Found pending={pending}>
        {none ? (
          <NoMatch
            what="session"
            all="sessions"
            onAll={() => {
              setText('');
              go({ filter: {}, after: null });
            }}
          />
        ) : (
          children
        )}
      </Found>
    </>
  );
}
