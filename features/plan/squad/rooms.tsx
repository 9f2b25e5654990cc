import { notFound, redirect } from 'next/navigation';
import { sayShots } from '@/core/board/say-cell';
import { sayStation, sayStationLie } from '@/core/game/words/say-station';
import { gameStations } from '@/core/green/game';
import { inTheWayOn } from '@/core/squad/on-green';
import { squadSession, type Squaddie } from '@/core/squad/squad-session';
import { inZone } from '@/core/units/in-zone';
import { requireCoach } from '@/server/actor';
import { briefsOf } from '@/server/known/briefs';
import { asSquadQuery, MOST_STATIONS, readSquadAsked, whoIsHere, type SquadAsked } from './asked';
import { WEEKS, whoIsShown } from '../../players/who-is-shown';
import { groupName, SquadPage } from './squad-page';
import { Wall } from './wall';

/** A squad's session as its address asks for it, with everything that is said about it. */
async function squadOf(slug: string, params: Record<string, unknown>) {
  const desk = await requireCoach(slug);
  const { data, academy, model } = desk;
  const asked = readSquadAsked(params);
  const [rows, groups, visits, greens, row] = await Promise.all([
    data.listPlayers(),
    data.listGroups(),
    data.visitsOnThisWeekday(WEEKS),
    data.listGreens(),
    asked.green ? data.getGreen(asked.green) : null,
  ]);
  const briefs = await briefsOf(desk, rows);
  const green = row ? { greenId: row.greenId, plan: { ...row.plan, stations: row.plan.stations.slice(0, MOST_STATIONS) } } : null;
  const cells = new Map(model.cells.map((cell) => [cell.key, cell]));
  const group = groups.find(({ groupId }) => groupId === asked.group);
  const among = rows.filter(({ player }) => !group || group.playerIds.includes(player.playerId));
  const { chosen, here } = whoIsHere(
    among.map(({ player }) => player.playerId),
    asked,
  );
  const squad = among
    .filter(({ player }) => here.has(player.playerId))
    .map(({ player }): Squaddie => {
      const brief = briefs.of.get(player.playerId);
      const weakest = brief?.weakest ? cells.get(brief.weakest.key) : undefined;
      const { playerId, name, level } = player;
      return { playerId, name, level, lost: brief?.lost.mean ?? null, weakest: weakest ? sayShots(weakest) : null };
    });
  const stations = green
    ? gameStations(green.plan, academy.units, 1).map((station, i) => ({
        name: `Station ${i + 1}`,
        what: `${sayStation(station, academy.units)}, ${sayStationLie(station)}`,
      }))
    : Array.from({ length: asked.stations }, (_, i) => ({ name: `Station ${i + 1}`, what: '' }));
  const session =
    squad.length < 2 || stations.length === 0
      ? null
      : squadSession({
          players: squad,
          stations: stations.map(({ name }) => ({ name, balls: asked.balls })),
          inTheWay: green ? inTheWayOn(green.plan) : stations.map(() => stations.map(() => false)),
          groups: asked.groups === 0 ? null : asked.groups,
          by: asked.by,
          minutes: asked.minutes,
          roundMinutes: asked.round,
          changeMinutes: asked.change,
        });
  return {
    asked: { ...asked, green: green?.greenId, group: group?.groupId } satisfies SquadAsked,
    who: {
      chosen,
      groups,
      players: among.map(({ player: { playerId: id, name } }) => ({ id, name })),
      here: squad.map(({ playerId }) => playerId),
      weekday: inZone(academy.timeZone, { weekday: 'long' }).format(new Date()),
      usual: whoIsShown(among, visits).expected.map(({ player }) => player.playerId),
    },
    // Whoever is put together by level alone is where they are, whatever is still being worked out.
    pending: briefs.pending && asked.by !== 'level',
    ...{ greens, green, stations, session, units: academy.units },
  };
}

export async function SquadRoundsRoom({ slug, params }: { slug: string; params: Record<string, unknown> }) {
  const { asked, who, pending, greens, green, stations, session, units } = await squadOf(slug, params);
  return (
    <SquadPage
      {...{ slug, asked, who, pending, green, stations, session, units }}
      greens={greens.map(({ greenId, plan }) => ({ id: greenId, name: plan.title }))}
    />
  );
}

export async function WallRoom({ slug, params }: { slug: string; params: Record<string, unknown> }) {
  const { asked, stations, session } = await squadOf(slug, params);
  const back = `/a/${slug}/plan/squad${asSquadQuery(asked)}`;
  if (!session) redirect(back);
  if (session.rounds.length === 0) notFound();
  const groups = session.groups.map((people, group) => ({ name: groupName(group), people: people.map(({ name }) => name).join(', ') }));
  const names = stations.map(({ name, what }) => [name.replace('Station ', ''), what].filter(Boolean).join(' · '));
  return <Wall session={{ rounds: session.rounds, groups }} stations={names} back={back} />;
}
