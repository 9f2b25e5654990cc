/** @jest-environment node */
import { doSum, type SumTask } from '@/core/board/sums';
import { shippedReference } from '@/core/golf/reference';
import type { Hour } from '@/core/hour/hour';
import { beginRun, stopRun } from '@/core/hour/run';
import { doFill, type FillTask } from '@/core/plan/fill-task';
import { talliesOf } from '@/core/skill/evidence';
import { modelOf } from '@/core/skill/model';
import { game, idOf, left, shot, station, yd } from '@/core/testing/make';
import { hourOf } from '@/core/testing/make-hour';
import { weeksOf } from '@/core/testing/make-weeks';
import { relaid, withBlock, withDay } from '@/core/weeks/change';
import type { Weeks } from '@/core/weeks/weeks';
import { blockDone, dueDays, makeHours } from './weeks';

/** Sums are done on the spot here, not on a thread. */
jest.mock('../sums', () => ({ sum: async (task: SumTask | FillTask) => mockSum(task) }));

const model = modelOf(shippedReference);
const mockSum = (task: SumTask | FillTask) => (task.kind === 'fill' ? doFill(model, task) : doSum(model, task));
const CHIPS = 'chip|fairway|10';
const chips = (feet: number, balls: number, at: string) =>
  talliesOf(
    Array.from({ length: balls }, (_, i) =>
      shot({ shotType: 'chip', surface: 'fairway', distanceM: yd(15), stationKey: `s${i}`, playedAt: at }, left(feet + (i % 3))),
    ),
    new Date(at),
    null,
  );
const known = chips(25, 40, '2026-02-01T10:00:00Z');
const test15 = {
  gameId: idOf(900),
  spec: game({ title: 'Test', stations: ['a', 'b'].map((key) => station(key, { distanceM: yd(15), balls: 8 })) }),
};
let n = 0;
/** Eight weeks from 2 March, the first four about chips. */
const eight = withBlock(
  relaid(weeksOf({ until: '2026-04-26' }), '2026-03-02', () => idOf((n += 1))),
  0,
  { shots: [CHIPS], tests: [{ shot: CHIPS, balls: 16, shows: 0.2 }], game: test15 },
);
const player = {
  playerId: idOf(500),
  name: 'Otto',
  level: 14,
  evidenceRev: 1,
  roundMix: null,
  paceM: null,
  clubM: null,
  putterM: null,
} as never;

function deskWith({
  today = '2026-03-02',
  there = [] as string[],
  now = (weeks: Weeks): Weeks | null => weeks,
  stretches = [known, known],
} = {}) {
  const saved: { hourId: string; hour: Hour }[] = [];
  const asked: { from: Date; to: Date }[][] = [];
  const data = {
    dayInAcademy: async () => today,
    listPlayers: async () => [{ player, balls: 40, lastAt: null }],
    hoursOf: async () => there.map((hourId) => ({ hourId })),
    getWeeks: async () => ({ weeks: now(eight), archived: now(eight) === null }),
    listGames: async () => [],
    bagOf: async () => ({ clubs: [] }),
    spanOfEvidence: async () => ({ first: new Date('2026-02-01'), last: new Date('2026-02-01') }),
    tallyBalls: async () => known,
    heldPosterior: async () => null,
    keepPosterior: async () => undefined,
    saveHour: async (hourId: string, hour: Hour) => void saved.push({ hourId, hour }),
    followWeeks: jest.fn().mockResolvedValue(undefined),
    tallyStretches: async (_: string, times: { from: Date; to: Date }[]) => {
      asked.push(times);
      return times.map((_one, i) => ({ tallies: stretches[i]!, sessions: 2 }));
    },
  };
  const academy = {
    academyId: 'here',
    halfLifeDays: 60,
    timeZone: 'Europe/Dublin',
    units: 'imperial',
    paceM: null,
    clubM: null,
    putterM: null,
  };
  return { saved, asked, data, desk: { data, academy, model } as never };
}
const row = (weeks: Weeks, more: object = {}) =>
  ({ weeksId: idOf(800), weeks, savedAt: new Date(), archived: false, players: [{ playerId: idOf(500), name: 'Otto' }], ...more }) as never;

