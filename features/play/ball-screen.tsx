'use client';

import { useState } from 'react';
import { freshStationKey } from '@/core/game/open';
import type { Standing } from '@/core/play/play';
import type { Details } from '@/core/game/scoring/ball';
import type { Station } from '@/core/game/station';
import type { Turn } from '@/core/game/turn';
import { CallStation } from './call-station';
import { kept } from './details';
import { OneBall, type BallProps } from './one-ball';
import styles from './play.module.scss';
import { ScoreLine } from './score-line';
import { StationChoice } from './station-choice';
import { UndoButton } from './undo-button';
import { useOneAtATime } from './use-one-at-a-time';

/** One ball after another: where it is played from, where it stopped, how it stands. */
export function BallScreen(props: BallProps) {
  const { standing, system } = props;
  const [chosen, setChosen] = useState<Turn | null>(null);
  const [at, setAt] = useState(props.startAt ?? null);
  const [calling, setCalling] = useState(false);
  // How a ball is played stays for the next one of the same player at the same station.
  const [marked, setMarked] = useState<{ at: string; details: Details }>({ at: '', details: {} });
  // Outlives the ball: a press right after another one is the same press, whichever ball is on screen by then.
  const [busy, once] = useOneAtATime();
  const { next, choice, game } = standing;
  const there = next && next.attempt === 1 ? standing.open.find((turn) => turn.station.key === at) : undefined;
  const open = chosen && (game.open || choice.some((turn) => sameTurn(turn, chosen))) ? chosen : (there ?? null);

  if (game.open && (calling || (!next && !open))) {
    const turnNo = next?.turnNo ?? 0;
    const call = (station: Station) => {
      setCalling(false);
      setChosen({ turnNo, phase: 0, station, stationNo: game.stations.length + 1, ballNo: 1, asked: {}, attempt: 1 });
    };
    return (
      <main className={styles.ball} aria-busy={busy}>
        <CallStation
          stationKey={freshStationKey(game.stations)}
          system={system}
          onCall={call}
          onBack={next ? () => setCalling(false) : null}
        />
      </main>
    );
  }
  if (choice.length > 1 && !open) {
    const left = (turn: Turn) => leftAt(standing, turn);
    return (
      <main className={styles.ball} aria-busy={busy}>
        <ScoreLine standing={standing} system={system} />
        <StationChoice turns={choice} left={left} system={system} onChoose={setChosen} />
        <div className={styles.two}>
          <UndoButton sitting={props.sitting} disabled={props.balls === 0} />
        </div>
      </main>
    );
  }
  const turn = open ?? next!;
  const place = `${turn.station.key}|${props.seat}`;
  const details = marked.at === place ? marked.details : {};
  return (
    <OneBall
      key={`${turn.turnNo}|${turn.station.key}|${turn.ballNo}|${turn.attempt}|${props.seat}`}
      {...props}
      turn={turn}
      outOfTurn={turn === there}
      busy={busy}
      once={once}
      details={details}
      onDetails={(next) => setMarked({ at: place, details: next })}
      onRecorded={() => {
        setMarked({ at: place, details: kept(details) });
        setChosen(null);
        // Station after station, the balls of the one at hand are played out; any other order goes on by itself.
        if (standing.phase.order !== 'blocked') setAt(null);
      }}
      onElsewhere={
        game.open
          ? () => setCalling(true)
          : choice.length > 1
            ? () => {
                setChosen(null);
                setAt(null);
              }
            : null
      }
    />
  );
}

const sameTurn = (a: Turn, b: Turn) => a.station.key === b.station.key && a.ballNo === b.ballNo && a.turnNo === b.turnNo;

/** How many balls like this one are left. */
function leftAt({ phase, played }: Standing, turn: Turn): number {
  const asked = JSON.stringify(turn.asked);
  const like = (phase.lots ?? []).filter((lot) => phase.stations[lot.at]!.key === turn.station.key && JSON.stringify(lot.asked) === asked);
  const done = played.filter((shot) => shot.phase === phase.index && shot.stationKey === turn.station.key).map((shot) => shot.ballNo);
  return like.filter((lot) => !done.includes(lot.ballNo)).length;
}
