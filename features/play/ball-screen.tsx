'use client';

import { useLayoutEffect, useState } from 'react';
import { freshStationKey } from '@/core/game/open';
import type { Standing } from '@/core/play/play';
import { takesTurn } from '@/core/play/verdict';
import type { Details } from '@/core/game/scoring/ball';
import { schemeOf } from '@/core/game/scoring';
import type { GameSpec } from '@/core/game/spec';
import type { Station } from '@/core/game/station';
import type { Turn } from '@/core/game/turn';
import { sayResult } from '@/core/shot/say-shot';
import { capital, counted } from '@/core/units/format';
import { CallStation } from './call-station';
import { proposedNext } from '@/core/game/proposed';
import { kept } from './details';
import { NextPhase } from './next-phase';
import { PuttOut } from './putt-out';
import { OneBall, type BallProps } from './one-ball';
import { putBackBalls, undoBall, undoPutts } from './record';
import styles from './play.module.scss';
import { ScoreLine } from './score-line';
import { StationChoice } from './station-choice';
import { UndoButton } from './undo-button';
import { usePad } from './type-panel';
import { usePresses, type Press, type Presses, type Taken } from './use-presses';

/** One ball after another: where it is played from, where it stopped, how it stands. */
export function BallScreen(props: BallProps) {
  const { standing, system, removed = [], onRemoved = () => {} } = props;
  const [chosen, setChosen] = useState<Turn | null>(null);
  const [at, setAt] = useState(props.startAt ?? null);
  const [calling, setCalling] = useState(false);
  // How a ball is played stays for the next one of the same player at the same station.
  const [marked, setMarked] = useState<{ at: string; details: Details }>({ at: '', details: {} });
  // These outlive the ball: what is pressed and typed for the next one finds its place before it is on the screen.
  const presses = usePresses(props.balls);
  const [pad, setPad] = usePad(system);
  const [again, setAgain] = useState(false);
  const { busy } = presses;
  // By the places of the players: up to which phase each was told what to do. Somebody in the middle of one knows.
  const [told, setTold] = useState<Readonly<Record<number, number>>>({});
  const [notHere, setNotHere] = useState<readonly string[]>([]);
  const { next, choice, game } = standing;
  const there = next && next.attempt === 1 ? standing.open.find((turn) => turn.station.key === at) : undefined;
  const open = chosen && (game.open || choice.some((turn) => sameTurn(turn, chosen))) ? chosen : (there ?? null);

  /** What was chosen for the ball at hand goes first, then the ball before it. */
  const undo = async (): Promise<Taken> => {
    if (chosen) {
      setChosen(null);
      return 'choice';
    }
    if (game.rules.puttOut === 'after_all' && (await undoPutts(props.sitting))) return 'choice';
    const gone = await undoBall(props.sitting);
    setAgain(false);
    onRemoved(gone);
    return gone.length > 0 ? 'ball' : 'nothing';
  };
  const putBack = async () => {
    if (await putBackBalls(props.sitting, removed)) onRemoved([]);
  };
  const said = (
    <Said
      note={presses.note || (again ? 'Stored. Play it again.' : '')}
      removed={removed.length > 1 ? counted(removed.length, 'ball') : removed.map((ball) => sayResult(ball, system)).join('')}
      onPutBack={() => void putBack()}
    />
  );

  const noBall = <Takes presses={presses} take={async (one) => (one.do === 'undo' ? undo() : 'nothing')} />;

  const { index } = standing.phase;
  if (next && index > (told[props.seat] ?? 0) && standing.phases[index]!.balls === 0)
    return (
      <>
        <NextPhase standing={standing} system={system} said={said} onReady={() => setTold({ ...told, [props.seat]: index })} />
        {noBall}
      </>
    );
  if (standing.toPuttOut.length > 0)
    return (
      <>
        <PuttOut sitting={props.sitting} standing={standing} system={system} said={said} onUndo={() => presses.press({ do: 'undo' })} />
        {noBall}
      </>
    );
  if (game.open && (calling || (!next && !open))) {
    const turnNo = standing.callNo;
    const call = (station: Station, wind: string | null) => {
      setCalling(false);
      setMarked({ at: `${station.key}|${props.seat}`, details: wind === null ? {} : { wind } });
      setChosen({ turnNo, phase: 0, station, stationNo: game.stations.length + 1, ballNo: 1, asked: {}, attempt: 1 });
    };
    return (
      <main className={styles.ball} aria-busy={busy}>
        <CallStation
          stationKey={freshStationKey(game.stations)}
          system={system}
          plan={sayPlan(game)}
          withPar={schemeOf(game.scoring).stationSays.includes('par')}
          proposed={proposedNext(game, notHere)}
          last={game.stations.at(-1) ?? null}
          onNotHere={(shot) => setNotHere([...notHere, shot])}
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
        {said}
        <StationChoice turns={choice} stations={standing.phase.stations.length} left={left} system={system} onChoose={setChosen} />
        <div className={styles.two}>
          <UndoButton disabled={props.balls === 0} onUndo={() => presses.press({ do: 'undo' })} />
        </div>
        {noBall}
      </main>
    );
  }
  const turn = open ?? next!;
  const place = `${turn.station.key}|${props.seat}`;
  const details = marked.at === place ? marked.details : {};
  return (
    <OneBall
      {...props}
      turn={turn}
      outOfTurn={turn === there}
      presses={presses}
      pad={pad}
      onPad={setPad}
      onUndo={undo}
      said={said}
      details={details}
      onDetails={(next) => setMarked({ at: place, details: next })}
      onRecorded={(counts) => {
        setMarked({ at: place, details: kept(details) });
        const stillOpen = counts !== null && !takesTurn({ counts });
        onRemoved([]);
        setAgain(stillOpen);
        if (!stillOpen) setChosen(null);
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

/** "Station 2 of 3, two balls there": what an open game plans of the next call; empty where nothing. */
function sayPlan({ calls, stations }: GameSpec): string {
  const no = stations.length + 1;
  return [
    calls.stations !== null && no <= calls.stations && `Station ${no} of ${calls.stations}`,
    calls.balls !== null && `${calls.stations === null ? capital(counted(calls.balls, 'ball')) : counted(calls.balls, 'ball')} there`,
  ]
    .filter(Boolean)
    .join(', ');
}

/** Takes presses where no ball is on the screen. */
function Takes({ presses: { takenBy }, take }: { presses: Presses; take: (one: Press) => Promise<Taken> }) {
  useLayoutEffect(() => takenBy(take));
  return null;
}

type SaidProps = { note: string; /** What was removed last, in words. */ removed: string; onPutBack: () => void };

/** What has to be said of the last press: that it was not taken, or what it removed. */
function Said({ note, removed, onPutBack }: SaidProps) {
  if (!note && !removed) return null;
  return (
    <p className={styles.marked} role="status">
      {note || `Removed: ${removed}`}
      {!note && (
        <button type="button" onClick={onPutBack}>
          put it back
        </button>
      )}
    </p>
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
