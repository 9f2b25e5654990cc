import { randomUUID } from 'node:crypto';
import Link from 'next/link';
import { notFound } from 'next/navigation';
import { fileStem } from '@/core/problem';
import { GREEN_FILE_ENDING, writeGeoJson } from '@/core/green/geojson';
import { counted } from '@/core/units/format';
import { requireCoach } from '@/server/actor';
import { uuidOr404 } from '@/server/params';
import { GreenEditor } from './editor/editor';
import { GreenList } from './green-list';
import { GreenTools } from './green-tools';
import { ImportGreen } from './import-green';
import { PlanPage } from './plan-page';
import { StartGreen } from './start-green';

export async function GreensRoom({ slug }: { slug: string }) {
  const { data, academy } = await requireCoach(slug);
  const [greens, away] = await Promise.all([data.listGreens(), data.listGreens(true)]);
  return (
    <div className="p-3 p-md-4" style={{ maxWidth: '74rem' }}>
      <div className="d-flex flex-wrap gap-2 align-items-center mb-3">
        <h1 className="me-auto">Greens</h1>
        <Link href={`/a/${slug}/greens/new`} className="btn btn-primary">
          Draw a green
        </Link>
        <ImportGreen slug={slug} greenId={randomUUID()} />
      </div>
      <GreenList slug={slug} greens={greens} units={academy.units} />
      {away.length > 0 && (
        <details className="mt-4">
          <summary className="mb-2">{counted(away.length, 'green')} put away</summary>
          <GreenList slug={slug} greens={away} units={academy.units} />
        </details>
      )}
    </div>
  );
}

export async function NewGreenRoom({ slug }: { slug: string }) {
  const { academy } = await requireCoach(slug);
  const greenId = randomUUID();
  const openFile = <ImportGreen slug={slug} greenId={greenId} />;
  return <StartGreen slug={slug} greenId={greenId} system={academy.units} paceM={academy.paceM} openFile={openFile} />;
}

export async function GreenRoom({ slug, greenId }: { slug: string; greenId: string }) {
  const { data, academy } = await requireCoach(slug);
  const id = uuidOr404(greenId);
  const [green, games] = await Promise.all([data.getGreen(id), data.gamesOnGreen(id)]);
  if (!green) notFound();
  return (
    <GreenEditor
      slug={slug}
      greenId={id}
      initial={green.plan}
      system={academy.units}
      paceM={academy.paceM}
      last={{ version: green.version, savedAt: green.createdAt }}
      games={games}
      tools={<GreenTools slug={slug} greenId={id} archived={green.archivedAt !== null} />}
    />
  );
}

/** The plan alone, to be printed. */
export async function GreenPlanRoom({ slug, greenId }: { slug: string; greenId: string }) {
  const { data, academy } = await requireCoach(slug);
  const green = await data.getGreen(uuidOr404(greenId));
  if (!green) notFound();
  return <PlanPage slug={slug} green={green} academy={academy} />;
}

/** A green as a file to be saved. */
export async function answerGreenFile(slug: string, greenId: string): Promise<Response> {
  const { data } = await requireCoach(slug);
  const green = await data.getGreen(uuidOr404(greenId));
  if (!green) notFound();
  return new Response(writeGeoJson(green.plan), {
    headers: {
      'content-type': 'application/geo+json',
      'content-disposition': `attachment; filename="${fileStem(green.plan.title) || 'green'}${GREEN_FILE_ENDING}"`,
    },
  });
}
