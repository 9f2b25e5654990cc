'use client';

import { useCallback, useEffect, useState } from 'react';
import { homeForHour } from '@/core/exchange/home-for-hour';
import { hourAddress } from '@/core/exchange/play-address';
import { getHome } from '../device/server';
import { DESK, homesHere, hoursHere, keepHour, readHome } from '../device/store';
import { sendWaiting } from '../device/sync';
import { useStored } from '../device/use-stored';
import { Notice } from '../notice';
import { HourScreen } from './hour-screen';

type Asked = 'asking' | 'kept' | 'missing' | 'signed-out' | 'outdated' | 'unreachable';

/** A planned hour on a phone: fetched once, and then run with no network. */
export function HourApp({ slug, hourId }: { slug: string; hourId: string }) {
  const kept = useStored(useCallback(async () => (await hoursHere()).find((one) => one.hourId === hourId) ?? null, [hourId]));
  const [asked, setAsked] = useState<Asked>('asking');
  useEffect(() => {
    let current = true;
    const look = async () => {
      await sendWaiting();
      const outcome = await fetchHour(slug, hourId);
      if (current) setAsked(outcome);
    };
    void look();
    const again = () => void look();
    window.addEventListener('online', again);
    return () => {
      current = false;
      window.removeEventListener('online', again);
    };
  }, [slug, hourId]);
  if (kept) return <HourScreen key={hourId} kept={kept} />;
  if (kept === undefined || asked === 'asking' || asked === 'kept') return <Notice title="One moment …" leave={false} />;
  if (asked === 'signed-out')
    return (
      <Notice title="Sign in to start the clock">
        <a className="btn btn-primary btn-lg" href={`/sign-in?next=${encodeURIComponent(hourAddress(slug, hourId))}`}>
          Sign in
        </a>
      </Notice>
    );
  if (asked === 'unreachable') return <Notice title="No network" text="Open this hour once online. After that it works offline." />;
  if (asked === 'outdated')
    return <Notice title="This page needs a newer version of the program" text="Reload this page when you’re online." />;
  return <Notice title="This hour is not here" text="It may have been put away, or its day is over." />;
}

/** Fetches an hour by whichever start page has it: a personal link's that is kept here, else of whoever is signed in. */
async function fetchHour(slug: string, hourId: string): Promise<Asked> {
  const links = (await homesHere()).filter((token) => token !== DESK);
  const known = await Promise.all(links.map(async (token) => [token, await readHome(token)] as const));
  const by = (await hoursHere()).find((one) => one.hourId === hourId)?.token;
  const token = by ?? known.find(([, home]) => home?.hours.some((one) => one.hourId === hourId))?.[0] ?? null;
  const home = await getHome(token ?? DESK, slug);
  if (typeof home !== 'object') return home;
  const own = homeForHour(home.got, hourId);
  if (!own) return 'missing';
  await keepHour({ home: own.home, hourId, token });
  return 'kept';
}