describe('hours of planned weeks', () => {
  test('are made for the days that are left of the four weeks that go on: none that are over, none of later weeks, none that are there', async () => {
    const third = eight.days[2]!;
    const { desk, saved, data } = deskWith({ today: third.day, there: [eight.days[4]!.hourId] });
    await makeHours(desk, row(eight));
    const due = eight.days.filter(({ day }) => day >= third.day && day <= '2026-03-29');
    expect(saved.map(({ hourId }) => hourId)).toEqual(due.map(({ hourId }) => hourId).filter((id) => id !== eight.days[4]!.hourId));
    expect(data.followWeeks).toHaveBeenCalledWith(idOf(800));
  }, 60_000);

  test('the test is the same game at both ends, and everything is filled', async () => {
    const { desk, saved } = deskWith();
    await makeHours(desk, row(eight));
    const byAim = (aim: string) => saved.filter(({ hourId }) => eight.days.find((one) => one.hourId === hourId)!.aim === aim);
    for (const { hour } of [...byAim('test'), ...byAim('again')]) expect(hour.parts.at(-1)!.game).toEqual(test15);
    const technique = byAim('practise')[0]!.hour.parts.find(({ kind }) => kind === 'technique')!;
    expect(technique.title).toBe('10–20 yd chips from the fairway');
    for (const { hour } of saved)
      for (const part of hour.parts) if (part.kind !== 'technique') expect([part.title, part.game]).not.toContain(null);
    for (const { hourId, hour } of saved) expect(hour.day).toBe(eight.days.find((one) => one.hourId === hourId)!.day);
  }, 60_000);

  test('a day that is moved or taken out meanwhile is made as it is now; put away, or without shots, nothing is', async () => {
    const [first, second] = eight.days as [Weeks['days'][number], Weeks['days'][number]];
    const moved = withDay({ ...eight, days: [first, second] }, first.hourId, { day: '2026-03-05' });
    const { desk, saved } = deskWith({ now: () => ({ ...moved, days: moved.days.filter(({ hourId }) => hourId !== second.hourId) }) });
    await makeHours(desk, row({ ...eight, days: [first, second] }));
    expect(saved.map(({ hourId, hour }) => [hourId, hour.day])).toEqual([[first.hourId, '2026-03-05']]);
    const none = deskWith();
    await makeHours(none.desk, row(eight, { archived: true }));
    await makeHours(none.desk, row(withBlock(eight, 0, { shots: [] })));
    await makeHours(none.desk, row(eight, { players: [] }));
    expect(none.saved).toEqual([]);
    expect(dueDays({ ...eight, blocks: [] }, '2026-03-02')).toEqual([]);
  }, 60_000);
});

describe('what came of four weeks', () => {
  const test1 = eight.days.find(({ aim }) => aim === 'test')!;
  const again = eight.days.find(({ aim }) => aim === 'again')!;
  const ran = ({ hourId, day }: { hourId: string; day: string }, on = day) => {
    const hour = hourOf({ day });
    const begun = beginRun(hour, { runId: idOf(700), hourId }, `${on}T18:00:00.000Z`);
    return { hourId, hour, players: [], savedAt: new Date(), run: stopRun(begun, `${on}T18:33:00.000Z`) };
  };

  test('the balls of both tests are compared, each on the day it was done, and nothing before or between', async () => {
    const worse = chips(25, 16, '2026-03-04T18:00:00Z');
    const better = chips(9, 16, '2026-03-28T18:00:00Z');
    const { desk, asked } = deskWith({ stretches: [worse, better] });
    // The first test was a day late.
    const done = await blockDone(desk, eight, eight.blocks[0]!, [ran(test1, '2026-03-04'), ran(again)], player);
    expect(asked[0]!.map(({ from, to }) => [from.toISOString(), to.toISOString()])).toEqual([
      ['2026-03-02T00:00:00.000Z', '2026-03-04T23:59:59.999Z'],
      // There the clocks go forward on the last night.
      ['2026-03-28T00:00:00.000Z', '2026-03-29T22:59:59.999Z'],
    ]);
    expect(done).toMatchObject({ days: 8, done: 2, minutes: 360, minutesDone: 66, weeks: 4, tests: [1, 1] });
    const [one] = done.shots;
    expect(one).toMatchObject({ shot: '10–20 yd chips from the fairway', shows: 0.2, balls: 16, told: { of: [16, 16] } });
    expect(one!.told!.before).toBeGreaterThan(one!.told!.since);
    expect(one!.told!.chanceBetter).toBeGreaterThan(0.9);
  });

  test('without balls on one side nothing is told', async () => {
    const { desk } = deskWith({ stretches: [known, []] });
    const done = await blockDone(desk, eight, eight.blocks[0]!, [ran(test1)], player);
    expect([done.shots[0]!.told, done.tests]).toEqual([null, [1, 0]]);
  });
});
