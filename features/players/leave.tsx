'use client';

import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { Button, Form } from 'react-bootstrap';
import { counted } from '@/core/units/format';
import type { Answer } from '@/server/data';
import { NOT_SENT } from '../form/use-save';
import { archivePlayerAction, erasePlayerAction } from './actions';
import styles from './players.module.scss';

type Props = {
  slug: string;
  player: { playerId: string; name: string; away: boolean };
  /** What erasing would take. */
  takes: NonNullable<Answer<'whatErasingTakes'>>;
};

/** What happens when a player leaves: put away, with everything kept, or erased for good. */
export function Leave({ slug, player, takes }: Props) {
  const { playerId, name, away } = player;
  const router = useRouter();
  const [busy, begin] = useTransition();
  const [erasing, setErasing] = useState(false);
  const put = () =>
    begin(async () => {
      const done = await archivePlayerAction(slug, playerId, !away).catch(() => null);
      if (done?.ok) router.push(away ? `/a/${slug}/players/${playerId}` : `/a/${slug}/players`);
    });
  return (
    <section className={styles.leave} aria-labelledby="leave">
      <h2 id="leave">{away ? `${name} is put away` : `Is ${name} leaving?`}</h2>
      <div className={styles.leaveWay}>
        <p>
          {away
            ? 'Back in the lists and on the squad board, with all records; personal links work again.'
            : 'Put away: out of the lists and off the squad board. All records stay, personal links stop, and you can bring them back at any time.'}
        </p>
        <Button variant="outline-dark" disabled={busy} onClick={put}>
          {away ? 'Bring back' : 'Put away'}
        </Button>
      </div>
      <div className={styles.leaveWay}>
        <p>Erase: everything recorded of {name} goes for good. Nobody can bring it back.</p>
        {!erasing && (
          <Button variant="outline-dark" onClick={() => setErasing(true)}>
            Erase …
          </Button>
        )}
      </div>
      {erasing && <Erase slug={slug} player={player} takes={takes} onBack={() => setErasing(false)} />}
    </section>
  );
}

/** What goes, line by line. */
function linesOf(name: string, { balls, alone, withOthers, notes, links }: Props['takes']): string[] {
  return [
    balls > 0 ? `${counted(balls, 'ball')}, notes included` : '',
    alone > 0 ? `${counted(alone, 'session')} that ${name} played alone` : '',
    withOthers > 0
      ? `name, balls and score in ${counted(withOthers, 'session')} with others; the others keep their balls, but not points won from ${name}`
      : '',
    notes > 0 ? counted(notes, 'note') : '',
    links > 0 ? `${counted(links, 'personal link')}, at once` : '',
    'clubs, measures, level and all that the boards say',
  ].filter(Boolean);
}

function Erase({ slug, player: { playerId, name }, takes, onBack }: Props & { onBack: () => void }) {
  const router = useRouter();
  const [typed, setTyped] = useState('');
  const [wrong, setWrong] = useState('');
  const [busy, begin] = useTransition();
  const erase = (event: React.FormEvent) => {
    event.preventDefault();
    begin(async () => {
      const done = await erasePlayerAction(slug, playerId, typed).catch(() => null);
      if (done?.ok) router.push(`/a/${slug}/players`);
      else setWrong(done?.fields[''] ?? NOT_SENT);
    });
  };
  return (
    <Form noValidate onSubmit={erase} className={styles.erase}>
      <h3>What goes</h3>
      <ul>
        {linesOf(name, takes).map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <Form.Group controlId="erase-name">
        <Form.Label>
          Type <b>{name}</b> to erase them
        </Form.Label>
        <Form.Control
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          autoComplete="off"
          isInvalid={wrong !== ''}
          aria-describedby={wrong ? 'erase-name-error' : undefined}
        />
        <Form.Control.Feedback type="invalid" id="erase-name-error">
          {wrong}
        </Form.Control.Feedback>
      </Form.Group>
      <div className="d-flex gap-2">
        <Button type="submit" variant="dark" disabled={busy}>
          Erase for good
        </Button>
        <Button variant="outline-dark" onClick={onBack}>
          Keep
        </Button>
      </div>
    </Form>
  );
}
