import 'server-only';
import { randomUUID } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ReadableStream as NodeStream } from 'node:stream/web';
import { BrokenArchive } from '@/core/archive/row';
import { dayIn } from '@/core/units/day';
import { openArchive } from '@/server/archive/read-archive';
import { writeArchive } from '@/server/archive/write-archive';
import { log } from '@/server/log';
import type { Desk } from '@/server/actor';
import type { DataFor } from '@/server/rights';
import { makeTurns } from '@/server/turns';
import { atApi } from '../api/answer';
import { Refusal } from '../api/endpoint';
import type { ArchiveStep } from './steps';

/** No archive that comes in is larger. */
const MOST_BYTES = 1_000_000_000;
/** About so many bytes of an archive are one event, and so many all else. */
const [PER_EVENT, BESIDE] = [85, 20_000];
/** So few come in at once: each holds a connection to the database. */
const turns = makeTurns({ most: 2, waiting: 4 });

/** Archives are the owner's: everybody's records are in them. */
function ofOwner({ role, data }: Desk): DataFor<'owner'> {
  if (role !== 'owner') throw new Refusal(403, 'Only the owner can download or import an archive.');
  return data as DataFor<'owner'>;
}

/** Answers with all of the academy as an archive, written as it is read. */
export function answerArchive(request: Request): Promise<Response> {
  return atApi(request, 'archive', async (desk) => {
    const data = ofOwner(desk);
    const { academyId, name, slug, timeZone } = desk.academy;
    const [now, events] = [new Date(), await data.countEvents()];
    const zip = writeArchive({ madeAt: now.toISOString(), academy: { id: academyId, name } }, (take) => data.readTables(take));
    zip.once('error', (error) => log.error({ err: error }, 'an archive broke off'));
    return new Response(Readable.toWeb(zip) as ReadableStream, {
      headers: {
        'content-type': 'application/zip',
        'content-disposition': `attachment; filename="${slug}-${dayIn(now, timeZone)}.zip"`,
        'cache-control': 'no-store, no-transform',
        'inch-about-bytes': String(BESIDE + events * PER_EVENT),
      },
    });
  });
}

/** Takes an archive in, and tells in lines of JSON how far it is. Whoever goes away while it comes in stops it. */
export function answerArchiveIn(request: Request): Promise<Response> {
  return atApi(request, 'archive', async (desk) => {
    const data = ofOwner(desk);
    if (!/^application\/zip\b/i.test(request.headers.get('content-type') ?? ''))
      throw new Refusal(415, 'Send the archive as application/zip.');
    const path = join(tmpdir(), `inch-archive-${randomUUID()}.zip`);
    try {
      await received(request, path);
    } catch (error) {
      await rm(path, { force: true });
      throw error;
    }
    let gone = false;
    const encoder = new TextEncoder();
    const body = new ReadableStream<Uint8Array>({
      async start(controller) {
        const tell = (step: ArchiveStep) => {
          if (gone) throw new Error('whoever sent an archive went away');
          controller.enqueue(encoder.encode(`${JSON.stringify(step)}\n`));
        };
        try {
          tell({ done: await turns(desk.academy.academyId, () => takenIn(data, path, tell)) });
        } catch (error) {
          if (!(error instanceof BrokenArchive)) log.error({ err: error }, 'an archive was not taken in');
          const why = error instanceof BrokenArchive ? error.message : 'Something went wrong on our side. Nothing was kept. Try again.';
          if (!gone) tell({ error: why });
        } finally {
          await rm(path, { force: true });
          if (!gone) controller.close();
        }
      },
      cancel() {
        gone = true;
      },
    });
    return new Response(body, {
      headers: { 'content-type': 'application/x-ndjson', 'cache-control': 'no-store, no-transform', 'x-accel-buffering': 'no' },
    });
  });
}

/** Writes what is sent to a file, as far as anybody may send. */
async function received(request: Request, path: string): Promise<void> {
  if (!request.body) throw new Refusal(400, 'Choose a file.');
  let size = 0;
  const most = async function* (parts: AsyncIterable<Uint8Array>) {
    for await (const part of parts) {
      size += part.length;
      if (size > MOST_BYTES) throw new Refusal(413, 'This archive is too large: at most 1 GB.');
      yield part;
    }
  };
  await pipeline(Readable.fromWeb(request.body as NodeStream<Uint8Array>), most, createWriteStream(path));
}

async function takenIn(data: DataFor<'owner'>, path: string, tell: (step: ArchiveStep) => void) {
  const archive = await openArchive(path);
  try {
    const of = archive.manifest.tables.reduce((sum, { rows }) => sum + rows, 0);
    let rows = 0;
    return await data.keepTables(archive.manifest.academy.id, archive.tables(), (step) => {
      if ('counted' in step) tell({ sessions: step.counted, of: step.of });
      else tell({ rows: (rows += step.added + step.known), of });
    });
  } finally {
    archive.close();
  }
}
