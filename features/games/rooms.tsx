import { allStations } from '@/core/game/station';
import { randomUUID } from 'node:crypto';
import Link from 'next/link';
import { atStation } from '@/core/game/at-station';
import { notFound } from 'next/navigation';
import { DRAWN_FOR_LEVEL, enter } from '@/core/game/enter';
import { gameFor } from '@/core/game/entrant';
import { gameFileName, writeGameFile } from '@/core/game/file';
import { LIBRARY } from '@/core/game/library';
import { SCHEME_KINDS } from '@/core/game/scoring';
import { keptAsGame } from '@/core/game/open';
import type { GameSpec } from '@/core/game/spec';
import { landingStartSchema } from '@/core/tools/landing-start';
import { rungsSchema } from '@/core/tools/rungs';
import { counted } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import { lengthsOf, measuresOf } from '@/core/game/sizes';
import { requireCoach } from '@/server/actor';
import { deadOnPhones, publicUrl } from '@/server/public-url';
import { uuidOr404 } from '@/server/params';
import { sum } from '@/server/sums';
import { sayMoment } from '@/core/units/say-moment';
import { Designer } from './designer/designer';
import { candidatesOf } from '../forecast/candidates';
import type { Candidate } from '../forecast/use-beliefs';
import { copyOf, gameOn, landingGame, newGame, rungsGame } from './designer/new-game';
import { gameRows, readyRows } from './game-rows';
import { GamesTable } from './games-table';
import table from './games-table.module.scss';
import { SchemeLine } from './scoring/picture';
import { NARROW_SIDE } from './side';
import { GamePage } from './game-page';
import { ImportGame } from './import-game';
import { LevelsPage } from './levels-page';
import { LibraryGamePage } from './library-pages';
import { SheetChoices } from './sheet/sheet-choices';
import { SheetPage } from './sheet/sheet-page';
import { StationDoor } from './station-door';

type Desk = Awaited<ReturnType<typeof requireCoach>>;
type Data = Desk['data'];

