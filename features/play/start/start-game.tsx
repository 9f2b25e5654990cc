'use client';

import { useState } from 'react';
import type { Kit, KitGame } from '@/core/exchange/kit';
import { ballsOf } from '@/core/game/phases';
import { schemeOf } from '@/core/game/scoring';
import { counted } from '@/core/units/format';
import { GuestField } from '../../form/guest-field';
import { readAllowances } from '../../form/allowance';
import { HeadStartFields } from '../../form/head-start-fields';
import { newId } from '../../form/ids';
import type { Chosen } from './begin-here';
import styles from './start.module.scss';

/** More than these are easier to find by typing. */
const MANY = 8;

type Guest = { playerId: string; name: string };
type Props = { kit: Kit; onStart: (chosen: Chosen) => Promise<boolean> };

/** Which game, then who plays it: both are kept here, so that it starts without a network too. */
export function StartGame({ kit, onStart }: Props) {
  const [picked, setPicked] = useState<string | null>(null);
  const [find, setFind] = useState('');
  const game = kit.games.find(({ gameId }) => gameId === picked);
  const listed = kit.games.filter((one) => one.listed);
  if (listed.length === 0 || kit.players.length === 0)
    return <p>{listed.length === 0 ? 'No games yet. Design one at the desk.' : 'No players yet. Add one at the desk.'}</p>;
  if (game) return <Who key={game.gameId} game={game} kit={kit} onStart={onStart} onBack={() => setPicked(null)} />;
  return (
    <section aria-labelledby="start-a-game">
      <h2 id="start-a-game">Start a game</h2>
      {listed.length > MANY && <Find what="game" value={find} onChange={setFind} />}
      <ul>
        {listed
          .filter(({ spec }) => fits(spec.title, find))
          .map(({ gameId, spec }) => (
            <li key={gameId}>
              <button type="button" className={styles.game} onClick={() => setPicked(gameId)}>
                <b>{spec.title}</b>
                <span>{spec.open ? 'open' : counted(ballsOf(spec), 'ball')}</span>
              </button>
            </li>
          ))}
      </ul>
    </section>
  );
}

type WhoProps = { game: KitGame; kit: Kit; onStart: Props['onStart']; onBack: () => void };

/** Who plays, in the order in which they are tapped. */
function Who({ game, kit, onStart, onBack }: WhoProps) {
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const [guests, setGuests] = useState<readonly Guest[]>([]);
  const [typed, setTyped] = useState<Record<string, string>>({});
  const [find, setFind] = useState('');
  const [state, setState] = useState<'ready' | 'starting' | 'failed'>('ready');
  const fewest = Math.max(1, schemeOf(game.spec.scoring).players);
  const toggle = (playerId: string) =>
    setChosen((now) => (now.includes(playerId) ? now.filter((id) => id !== playerId) : [...now, playerId]));
  const allowances = readAllowances(game.spec.rules.allowances ? typed : {}, chosen);
  const start = async () => {
    if (!allowances) return;
    setState('starting');
    if (!(await onStart({ gameId: game.gameId, playerIds: chosen, guests, allowances }))) setState('failed');
  };
  return (
    <section aria-labelledby="who-plays" className={styles.who}>
      <h2 id="who-plays">{game.spec.title}: who plays?</h2>
      {kit.players.length > MANY && <Find what="player" value={find} onChange={setFind} />}
      <div className={styles.people}>
        {[...kit.players, ...guests]
          .filter(({ name, playerId }) => fits(name, find) || chosen.includes(playerId))
          .map(({ playerId, name }) => {
            const place = chosen.indexOf(playerId);
            return (
              <button
                key={playerId}
                type="button"
                className={`btn ${place >= 0 ? 'btn-dark' : 'btn-outline-dark'}`}
                aria-pressed={place >= 0}
                onClick={() => toggle(playerId)}
              >
                {place >= 0 && chosen.length > 1 && <b className="fig">{place + 1} </b>}
                {name}
              </button>
            );
          })}
      </div>
      <GuestField
        onAdd={(name) => {
          const playerId = newId();
          setGuests([...guests, { playerId, name }]);
          toggle(playerId);
        }}
      />
      {game.spec.rules.allowances && chosen.length > 1 && (
        <div className={styles.headStarts}>
          <HeadStartFields
            players={chosen.flatMap((id) => [...kit.players, ...guests].find(({ playerId }) => playerId === id) ?? [])}
            typed={typed}
            onType={(playerId, text) => setTyped((now) => ({ ...now, [playerId]: text }))}
          />
        </div>
      )}
      {state === 'failed' && <p role="alert">This game can’t be started here. Open this page again online.</p>}
      <div className={styles.go}>
        <button type="button" className="btn btn-outline-dark btn-lg" onClick={onBack}>
          Back
        </button>
        <button
          type="button"
          className="btn btn-primary btn-lg"
          disabled={chosen.length < fewest || state === 'starting'}
          onClick={() => void start()}
        >
          {chosen.length < fewest ? (fewest > 1 ? `Choose ${fewest} or more` : 'Choose who plays') : 'Start'}
        </button>
      </div>
    </section>
  );
}

const fits = (text: string, find: string) => text.toLocaleLowerCase().includes(find.trim().toLocaleLowerCase());

function Find({ what, value, onChange }: { what: string; value: string; onChange: (value: string) => void }) {
  return (
    <input
      type="search"
      className="form-control form-control-lg mb-2"
      aria-label={`Find a ${what}`}
      placeholder={`Find a ${what}`}
      value={value}
      onChange={(event) => onChange(event.target.value)}
    />
  );
}
