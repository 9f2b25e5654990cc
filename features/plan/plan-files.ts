import 'server-only';
import { notFound } from 'next/navigation';
import { hourFile, weeksFile } from '@/core/weeks/plan-file';
import { requireCoach } from '@/server/actor';
import { uuidOr404 } from '@/server/params';

const asFile = (text: string, name: string) =>
  new Response(text, { headers: { 'content-type': 'application/json', 'content-disposition': `attachment; filename="${name}"` } });

/** A planned session as a file, without the players. */
export async function answerHourFile(slug: string, hourId: string): Promise<Response> {
  const { data } = await requireCoach(slug);
  const found = await data.getHour(uuidOr404(hourId));
  if (!found) notFound();
  return asFile(hourFile.write(found.hour), hourFile.nameOf(found.hour.title));
}

/** Planned weeks as a file, without the players. */
export async function answerWeeksFile(slug: string, weeksId: string): Promise<Response> {
  const { data } = await requireCoach(slug);
  const found = await data.getWeeks(uuidOr404(weeksId));
  if (!found) notFound();
  return asFile(weeksFile.write(found.weeks), weeksFile.nameOf(found.weeks.title));
}
