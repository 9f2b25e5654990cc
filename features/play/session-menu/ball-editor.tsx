'use client';

import { useState } from 'react';
import { sayStation } from '@/core/game/words/say-station';
import type { Standing } from '@/core/play/play';
import { phasesOf } from '@/core/game/phases';
import { seedOf } from '@/core/game/order';
import { sayKey } from '@/core/game/words/say-key';
import { schemeOf } from '@/core/game/scoring';
import { ballOf, UNKNOWN, type Result } from '@/core/game/scoring/ball';
import { COUNTS } from '@/core/golf/words';
import { sayCounts, sayMeasured, sayResult } from '@/core/shot/say-shot';
import type { Shot } from '@/core/shot/shot';
import { AnswerKeys } from '../answer-keys';
import { Chips } from '../../session/chips';
import { amendBall, removeBall } from '../record';
import { TypePanel, usePad } from '../type-panel';
import { useOneAtATime } from '../use-one-at-a-time';
import type { MenuProps } from './menu-props';
import styles from './session-menu.module.scss';
import { Top } from './top';

type Props = { bundle: MenuProps['bundle']; seat: number; standing: Standing; shot: Shot; onClose: () => void };

/** One ball that was recorded: another result, a mark, or gone. What was said before stays on record. */
export function BallEditor({ bundle, seat, standing, shot, onClose }: Props) {
  const [typing, setTyping] = useState(false);
  const [busy, once] = useOneAtATime();
  const { units, measures } = bundle.players[seat]!;
  const [pad, setPad] = usePad(units);
  const phase = phasesOf(standing.game, seedOf(bundle.sessionId))[shot.phase] ?? standing.phase;
  const station = phase.stations.find((one) => one.key === shot.stationKey) ?? standing.game.stations[0]!;
  const scheme = schemeOf(phase.scoring);
  const change = (result: Result) =>
    once(async () => {
      await amendBall(bundle, shot.shotId, {
        nBalls: 1,
        sumLeftM: null,
        landed: null,
        executed: null,
        strokes: null,
        ...UNKNOWN,
        ...result,
      });
      onClose();
    });
  if (typing)
    return (
      <>
        <Top title={`Ball ${shot.turnNo + 1}`} onBack={() => setTyping(false)} />
        <TypePanel
          system={units}
          measures={measures}
          verdict={(result) => scheme.verdict(ballOf(result), station, phase)}
          pad={pad}
          onPad={setPad}
          onRecord={change}
          onCancel={() => setTyping(false)}
        />
      </>
    );
  return (
    <>
      <Top title={`Ball ${shot.turnNo + 1}: ${sayResult(shot, units)}`} onBack={onClose} />
      <div className={styles.list}>
        <p className="mb-0">{[sayStation(station, units), sayMeasured(shot.measured)].filter(Boolean).join(' · ')}</p>
        <Chips
          label="Counts as"
          options={COUNTS}
          value={shot.counts}
          name={(counts) => sayCounts(counts) || 'an ordinary ball'}
          onChange={(counts) => once(() => amendBall(bundle, shot.shotId, { counts }))}
        />
        <h2 className="mb-0">It was really</h2>
      </div>
      <AnswerKeys
        keys={scheme.asks(phase, station)}
        name={(key) => sayKey(key, phase.sizes, units, station.target)}
        unit={scheme.unit(phase.scoring)}
        onPress={(key) => change(key.result)}
      />
      <div className={styles.list}>
        {scheme.takesDistance(phase.scoring) && (
          <button type="button" className={styles.entry} onClick={() => setTyping(true)}>
            <b>Type distance</b>
          </button>
        )}
        <button
          type="button"
          className={styles.entry}
          disabled={busy}
          onClick={() =>
            once(async () => {
              await removeBall(bundle, shot.shotId);
              onClose();
            })
          }
        >
          <b>Remove this ball</b>
          <span>its turn is to be played again</span>
        </button>
      </div>
    </>
  );
}
