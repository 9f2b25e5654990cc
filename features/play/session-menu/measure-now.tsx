'use client';

import { useState } from 'react';
import { sayResult } from '@/core/shot/say-shot';
import type { Shot } from '@/core/shot/shot';
import { amendBall } from '../record';
import { TypePanel, usePad } from '../type-panel';
import { useOneAtATime } from '../use-one-at-a-time';
import type { MenuProps } from './menu-props';
import styles from './session-menu.module.scss';
import { Top } from './top';

type Props = { bundle: MenuProps['bundle']; seat: number; guesses: Shot[]; onClose: () => void };

/** The distances that were guessed, one after another: each is measured, or passed over. */
export function MeasureNow({ bundle, seat, guesses, onClose }: Props) {
  // The list as it was at the start: a guess that is measured leaves the other list, and must not move this one on twice.
  const [list] = useState(guesses);
  const [at, setAt] = useState(0);
  const [, once] = useOneAtATime();
  const { units, measures, name } = bundle.players[seat]!;
  const [pad, setPad] = usePad(units);
  const shot = list[at];
  if (!shot)
    return (
      <>
        <Top title="All measured" onBack={onClose} />
        <p className={styles.list}>The scores go by the new distances.</p>
      </>
    );
  const next = () => setAt(at + 1);
  return (
    <>
      <Top title={`Ball ${shot.turnNo + 1}, guessed ${sayResult(shot, units)}`} onBack={onClose} />
      <p className={styles.list} aria-live="polite">
        {name}, {at + 1} of {list.length}. Cancel passes it over.
      </p>
      <TypePanel
        key={shot.shotId}
        system={units}
        measures={measures}
        verdict={() => ''}
        pad={pad}
        onPad={setPad}
        onRecord={(result) =>
          once(async () => {
            await amendBall(bundle, shot.shotId, { leftM: result.leftM, measured: result.measured });
            next();
          })
        }
        onCancel={next}
      />
    </>
  );
}
