import { idOf } from '../testing/make';
import { runSchema } from '../hour/run-schema';
import { hourSchema } from '../hour/hour';
import { DEMO_PLAYERS } from './people';
import { demoHours } from './hours';

test('the demo has an hour under way, one for today and one that is done, each for somebody who is there', () => {
  const now = new Date('2027-05-01T18:00:00Z');
  const hours = demoHours(now, '2027-05-01', () => idOf(7));
  const runs = hours.map(({ run }) => run && runSchema.parse(run({ runId: idOf(1), hourId: idOf(2) })));
  expect(runs.map((run) => run && (run.endedAt === null ? 'under way' : 'done'))).toEqual(['under way', null, 'done']);
  expect(hours[1]!.hour.day).toBe('2027-05-01');
  for (const { hour, player } of hours) {
    expect(hourSchema.parse(hour)).toEqual(hour);
    expect(DEMO_PLAYERS.some(({ form }) => form.name === player)).toBe(true);
  }
});
