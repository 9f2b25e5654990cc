'use client';

import { useState } from 'react';
import { ballsIn, worthOf, type AllOf, type Counts, type Tally } from '@/core/play/tally';
import type { AnswerKey } from '@/core/game/scoring/answer-keys';
import { counted } from '@/core/units/format';
import { Chips } from '../session/chips';
import { FinishKeys } from './finish-keys';
import styles from './play.module.scss';

type Props = {
  tally: Tally;
  name: (key: AnswerKey) => string;
  /** What the game counts: "points". */
  unit: string;
  /** Whether it can be said that all stopped short of the hole, or beyond it. */
  sides: boolean;
  onRecord: (counts: Counts, where: AllOf | null) => void;
  onCancel: () => void;
};

/** A whole set at once: hit first, then counted at the hole. The count is held to the balls that were hit. */
export function TallyPanel({ tally, name, unit, sides, onRecord, onCancel }: Props) {
  const most = tally.turns.length;
  const [hit, setHit] = useState(most);
  const [counts, setCounts] = useState<Counts>({});
  const [where, setWhere] = useState<AllOf | null>(null);
  const [tried, setTried] = useState(false);
  const done = ballsIn(counts);
  const left = hit - done;
  const worth = worthOf(tally, counts);
  const add = (key: string, more: number) => {
    setCounts((now) => ({ ...now, [key]: Math.max(0, (now[key] ?? 0) + more) }));
    setTried(false);
  };
  return (
    <div className={styles.tally} role="group" aria-label="Count the set">
      <p className={styles.tallyHead} aria-live="polite">
        <b className="fig">
          {done} of {hit}
        </b>
        <span>
          {left === 0
            ? worth !== null && unit === 'points'
              ? `all counted · ${counted(worth, 'point')}`
              : 'all counted'
            : left > 0
              ? `${counted(left, 'ball')} to count`
              : `${counted(-left, 'ball')} too many`}
        </span>
      </p>
      <Line
        what="balls hit"
        count={hit}
        onLess={hit > 1 ? () => setHit(hit - 1) : null}
        onMore={hit < most ? () => setHit(hit + 1) : null}
      />
      <div className={styles.tallyKeys}>
        {tally.keys.map((key) => {
          const count = counts[key.key] ?? 0;
          return (
            <Line
              key={key.key}
              what={name(key)}
              count={count}
              onLess={count > 0 ? () => add(key.key, -1) : null}
              onMore={left > 0 ? () => add(key.key, 1) : null}
              onRest={left > 1 ? () => add(key.key, left) : null}
            />
          );
        })}
      </div>
      {sides && (
        <Chips
          label="Where they stopped"
          options={['short', 'long'] as const}
          value={where}
          name={(one) => `all ${one}`}
          onChange={setWhere}
          onClear={() => setWhere(null)}
        />
      )}
      {tried && left !== 0 && (
        <p role="alert" className={styles.tallyWrong}>
          {left > 0 ? `Count ${counted(left, 'more ball')}, or take some off the balls hit.` : 'You’ve counted more balls than you hit.'}
        </p>
      )}
      <FinishKeys
        record={counted(hit, 'ball')}
        onRecord={() => (left === 0 ? onRecord(counts, where) : setTried(true))}
        onCancel={onCancel}
      />
    </div>
  );
}

type LineProps = {
  what: string;
  count: number;
  onLess: (() => void) | null;
  onMore: (() => void) | null;
  /** All that are not counted yet; where it is left out there is no such key. */
  onRest?: (() => void) | null;
};

function Line({ what, count, onLess, onMore, onRest }: LineProps) {
  return (
    <div className={styles.tallyLine}>
      <span>{what}</span>
      <button type="button" aria-label={`${what}: one less`} disabled={!onLess} onClick={() => onLess?.()}>
        −
      </button>
      <output className="fig" aria-label={what}>
        {count}
      </output>
      <button type="button" aria-label={`${what}: one more`} disabled={!onMore} onClick={() => onMore?.()}>
        +
      </button>
      {onRest !== undefined && (
        <button type="button" aria-label={`${what}: the rest`} disabled={!onRest} onClick={() => onRest?.()}>
          rest
        </button>
      )}
    </div>
  );
}
