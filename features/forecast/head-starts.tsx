'use client';

import { useEffect, useEffectEvent, useState } from 'react';
import { Button } from 'react-bootstrap';
import { enter } from '@/core/game/enter';
import type { OwnLengths } from '@/core/game/sizes';
import type { GameSpec } from '@/core/game/spec';
import type { AskedForecast } from '@/workers/messages';
import styles from './forecast.module.scss';
import { useBeliefs, type Candidate } from './use-beliefs';
import { useForecast } from './use-forecast';

type Props = {
  slug: string;
  game: GameSpec;
  players: readonly Candidate[];
  coach: OwnLengths;
  /** Head starts as they are typed, by player. */
  onSuggested: (starts: Record<string, string>) => void;
};

/** Suggests head starts with which everybody beats the strongest about every second time, and says how even it gets. */
export function HeadStarts({ slug, game, players, coach, onSuggested }: Props) {
  const [asked, setAsked] = useState<string | null>(null);
  const who = players.map(({ playerId }) => playerId).join();
  // Only for those who were chosen when it was asked.
  const wanted = asked === who ? players : [];
  const { known, failed } = useBeliefs(slug, wanted);
  const settled = wanted.every(
    ({ playerId, balls }) => balls === 0 || known.some(({ key }) => key === playerId) || failed.includes(playerId),
  );
  const question: AskedForecast = {
    game,
    rows: wanted.map((player) => ({ key: player.playerId, entrant: enter(player, game.sizes, coach, 0) })),
    target: '',
    wantedChance: 0.5,
    wantedRate: 0.5,
    wantedPar: 0.5,
    goalStepM: 1,
    together: wanted.map(({ playerId }) => playerId),
    onlyTogether: true,
  };
  const { together, ask, busy, failed: problem } = useForecast(wanted.length > 1 && settled ? JSON.stringify(question) : null, who, known);
  const found = together && together.ask === ask ? together : null;
  const fillIn = ({ keys, allowances }: NonNullable<typeof found>) =>
    onSuggested(Object.fromEntries(allowances.players.map(({ allowance }, i) => [keys[i]!, allowance === 0 ? '' : String(allowance)])));
  const arrived = useEffectEvent(fillIn);
  useEffect(() => {
    if (found) arrived(found);
  }, [found]);
  const guessed = wanted.filter(({ balls, playerId }) => balls === 0 || failed.includes(playerId)).map(({ name }) => name);
  return (
    <div className={styles.headStarts}>
      <Button variant="outline-dark" disabled={asked === who && busy} onClick={() => (found ? fillIn(found) : setAsked(who))}>
        Suggest head starts
      </Button>
      <span className="small-print" aria-live="polite">
        {problem ??
          (found
            ? `The strongest starts from scratch; of all pairs the least even is ${Math.round(100 * found.allowances.worstPair)} to ${Math.round(100 - 100 * found.allowances.worstPair)}, by ${found.games.toLocaleString('en')} games.${guessed.length > 0 ? ` By the level alone: ${guessed.join(', ')}.` : ''}`
            : asked === who
              ? 'playing it through …'
              : 'so that unequal players meet evenly')}
      </span>
    </div>
  );
}
