import { useCallback, useEffect, useState } from 'react';
import type { Home } from '@/core/exchange/home';
import { getHome } from './server';
import { DESK, forgetHome, keepHome, readHome, sessionsHere } from './store';
import { sendWaiting } from './sync';
import { useStored } from './use-stored';

/** What came of asking the server for a start page. */
type Asked = 'asking' | 'got' | 'signed-out' | 'missing' | 'outdated' | 'unreachable';
export type HomeView = {
  /** null: nothing is known yet. */
  home: Home | null;
  asked: Asked;
  /** Whether this device keeps it. */
  kept: boolean;
  keep: () => Promise<void>;
};

/** A session that somebody starts elsewhere is here after so long, without anything being pressed. */
const LOOK_MS = { link: 15_000, desk: 60_000 };

/**
 * What a personal link opens, or a coach's sign-in: from the device at once, from the server again and again while it is looked at. A link's
 * page is kept, the desk's where somebody wants it.
 * @param token of the link, or `DESK`
 * @param academy of several, which
 */
export function useHome(token: string, academy: string | null = null): HomeView {
  const held = useStored(useCallback(async () => (await readHome(token)) ?? null, [token]));
  const [asked, setAsked] = useState<Asked>('asking');
  const [fetched, setFetched] = useState<Home | null>(null);
  const desk = token === DESK;
  useEffect(() => {
    let current = true;
    let ended = false;
    const look = async () => {
      if (document.visibilityState === 'hidden' || ended) return;
      await sendWaiting();
      const home = await getHome(token, academy ?? (desk ? ((await readHome(DESK))?.academy.slug ?? null) : null));
      if (!current) return;
      if (typeof home === 'object') {
        if (!desk || (await readHome(DESK))) await keepHome(token, home.got);
        setFetched(home.got);
      }
      ended = home === 'signed-out' && !desk;
      if (ended) await forgetHome(token);
      setAsked(typeof home === 'object' ? 'got' : home);
    };
    void look();
    const timer = setInterval(() => void look(), desk ? LOOK_MS.desk : LOOK_MS.link);
    const now = () => void look();
    document.addEventListener('visibilitychange', now);
    window.addEventListener('online', now);
    return () => {
      current = false;
      clearInterval(timer);
      document.removeEventListener('visibilitychange', now);
      window.removeEventListener('online', now);
    };
  }, [token, desk, academy]);
  const home = (desk ? (fetched ?? held) : held) ?? null;
  return {
    home,
    asked: held === undefined && asked === 'unreachable' ? 'asking' : asked,
    kept: Boolean(held),
    keep: async () => {
      if (home) await keepHome(token, home);
    },
  };
}

/** The sessions that this device keeps; undefined until it has looked. */
export function useSessionsHere() {
  return useStored(sessionsHere);
}
