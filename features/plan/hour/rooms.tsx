import { randomUUID } from 'node:crypto';
import { notFound, redirect } from 'next/navigation';
import * as z from 'zod';
import { LIBRARY } from '@/core/game/library';
import { hourOfGame, newHour } from '@/core/hour/change';
import { PRESETS } from '@/core/hour/school';
import { canPlay } from '@/core/plan/can-play';
import { filledWith } from '@/core/plan/filled';
import { counted, listed } from '@/core/units/format';
import { requireCoach } from '@/server/actor';
import { filledParts } from '@/server/known/proposals';
import { uuidOr404 } from '@/server/params';
import { readOrderAsked } from '../asked';
import { lastHere, planChoices } from '../choices';
import { HourEditor } from './hour-editor';

type Desk = Awaited<ReturnType<typeof requireCoach>>;

/** What the editor chooses from. */
async function choicesOf(desk: Desk, slug: string) {
  const { data, academy } = desk;
  const [{ rows, shared }, games] = await Promise.all([planChoices(desk, slug), data.listGames()]);
  const own = games.map(({ gameId, spec }) => ({ gameId, spec }));
  const ready = LIBRARY.filter(({ spec }) => own.every((one) => one.spec.title !== spec.title)).map(({ spec }) => ({ gameId: null, spec }));
  return { rows, shared: { ...shared, games: [...own, ...ready], units: academy.units } };
}

/** So long an hour is where nobody says otherwise. */
const USUAL_MINUTES = 50;
/** Of more names than these the players are counted. */
const NAMED = 3;

/** An hour for whoever the address names (else whoever was here last), as long as it says; of one game, where it names one. */
export async function NewHourRoom({ slug, params }: { slug: string; params: Record<string, unknown> }) {
  const desk = await requireCoach(slug);
  const { rows, shared } = await choicesOf(desk, slug);
  const asked = readOrderAsked(params);
  const chosen = asked.for.filter((id) => shared.players.some((player) => player.id === id));
  const likeliest = lastHere(rows);
  if (!likeliest) redirect(`/a/${slug}/plan`);
  const who = chosen.length > 0 ? chosen : [likeliest.player.playerId];
  const names = shared.players.filter(({ id }) => who.includes(id)).map(({ name }) => name);
  const minutes = params.minutes === undefined ? USUAL_MINUTES : asked.minutes;
  const { school } = PRESETS.find(({ key }) => key === params.school) ?? PRESETS[0]!;
  const title = `${minutes} minutes for ${names.length > NAMED ? counted(names.length, 'player') : listed(names)}`.slice(0, 80);
  const greenId = shared.greens.some(({ id }) => id === asked.green) ? asked.green! : null;
  const games = shared.games.filter(({ spec }) =>
    canPlay(
      spec,
      who.map(() => ({ clubs: [] })),
    ),
  );
  const again = z.uuid().safeParse(params.game).success ? await desk.data.getGame(params.game as string) : null;
  if (again) {
    const { gameId, spec } = again;
    const initial = hourOfGame(`${spec.title}, ${listed(names)}`.slice(0, 80), school, asked.minutes, { gameId, spec });
    return <HourEditor {...shared} games={games} hourId={randomUUID()} initial={initial} who={who} savedAt={null} weeksId={null} />;
  }
  const empty = newHour(title, school, minutes, { greenId });
  const people = who.flatMap((id) => rows.find(({ player }) => player.playerId === id)?.player ?? []);
  const green = greenId ? await desk.data.getGreen(greenId) : null;
  const filled = await filledParts(desk, people, { school, parts: empty.parts, green: green?.plan ?? null, seed: 1 });
  const initial = { ...empty, parts: filledWith(empty.parts, filled, randomUUID) };
  return <HourEditor {...shared} games={games} hourId={randomUUID()} initial={initial} who={who} savedAt={null} weeksId={null} />;
}

export async function HourRoom({ slug, hourId }: { slug: string; hourId: string }) {
  const desk = await requireCoach(slug);
  const [found, weeks, { shared }] = await Promise.all([
    desk.data.getHour(uuidOr404(hourId)),
    desk.data.weeksOfHour(hourId),
    choicesOf(desk, slug),
  ]);
  if (!found) notFound();
  const who = found.players.map(({ playerId }) => playerId);
  return <HourEditor {...shared} hourId={hourId} initial={found.hour} who={who} savedAt={found.savedAt} weeksId={weeks?.weeksId ?? null} />;
}
