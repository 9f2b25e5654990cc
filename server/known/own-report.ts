import 'server-only';
import type { Report } from '@/core/report/report';
import { plusDays } from '@/core/units/plain-day';
import { helpWith } from '../helper';
import { reportOf } from './report';

/** A player's own report is of so many days. */
const DAYS = 56;

/** The report of a player for themselves or their family, against their own level; null where they are not there any more. */
export async function ownReport(academyId: string, playerId: string, now: Date): Promise<Report | null> {
  const help = await helpWith(academyId, playerId);
  if (!help) return null;
  const { desk, player } = help;
  const today = await desk.data.dayInAcademy();
  return reportOf(desk, player, { from: plusDays(today, -DAYS), to: today, against: undefined }, now);
}
