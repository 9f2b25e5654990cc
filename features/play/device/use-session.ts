import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { bundleSchema, type Bundle } from '@/core/game/bundle';
import type { Shot } from '@/core/shot/shot';
import { countWaiting, keepBundle, readSession } from './store';
import { sendWaiting, subscribeSync, syncState } from './sync';

export type SessionView =
  { state: 'loading' } | { state: 'missing' | 'signed-out' | 'unreachable' } | { state: 'here'; bundle: Bundle; shots: Shot[] };

/** What came of asking the server for a session's bundle. */
type Fetched = 'asking' | 'kept' | 'missing' | 'signed-out' | 'unreachable';

/** A session as this device knows it, kept current: from the device at once, from the server when it answers. */
export function useSession(sessionId: string): SessionView {
  const [fetched, setFetched] = useState<Fetched>('asking');
  const held = useLiveQuery(async () => (await readSession(sessionId)) ?? null, [sessionId]);

  useEffect(() => {
    let current = true;
    const refresh = async () => {
      await sendWaiting();
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
  }, [sessionId]);

  if (held) return { state: 'here', ...held };
  if (held === undefined || fetched === 'asking' || fetched === 'kept') return { state: 'loading' };
  return { state: fetched };
}

async function fetchBundle(sessionId: string): Promise<Fetched> {
  const response = await fetch(`/api/v1/sessions/${sessionId}/bundle`).catch(() => null);
  if (response?.status === 401) return 'signed-out';
  if (response?.status === 404 || response?.status === 400) return 'missing';
  const bundle = response?.ok ? bundleSchema.safeParse(await response.json().catch(() => null)) : null;
  if (!bundle?.success) return 'unreachable';
  await keepBundle(bundle.data);
  return 'kept';
}

/** How many balls wait to be sent from this device, and why. */
export function useWaiting(): { waiting: number; why: ReturnType<typeof syncState> } {
  const waiting = useLiveQuery(countWaiting, []) ?? 0;
  const why = useSyncExternalStore(subscribeSync, syncState, () => 'idle' as const);
  return { waiting, why };
}
