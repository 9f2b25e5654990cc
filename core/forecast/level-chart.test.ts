import { LIBRARY } from '../game/library';
import { shippedReference } from '../golf/reference';
import { modelOf } from '../skill/model';
import { levelChart } from './level-chart';

const model = modelOf(shippedReference);
const game = (key: string) => LIBRARY.find((entry) => entry.key === key)!.spec;

test('worse levels score worse, and what people of one level differ by is apart from luck', () => {
  const chart = levelChart(game('three-hoops'), model, [0, 18, 36]);
  const means = chart.map(({ outlook }) => outlook.mean);
  expect(means).toEqual(means.toSorted((a, b) => b - a));
  for (const { outlook, luckSd, peopleSd } of chart) {
    expect(luckSd).toBeGreaterThan(0);
    expect(peopleSd).toBeGreaterThan(0);
    expect(peopleSd).toBeLessThan(luckSd * 1.5);
    // Both together are about the spread that the range shows: 8 in 10 of a normal lie within 1.28 either side.
    expect((outlook.p90 - outlook.p10) / 2.56).toBeGreaterThan(0.6 * Math.hypot(luckSd, peopleSd));
    expect((outlook.p90 - outlook.p10) / 2.56).toBeLessThan(1.5 * Math.hypot(luckSd, peopleSd));
  }
});

test('a long game has less luck beside what people differ by than a short one', () => {
  const short = game('three-hoops');
  const long = { ...short, stations: short.stations.map((station) => ({ ...station, balls: 10 * station.balls })) };
  const share = (spec: typeof short) => {
    const { luckSd, peopleSd } = levelChart(spec, model, [18])[0]!;
    return luckSd / peopleSd;
  };
  expect(share(long)).toBeLessThan(share(short));
});

test('a game whose stations are called while it is played has no chart', () => {
  expect(levelChart(game('wander'), model)).toEqual([]);
});
