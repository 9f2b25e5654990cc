'use client';

import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { Button } from 'react-bootstrap';
import { counted } from '@/core/units/format';
import type { Answer } from '@/server/data';
import { TypedName } from '../form/typed-name';
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
            ? 'Bring them back to the lists and boards, with all their records. Their links work again.'
            : 'Put them away: off the lists and the boards. Their records stay, their links stop working, and you can bring them back any time.'}
        </p>
        <Button variant="outline-dark" disabled={busy} onClick={put}>
          {away ? 'Bring back' : 'Put away'}
        </Button>
      </div>
      <div className={styles.leaveWay}>
        <p>Erase them: everything recorded about {name} is gone for good. It can’t be undone.</p>
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
function linesOf(name: string, { balls, alone, withOthers, notes, links, plans }: Props['takes']): string[] {
  return [
    balls > 0 ? `${counted(balls, 'ball')}, notes included` : '',
    alone > 0 ? `${counted(alone, 'session')} that ${name} played alone` : '',
    withOthers > 0
      ? `${counted(withOthers, 'place')} in sessions with others, who keep their own balls but not points won from ${name}`
      : '',
    notes > 0 ? counted(notes, 'note') : '',
    plans > 0 ? `${counted(plans, 'plan')} for ${name} alone` : '',
    links > 0 ? `${counted(links, 'personal link')}, which stops working at once` : '',
    'clubs, measurements, level and everything on the boards',
  ].filter(Boolean);
}

function Erase({ slug, player: { playerId, name }, takes, onBack }: Props & { onBack: () => void }) {
  const router = useRouter();
  return (
    <TypedName
      id="erase-name"
      name={name}
      purpose="to erase them"
      button="Erase for good"
      act={(typed) => erasePlayerAction(slug, playerId, typed)}
      onDone={() => router.push(`/a/${slug}/players`)}
      onBack={onBack}
      className={styles.erase}
    >
      <h3>What will be erased</h3>
      <ul>
        {linesOf(name, takes).map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </TypedName>
  );
}
