import * as z from 'zod';
import { day } from '@/core/stored';
import { plusDays } from '@/core/units/plain-day';
import type { ReportAsked } from '@/server/known/report';

/** A report is of so many days, where nobody chose. */
const USUAL_DAYS = 56;

/** Which report is asked for, as its address says it; what makes no sense is left out. @param today in the academy */
export function readReportAsked(params: Record<string, unknown>, today: string): ReportAsked {
  const read = <T>(schema: z.ZodType<T>, name: string) => {
    const found = schema.safeParse(params[name]);
    return found.success ? found.data : undefined;
  };
  const to = read(day, 'to') ?? today;
  const from = read(day, 'from') ?? plusDays(to, -USUAL_DAYS);
  const against = read(z.literal('squad'), 'against') ?? read(z.coerce.number().min(-10).max(54), 'against');
  return { from: from < to ? from : plusDays(to, -USUAL_DAYS), to, against };
}

/** The same for an address. */
export function asReportQuery({ from, to, against }: ReportAsked): string {
  return `?${new URLSearchParams({ from, to, ...(against === undefined ? {} : { against: String(against) }) }).toString()}`;
}
