import 'server-only';
import type { Report } from '@/core/report/report';
import { plusDays } from '@/core/units/plain-day';
import { academyOf } from '@/db/queries/academies';
import type { Member, PlayerByLink } from '@/db/actor';
import { dataOf } from '../data';
import { database } from '../db';
import { deskModel } from './model';
import { reportOf } from './report';

/** A player's own report is of so many days. */
const DAYS = 56;

/**
 * The report of the player who holds a personal link, against their own level. What a link itself may not ask is asked for it as somebody who
 * helps with this player would: of anybody else they see nothing.
 */
export async function ownReport({ academyId, playerId, linkId }: PlayerByLink, now: Date): Promise<Report | null> {
  const helper = { kind: 'assistant', academyId, userId: `link:${linkId}`, players: [playerId] } as Member;
  const data = dataOf(helper);
  const [academy, found, today] = await Promise.all([
    academyOf(database(), { kind: 'program', academyId }),
    data.getPlayer(playerId),
    data.dayInAcademy(),
  ]);
  if (!academy || !found) return null;
  const asked = { from: plusDays(today, -DAYS), to: today, against: undefined };
  return reportOf({ data, academy, model: deskModel }, found.player, asked, now);
}
