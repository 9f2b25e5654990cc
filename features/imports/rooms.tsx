import { randomUUID } from 'node:crypto';
import Link from 'next/link';
import { schemeOf } from '@/core/game/scoring';
import { sayUnit } from '@/core/game/words/say-score';
import { leftUnit } from '@/core/units/format';
import { sayMoment } from '@/core/units/say-moment';
import { requireCoach } from '@/server/actor';
import { ImportPage } from './import-page';
import { ImportsList } from './imports-list';
import { ResultForm } from './result-form';

/** So many files that were brought in are listed. */
const LISTED = 20;

/** Where a single result is noted. */
export async function ResultRoom({ slug }: { slug: string }) {
  const { data, academy } = await requireCoach(slug);
  const [players, games, today] = await Promise.all([data.listPlayerNames(), data.listGames(), data.dayInAcademy()]);
  return (
    <div className="p-3 p-md-4">
      <p className="mb-1">
        <Link href={`/a/${slug}/logbook`}>Logbook</Link>
      </p>
      <h1 className="mb-3">Add a result</h1>
      {players.length === 0 ? (
        <p className="empty">
          Nobody here yet. <Link href={`/a/${slug}/players/new`}>Add the first player</Link>.
        </p>
      ) : (
        <ResultForm
          slug={slug}
          sessionId={randomUUID()}
          today={today}
          players={players}
          games={games.map(({ spec }) => {
            const unit = schemeOf(spec.scoring).unit(spec.scoring);
            const length = unit === 'length';
            return { title: spec.title, length, unit: length ? leftUnit(academy.units) : sayUnit(unit, academy.units) };
          })}
        />
      )}
    </div>
  );
}

/** Where tables come in that somebody kept elsewhere. */
export async function ImportRoom({ slug }: { slug: string }) {
  const { data, academy } = await requireCoach(slug);
  const [players, games, imports] = await Promise.all([data.listPlayerNames(), data.listGames(), data.listImports(LISTED)]);
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
        players={players}
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
