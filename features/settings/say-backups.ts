import { sayMoment } from '@/core/units/say-moment';
import type { Answer } from '@/server/data';

/** "Last backup: Mon 30 Nov, 03:00, 12.4 MB." A failure since is said first. */
export function sayBackups({ good, tried }: Answer<'lastBackups'>, timeZone: string, now: Date): string {
  const at = (moment: Date) => sayMoment(moment, timeZone);
  const last = good
    ? `Last backup: ${at(good.begunAt)}, ${((good.bytes ?? 0) / 1e6).toFixed(1)} MB${daysOld(good.begunAt, now)}.`
    : 'No backups yet. Ask whoever runs the server to turn them on.';
  if (!tried?.failure) return last;
  return `The backup of ${at(tried.begunAt)} failed. Tell whoever runs the server. ${good ? last : 'No backups yet.'}`;
}

/** Said from the second day on: by then one was missed. */
function daysOld(moment: Date, now: Date): string {
  const days = Math.floor((now.getTime() - moment.getTime()) / 86_400_000);
  return days >= 2 ? `, ${days} days ago` : '';
}
