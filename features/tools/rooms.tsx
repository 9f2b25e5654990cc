import * as z from 'zod';
import { sayBand } from '@/core/golf/bands';
import { isPutt } from '@/core/golf/shot-types';
import { USUAL_BAG } from '@/core/golf/usual-bag';
import { factsOf } from '@/core/green/facts';
import { worthOfCells } from '@/core/plan/worth';
import { runOf } from '@/core/tools/carried';
import { LEAST_LOFT } from '@/core/tools/landing-options';
import { usualPlace } from '@/core/tools/landing-place';
import { runFactor } from '@/core/tools/run-factor';
import { asLevel, straysOf } from '@/core/tools/strays';
import { biasOf, biasOfDay } from '@/core/tools/play-as';
import { extraOfLevel } from '@/core/tools/round-score';
import { shortGameOfLevel } from '@/core/tools/short-game';
import { swingChart } from '@/core/tools/swing-chart';
import { placeOn } from '@/core/tools/terrain';
import { dayIn } from '@/core/units/day';
import { requireCoach } from '@/server/actor';
import { boardOf, type Board } from '@/server/known/board';
import { knownOf } from '@/server/known/known';
import { mixOf } from '@/server/known/yardsticks';
import { sum } from '@/server/sums';
import { readLandingAsked } from './landing/asked';
import { LandingPage, type LandingProps } from './landing/landing-page';
import { MeasuresPage } from './measures/measures-page';
import { OutlookPage } from './outlook/outlook-page';
import { PuttsPage, type PuttsProps } from './putts/putts-page';
import { SwingPage } from './swing/swing-page';
import { ToolsPage } from './tools-page';

type Desk = Awaited<ReturnType<typeof requireCoach>>;
/** Whom the tools speak of where nobody is chosen. */
const USUAL_LEVEL = 10;

/** The room Tools: what there is. */
export async function ToolsRoom({ slug }: { slug: string }) {
  await requireCoach(slug);
  return <ToolsPage slug={slug} />;
}

/** How a player strays, with their clubs and how far their balls run; without one, a level with a usual bag. */
async function playerAt(desk: Desk, playerId: string | undefined): Promise<LandingProps['player']> {
  const found = playerId ? await desk.data.getPlayer(playerId) : null;
  const usual = USUAL_BAG.filter(({ loftDeg }) => loftDeg >= LEAST_LOFT);
  if (!found) {
    const { paceM, clubM } = desk.academy;
    return {
      name: null,
      handed: 'right',
      strays: asLevel(USUAL_LEVEL),
      balls: 0,
      clubs: usual,
      ownBag: false,
      run: runFactor([]),
      paceM,
      clubM,
    };
  }
  const { player, clubs } = found;
  const [{ belief, evidence }, carried] = await Promise.all([knownOf(desk, player), desk.data.carriedShots(player.playerId)]);
  const own = clubs.flatMap(({ label, loftDeg }) => (loftDeg !== null && loftDeg >= LEAST_LOFT ? [{ label, loftDeg }] : []));
  const bag = own.length > 0 ? own : usual;
  return {
    name: player.name,
    handed: player.handed,
    strays: straysOf(belief, desk.model),
    balls: evidence.balls,
    clubs: bag,
    ownBag: own.length > 0,
    run: runOf(carried, bag),
    paceM: player.paceM ?? desk.academy.paceM,
    clubM: player.clubM ?? desk.academy.clubM,
  };
}

/** What an address says of whom and where. */
const askedSchema = z.object({
  for: z.uuid().optional().catch(undefined),
  green: z.uuid().optional().catch(undefined),
  station: z.string().max(40).optional().catch(undefined),
});

/** Putts of somebody, and on a green. */
export async function PuttsRoom({ slug, params }: { slug: string; params: Record<string, unknown> }) {
  const desk = await requireCoach(slug);
  const { data, academy, model } = desk;
  const asked = askedSchema.parse(params);
  const [players, greens, green, found] = await Promise.all([
    data.listPlayerNames(),
    data.listGreens(),
    asked.green ? data.getGreen(asked.green) : null,
    asked.for ? data.getPlayer(asked.for) : null,
  ]);
  const board = found ? await boardOf(desk, found.player, { filter: null, against: undefined }) : null;
  const putts = (green?.plan.stations ?? []).flatMap((station, i) => {
    const facts = factsOf(green!.plan, station, academy.units);
    return facts.surface === 'green'
      ? [{ key: station.key, name: `Station ${i + 1} → hole ${facts.hole.label}`, ball: station.at, hole: facts.hole.at }]
      : [];
  });
  return (
    <PuttsPage
      slug={slug}
      asked={{ ...asked, for: found?.player.playerId, green: green?.greenId }}
      players={players}
      player={found && board ? { id: found.player.playerId, name: found.player.name, balls: board.known.evidence.balls } : null}
      strays={board ? straysOf(board.known.belief, model) : asLevel(USUAL_LEVEL)}
      next={board && nextPutts(board)}
      putterM={found?.player.putterM ?? academy.putterM}
      greens={greens.map(({ greenId, plan }) => ({ id: greenId, name: plan.title }))}
      green={green ? { greenId: green.greenId, plan: green.plan, putts } : null}
      units={academy.units}
    />
  );
}

