import Link from 'next/link';
import { sayMoment } from '@/core/units/say-moment';
import { requireCoach } from '@/server/actor';
import { ImportPage } from './import-page';
import { ImportsList } from './imports-list';

/** So many files that were brought in are listed. */
const LISTED = 20;

/** Where tables come in that somebody kept elsewhere. */
export async function ImportRoom({ slug }: { slug: string }) {
  const { data, academy } = await requireCoach(slug);
  const [players, games, imports] = await Promise.all([data.listPlayers(), data.listGames(), data.listImports(LISTED)]);
  const { paceM, clubM, putterM, flagstickM, shoeM } = academy;
  return (
    <div className="p-3 p-md-4">
      <p className="mb-1">
        <Link href={`/a/${slug}/logbook`}>Logbook</Link>
      </p>
      <h1 className="mb-3">Import a file</h1>
      <ImportPage
        slug={slug}
        timeZone={academy.timeZone}
        system={academy.units}
        own={{ paceM, clubM, putterM, flagstickM, shoeM }}
        players={players.map(({ player }) => ({ id: player.playerId, name: player.name }))}
        games={games.map(({ spec }) => spec.title)}
      />
      <ImportsList
        slug={slug}
        imports={imports.map(({ importId, fileName, kind, state, kept, createdAt }) => ({
          ...{ importId, fileName, kind, state, kept },
          when: sayMoment(createdAt, academy.timeZone),
        }))}
      />
    </div>
  );
}
