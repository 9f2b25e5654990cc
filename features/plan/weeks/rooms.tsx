import { randomUUID } from 'node:crypto';
import { notFound, redirect } from 'next/navigation';
import { after } from 'next/server';
import { Suspense } from 'react';
import { sayCell } from '@/core/board/say-cell';
import { clockOf, isGoing } from '@/core/hour/run';
import { PRESETS } from '@/core/hour/school';
import { isTapIn } from '@/core/plan/first-look';
import { plusDays } from '@/core/units/plain-day';
import { BLOCK_DAYS, blocksOf } from '@/core/weeks/blocks';
import { relaid, withBlock } from '@/core/weeks/change';
import { minutesOfTest, practiceDaysIn } from '@/core/weeks/lay-days';
import { WEEKS_VERSION } from '@/core/weeks/steps';
import type { Weeks } from '@/core/weeks/weeks';
import { requireCoach } from '@/server/actor';
import type { HourRow } from '@/server/data';
import { blockTest } from '@/server/known/proposals';
import { dueDays, makeHours } from '@/server/known/weeks';
import { uuidOr404 } from '@/server/params';
import { fileStem } from '@/core/problem';
import { readOrderAsked } from '../asked';
import { lastHere, planChoices } from '../choices';
import { calendarOf } from './calendar-file';
import { Verdicts } from './verdicts';
import { weeksFor } from './say';
import { WeeksEditor } from './weeks-editor';

type Desk = Awaited<ReturnType<typeof requireCoach>>;

/** What the editor chooses from. */
async function choicesOf(desk: Desk, slug: string) {
  const { data, model } = desk;
  const [{ rows, shared }, today] = await Promise.all([planChoices(desk, slug), data.dayInAcademy()]);
  const shots = model.cells.filter((cell) => !isTapIn(cell)).map((cell) => ({ key: cell.key, shot: sayCell(cell) }));
  return { rows, shared: { ...shared, today, shots } };
}

/** Twice a week, where nobody says otherwise: on Tuesday and Saturday. */
const USUAL = [2, 6].map((weekday) => ({ weekday, at: null, minutes: 50 }));

/** Four weeks for whoever the address names, else whoever was here last. */
export async function NewWeeksRoom({ slug, params }: { slug: string; params: Record<string, unknown> }) {
  const desk = await requireCoach(slug);
  const { rows, shared } = await choicesOf(desk, slug);
  const asked = readOrderAsked(params);
  const chosen = asked.for.filter((id) => shared.players.some((player) => player.id === id));
  const likeliest = lastHere(rows);
  if (!likeliest) redirect(`/a/${slug}/plan`);
  const who = chosen.length > 0 ? chosen : [likeliest.player.playerId];
  const names = shared.players.filter(({ id }) => who.includes(id)).map(({ name }) => name);
  const { today } = shared;
  const empty: Weeks = {
    format: 'inch-weeks',
    version: WEEKS_VERSION,
    title: weeksFor(names),
    from: today,
    until: plusDays(today, BLOCK_DAYS - 1),
    event: null,
    rhythm: USUAL,
    school: PRESETS[0]!.school,
    greenId: null,
    blocks: [],
    days: [],
  };
  const people = who.flatMap((id) => rows.find(({ player }) => player.playerId === id)?.player ?? []);
  const [frame] = blocksOf(empty);
  const test = await blockTest(desk, people, {
    minutes: minutesOfTest(empty.rhythm),
    days: practiceDaysIn(empty, frame!),
    green: null,
    shots: [],
  });
  const { loses: _, game, ...told } = test;
  const blocks = relaid(empty, today, randomUUID);
  const initial = relaid(withBlock(blocks, 0, { ...told, game: game && { gameId: randomUUID(), spec: game } }), today, randomUUID);
  return <WeeksEditor {...shared} weeksId={randomUUID()} initial={initial} who={who} savedAt={null} done={[]} made={[]} pending={false} />;
}

export async function WeeksRoom({ slug, weeksId }: { slug: string; weeksId: string }) {
  const desk = await requireCoach(slug);
  const [row, { rows, shared }] = await Promise.all([desk.data.getWeeks(uuidOr404(weeksId)), choicesOf(desk, slug)]);
  if (!row) notFound();
  const { weeks } = row;
  const hours = await desk.data.hoursOf(weeks.days.map(({ hourId }) => hourId));
  const { today } = shared;
  const made = hours.map(({ hourId }) => hourId);
  const missing = !row.archived && row.players.length > 0 && dueDays(weeks, today).some(({ hourId }) => !made.includes(hourId));
  if (missing) after(() => makeHours(desk, row));
  const players = row.players.flatMap(({ playerId }) => rows.find(({ player }) => player.playerId === playerId)?.player ?? []);
  const now = new Date().getTime();
  return (
    <WeeksEditor
      key={row.savedAt.toISOString()}
      {...shared}
      weeksId={weeksId}
      initial={weeks}
      who={row.players.map(({ playerId }) => playerId)}
      savedAt={row.savedAt}
      done={hours.flatMap((hour) => doneOf(hour, now))}
      made={made}
      pending={missing}
    >
      <Suspense fallback={null}>
        <Verdicts {...{ desk, weeks, hours, players, today }} />
      </Suspense>
    </WeeksEditor>
  );
}

function doneOf({ hourId, hour, run }: HourRow, now: number): [string, { minutes: number; going: boolean }][] {
  if (!run) return [];
  return [[hourId, { minutes: Math.round(clockOf(run, hour, now).goneS / 60), going: isGoing(run, now) }]];
}

/** The file that other programs read as a calendar. */
export async function answerCalendar(slug: string, weeksId: string): Promise<Response> {
  const { data, academy } = await requireCoach(slug);
  const row = await data.getWeeks(uuidOr404(weeksId));
  if (!row) notFound();
  const hours = await data.hoursOf(row.weeks.days.map(({ hourId }) => hourId));
  const text = calendarOf(row.weeks, {
    hours: new Map(hours.map(({ hourId, hour }) => [hourId, hour])),
    timeZone: academy.timeZone,
    savedAt: row.savedAt,
    academy: academy.name,
  });
  return new Response(text, {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': `attachment; filename="${fileStem(row.weeks.title) || 'weeks'}.ics"`,
    },
  });
}
