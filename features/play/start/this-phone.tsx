'use client';

import { useEffect, useState } from 'react';
import type { Home } from '@/core/exchange/home';
import { counted } from '@/core/units/format';
import { forgetSent } from '../device/store';
import type { HomeView } from '../device/use-home';
import { FORGOTTEN } from '@/core/exchange/play-address';
import { useWaiting } from '../device/use-session';
import styles from './start.module.scss';

/** A browser's offer to put the page among the programs of the phone. */
type Offer = Event & { prompt: () => Promise<unknown> };

let offered: Offer | null = null;
if (typeof window !== 'undefined')
  window.addEventListener('beforeinstallprompt', (event) => {
    event.preventDefault();
    offered = event as Offer;
    window.dispatchEvent(new Event('inch-install'));
  });

type Props = { home: Home; view: HomeView; desk: boolean };

/** Offers to keep what it takes to start a game without a network. */
export function KeepHere({ home: { kit }, view }: Pick<Props, 'home' | 'view'>) {
  if (!kit || view.kept) return null;
  return (
    <section className={styles.phone}>
      <p>
        Keep {counted(kit.games.length, 'game')} and {counted(kit.players.length, 'player')} here, with levels and clubs, and games start
        without a network. Only on a phone of your own.
      </p>
      <button type="button" className="btn btn-outline-dark btn-lg" onClick={() => void view.keep()}>
        Keep them on this phone
      </button>
    </section>
  );
}

/** What this phone keeps, and how it forgets. */
export function ThisPhone({ home, view, desk }: Props) {
  const { waiting, aside } = useWaiting();
  const [asking, setAsking] = useState(false);
  const install = useInstall();
  const { kit } = home;
  const unsent = waiting + aside;
  const forget = async () => {
    await forgetSent();
    // What is on this page goes too, and would be fetched anew.
    window.location.replace(`/play#${FORGOTTEN}`);
  };
  return (
    <section aria-labelledby="this-phone" className={styles.phone}>
      <h2 id="this-phone">This phone</h2>
      {view.kept && desk && kit && (
        <p>
          {counted(kit.games.length, 'game')} and {counted(kit.players.length, 'player')} are kept here. Games start without a network.
        </p>
      )}
      {install && (
        <button type="button" className="btn btn-outline-dark btn-lg" onClick={() => void install.prompt()}>
          Install on this phone
        </button>
      )}
      {asking ? (
        <div role="group" aria-label="Forget this phone">
          <p>
            Games, players and sessions kept here are removed.{' '}
            {unsent > 0 ? `What isn’t sent yet (${unsent}) stays until it is.` : 'Everything has been sent.'}
          </p>
          <div className={styles.go}>
            <button type="button" className="btn btn-outline-dark btn-lg" onClick={() => setAsking(false)}>
              Cancel
            </button>
            <button type="button" className="btn btn-dark btn-lg" onClick={() => void forget()}>
              Forget
            </button>
          </div>
        </div>
      ) : (
        <button type="button" className="btn btn-outline-dark btn-lg" onClick={() => setAsking(true)}>
          Forget this phone
        </button>
      )}
    </section>
  );
}

function useInstall(): Offer | null {
  const [offer, setOffer] = useState(offered);
  useEffect(() => {
    const look = () => setOffer(offered);
    window.addEventListener('inch-install', look);
    return () => window.removeEventListener('inch-install', look);
  }, []);
  return offer;
}
