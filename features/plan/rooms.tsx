import { randomUUID } from 'node:crypto';
import { notFound, redirect } from 'next/navigation';
import { measuresOf } from '@/core/game/sizes';
import { requireCoach } from '@/server/actor';
import { orderedFrom, proposalOf } from '@/server/known/proposals';
import { candidatesOf } from '../forecast/candidates';
import { Designer } from '../games/designer/designer';
import { asOrderQuery, readOrderAsked, type OrderAsked } from './asked';
import { lastHere } from './choices';
import { OrderPage } from './order-page';
import { PlanPage } from './plan-page';

type Desk = Awaited<ReturnType<typeof requireCoach>>;

/** Who is chosen in an order, in its order, and its green; null where the green is nobody's here. */
async function readOrder({ data }: Desk, asked: OrderAsked) {
  const [players, green] = await Promise.all([data.listPlayers(), asked.green ? data.getGreen(asked.green) : null]);
  const chosen = asked.for.flatMap((id) => players.find(({ player }) => player.playerId === id)?.player ?? []);
  return { players, chosen, green: green ? { greenId: green.greenId, plan: green.plan } : null };
}

/** What is planned, and what can be made. */
export async function PlanRoom({ slug }: { slug: string }) {
  const { data } = await requireCoach(slug);
  const [hours, weeks, hoursAway, weeksAway, today, players] = await Promise.all([
    data.listHours(),
    data.listWeeks(),
    data.listHours({ archived: true }),
    data.listWeeks({ archived: true }),
    data.dayInAcademy(),
    data.listPlayerNames(),
  ]);
  const away = { hours: hoursAway, weeks: weeksAway };
  return <PlanPage {...{ slug, hours, weeks, away, today }} now={new Date()} anybody={players.length > 0} />;
}

/** @param params of the address: what is asked for */
export async function OrderRoom({ slug, params }: { slug: string; params: Record<string, unknown> }) {
  const desk = await requireCoach(slug);
  const asked = readOrderAsked(params);
  const [{ players, chosen, green }, greens] = await Promise.all([readOrder(desk, asked), desk.data.listGreens()]);
  // Nobody is asked for yet: whoever was here last.
  const likeliest = lastHere(players);
  if (chosen.length === 0 && likeliest) redirect(`/a/${slug}/plan/game${asOrderQuery(asked, { for: [likeliest.player.playerId] })}`);
  const { what: purpose, minutes, seed } = asked;
  return (
    <OrderPage
      slug={slug}
      asked={{ ...asked, for: chosen.map(({ playerId }) => playerId), green: green?.greenId }}
      players={players.map(({ player }) => ({ id: player.playerId, name: player.name }))}
      chosen={chosen}
      greens={greens.map(({ greenId, plan }) => ({ id: greenId, name: plan.title }))}
      green={green}
      units={desk.academy.units}
      task={chosen.length > 0 ? orderedFrom(desk, { players: chosen, purpose, minutes, green: green?.plan ?? null, seed }) : null}
    />
  );
}

/** A proposed game to be changed: the same as was proposed, as the order stands in the address with its number. */
export async function DesignProposalRoom({ slug, params }: { slug: string; params: Record<string, unknown> }) {
  const desk = await requireCoach(slug);
  const asked = readOrderAsked(params);
  const { players, chosen, green } = await readOrder(desk, asked);
  if (chosen.length === 0) notFound();
  const { what: purpose, minutes, seed } = asked;
  const task = await orderedFrom(desk, { players: chosen, purpose, minutes, green: green?.plan ?? null, seed });
  const proposal = await proposalOf(task, Number(params.proposal) || 0);
  if (!proposal) notFound();
  const shared = { slug, units: desk.academy.units, coach: measuresOf(desk.academy), green, players: candidatesOf(players) };
  return <Designer {...shared} gameId={randomUUID()} initial={proposal.game} savedAt={null} />;
}
