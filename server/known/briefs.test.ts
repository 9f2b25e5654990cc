/** @jest-environment node */
import { BRIEF_VERSION } from '@/core/board/brief';
import { doSum, type SumTask } from '@/core/board/sums';
import { shippedReference } from '@/core/golf/reference';
import { gather, talliesOf } from '@/core/skill/evidence';
import { modelOf } from '@/core/skill/model';
import { left, shot, yd } from '@/core/testing/make';
import type { Skill } from '@/core/board/squad';
import { briefsOf, keptSkills } from './briefs';

const later: (() => Promise<void>)[] = [];
jest.mock('next/server', () => ({ after: (work: () => Promise<void>) => later.push(work) }));
/** Sums are done on the spot here, not on a thread. */
jest.mock('../sums', () => ({ sum: async (task: SumTask) => mockSum(task) }));

const model = modelOf(shippedReference);
const mockSum = (task: SumTask) => doSum(model, task);
const [first, last] = [new Date('2026-03-01T10:00:00Z'), new Date('2026-05-01T10:00:00Z')];
const shots = Array.from({ length: 40 }, (_, i) =>
  shot({ shotType: 'chip', surface: 'fairway', distanceM: yd(15), stationKey: `s${i}`, playedAt: last.toISOString() }, left(12 + (i % 5))),
);
const tallies = talliesOf(shots, last, 60);

type Row = { playerId: string; evidenceRev: number };
const listed = ({ playerId, evidenceRev }: Row, balls = 40, lastAt = last) =>
  ({ player: { playerId, evidenceRev, level: 14, roundMix: null, name: playerId }, balls, lastAt }) as never;

type Kept = { madeFrom: string; brief: { trend: { chanceBetter: number } }; skills: { shot: Skill[]; expected: number[] } };

let academies = 0;
function deskWith(held: [string, object][], skills: [string, object][] = []) {
  const keepBrief = jest.fn(async (playerId: string, kept: Kept) => void skills.push([playerId, kept]));
  const heldSkills = jest.fn(async (_part: string, ids: string[]) => new Map(skills.filter(([playerId]) => ids.includes(playerId))));
  const data = {
    heldBriefs: async (ids: string[]) => new Map(held.filter(([playerId]) => ids.includes(playerId))),
    keptMadeFrom: async () => new Map(([...held, ...skills] as [string, Kept][]).map(([playerId, { madeFrom }]) => [playerId, madeFrom])),
    heldSkills,
    keepBrief,
    spanOfEvidence: async () => ({ first, last }),
    tallyBalls: async () => tallies,
    tallyStretches: async (_: string, parts: unknown[]) => parts.map(() => ({ tallies, sessions: 2 })),
    heldPosterior: async () => null,
    keepPosterior: async () => undefined,
    ownReference: async () => null,
  };
  return { keepBrief, heldSkills, desk: { data, academy: { academyId: `here ${++academies}`, halfLifeDays: 60 }, model } as never };
}
const madeFrom = (evidenceRev: number) => `${BRIEF_VERSION} ${JSON.stringify([model.version, evidenceRev, 14, null, 60])}`;
const old = { balls: 12 };
beforeEach(() => later.splice(0));

test('what was made from the same balls is shown, and nothing is made', async () => {
  const { desk } = deskWith([['p', { madeFrom: madeFrom(3), brief: old }]]);
  const { of, pending } = await briefsOf(desk, [listed({ playerId: 'p', evidenceRev: 3 })]);
  expect([of.get('p'), pending, later]).toEqual([old, false, []]);
});

test('of older balls it is shown as it was, and made anew after the page is answered', async () => {
  const { desk, keepBrief } = deskWith([['p', { madeFrom: madeFrom(2), brief: old }]]);
  const { of, pending } = await briefsOf(desk, [listed({ playerId: 'p', evidenceRev: 3 })]);
  expect([of.get('p'), pending]).toEqual([old, true]);
  expect(keepBrief).not.toHaveBeenCalled();
  await later[0]!();
  const [playerId, kept] = keepBrief.mock.lastCall!;
  expect([playerId, kept.madeFrom]).toEqual(['p', madeFrom(3)]);
  expect(kept.brief).toMatchObject({ balls: gather(tallies).balls, weakest: { key: 'chip|fairway|10' } });
  // The same balls before and since: nothing is claimed to have changed.
  expect(kept.brief.trend.chanceBetter).toBeGreaterThan(0.4);
  expect(kept.brief.trend.chanceBetter).toBeLessThan(0.6);
});

