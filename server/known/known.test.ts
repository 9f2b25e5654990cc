/** @jest-environment node */
import { shot, left, yd } from '@/core/testing/make';
import { shippedReference } from '@/core/golf/reference';
import { modelOf } from '@/core/skill/model';
import { packDraws } from '@/core/skill/posterior';
import { believe } from '@/core/skill/diagnose';
import { cellKey } from '@/core/skill/cells';
import { gather, talliesOf } from '@/core/skill/evidence';
import { doSum, type SumTask } from '@/core/board/sums';
import { knownOf } from './known';
import { mixOf, ownPar } from './yardsticks';

/** Sums are done on the spot here, not on a thread. */
jest.mock('../sums', () => ({ sum: async (task: SumTask) => mockSum(task) }));

const model = modelOf(shippedReference);
const mockSum = (task: SumTask) => doSum(model, task);

const LEVEL = 14;
const at = new Date('2026-05-01T10:00:00Z');
const shots = Array.from({ length: 30 }, (_, i) =>
  shot({ shotType: 'chip', surface: 'fairway', distanceM: yd(15), stationKey: `s${i}`, playedAt: at.toISOString() }, left(12 + (i % 5))),
);
const tallies = talliesOf(shots, at, 60);
const fitted = believe(gather(tallies), model, LEVEL);
/** Somebody else’s draws: whoever reads them back, and does not fit anew, is found out. */
const kept = packDraws(believe({ groups: [] }, model, LEVEL).draws);

function deskWith(held: object | null) {
  const keepPosterior = jest.fn().mockResolvedValue(undefined);
  const data = {
    spanOfEvidence: async () => ({ first: at, last: at }),
    tallyBalls: async () => tallies,
    heldPosterior: async () => held,
    keepPosterior,
  };
  return { keepPosterior, desk: { data, academy: { academyId: 'here', halfLifeDays: 60 }, model } as never };
}
const player = { playerId: 'p', evidenceRev: 3, level: LEVEL } as never;
const held = {
  modelVersion: model.version,
  evidenceRev: 3,
  level: LEVEL,
  halfLifeDays: 60,
  asOf: at,
  draws: Buffer.from(kept.buffer),
  strays: { balls: 30, offGreen: {} },
};

test('what was kept of the same evidence, by the same model, is read back', async () => {
  const { desk, keepPosterior } = deskWith(held);
  const { belief } = await knownOf(desk, player);
  expect(packDraws(belief.draws)).toEqual(kept);
  expect(keepPosterior).not.toHaveBeenCalled();
});

test.each([
  ['another version of the model', { modelVersion: model.version - 1 }],
  ['a time before there were versions', { modelVersion: 0 }],
  ['other evidence', { evidenceRev: 2 }],
  ['another level', { level: LEVEL + 1 }],
  ['another half-life', { halfLifeDays: 30 }],
  ['another day', { asOf: new Date(0) }],
  ['a time before phones carried it', { strays: null }],
  ['a file that is no draws of this model', { draws: Buffer.alloc(40) }],
])('what was kept by %s is fitted anew, and kept with this version', async (_, other) => {
  const { desk, keepPosterior } = deskWith({ ...held, ...other });
  const { belief } = await knownOf(desk, player);
  expect(packDraws(belief.draws)).toEqual(packDraws(fitted.draws));
  expect(keepPosterior).toHaveBeenCalledWith(
    'p',
    expect.objectContaining({
      modelVersion: model.version,
      evidenceRev: 3,
      level: LEVEL,
      strays: {
        balls: 30,
        offGreen: expect.objectContaining({ [cellKey('chip', 'fairway', yd(15))]: expect.any(Number) as number }) as object,
      },
    }),
  );
});

test('an own round mix replaces the level’s, of shots that have a place; an own table leaves the level’s strokes where it says nothing', () => {
  const mix = mixOf(model, { level: LEVEL, roundMix: { 'chip|fairway|10': 9, 'chip|moon|10': 4 } });
  expect([mix.get('chip|fairway|10'), mix.has('chip|moon|10')]).toEqual([9, false]);
  expect(mix.get('chip|fairway|20')).toBe(model.mix(LEVEL).get('chip|fairway|20'));
  const par = ownPar(model, { 'chip|fairway|10': 2.2 }, LEVEL);
  model.cells.forEach(({ key }, i) => expect(par[i]).toBe(key === 'chip|fairway|10' ? 2.2 : model.expects(i, LEVEL)));
});
