'use client';

import { shippedReference } from '@/core/golf/reference';
import { versionOf } from '@/core/skill/version';
import { useEffect, useState } from 'react';
import type { KnownCandidate } from './use-forecast';

/** A player who can be asked about. */
export type Candidate = {
  playerId: string;
  name: string;
  level: number;
  balls: number;
  paceM: number | null;
  clubM: number | null;
  putterM: number | null;
};

export type Beliefs = { known: readonly KnownCandidate[]; failed: readonly string[] };

/** Fetches what is believed of chosen players, once each; of players without a ball there is nothing to fetch. */
export function useBeliefs(slug: string, chosen: readonly Candidate[]): Beliefs {
  const [beliefs, setBeliefs] = useState<Beliefs>({ known: [], failed: [] });
  const wanted = chosen.filter(
    ({ playerId, balls }) => balls > 0 && !beliefs.known.some(({ key }) => key === playerId) && !beliefs.failed.includes(playerId),
  );
  const next = wanted[0];
  useEffect(() => {
    if (!next) return;
    let alive = true;
    fetchKnown(slug, next).then(
      (known) => alive && setBeliefs((now) => ({ ...now, known: [...now.known, known] })),
      () => alive && setBeliefs((now) => ({ ...now, failed: [...now.failed, next.playerId] })),
    );
    return () => void (alive = false);
  }, [slug, next]);
  // What could not be fetched without a network is tried again with one.
  useEffect(() => {
    const again = () => setBeliefs((now) => (now.failed.length > 0 ? { ...now, failed: [] } : now));
    window.addEventListener('online', again);
    return () => window.removeEventListener('online', again);
  }, []);
  return beliefs;
}

async function fetchKnown(slug: string, { playerId, level }: Candidate): Promise<KnownCandidate> {
  const response = await fetch(`/a/${slug}/players/${playerId}/belief`);
  if (!response.ok) throw new Error(String(response.status));
  // A page that is older or newer than the server reads draws of another model: it plays as the level does.
  if (response.headers.get('model-version') !== String(versionOf(shippedReference))) throw new Error('another version of the model');
  const [asAsked = 0, shots = 0] = (response.headers.get('as-asked') ?? '').split('/').map(Number);
  return { key: playerId, level, draws: new Float32Array(await response.arrayBuffer()), executed: { shots, asAsked } };
}
