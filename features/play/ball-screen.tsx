'use client';

import { useEffect, useState } from 'react';
import { sayStation, sayStationLie } from '@/core/game/describe';
import type { Standing } from '@/core/game/play';
import type { Who } from '@/core/game/record';
import { schemeOf } from '@/core/game/scoring';
import type { AnswerKey, Result } from '@/core/game/scoring/scheme';
import type { GameSpec } from '@/core/game/spec';
import { leftInterval } from '@/core/shot/evidence';
import { settledMedian } from '@/core/shot/median-left';
import type { Shot } from '@/core/shot/shot';
import { counted, formatLength, leftUnit } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import { Tape } from '@/ui/tape';
import { Target, targetReach, type Place } from '@/ui/target';
import { PlacePanel } from './place-panel';
import styles from './play.module.scss';
import { recordBall, undoBall } from './record';
import { TypePanel } from './type-panel';
import { UndoButton } from './undo-button';
import { useOneAtATime } from './use-one-at-a-time';

type Props = { spec: GameSpec; standing: Standing; who: Who; system: UnitSystem };

/** The way in which a ball is being entered: by key, by a tap on the target, or by a typed distance. */
type Entry = { way: 'keys' } | { way: 'place'; place: Place } | { way: 'type' };

/** One ball after another: where it is played from, where it stopped, how it stands. */
export function BallScreen({ spec, standing, who, system }: Props) {
  const [entry, setEntry] = useState<Entry>({ way: 'keys' });
  const [busy, once] = useOneAtATime();
  const scheme = schemeOf(spec.scoring);
  const keys = scheme.asks(spec.scoring);
  const turn = standing.next!;
  const worth = (result: Result) => scheme.score(scheme.step(scheme.start(spec.scoring), result, spec.scoring));

  const record = (result: Result) =>
    once(async () => {
      await recordBall(spec, turn, result, who);
      setEntry({ way: 'keys' });
    });

  useKeyboard(entry.way === 'keys' && !busy, keys, record, () => once(() => undoBall(spec, who)));

  const rings = keys.flatMap((key) => (key.kind === 'ring' ? [{ radiusM: key.edgeM!, label: String(key.points) }] : []));
  const here = standing.played.filter((shot) => shot.stationKey === turn.station.key);
  const left = here.map(leftInterval).filter((interval) => interval !== null);
  return (
    <main className={styles.ball}>
      <div className={styles.station} aria-live="polite">
        <h1>{sayStation(turn.station, system)}</h1>
        <p>{sayStationLie(turn.station)}</p>
        <span className={`${styles.count} fig`}>
          {turn.ballNo}
          <small>of {turn.station.balls}</small>
        </span>
      </div>
      {entry.way === 'type' ? (
        <>
          <ScoreLine spec={spec} standing={standing} system={system} />
          <TypePanel system={system} worth={worth} busy={busy} onRecord={record} onCancel={() => setEntry({ way: 'keys' })} />
        </>
      ) : (
        <>
          <div className={styles.target}>
            <Target
              label="The target from above: tap where the ball stopped"
              rings={rings}
              system={system}
              balls={here.flatMap((shot) => placeOf(shot) ?? [])}
              placing={entry.way === 'place' ? entry.place : null}
              onPlace={(place) => setEntry({ way: 'place', place })}
              size={300}
            />
          </div>
          {entry.way === 'keys' && (
            <div className={styles.tape}>
              <Tape
                label={`Balls at this station: ${here.length}`}
                balls={left}
                rings={rings.map((ring) => ({ edgeM: ring.radiusM, label: ring.label }))}
                medianM={settledMedian(left)}
                system={system}
                last={standing.played.at(-1)?.stationKey === turn.station.key}
              />
            </div>
          )}
          <ScoreLine spec={spec} standing={standing} system={system} />
          {entry.way === 'place' ? (
            <PlacePanel
              place={entry.place}
              reachM={targetReach(rings)}
              system={system}
              worth={worth}
              busy={busy}
              onMove={(place) => setEntry({ way: 'place', place })}
              onRecord={record}
              onCancel={() => setEntry({ way: 'keys' })}
            />
          ) : (
            <>
              <div className={styles.two}>
                <UndoButton spec={spec} who={who} disabled={standing.played.length === 0} />
                <button type="button" className="btn btn-outline-dark" onClick={() => setEntry({ way: 'type' })}>
                  Type distance
                </button>
              </div>
              <AnswerKeys keys={keys} system={system} busy={busy} onPress={(key) => record(key.result)} />
            </>
          )}
        </>
      )}
    </main>
  );
}

/** Where a ball is drawn, if its direction is known. */
function placeOf(shot: Shot): Place | null {
  if (shot.leftM === null || shot.bearingDeg === null) return null;
  const angle = (shot.bearingDeg * Math.PI) / 180;
  return { right: shot.leftM * Math.sin(angle), beyond: shot.leftM * Math.cos(angle) };
}

function ScoreLine({ spec, standing, system }: Pick<Props, 'spec' | 'standing' | 'system'>) {
  const ballsLeft = standing.turns - standing.played.length;
  const missing = spec.goal === null ? null : spec.goal - standing.score;
  const then =
    standing.after && standing.after.station.key !== standing.next!.station.key
      ? sayStation(standing.after.station, system)
      : 'the same again';
  return (
    <div className={styles.score}>
      <output className="fig" aria-label="Score">
        {standing.score}
      </output>
      <p>
        {missing !== null && (
          <>
            <b>goal {spec.goal}</b> · {missing <= 0 ? 'reached' : `${(missing / ballsLeft).toFixed(1)} a ball needed`}
            <br />
          </>
        )}
        {counted(ballsLeft, 'ball')} left · then {standing.after ? then : 'the end'}
      </p>
    </div>
  );
}

type KeysProps = { keys: AnswerKey[]; system: UnitSystem; busy: boolean; onPress: (key: AnswerKey) => void };

/** The keys that end a ball: lowest on the screen, where the thumb is. */
function AnswerKeys({ keys, system, busy, onPress }: KeysProps) {
  const name = (key: AnswerKey) =>
    key.kind === 'holed' ? 'Holed' : key.kind === 'outside' ? 'out' : formatLength(key.edgeM!, leftUnit(system));
  return (
    <div className={styles.keys} style={{ gridTemplateColumns: `repeat(${Math.min(5, keys.length)}, 1fr)` }}>
      {keys.map((key) => (
        <button
          key={key.key}
          type="button"
          disabled={busy}
          className={key.kind === 'holed' ? styles.holed : undefined}
          onClick={() => onPress(key)}
          aria-label={`${name(key)}, ${key.points} points`}
        >
          {name(key)}
          <small>{key.points}</small>
        </button>
      ))}
    </div>
  );
}

/** At a desk: H holed, 1 to 8 the rings from the hole outwards, 0 outside, U undo. */
function useKeyboard(active: boolean, keys: AnswerKey[], record: (result: Result) => void, undo: () => void) {
  useEffect(() => {
    if (!active) return;
    const press = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
      const letter = event.key.toLowerCase();
      const key =
        letter === 'h'
          ? keys.find(({ kind }) => kind === 'holed')
          : letter === '0'
            ? keys.find(({ kind }) => kind === 'outside')
            : keys.filter(({ kind }) => kind === 'ring')[Number(letter) - 1];
      if (key) record(key.result);
      else if (letter === 'u') undo();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  });
}
