import { PRESETS } from '../hour/school';
import { WEEKS_VERSION } from '../weeks/steps';
import { weeksSchema, type Weeks } from '../weeks/weeks';

/** Four weeks from a Monday, on Tuesdays at half past five and Saturdays; without days unless they are given. */
export function weeksOf(more: Partial<Weeks> = {}): Weeks {
  return weeksSchema.parse({
    format: 'inch-weeks',
    version: WEEKS_VERSION,
    title: 'Four weeks for Otto',
    from: '2026-03-02',
    until: '2026-03-29',
    rhythm: [
      { weekday: 2, at: '17:30', minutes: 50 },
      { weekday: 6, minutes: 40 },
    ],
    school: PRESETS[0]!.school,
    days: [],
    ...more,
  });
}
