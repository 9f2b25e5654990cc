import { randomUUID } from 'node:crypto';
import Link from 'next/link';
import { notFound } from 'next/navigation';
import { formOf, newPlayer } from '@/core/people/player';
import { counted } from '@/core/units/format';
import { requireCoach, requireDesk, type Desk } from '@/server/actor';
import { briefsOf } from '@/server/known/briefs';
import { uuidOr404 } from '@/server/params';
import { deadOnPhones } from '@/server/public-url';
import { sayDay } from '@/core/units/say-moment';
import { ErasuresAsked } from './erasures-asked';
import { RefreshWhile } from '../form/refresh-while';
import { firstOf } from '@/ui/first-of';
import { CoachNotes } from './coach-notes';
import { Leave } from './leave';
import { scaleOf } from './lost-bar';
import { LinkCards } from './links/link-cards';
import { PersonalLinks } from './links/personal-links';
import { PlayerForm } from './player-form';
import { PlayerList } from './player-list';
import { playerRows } from './player-rows';
import { PlayersTable } from './players-table';
import { SessionsPage } from './sessions-page';

/** @param all whether all rows of a long list were asked for */
export async function PlayersRoom({ slug, all }: { slug: string; all: boolean }) {
  const desk = await requireDesk(slug);
  const { data, academy, model, coach } = desk;
  const [now, players, away, groups, asked] = [
    new Date(),
    ...(await Promise.all([data.listPlayers(), data.listPlayers(true), data.listGroups(), coach?.data.erasuresAsked() ?? []])),
  ];
  const briefs = await briefsOf(desk, players);
  const said = { cells: model.cells, strokes: academy.strokesAs, timeZone: academy.timeZone, now };
  return (
    <div className="p-3 p-md-4">
      <div className="d-flex flex-wrap justify-content-between align-items-center gap-2 mb-3">
        <h1>
          Players <span className="beside">{players.length > 1 && 'strokes against each one’s own level'}</span>
        </h1>
        <div className="d-flex flex-wrap gap-2 text-nowrap">
          {players.length > 1 && (
            <Link href={`/a/${slug}/players/squad`} className="btn btn-outline-dark">
              Squad board
            </Link>
          )}
          {coach && players.length > 1 && (
            <Link href={`/a/${slug}/players/squad/report`} className="btn btn-outline-dark">
              Squad report
            </Link>
          )}
          {coach && players.length > 0 && (
            <Link href={`/a/${slug}/players/links`} className="btn btn-outline-dark">
              Link cards
            </Link>
          )}
          {coach && players.length > 1 && (
            <Link href={`/a/${slug}/players/groups`} className="btn btn-outline-dark">
              Groups
            </Link>
          )}
          {coach && (
            <Link href={`/a/${slug}/players/new`} className="btn btn-primary">
              Add a player
            </Link>
          )}
        </div>
      </div>
      <ErasuresAsked slug={slug} asked={asked} timeZone={academy.timeZone} now={now} />
      {players.length === 0 ? (
        <p className="empty">
          {coach ? (
            <>
              Nobody here yet. <Link href={`/a/${slug}/players/new`}>Add the first player</Link>: a nickname and a level are enough to
              begin.
            </>
          ) : (
            'You don’t look after any players yet. Ask a coach to put you in charge of a group.'
          )}
        </p>
      ) : (
        <PlayersTable
          slug={slug}
          rows={playerRows(firstOf(players, all), briefs, said)}
          of={players.length}
          scale={scaleOf([...briefs.of.values()])}
          groups={groups.map(({ groupId, name, playerIds }) => ({ groupId, name, playerIds }))}
          strokes={academy.strokesAs}
          nowMs={now.getTime()}
          pending={briefs.pending}
        />
      )}
      <RefreshWhile pending={briefs.pending} />
      {coach && away.length > 0 && (
        <details className="mt-4">
          <summary>{counted(away.length, 'player')} put away</summary>
          <PlayerList slug={slug} timeZone={academy.timeZone} now={now} players={away} />
        </details>
      )}
    </div>
  );
}

