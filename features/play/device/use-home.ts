import { useCallback, useEffect, useState } from 'react';
import type { Home } from '@/core/exchange/home';
import { now } from '../../form/ids';
import { getHome } from './server';
import { DESK, forgetHome, keepHome, readHome, renewHome, sessionsHere } from './store';
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
/** What it takes to start games is asked for anew after so long. */
const KIT_MS = 10 * 60_000;

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
    let kit: { at: number; is: Home['kit'] } | null = null;
    const look = async () => {
      if (document.visibilityState === 'hidden' || ended) return;
      await sendWaiting();
      const asksKit = !desk || kit === null || now() - kit.at > KIT_MS;
      const home = await getHome(token, academy ?? (desk ? ((await readHome(DESK))?.academy.slug ?? null) : null), asksKit);
      if (!current) return;
      if (typeof home === 'object') {
        if (asksKit) kit = { at: now(), is: home.got.kit };
        const whole = { ...home.got, kit: home.got.kit ?? kit?.is ?? null };
        await (desk ? renewHome : keepHome)(token, whole);
        setFetched(whole);
      }
      ended = home === 'signed-out' && !desk;
      if (ended) await forgetHome(token);
      setAsked(typeof home === 'object' ? 'got' : home);
    };
    void look();
    const timer = setInterval(() => void look(), desk ? LOOK_MS.desk : LOOK_MS.link);
    const again = () => void look();
    document.addEventListener('visibilitychange', again);
    window.addEventListener('online', again);
    return () => {
      current = false;
      clearInterval(timer);
      document.removeEventListener('visibilitychange', again);
      window.removeEventListener('online', again);
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
