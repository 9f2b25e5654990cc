import { percentOf } from '../board/certainty';
import { dayWeight } from '../board/over-time';
import { shippedReference as reference } from '../golf/reference';
import { madeUp, ringRecord, trueStrokes, type Hitter } from '../made-up/players';
import { simulateShot } from '../made-up/simulate';
import { seededRandom } from '../math/random';
import { believe, strokesLost } from '../skill/diagnose';
import { addTo, type BallGroup } from '../skill/groups';
import { modelOf } from '../skill/model';
import { changeShown, couldBe, SEEN } from './shows';
import { changeTold } from '../board/told';

const model = modelOf(reference);
const [PLAYERS, DAYS, BALLS, DAY_SD, TRIED] = [40, 2, 15, 0.1, 1500];
const LEVEL = 14;
const differ = couldBe(model, LEVEL);
const prior = lostAfter([]);

function lostAfter(groups: readonly BallGroup[]) {
  return strokesLost(model, believe({ groups: [...groups] }, model, LEVEL), { finishes: new Map() }, { level: LEVEL });
}

/** Made-up players of a level, each tested twice in a shot of their own: worse by just what the test is said to show, and not worse at all. */
function tested() {
  const cells = model.cells.filter(
    ({ shotType, surface, distanceM }) => shotType !== 'putt' && reference.uses(LEVEL, shotType, surface, distanceM) > 0.2,
  );
  const counts = { seen: 0, wrongly: 0 };
  for (let p = 0; p < PLAYERS; p++) {
    const random = seededRandom(900 + p);
    const truth = madeUp(model.cells, random, { level: LEVEL });
    const cell = cells[p % cells.length]!;
    const at = model.cells.indexOf(cell);
    const hitter = (more: number, stream = random, daySd = DAY_SD): Hitter => {
      let day = 0;
      return {
        level: LEVEL,
        hit: (shot) => simulateShot(truth, shot, day + more, reference, stream),
        newDay: () => void (day = daySd * stream.normal()),
      };
    };
    const needs = (more: number) => trueStrokes(hitter(more, seededRandom(7), 0), [cell], TRIED)[0]!;
    const change = changeShown(
      { days: DAYS, balls: BALLS, inAll: BALLS },
      { perBall: model.judge(LEVEL, LEVEL).perBall(at), couldBe: differ[at]! },
    )!;
    let [low, high] = [0, 3];
    for (let step = 0; step < 8; step++) {
      const middle = (low + high) / 2;
      if (needs(middle) - needs(0) < change) low = middle;
      else high = middle;
    }
    const test = (more: number) => {
      const groups = new Map<string, BallGroup>();
      const who = hitter(more);
      for (let day = 0; day < DAYS; day++) {
        who.newDay();
        for (let ball = 0; ball < BALLS; ball++) addTo(groups, ringRecord(cell, who.hit(cell), reference), dayWeight(BALLS, 1));
      }
      return lostAfter([...groups.values()])[at]!;
    };
    const since = test(0);
    const isLikely = (before: ArrayLike<number>) => percentOf(changeTold({ prior: prior[at]!, before, since })?.chanceBetter ?? 0.5) >= 75;
    counts.seen += Number(isLikely(test(high)));
    counts.wrongly += Number(isLikely(test(0)));
  }
  return counts;
}

test('a change of the size that is named is seen as often as is said, on players who do not play as the model thinks', () => {
  const { seen, wrongly } = tested();
  // Of forty a share is known to about 13 points, twice its standard deviation.
  expect(seen / PLAYERS).toBeGreaterThan(SEEN - 0.13);
  expect(wrongly / PLAYERS).toBeLessThan(0.3);
}, 120_000);
