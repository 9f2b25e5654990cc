import { asLogbookQuery, readLogbookAsked } from '@/core/logbook/asked';
import { counted } from '@/core/units/format';
import { sayConditions } from '@/core/shot/conditions';
import { sayMoment } from '@/core/units/say-moment';
import Link from 'next/link';
import { notFound } from 'next/navigation';
import { requireDesk } from '@/server/actor';
import { uuidOr404 } from '@/server/params';
import { LiveBoard } from '../play/live-board';
import { resultLine } from '../session/result-line';
import { GameFigures, TwoPlayers } from './figures';
import { ChooseGame } from '../form/choose-game';
import { LogbookFilters } from './logbook-filters';
import styles from './logbook.module.scss';
import { LogbookTable } from './logbook-table';
import { SessionPage } from './session-page';

/** So many stand on a page, and are counted at most. */
const PAGE = 50;
const COUNTED = 1000;

/** The sessions that are over, a page at a time, as they are looked for. */
export async function LogbookRoom({ slug, params }: { slug: string; params: Record<string, unknown> }) {
  const { data, academy, coach } = await requireDesk(slug);
  const asked = readLogbookAsked(params);
  const { filter, sort, after, without } = asked;
  const [{ lines, next }, found, players, games, archived, greens, tags] = await Promise.all([
    data.logbookPage(filter, { sort, after, limit: PAGE }),
    data.logbookCount(filter, COUNTED + 1),
    data.listPlayerNames(),
    data.listGames(),
    data.listGames(true),
    data.listGreens(),
    data.listTags(),
  ]);
  const narrowed = Object.keys(filter).length > 0;
  const rows = lines.map((line) => ({
    ...resultLine(line),
    when: sayMoment(line.session.startedAt, academy.timeZone),
    conditions: sayConditions(line.session.conditions),
    tags: line.session.tags,
    gameId: line.session.gameId,
    playerIds: line.players.map(({ playerId }) => playerId),
  }));
  const path = `/a/${slug}/logbook`;
  return (
    <div className="p-3 p-md-4">
      <div className={`${styles.head} mb-3`}>
        <h1 className="mb-0">
          Logbook{' '}
          <span className="beside">
            {found > COUNTED ? `more than ${COUNTED.toLocaleString('en')} sessions` : found > 0 && counted(found, 'session')}
          </span>
        </h1>
        {coach && (
          <div className="d-flex flex-wrap gap-2 no-print">
            <Link href={`${path}/result`} className="btn btn-outline-dark">
              Add a result
            </Link>
            <Link href={`${path}/import`} className="btn btn-outline-dark">
              Import a file
            </Link>
          </div>
        )}
      </div>
      {found === 0 && !narrowed ? (
        <p className="empty">
          No finished session yet. <ChooseGame slug={slug} mayChange={coach !== null} /> and play it: the result appears here.{' '}
          {coach && (
            <>
              Records kept elsewhere come in as <Link href={`${path}/import`}>a file</Link>.
            </>
          )}
        </p>
      ) : (
        <LogbookFilters
          asked={asked}
          players={players}
          games={[...games, ...archived].map(({ gameId, spec }) => ({ id: gameId, name: spec.title }))}
          greens={greens.map(({ greenId, plan }) => ({ id: greenId, name: plan.title }))}
          tags={tags}
          none={rows.length === 0}
        >
          {rows.length > 0 && (
            <>
              <TwoPlayers data={data} filter={filter} names={new Map(players.map(({ id, name }) => [id, name]))} />
              <GameFigures data={data} filter={filter} system={academy.units} />
            </>
          )}
          <LogbookTable slug={slug} rows={rows} without={without} sort={sort} mayChange={coach !== null} />
          {rows.length > 0 && (
            <nav aria-label="Pages" className={`${styles.pages} no-print`}>
              {after && (
                <Link href={path + asLogbookQuery({ ...asked, after: null })} className="btn btn-outline-dark">
                  First page
                </Link>
              )}
              {coach && (
                <>
                  <a href={`${path}/file${asLogbookQuery({ ...asked, after: null })}`} className="btn btn-outline-dark" download>
                    {narrowed ? 'Download these sessions' : 'Download all sessions'}
                  </a>
                  <a href={`${path}/shots${asLogbookQuery({ ...asked, after: null })}`} className="btn btn-outline-dark" download>
                    Download their balls
                  </a>
                </>
              )}
              {next && (
                <Link href={path + asLogbookQuery({ ...asked, after: next })} className="btn btn-outline-dark">
                  Next {PAGE}
                </Link>
              )}
            </nav>
          )}
        </LogbookFilters>
      )}
    </div>
  );
}

export async function SessionRoom({ slug, sessionId }: { slug: string; sessionId: string }) {
  const { data, academy, sees, coach } = await requireDesk(slug);
  const found = await data.getSession(uuidOr404(sessionId));
  if (!found) notFound();
  const shown = found.players.map(({ playerId }) => playerId).filter((id) => sees === null || sees.includes(id));
  const bests = await Promise.all(shown.map(async (playerId) => [playerId, await data.bestBefore(found.session, playerId)] as const));
  const log = await data.sessionLog(found.session.sessionId);
  return (
    <SessionPage
      slug={slug}
      mayChange={coach !== null}
      sees={sees}
      data={found}
      log={log}
      bests={new Map(bests)}
      timeZone={academy.timeZone}
    />
  );
}

export async function BoardRoom({ slug, sessionId }: { slug: string; sessionId: string }) {
  const { data } = await requireDesk(slug);
  const id = uuidOr404(sessionId);
  if (!(await data.getSession(id))) notFound();
  return <LiveBoard sessionId={id} />;
}
