'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { counted, listed } from '@/core/units/format';
import { ShareBar } from '@/ui/share-bar';
import { ChooseFile } from '../form/choose-file';
import { saveFile } from '../form/save-file';
import { useReady } from '../form/use-ready';
import { NOT_SENT } from '../form/use-save';
import type { ArchiveStep } from '../archive/steps';
import styles from './settings.module.scss';

type Props = { slug: string; name: string };
type At =
  | null
  /** What goes on, how far it is (null: nobody knows), and how it is stopped. */
  | { going: string; share: number | null; stop: () => void }
  | { wrong: string }
  | { saved: string }
  | { added: string };

/** All of the academy out as one file, and such a file in. */
export function ArchivePanel({ slug, name }: Props) {
  const ready = useReady();
  const router = useRouter();
  const [at, setAt] = useState<At>(null);
  const going = at !== null && 'going' in at;

  const run = async (first: string, work: (signal: AbortSignal, tell: (going: string, share: number | null) => void) => Promise<At>) => {
    const stopper = new AbortController();
    const stop = () => stopper.abort();
    setAt({ going: first, share: null, stop });
    const ended = await work(stopper.signal, (words, share) => setAt({ going: words, share, stop })).catch(() =>
      stopper.signal.aborted ? { wrong: 'Stopped.' } : { wrong: NOT_SENT },
    );
    setAt(ended);
  };
  return (
    <section className={styles.part} aria-labelledby="archive">
      <h2 id="archive">Everything as one file</h2>
      <p>
        An archive holds all players, games, greens, plans, sessions and balls of {name}. Keep one somewhere else, or move to another
        academy with it. Links, keys and passwords aren’t in it.
      </p>
      <div className="d-flex flex-wrap gap-2">
        <Button
          variant="outline-dark"
          disabled={!ready || going}
          onClick={() => void run('Getting everything together', (signal, tell) => takeOut(slug, signal, tell))}
        >
          Download an archive
        </Button>
        <ChooseFile
          label="An archive"
          accept=".zip,application/zip"
          disabled={!ready || going}
          onFile={(file) => void run('Sending the file', (signal, tell) => bringIn(slug, file, signal, tell, () => router.refresh()))}
        >
          Import an archive
        </ChooseFile>
      </div>
      {going && (
        <div className={styles.going}>
          <p role="status">{at.going}</p>
          <ShareBar share={at.share} label={at.going} />
          <Button variant="link" className="p-0" onClick={at.stop}>
            Stop
          </Button>
        </div>
      )}
      {at && 'wrong' in at && (
        <p role="alert" className="fw-semibold text-danger mb-0">
          {at.wrong} Nothing was changed.
        </p>
      )}
      {at && ('saved' in at || 'added' in at) && (
        <p role="status" className="fw-semibold mb-0">
          {'saved' in at ? at.saved : at.added}
        </p>
      )}
    </section>
  );
}

type Tell = (going: string, share: number | null) => void;
const address = (slug: string) => `/api/v1/archive?academy=${encodeURIComponent(slug)}`;
const megabytes = (bytes: number) => `${(bytes / 1e6).toFixed(1)} MB`;

async function takeOut(slug: string, signal: AbortSignal, tell: Tell): Promise<At> {
  const response = await fetch(address(slug), { signal });
  if (!response.ok || !response.body) return { wrong: await whyNot(response) };
  const about = Number(response.headers.get('inch-about-bytes'));
  const parts: Uint8Array<ArrayBuffer>[] = [];
  let bytes = 0;
  for (const reader = response.body.getReader(); ;) {
    const { done, value } = await reader.read();
    if (done) break;
    parts.push(value);
    bytes += value.length;
    tell(`${megabytes(bytes)} so far`, about > 0 ? Math.min(0.98, bytes / about) : null);
  }
  const name = /filename="([^"]+)"/.exec(response.headers.get('content-disposition') ?? '')?.[1] ?? 'archive.zip';
  saveFile(name, new Blob(parts, { type: 'application/zip' }));
  return { saved: `${name}, ${megabytes(bytes)}.` };
}

async function bringIn(slug: string, file: File, signal: AbortSignal, tell: Tell, onDone: () => void): Promise<At> {
  const response = await fetch(address(slug), { method: 'POST', body: file, headers: { 'content-type': 'application/zip' }, signal });
  if (!response.ok || !response.body) return { wrong: await whyNot(response) };
  let last: ArchiveStep | null = null;
  for await (const step of stepsOf(response.body)) {
    last = step;
    if ('rows' in step) tell(`Checking: ${step.rows} of ${step.of} rows`, step.of > 0 ? step.rows / step.of : null);
    else if ('sessions' in step) tell(`Scoring: ${step.sessions} of ${counted(step.of, 'session')}`, step.sessions / step.of);
  }
  if (last && 'error' in last) return { wrong: last.error };
  if (!last || !('done' in last)) return { wrong: NOT_SENT };
  onDone();
  return { added: whatCame(last.done) };
}

/** The lines of a stream, each as it is whole. */
async function* stepsOf(body: ReadableStream<Uint8Array>): AsyncGenerator<ArchiveStep> {
  const reader = body.pipeThrough(new TextDecoderStream() as ReadableWritablePair<string, Uint8Array>).getReader();
  for (let rest = ''; ;) {
    const { done, value } = await reader.read();
    const lines = (rest + (value ?? '')).split('\n');
    rest = lines.pop()!;
    for (const line of lines) yield JSON.parse(line) as ArchiveStep;
    if (done) return;
  }
}

async function whyNot(response: Response): Promise<string> {
  const said = (await response.json().catch(() => null)) as { error?: string } | null;
  return said?.error ?? NOT_SENT;
}

const TOLD = { player: 'player', game: 'game', green: 'green', hour: 'planned session', session: 'session' } as const;

/** "Added: 8 players, 13 games and 402 sessions. 2 players were here already." */
function whatCame(tables: Extract<ArchiveStep, { done: unknown }>['done']): string {
  const told = (of: 'added' | 'known') =>
    Object.entries(TOLD).flatMap(([name, noun]) => {
      const count = tables.find(({ table }) => table === name)?.[of] ?? 0;
      return count > 0 ? [counted(count, noun)] : [];
    });
  const [added, known] = [told('added'), told('known')];
  return [
    added.length > 0 ? `Added: ${listed(added)}.` : 'Nothing new in it.',
    known.length > 0 ? `Here already, and left as it was: ${listed(known)}.` : '',
  ]
    .filter(Boolean)
    .join(' ');
}
