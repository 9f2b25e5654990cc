import { useCallback, useEffect, useState, useSyncExternalStore } from 'react';
import type { Bundle } from '@/core/exchange/bundle';
import { onTheDay } from '@/core/game/on-the-day';
import { withSession } from '@/core/shot/conditions';
import type { Shot } from '@/core/shot/shot';
import { hourAddress, startAddress } from '@/core/exchange/play-address';
import { followSession } from './live';
import { getBundle } from './server';
import { countUnread, countWaiting, isHere, keepBundle, lastSeq, readAside, readSession, type Offer, type SetAside } from './store';
import { sendWaiting, subscribeSync, syncState } from './sync';
import { useStored } from './use-stored';

export type SessionView =
  | { state: 'loading' }
  | { state: 'missing' | 'signed-out' | 'outdated' | 'unreachable' }
  | { state: 'here'; bundle: Bundle; shots: Shot[]; home: string; offer: Offer | null; waits: boolean };

/** What came of asking the server for a session's bundle. */
type Fetched = 'asking' | 'kept' | 'missing' | 'signed-out' | 'outdated' | 'unreachable';

/** A session as this device knows it, kept current: from the device at once, from the server when it answers. */
export function useSession(sessionId: string): SessionView {
  const [fetched, setFetched] = useState<Fetched>('asking');
  const held = useStored(useCallback(async () => (await readSession(sessionId)) ?? null, [sessionId]));

  const looked = held !== undefined;
  // What was begun here is nowhere else until it is told of.
  const waits = held?.waits ?? false;
  useEffect(() => {
    if (!looked) return;
    let current = true;
    const refresh = async () => {
      const sent = sendWaiting();
      // Of a session that is not here nothing is sent.
      if (await isHere(sessionId)) await sent;
      if (waits) return;
      const outcome = await fetchBundle(sessionId);
      if (current) setFetched(outcome);
    };
    void refresh();
    const online = () => void refresh();
    window.addEventListener('online', online);
    return () => {
      current = false;
      window.removeEventListener('online', online);
    };
  }, [sessionId, looked, waits]);

  const follows = Boolean(held) && !waits;
  useEffect(() => {
    if (!follows) return;
    return followSession(sessionId);
  }, [sessionId, follows]);

  if (held) {
    const { bundle, shots, token, desk, offer, hourId } = held;
    const home = hourId
      ? hourAddress(bundle.academy.slug, hourId)
      : token
        ? `/j#${token}`
        : desk
          ? startAddress(bundle.academy.slug)
          : `/a/${bundle.academy.slug}`;
    return {
      state: 'here',
      bundle: { ...bundle, spec: onTheDay(bundle.spec, bundle.stations) },
      shots: shots.map((shot) => withSession(shot, bundle)),
      home,
      offer,
      waits,
    };
  }
  if (held === undefined || fetched === 'asking' || fetched === 'kept') return { state: 'loading' };
  return { state: fetched };
}

async function fetchBundle(sessionId: string): Promise<Fetched> {
  const bundle = await getBundle(sessionId, await lastSeq(sessionId));
  if (typeof bundle === 'string') return bundle;
  await keepBundle(bundle.got);
  return 'kept';
}

/** What was refused of a session and is set aside on this device. */
export function useAside(sessionId: string): SetAside[] {
  const aside = useStored(useCallback(async () => readAside(sessionId), [sessionId]));
  return aside ?? [];
}

const readAll = () => readAside();

/** How much waits to be sent from this device, and why; how much was refused and is set aside; how much takes a newer program to read. */
export function useWaiting(): { waiting: number; aside: number; unread: number; why: ReturnType<typeof syncState> } {
  const waiting = useStored(countWaiting) ?? 0;
  const aside = useStored(readAll)?.length ?? 0;
  const unread = useStored(countUnread) ?? 0;
  const why = useSyncExternalStore(subscribeSync, syncState, () => 'idle' as const);
  return { waiting, aside, unread, why };
}