/** Bands of putts, the one first whose balls are worth most: by what it costs a round and by how little is known of it. */
function nextPutts({ diagnosis }: Board): PuttsProps['next'] {
  const worth = worthOfCells(diagnosis);
  return diagnosis.findings
    .map((finding, i) => ({ ...finding, worth: worth[i]! }))
    .filter(({ shotType }) => isPutt(shotType))
    .toSorted((a, b) => b.worth - a.worth)
    .map(({ band, perRound, balls }) => ({
      band: `${sayBand(band)} putts`,
      perRound: perRound.mean,
      low: perRound.interval80[0],
      high: perRound.interval80[1],
      balls,
    }));
}

/** Where to land a ball, for somebody, here or on a green. */
export async function LandingRoom({ slug, params }: { slug: string; params: Record<string, unknown> }) {
  const desk = await requireCoach(slug);
  const { data, academy } = desk;
  const first = readLandingAsked(params);
  const [players, greens, green, player] = await Promise.all([
    data.listPlayerNames(),
    data.listGreens(),
    first.green ? data.getGreen(first.green) : null,
    playerAt(desk, first.for),
  ]);
  const stations = (green?.plan.stations ?? []).flatMap((station, i) => {
    const facts = factsOf(green!.plan, station, academy.units);
    if (facts.surface === 'green') return [];
    return [
      {
        key: station.key,
        name: `Station ${i + 1} → hole ${facts.hole.label}`,
        ball: station.at,
        hole: facts.hole.at,
        lies: { lie: facts.surface, sit: station.sit, stance: station.stance },
      },
    ];
  });
  const station = stations.find(({ key }) => key === first.station) ?? stations[0];
  const usual = green && station ? placeOn(green.plan, station.ball, station.hole, station.lies) : usualPlace(academy.units);
  const asked = { ...readLandingAsked(params, usual), green: green?.greenId, station: station?.key };
  return (
    <LandingPage
      slug={slug}
      asked={asked}
      usual={usual}
      players={players}
      player={player}
      greens={greens.map(({ greenId, plan }) => ({ id: greenId, name: plan.title }))}
      green={green ? { greenId: green.greenId, plan: green.plan, stations: stations.map(({ lies: _lies, ...rest }) => rest) } : null}
      units={academy.units}
    />
  );
}

/** A player's swing lengths; without one in the address, of whoever has most balls. */
export async function SwingRoom({ slug, params }: { slug: string; params: Record<string, unknown> }) {
  const { data, academy } = await requireCoach(slug);
  const asked = askedSchema.parse(params);
  const players = await data.listPlayers();
  const likeliest = players.toSorted((one, other) => other.balls - one.balls)[0]?.player.playerId;
  const playerId = asked.for ?? likeliest;
  const found = playerId ? await data.getPlayer(playerId) : null;
  const carried = found ? await data.carriedShots(found.player.playerId) : [];
  const clubs = (found?.clubs ?? []).flatMap(({ label, loftDeg }) => (loftDeg === null ? [] : [{ label, loftDeg }]));
  const chart = swingChart(carried, found?.player.swingMarks ?? [], found?.clubs ?? []);
  const day = await data.dayInAcademy();
  return (
    <SwingPage
      slug={slug}
      players={players.map(({ player }) => ({ id: player.playerId, name: player.name }))}
      player={found && { id: found.player.playerId, name: found.player.name, marks: found.player.swingMarks, clubs }}
      chart={chart}
      bias={biasOf(carried)}
      today={biasOfDay(
        carried.filter(({ playedAt }) => dayIn(new Date(playedAt), academy.timeZone) === day),
        chart,
      )}
      units={found?.player.units ?? academy.units}
    />
  );
}

/** What the short game of somebody is worth in a round. */
export async function OutlookRoom({ slug, params }: { slug: string; params: Record<string, unknown> }) {
  const desk = await requireCoach(slug);
  const { data, academy, model } = desk;
  const asked = askedSchema.parse(params);
  const [players, found] = await Promise.all([data.listPlayerNames(), asked.for ? data.getPlayer(asked.for) : null]);
  const level = found?.player.level ?? USUAL_LEVEL;
  const known = found ? await knownOf(desk, found.player) : null;
  const usual = shortGameOfLevel(model, level);
  const games =
    found && known
      ? await sum(
          { kind: 'short_game', version: model.version, level, ...known.made, mix: [...mixOf(model, found.player)] },
          { urgent: true },
        )
      : { level, own: usual, atLevel: { putting: usual, chipping: usual, pitching: usual, bunker: usual }, draws: [] };
  return (
    <OutlookPage
      // Another player begins with their own greens.
      key={found?.player.playerId ?? 'level'}
      players={players}
      player={found && known ? { id: found.player.playerId, name: found.player.name, balls: known.evidence.balls } : null}
      games={games}
      extra={extraOfLevel(level, usual)}
      strays={known ? straysOf(known.belief, model) : asLevel(level)}
      units={academy.units}
    />
  );
}

/** What somebody measures with. */
export async function MeasuresRoom({ slug, params }: { slug: string; params: Record<string, unknown> }) {
  const { data, academy } = await requireCoach(slug);
  const asked = askedSchema.parse(params);
  const [players, found] = await Promise.all([data.listPlayerNames(), asked.for ? data.getPlayer(asked.for) : null]);
  const of = found?.player;
  const { paceM, clubM, putterM, shoeM } = of ?? academy;
  return (
    <MeasuresPage
      key={of?.playerId ?? 'coach'}
      slug={slug}
      players={players}
      whose={{
        playerId: of?.playerId ?? null,
        name: of?.name ?? 'the coach',
        own: { paceM, clubM, putterM, shoeM, flagstickM: academy.flagstickM },
        changeAt: of ? `/a/${slug}/players/${of.playerId}/edit` : `/a/${slug}/settings`,
      }}
      units={of?.units ?? academy.units}
    />
  );
}
