'use client';

import { useState } from 'react';
import type { Bundle } from '@/core/exchange/bundle';
import type { Table } from '@/core/play/play';
import { sayConditions } from '@/core/shot/conditions';
import type { Shot } from '@/core/shot/shot';
import { Board } from '../session/board';
import { noteSession } from './device/sync';
import { NoteFields } from '../session/notes';
import styles from './play.module.scss';
import { Summary } from '../session/summary';
import { undoBall, undoPutts } from './record';
import { UndoButton } from './undo-button';
import { useOneAtATime } from './use-one-at-a-time';

type Props = {
  bundle: Bundle;
  table: Table;
  /** Where it leads back to. */
  home: string;
  /** Goes on with a game that was ended by hand. */
  onBack: (() => void) | null;
  /** Hears which balls were taken back, so that they can be put back. */
  onRemoved: (balls: Shot[]) => void;
};

/** After the last ball: who won, what came of it for each, and where to go from here. */
export function Afterwards({ bundle, table, home, onBack, onRemoved }: Props) {
  const { players, academy, gameId, spec, only } = bundle;
  const mine = players.findIndex((player) => player.playerId === only);
  const [shown, setShown] = useState(mine >= 0 ? mine : (table.ahead[0] ?? 0));
  const [busy, once] = useOneAtATime();
  const player = players[shown]!;
  const standing = table.standings[shown]!;
  const day = sayConditions(bundle.conditions);
  const doubled = table.standings.reduce((sum, one) => sum + one.doubled.length, 0);
  return (
    <main className={styles.over}>
      {players.length > 1 && <Board bundle={bundle} table={table} shown={shown} onShow={setShown} />}
      {players.length > 1 && <h2 className="mb-1">{player.name}</h2>}
      <Summary spec={spec} standing={standing} best={player.best} system={player.units} alone={players.length === 1} usual={player.usual} />
      {day && <p className="small-print mb-0">{day}</p>}
      <NoteFields
        key={player.playerId}
        id={player.playerId}
        notes={player.notes}
        by={only === null ? 'coach' : 'player'}
        timeZone={Intl.DateTimeFormat().resolvedOptions().timeZone}
        onKeep={(whose, text) => noteSession(bundle.sessionId, { say: 'note', playerId: player.playerId, whose, text })}
      />
      {doubled > 0 && (
        <p className="small-print">
          {doubled === 1 ? 'One ball was' : `${doubled} balls were`} recorded twice: settle that under ⋯, “Balls so far”.
        </p>
      )}
      <div className={styles.afterwards}>
        {onBack ? (
          <button type="button" className="btn btn-outline-dark" onClick={onBack}>
            Go on
          </button>
        ) : (
          <UndoButton
            disabled={busy}
            onUndo={() => once(async () => ((await undoPutts(bundle)) ? undefined : onRemoved(await undoBall(bundle))))}
          />
        )}
        {only === null && (
          <>
            <a className="btn btn-outline-dark" href={`/a/${academy.slug}/players/${player.playerId}`}>
              {player.name}’s skills
            </a>
            {spec.open ? (
              <a className="btn btn-outline-dark" href={`/a/${academy.slug}/games/new?session=${bundle.sessionId}`}>
                Keep as a game
              </a>
            ) : (
              <a
                className="btn btn-outline-dark"
                href={`/a/${academy.slug}/games/${gameId}?${players.map((one) => `with=${one.playerId}`).join('&')}`}
              >
                Again
              </a>
            )}
          </>
        )}
        <a className="btn btn-primary" href={home}>
          Done
        </a>
      </div>
    </main>
  );
}