export async function GamesRoom({ slug }: { slug: string }) {
  const { data, academy } = await requireCoach(slug);
  const [games, away, sessions, last, bests] = await Promise.all([
    data.listGames(),
    data.listGames(true),
    data.sessionsOfGames(),
    data.lastOfGames(),
    data.bestOfGames(),
  ]);
  const played = { sessions, last, bests, timeZone: academy.timeZone, now: new Date() };
  return (
    <div className="desk" style={NARROW_SIDE}>
      <section>
        <div className="d-flex flex-wrap gap-2 align-items-center mb-3">
          <h1 className="me-auto mb-0">Games</h1>
          <Link href={`/a/${slug}/games/library`} className="btn btn-outline-dark">
            Library
          </Link>
          <ImportGame slug={slug} gameId={randomUUID()} />
        </div>
        {games.length === 0 ? (
          <p className="empty">
            No games yet. <Link href={`/a/${slug}/games/library`}>Take one from the library</Link>, or design the first one: choose how it
            is scored.
          </p>
        ) : (
          <GamesTable rows={gameRows(slug, games, played, academy.units)} as="played" />
        )}
        {away.length > 0 && (
          <details className="mt-4">
            <summary>{counted(away.length, 'game')} put away</summary>
            <GamesTable rows={gameRows(slug, away, played, academy.units)} as="played" />
          </details>
        )}
      </section>
      <section>
        <h2 className="mb-0">Design a game</h2>
        <p className="small-print mb-2">How is it scored?</p>
        <ul className={table.ways}>
          {SCHEME_KINDS.map((kind) => (
            <li key={kind}>
              <Link href={`/a/${slug}/games/new?by=${kind}`}>
                <SchemeLine kind={kind} />
              </Link>
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}

/**
 * From what a new game starts: a way of scoring, a library game, another game, what was called in a session, a green, a landing spot, putts along one line, or the plain one.
 */
type Start = Partial<Record<'library' | 'copy' | 'session' | 'green' | 'by' | 'landing' | 'rungs', string | undefined>>;

type Begun = { initial: GameSpec; greenId: string | null };

async function beginGame({ data, academy }: Desk, { library, copy, session, green, by, landing, rungs }: Start): Promise<Begun | null> {
  const { units } = academy;
  if (landing) {
    const start = landingStartSchema.safeParse(readJson(landing));
    if (!start.success) return null;
    const row = start.data.on && (await data.getGreen(start.data.on.green));
    return { initial: landingGame(start.data, units, row?.plan ?? null), greenId: row?.greenId ?? null };
  }
  if (rungs) {
    const read = rungsSchema.safeParse(readJson(rungs));
    return read.success ? { initial: rungsGame(read.data, units), greenId: null } : null;
  }
  if (copy) {
    const game = await data.getGame(uuidOr404(copy));
    return game && { initial: copyOf(game.spec), greenId: game.greenId };
  }
  if (green) {
    const row = await data.getGreen(uuidOr404(green));
    return row && { initial: gameOn(row.plan, units), greenId: row.greenId };
  }
  const initial = await initialGame(data, units, { library, session, by });
  return initial ? { initial, greenId: null } : null;
}

function readJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

async function initialGame(data: Data, units: UnitSystem, { library, session, by }: Start) {
  if (library) return LIBRARY.find((entry) => entry.key === library)?.spec;
  if (!session)
    return newGame(
      units,
      SCHEME_KINDS.find((kind) => kind === by),
    );
  const found = await data.getSession(uuidOr404(session));
  const first = found?.players[0]?.playerId;
  const balls = found?.shots.filter((shot) => shot.playerId === first) ?? [];
  return found && keptAsGame(found.session.spec, balls, `${found.session.spec.title.slice(0, 70)}, kept`);
}

export async function NewGameRoom({ slug, start }: { slug: string; start: Start }) {
  const desk = await requireCoach(slug);
  const { data, academy } = desk;
  const begun = await beginGame(desk, start);
  if (!begun) notFound();
  const [green, players] = await Promise.all([greenOf(data, begun.greenId), candidates(data)]);
  const shared = { slug, units: academy.units, coach: measuresOf(academy), green, players };
  return <Designer {...shared} gameId={randomUUID()} initial={begun.initial} savedAt={null} />;
}

/** So many of its last sessions stand on a game's page. */
const RESULTS = 10;

/** @param again who played it last, by their ids, where it is to be played again */
export async function GameRoom({ slug, gameId, again }: { slug: string; gameId: string; again?: string | string[] | undefined }) {
  const { data, academy } = await requireCoach(slug);
  const game = await data.getGame(uuidOr404(gameId));
  if (!game) notFound();
  const [players, green, results] = await Promise.all([
    candidates(data),
    greenOf(data, game.greenId, game.greenVersion),
    data.finishedSessions(RESULTS, { gameId: game.gameId }),
  ]);
  const coach = measuresOf(academy);
  const known = new Set(players.map((player) => player.playerId));
  return (
    <GamePage
      slug={slug}
      game={game}
      green={green}
      units={academy.units}
      players={players}
      coach={coach}
      shortId={randomUUID()}
      results={results}
      timeZone={academy.timeZone}
      now={new Date()}
      again={[again ?? []].flat().filter((id) => known.has(id))}
    />
  );
}

/** What each level scores in a game. */
/** What each level scores in a game, or at one of its stations. */
export async function LevelsRoom({ slug, gameId, at }: { slug: string; gameId: string; at: string | undefined }) {
  const { data, academy, model } = await requireCoach(slug);
  const game = await data.getGame(uuidOr404(gameId));
  if (!game) notFound();
  const alone = at === undefined ? null : atStation(game.spec, at);
  const chart = await sum({ kind: 'level_chart', version: model.version, game: alone ?? game.spec });
  return <LevelsPage slug={slug} gameId={game.gameId} whole={game.spec} alone={alone} units={academy.units} chart={chart} />;
}

export async function EditGameRoom({ slug, gameId }: { slug: string; gameId: string }) {
  const { data, academy } = await requireCoach(slug);
  const game = await data.getGame(uuidOr404(gameId));
  if (!game) notFound();
  const [green, players] = await Promise.all([greenOf(data, game.greenId), candidates(data)]);
  const shared = { slug, units: academy.units, coach: measuresOf(academy), green, players };
  return <Designer {...shared} gameId={game.gameId} initial={game.spec} savedAt={game.createdAt} />;
}

export async function LibraryRoom({ slug }: { slug: string }) {
  const { academy } = await requireCoach(slug);
  return (
    <div className="p-3 p-md-4">
      <h1>Library</h1>
      <p className="small-print mb-3">
        {counted(LIBRARY.length, 'ready game')}. Playing one puts it into your games. Times are for one player.
      </p>
      <GamesTable rows={readyRows(slug, LIBRARY, academy.units)} as="ready" />
    </div>
  );
}

export async function LibraryGameRoom({ slug, libraryKey }: { slug: string; libraryKey: string }) {
  const { data, academy } = await requireCoach(slug);
  const game = LIBRARY.find((entry) => entry.key === libraryKey);
  if (!game) notFound();
  const shared = { slug, game, units: academy.units, coach: measuresOf(academy) };
  return <LibraryGamePage {...shared} players={await candidates(data)} gameId={randomUUID()} />;
}

/** A green as a game sees it: of a given version, or the newest; null for a game on none. */
async function greenOf(data: Data, greenId: string | null, version?: number | null) {
  const row = greenId && (await data.getGreen(greenId, version ?? undefined));
  return row ? { greenId: row.greenId, plan: row.plan } : null;
}

/** The set-up sheet of a game, for the coach or a player who sets it up. */
export async function SheetRoom({ slug, gameId, by }: { slug: string; gameId: string; by: string | undefined }) {
  const { data, academy } = await requireCoach(slug);
  const game = await data.getGame(uuidOr404(gameId));
  if (!game) notFound();
  const [players, green, setter] = await Promise.all([
    data.listPlayerNames(),
    greenOf(data, game.greenId, game.greenVersion),
    by ? data.getPlayer(uuidOr404(by)) : null,
  ]);
  if (by && !setter) notFound();
  const { spec } = game;
  const person = setter?.player ?? null;
  // Without a player, zones are laid out as they are drawn; a coach's own unit is the coach's.
  const entrant = enter(
    { playerId: person?.playerId ?? '', level: person?.level ?? DRAWN_FOR_LEVEL, ...lengthsOf(person) },
    spec.sizes,
    academy,
    0,
  );
  const address = `/a/${slug}/games/${game.gameId}`;
  const base = publicUrl();
  return (
    <SheetPage
      spec={gameFor(spec, entrant)}
      version={game.version}
      plan={green?.plan ?? null}
      system={person?.units ?? academy.units}
      by={{ name: person?.name ?? 'the coach', measures: { ...measuresOf(academy), ...lengthsOf(person ?? academy) } }}
      gameAddress={base + address}
      stationAddress={(key) => `${base}${address}/at/${encodeURIComponent(key)}`}
      zonesNote={zonesNote(spec, person?.name ?? null)}
      choices={
        <SheetChoices
          slug={slug}
          address={address}
          players={players}
          by={person?.playerId ?? null}
          units={person?.units ?? academy.units}
          paceM={(person ?? academy).paceM}
          dead={deadOnPhones()}
        />
      }
    />
  );
}

/** What is said about zones that differ from player to player. */
function zonesNote({ sizes }: GameSpec, name: string | null): string | null {
  if (sizes.scaled)
    return name
      ? `Laid out for ${name}: zones grow with the level.`
      : 'Drawn for level 10: zones grow with the level. Choose a player for theirs.';
  if (sizes.of === 'player') return name ? `Measured with what ${name} has.` : 'Each player measures with their own.';
  return null;
}

/** Where the code on a station's card leads: on with a session of this game, or into a new one, at this station. */
export async function StationDoorRoom({ slug, gameId, stationKey }: { slug: string; gameId: string; stationKey: string }) {
  const { data, academy } = await requireCoach(slug);
  const game = await data.getGame(uuidOr404(gameId));
  const at = game ? allStations(game.spec).findIndex((station) => station.key === stationKey) : -1;
  if (!game) notFound();
  const [players, unfinished] = await Promise.all([candidates(data), data.unfinishedSessions(200, { gameId: game.gameId })]);
  const running = unfinished.filter((line) => allStations(line.session.spec).some((one) => one.key === stationKey));
  return (
    <StationDoor
      slug={slug}
      game={game}
      at={at}
      stationKey={stationKey}
      units={academy.units}
      players={players}
      coach={measuresOf(academy)}
      running={running.map(({ session, players: who, balls }) => ({
        sessionId: session.sessionId,
        names: who.map((one) => one.name).join(', '),
        balls,
        when: sayMoment(session.startedAt, academy.timeZone),
      }))}
    />
  );
}

/** Players for whom a game can be forecast. */
const candidates = async (data: Data): Promise<Candidate[]> => candidatesOf(await data.listPlayers());

/** A game as a file to be saved. */
export async function answerGameFile(slug: string, gameId: string): Promise<Response> {
  const { data } = await requireCoach(slug);
  const game = await data.getGame(uuidOr404(gameId));
  if (!game) notFound();
  return new Response(writeGameFile(game.spec), {
    headers: { 'content-type': 'application/json', 'content-disposition': `attachment; filename="${gameFileName(game.spec.title)}"` },
  });
}
