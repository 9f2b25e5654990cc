'use client';

import { allStations } from '@/core/game/station';
import { useState } from 'react';
import { sayStation } from '@/core/game/words/say-station';
import type { Standing, Table } from '@/core/play/play';
import type { Station } from '@/core/game/station';
import { sayCounts, sayMarks, sayMeasured, sayResult } from '@/core/shot/say-shot';
import type { Shot } from '@/core/shot/shot';
import { counted } from '@/core/units/format';
import { Chips } from '../../session/chips';
import { removeBall } from '../record';
import { BallEditor } from './ball-editor';
import { MeasureNow } from './measure-now';
import type { MenuProps } from './menu-props';
import styles from './session-menu.module.scss';
import { Top } from './top';

/** Two records of one ball: the one that plays, and the one that was set aside; alone where the game has no such ball. */
type Twice = { seat: number; aside: Shot; plays: Shot | undefined };

/** All balls that were recorded twice, for somebody to settle. */
export function toSettle(table: Table): Twice[] {
  return table.standings.flatMap((standing, seat) =>
    standing.doubled.map((aside) => ({ seat, aside, plays: standing.played.find((shot) => sameBall(shot, aside)) })),
  );
}

const sameBall = (a: Shot, b: Shot) =>
  a.phase === b.phase && (a.turnNo === b.turnNo || (a.stationKey === b.stationKey && a.ballNo === b.ballNo));

/** Every ball of a player, the newest first, each to be corrected, marked or removed. */
export function BallsPanel(props: MenuProps) {
  const { bundle, table, onClose } = props;
  // Whoever had the last ball: most corrections are of that one.
  const last = bundle.players.findIndex((player) => player.playerId === props.shots.at(-1)?.playerId);
  const [seat, setSeat] = useState(bundle.only === null && last >= 0 ? last : props.seat);
  const [open, setOpen] = useState<string | null>(null);
  const [measuring, setMeasuring] = useState(false);
  const standing = table.standings[seat]!;
  const { units } = bundle.players[seat]!;
  const balls = ballsOf(standing);
  const chosen = balls.find((shot) => shot.shotId === open);
  const guesses = balls.filter((shot) => shot.measured === 'eye' && shot.leftM !== null && shot.nBalls === 1).toReversed();
  if (chosen) return <BallEditor bundle={bundle} seat={seat} standing={standing} shot={chosen} onClose={() => setOpen(null)} />;
  if (measuring) return <MeasureNow bundle={bundle} seat={seat} guesses={guesses} onClose={() => setMeasuring(false)} />;
  const own = toSettle(table).filter((one) => bundle.only === null || one.aside.playerId === bundle.only);
  return (
    <>
      <Top title="Balls so far" onBack={onClose} />
      <div className={styles.list}>
        {own.map((twice) => (
          <Settle key={twice.aside.shotId} bundle={bundle} twice={twice} />
        ))}
        {bundle.players.length > 1 && bundle.only === null && (
          <Chips
            label="Player"
            options={bundle.players.map((_, i) => String(i))}
            value={String(seat)}
            name={(i) => bundle.players[Number(i)]!.name}
            onChange={(i) => setSeat(Number(i))}
          />
        )}
        {guesses.length > 0 && (
          <button type="button" className={styles.entry} onClick={() => setMeasuring(true)}>
            <b>Measure now</b>
            <span>{counted(guesses.length, 'distance')} those judged by eye, while the balls still lie there</span>
          </button>
        )}
        {balls.length === 0 && <p>No ball yet.</p>}
        <ol className={styles.balls}>
          {balls.map((shot) => {
            const station = allStations(standing.game).find((one) => one.key === shot.stationKey);
            const marks = sayMarks(special(shot, station), units);
            return (
              <li key={shot.shotId}>
                <button type="button" onClick={() => setOpen(shot.shotId)}>
                  <b className="fig">{shot.turnNo + 1}</b>
                  <span>
                    {sayResult(shot, units)}
                    <small>{[station && sayStation(station, units), sayMeasured(shot.measured), marks].filter(Boolean).join(' · ')}</small>
                  </span>
                  {shot.counts !== 'ordinary' && <span className={styles.mark}>{sayCounts(shot.counts)}</span>}
                </button>
              </li>
            );
          })}
        </ol>
      </div>
    </>
  );
}

/** What is worth saying of a ball in a list: of its lie and flight only what differs from the station's. */
function special(shot: Shot, station: Station | undefined): Partial<Shot> {
  const { surface, sit, stance, trajectory, shape, clubLabel, swingMark, intendedM, landingErrorM, mishit, finish, penalty, note } = shot;
  const said: Partial<Shot> = { clubLabel, swingMark, intendedM, landingErrorM, mishit, finish, penalty, note };
  return {
    ...said,
    ...(station?.surface === surface ? {} : { surface }),
    ...(station?.sit === sit ? {} : { sit }),
    ...(station?.stance === stance ? {} : { stance }),
    ...(station?.trajectory === trajectory ? {} : { trajectory }),
    ...(station?.shape === shape ? {} : { shape }),
  };
}

/** The balls of a player, each once, the newest first: those that play and those that were only marked. */
function ballsOf({ played, extras, late }: Standing): Shot[] {
  const once = new Map([...played, ...extras, ...late].map((shot) => [shot.shotId, shot]));
  return [...once.values()].sort((a, b) => b.turnNo - a.turnNo || (a.playedAt < b.playedAt ? 1 : -1));
}

/** One ball, recorded twice: which one is it? */
function Settle({ bundle, twice: { seat, aside, plays } }: { bundle: MenuProps['bundle']; twice: Twice }) {
  const { units, name } = bundle.players[seat]!;
  return (
    <section className={styles.twice} aria-label="Recorded twice">
      <p>
        <b>
          {name}, ball {aside.turnNo + 1}
        </b>{' '}
        {plays ? 'was recorded twice. Which one is it?' : 'is one more than the game has.'}
      </p>
      {plays && <Rival shot={plays} units={units} action="Keep this" onAction={() => void removeBall(bundle, aside.shotId)} />}
      <Rival
        shot={aside}
        units={units}
        action={plays ? 'Keep this' : 'Remove'}
        onAction={() => void removeBall(bundle, plays ? plays.shotId : aside.shotId)}
      />
    </section>
  );
}

type RivalProps = { shot: Shot; units: 'imperial' | 'metric'; action: string; onAction: () => void };

function Rival({ shot, units, action, onAction }: RivalProps) {
  const at = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', second: '2-digit' }).format(new Date(shot.playedAt));
  return (
    <div className={styles.rival}>
      <span>
        {sayResult(shot, units)} <small>{at}</small>
      </span>
      <button type="button" className="btn btn-outline-dark" onClick={onAction}>
        {action}
      </button>
    </div>
  );
}
