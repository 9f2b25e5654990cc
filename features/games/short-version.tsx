'use client';

import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { budgetOf, sayMinutes, shortened } from '@/core/game/budget';
import { ballsOf } from '@/core/game/phases';
import { schemeOf } from '@/core/game/scoring';
import type { GameSpec } from '@/core/game/spec';
import { sayGoal } from '@/core/game/words/goal-words';
import { counted } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import { NOT_SENT } from '../form/use-save';
import { goTo } from '../form/go';
import { saveGameAction } from './actions';
import styles from './games.module.scss';

type Props = { slug: string; gameId: string; spec: GameSpec; units: UnitSystem };

/** A version for fewer minutes that keeps the mix, saved as a game of its own: its scores are not those of the long one. */
export function ShortVersion({ slug, gameId, spec, units }: Props) {
  const [minutes, setMinutes] = useState(10);
  const [players, setPlayers] = useState(1);
  const [state, setState] = useState<'idle' | 'saving' | 'failed'>('idle');
  const full = budgetOf(spec, players).totalS;
  const short = shortened(spec, minutes, players);
  const save = async () => {
    setState('saving');
    const result = await saveGameAction(slug, gameId, short!, null, null).catch(() => null);
    if (result?.ok) goTo(`/a/${slug}/games/${gameId}`);
    else setState('failed');
  };
  if (spec.open) return null;
  const number = (set: (n: number) => void, most: number) => (event: React.ChangeEvent<HTMLInputElement>) =>
    set(Math.min(most, Math.max(1, Math.round(Number(event.target.value)) || 1)));
  return (
    <section className="no-print mt-4" aria-label="Less time">
      <h2 className="mb-2">Less time?</h2>
      <div className={styles.short}>
        <Form.Group controlId="short-minutes">
          <Form.Label>Minutes</Form.Label>
          <Form.Control type="number" min={1} max={180} value={minutes} onChange={number(setMinutes, 180)} />
        </Form.Group>
        <Form.Group controlId="short-players">
          <Form.Label>Players</Form.Label>
          <Form.Control type="number" min={1} max={24} value={players} onChange={number(setPlayers, 24)} />
        </Form.Group>
        <p className="mb-0">
          {short ? (
            <>
              <b>{counted(ballsOf(short), 'ball')}</b>
              {schemeOf(spec.scoring).most && ' at most'} of {ballsOf(spec)}, {sayMinutes(budgetOf(short, players).totalS)}: the same mix
              {short.goal !== null && `, ${sayGoal(short, units)}`}
            </>
          ) : full <= minutes * 60 ? (
            `It fits already: ${sayMinutes(full)}.`
          ) : (
            'It can’t be made that short.'
          )}
        </p>
        {short && (
          <Button variant="outline-dark" disabled={state === 'saving'} onClick={() => void save()}>
            Save it as a game
          </Button>
        )}
      </div>
      {state === 'failed' && (
        <p role="alert" className="text-danger fw-semibold mt-2">
          {NOT_SENT}
        </p>
      )}
    </section>
  );
}
