'use client';

import Link from 'next/link';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { schemeOf } from '@/core/game/scoring';
import type { GameSpec } from '@/core/game/spec';
import { GuestField } from '../form/guest-field';
import { HeadStartFields } from '../form/head-start-fields';
import { readAllowances } from '../form/allowance';
import { newId } from '../form/ids';
import { useReady } from '../form/use-ready';
import type { StartSource } from './actions';
import { startHere } from './start-here';
import type { OwnLengths } from '@/core/game/sizes';
import { HeadStarts } from '../forecast/head-starts';
import type { Candidate } from '../forecast/use-beliefs';
import styles from './games.module.scss';

type Props = {
  slug: string;
  source: StartSource;
  spec: GameSpec;
  players: Candidate[];
  /** The coach's own measures, for zones that are measured with them. */
  coach: OwnLengths;
  /** The station at which it is begun, by its key; without it, as the game says. */
  at?: string;
  /** Who played it last, in their order: they are offered first. */
  again?: readonly string[];
};

type Guest = { playerId: string; name: string };

/** Who plays: one tap on a name starts the game; several are chosen in their order. */
export function StartPlay({ slug, source, spec, players, coach, at, again = [] }: Props) {
  const ready = useReady();
  const fewest = schemeOf(spec.scoring).players;
  const [several, setSeveral] = useState(fewest > 1 || again.length > 1);
  const [chosen, setChosen] = useState<readonly string[]>(again.length > 1 ? again : []);
  const [allowances, setAllowances] = useState<Record<string, string>>({});
  const [state, setState] = useState<{ starting: readonly string[] } | { refused: string } | null>(null);
  const [last] = again.length === 1 ? again : [];
  const [guests, setGuests] = useState<readonly Guest[]>([]);
  const inOrder = [...players.toSorted((a, b) => Number(b.playerId === last) - Number(a.playerId === last)), ...guests];
  const starting = state && 'starting' in state ? state.starting : null;

  const start = async (playerIds: readonly string[]) => {
    const head = readAllowances(several && spec.rules.allowances ? allowances : {}, playerIds);
    if (!head) return;
    setState({ starting: playerIds });
    const refused = await startHere(slug, source, { playerIds, guests, allowances: head }, at);
    if (refused) setState({ refused });
  };
  const toggle = (playerId: string) =>
    setChosen((now) => (now.includes(playerId) ? now.filter((id) => id !== playerId) : [...now, playerId]));

  if (players.length === 0)
    return (
      <p className="empty">
        Nobody to play it yet: <Link href={`/a/${slug}/players/new`}>add a player</Link> first.
      </p>
    );
  return (
    <div className="no-print">
      <div className="d-flex justify-content-between align-items-center gap-3 mb-2">
        <h2>{several ? 'Play it now: who, in which order?' : players.length === 1 ? 'Play it now' : 'Play it now: who?'}</h2>
        {fewest === 1 && players.length > 1 && (
          <Form.Check type="switch" id="several" label="several" checked={several} onChange={(event) => setSeveral(event.target.checked)} />
        )}
      </div>
      <div className={styles.people}>
        {inOrder.map(({ playerId, name }) => {
          const place = chosen.indexOf(playerId);
          return (
            <Button
              key={playerId}
              variant={
                several ? (place >= 0 ? 'dark' : 'outline-dark') : players.length === 1 || playerId === last ? 'primary' : 'outline-dark'
              }
              disabled={starting !== null || !ready}
              {...(several ? { 'aria-pressed': place >= 0 } : {})}
              onClick={() => (several ? toggle(playerId) : void start([playerId]))}
            >
              {several && place >= 0 && <b className="fig">{place + 1} </b>}
              {name}
              {starting?.includes(playerId) && ' …'}
            </Button>
          );
        })}
      </div>
      {several && (
        <GuestField
          onAdd={(name) => {
            const playerId = newId();
            setGuests([...guests, { playerId, name }]);
            toggle(playerId);
          }}
        />
      )}
      {several && spec.rules.allowances && chosen.length > 0 && (
        <div className={styles.allowances}>
          {chosen.length > 1 && spec.stations.length > 0 && (
            <HeadStarts
              slug={slug}
              game={spec}
              players={chosen.flatMap((id) => players.find(({ playerId }) => playerId === id) ?? [])}
              coach={coach}
              onSuggested={(starts) => setAllowances((now) => ({ ...now, ...starts }))}
            />
          )}
          <HeadStartFields
            players={chosen.flatMap((id) => inOrder.find(({ playerId }) => playerId === id) ?? [])}
            typed={allowances}
            onType={(playerId, text) => setAllowances((now) => ({ ...now, [playerId]: text }))}
          />
        </div>
      )}
      {several && (
        <Button
          className="mt-2"
          size="lg"
          disabled={starting !== null || chosen.length < Math.max(fewest, 1)}
          onClick={() => void start(chosen)}
        >
          {chosen.length < fewest ? `Choose ${fewest} or more` : chosen.length === 0 ? 'Choose who plays' : `Start with ${chosen.length}`}
        </Button>
      )}
      {state && 'refused' in state && (
        <p role="alert" className="text-danger fw-semibold mt-2">
          {state.refused}
        </p>
      )}
    </div>
  );
}