export async function LinkCardsRoom({ slug }: { slug: string }) {
  const { data, academy } = await requireCoach(slug);
  const [players, groups] = await Promise.all([data.listPlayerNames(), data.listGroups()]);
  return (
    <div className="p-3 p-md-4">
      <div className="no-print">
        <h1>Cards with personal links</h1>
        <p style={{ maxWidth: '44rem' }}>
          With a card, a player scores on their own phone without an account. It opens that player’s sessions and nothing else.
        </p>
      </div>
      {players.length === 0 ? (
        <p className="empty">
          Nobody here yet. <Link href={`/a/${slug}/players/new`}>Add the first player</Link>.
        </p>
      ) : (
        <LinkCards slug={slug} academy={academy.name} players={players} groups={groups} dead={deadOnPhones()} />
      )}
    </div>
  );
}

export async function NewPlayerRoom({ slug }: { slug: string }) {
  const { academy } = await requireCoach(slug);
  return (
    <div className="p-3 p-md-4">
      <h1 className="mb-3">A new player</h1>
      <PlayerForm slug={slug} playerId={randomUUID()} initial={newPlayer('', academy.units)} savedAt={null} />
    </div>
  );
}

const SHOWN = 50;

/** What one player has played, and their personal links. */
export async function SessionsRoom({ slug, playerId }: { slug: string; playerId: string }) {
  const { data, academy, coach } = await requireDesk(slug);
  const found = await data.getPlayer(uuidOr404(playerId));
  if (!found) notFound();
  const { player } = found;
  const now = new Date();
  const sessions = await data.finishedSessions(SHOWN, { playerId: player.playerId });
  return (
    <SessionsPage slug={slug} mayChange={coach !== null} player={player} sessions={sessions} timeZone={academy.timeZone} now={now}>
      {coach && <LinksAndNotes slug={slug} desk={coach} player={player} now={now} />}
    </SessionsPage>
  );
}

type BesideProps = { slug: string; desk: Desk; player: { playerId: string; name: string }; now: Date };

/** What hands the player the key to their own sessions, and what coaches write about the player among themselves. */
async function LinksAndNotes({ slug, desk: { data, academy }, player: { playerId, name }, now }: BesideProps) {
  const [links, notes] = await Promise.all([data.linksOf(playerId, now), data.notesAbout(playerId)]);
  const day = (moment: Date) => sayDay(moment, academy.timeZone, now);
  return (
    <>
      <PersonalLinks
        slug={slug}
        player={{ playerId, name }}
        links={links.map(({ linkId, createdAt, expiresAt, lastUsedAt }) => ({
          linkId,
          made: day(createdAt),
          until: day(expiresAt),
          used: lastUsedAt ? `last used ${day(lastUsedAt)}` : 'not used yet',
        }))}
        dead={deadOnPhones()}
      />
      <CoachNotes
        slug={slug}
        player={{ playerId, name }}
        notes={notes.map(({ writtenAt, ...one }) => ({ ...one, written: day(writtenAt) }))}
      />
    </>
  );
}

export async function EditPlayerRoom({ slug, playerId }: { slug: string; playerId: string }) {
  const { data } = await requireCoach(slug);
  const found = await data.getPlayer(uuidOr404(playerId));
  if (!found) notFound();
  const { name, playerId: id, savedAt, archivedAt } = found.player;
  const takes = await data.whatErasingTakes(id);
  return (
    <div className="p-3 p-md-4">
      <h1 className="mb-3">{name}</h1>
      <PlayerForm slug={slug} playerId={id} initial={formOf(found)} savedAt={savedAt} />
      {takes && <Leave slug={slug} player={{ playerId: id, name, away: archivedAt !== null }} takes={takes} />}
    </div>
  );
}
