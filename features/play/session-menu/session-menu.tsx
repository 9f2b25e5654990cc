'use client';

import { useState } from 'react';
import { mayNote } from '@/core/exchange/session-note';
import { landingQueryOf } from '@/core/tools/landing-address';
import { noteSession } from '../device/sync';
import { WhoIsNext } from '../who-is-next';
import { useAside } from '../device/use-session';
import { AsidePanel } from './aside-panel';
import { BallsPanel, toSettle } from './balls-panel';
import { DayPanel } from './day-panel';
import styles from './session-menu.module.scss';
import { ReaderPanel } from './reader-panel';
import type { MenuProps } from './menu-props';
import { StationsPanel } from './stations-panel';
import { Top } from './top';

const PANELS = {
  balls: BallsPanel,
  stations: StationsPanel,
  day: DayPanel,
  reader: ReaderPanel,
  aside: AsidePanel,
} as const;
type PanelName = keyof typeof PANELS;

/** What concerns the session as a whole: its balls, its stations, the day, other screens. */
export function SessionMenu(props: MenuProps) {
  const { bundle, table, rotation, onRotation, onClose } = props;
  const [shown, setShown] = useState<PanelName | null>(null);
  const doubled = toSettle(table).length;
  const aside = useAside(bundle.sessionId).length;
  if (shown) {
    const Panel = PANELS[shown];
    return (
      <main className={styles.menu}>
        <Panel {...props} onClose={() => setShown(null)} />
      </main>
    );
  }
  const alone = bundle.players.length === 1;
  const players = bundle.players.map((player) => player.playerId);
  const landing = landingAddress(props);
  const mayAll = mayNote({ say: 'stopped', stopped: true }, bundle.only, players);
  return (
    <main className={styles.menu}>
      <Top title="This session" onBack={onClose} />
      <div className={styles.list}>
        <Entry
          onClick={() => setShown('balls')}
          title="Balls so far"
          text={doubled > 0 ? `${doubled} recorded twice: settle them` : 'correct, measure, remove'}
        />
        {aside > 0 && <Entry onClick={() => setShown('aside')} title="Not saved" text={`${aside} refused by the server: settle`} />}
        {mayAll && <Entry onClick={() => setShown('stations')} title="Stations" text="how far they really are" />}
        {mayAll && <Entry onClick={() => setShown('day')} title="The day" text="speed, firmness, wind, wet" />}
        {landing && (
          <a className={styles.entry} href={landing}>
            <b>Landing spot</b>
            <span>where to land your next ball</span>
          </a>
        )}
        {bundle.only === null && <Entry onClick={() => setShown('reader')} title="Distance reader" text="a device that sends distances" />}
        {bundle.only === null && (
          <a
            className={styles.entry}
            href={`/a/${bundle.academy.slug}/sessions/${bundle.sessionId}/board`}
            target="_blank"
            rel="noreferrer"
          >
            <b>Live board</b>
            <span>the standing, for another screen</span>
          </a>
        )}
        {bundle.only === null && (
          <a className={styles.entry} href={`/a/${bundle.academy.slug}/players/links`} target="_blank" rel="noreferrer">
            <b>Own phones</b>
            <span>a card with a code for each player</span>
          </a>
        )}
        {!alone && bundle.only === null && (
          <div className={styles.entry}>
            <b>Taking turns</b>
            <WhoIsNext rotation={rotation} onRotation={onRotation} />
          </div>
        )}
        {mayAll && !table.over && (
          <Entry
            onClick={() => {
              void noteSession(bundle.sessionId, { say: 'stopped', stopped: true });
              onClose();
            }}
            title="End here"
            text="the balls are kept; you can carry on later"
          />
        )}
      </div>
    </main>
  );
}

/** Where to land the ball that is next, as an address that leads back here; null where there is none, and at the end. */
function landingAddress({ bundle, table, seat }: MenuProps): string | null {
  const station = table.standings[seat]?.next?.station;
  const query = station && landingQueryOf(station, bundle.conditions, { for: bundle.players[seat]!.playerId });
  return query ? `/play/tools${query}#${bundle.sessionId}` : null;
}

function Entry({ title, text, onClick }: { title: string; text: string; onClick: () => void }) {
  return (
    <button type="button" className={styles.entry} onClick={onClick}>
      <b>{title}</b>
      <span>{text}</span>
    </button>
  );
}