test('whoever was here last is made first; nobody without a ball is made at all; two pages at once make each once', async () => {
  const { desk, keepBrief } = deskWith([]);
  const players = [
    listed({ playerId: 'early', evidenceRev: 1 }, 40, first),
    listed({ playerId: 'late', evidenceRev: 1 }),
    listed({ playerId: 'none', evidenceRev: 0 }, 0),
  ];
  await briefsOf(desk, players);
  await briefsOf(desk, players);
  await Promise.all(later.map((work) => work()));
  expect(keepBrief.mock.calls.map(([playerId]) => playerId)).toEqual(['late', 'early']);
});

test('a sum that fails leaves what was kept, and can be tried again', async () => {
  const { desk, keepBrief } = deskWith([]);
  keepBrief.mockRejectedValueOnce(new Error('the database is away'));
  const players = [listed({ playerId: 'p', evidenceRev: 1 })];
  await briefsOf(desk, players);
  await later[0]!();
  await briefsOf(desk, players);
  await later[1]!();
  expect(keepBrief).toHaveBeenCalledTimes(2);
});

test('for the squad a few of whom nothing is kept are waited for; of many those that are kept are there at once', async () => {
  const players = (count: number) => Array.from({ length: count }, (_, i) => listed({ playerId: `p${i}`, evidenceRev: 1 }));
  const few = deskWith([]);
  const { of, pending } = await keptSkills(few.desk, [...players(2), listed({ playerId: 'none', evidenceRev: 0 }, 0)], 'shot');
  expect([[...of.keys()].toSorted(), pending, later.length]).toEqual([['p0', 'p1'], false, 0]);
  const chips = of.get('p0')!.shot!.filter(({ balls }) => balls > 0);
  expect(chips.map(({ balls }) => balls)).toEqual([40]);
  // Somebody who left, and what another program kept in another way, are in no squad.
  const kept = { madeFrom: madeFrom(1), skills: of.get('p0') };
  const many = deskWith(
    [],
    [
      ['p0', kept],
      ['p1', { ...kept, madeFrom: kept.madeFrom.replace(/^\d+/, '1') }],
      ['gone', kept],
    ],
  );
  const first = await keptSkills(many.desk, players(20), 'shot');
  expect([[...first.of.keys()], first.pending, many.keepBrief.mock.calls.length]).toEqual([['p0'], true, 0]);
  await later[0]!();
  expect(many.keepBrief).toHaveBeenCalledTimes(19);
});

test('what was read for the squad is read again only once it is made from other balls', async () => {
  const skills = (evidenceRev: number, mean: number) => ({ madeFrom: madeFrom(evidenceRev), skills: { shot: [{ mean }] } });
  const held: [string, object][] = [
    ['p0', skills(1, 0.1)],
    ['p1', skills(1, 0.2)],
  ];
  const { desk, heldSkills } = deskWith([], held);
  const players = (evidenceRev: number) =>
    ['p0', 'p1'].map((playerId) => listed({ playerId, evidenceRev: playerId === 'p1' ? evidenceRev : 1 }));
  const means = async (evidenceRev: number) =>
    [...(await keptSkills(desk, players(evidenceRev), 'shot')).of.values()].map(({ shot }) => shot![0]!.mean);
  expect(await means(1)).toEqual([0.1, 0.2]);
  expect(await means(1)).toEqual([0.1, 0.2]);
  held[1] = ['p1', skills(2, 0.3)];
  expect(await means(2)).toEqual([0.1, 0.3]);
  expect(heldSkills.mock.calls.map(([, ids]) => ids)).toEqual([['p0', 'p1'], [], ['p1']]);
  // Another part of it is another matter.
  await keptSkills(desk, players(2), 'round');
  expect(heldSkills).toHaveBeenLastCalledWith('round', ['p0', 'p1']);
});

test('a line is read again only once it is made from other balls', async () => {
  const held: [string, object][] = ['p0', 'p1'].map((playerId) => [playerId, { madeFrom: madeFrom(1), brief: { balls: 10 } }]);
  const { desk } = deskWith(held);
  const asked = jest.spyOn((desk as { data: { heldBriefs(ids: string[]): unknown } }).data, 'heldBriefs');
  const balls = async () => [...(await briefsOf(desk, [])).of.values()].map((one) => one.balls);
  expect([await balls(), await balls()]).toEqual([
    [10, 10],
    [10, 10],
  ]);
  held[1] = ['p1', { madeFrom: madeFrom(2), brief: { balls: 12 } }];
  expect(await balls()).toEqual([10, 12]);
  expect(asked.mock.calls).toEqual([[['p0', 'p1']], [[]], [['p1']]]);
});
