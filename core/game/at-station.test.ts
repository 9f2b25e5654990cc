import { levelChart } from '../forecast/level-chart';
import { shippedReference } from '../golf/reference';
import { modelOf } from '../skill/model';
import { atStation } from './at-station';
import { LIBRARY } from './library';
import { schemeOf } from './scoring';

const hoops = LIBRARY.find(({ key }) => key === 'three-hoops')!.spec;

test('at one station a game has its balls, and no goal', () => {
  const { key, balls } = hoops.stations[1]!;
  const alone = atStation(hoops, key)!;
  expect(alone.stations).toEqual([hoops.stations[1]]);
  expect([alone.stations[0]!.balls, alone.goal, alone.leadIn]).toEqual([balls, null, []]);
  expect(atStation(hoops, 'nowhere')).toBeNull();
});

test('every ready game that is played by balls has a chart of each of its stations', () => {
  const model = modelOf(shippedReference);
  for (const { key, spec } of LIBRARY) {
    const alone = spec.stations[0] && atStation(spec, spec.stations[0].key);
    if (!alone) continue;
    const [line] = levelChart(alone, model, [10]);
    expect([key, Number.isFinite(line!.outlook.mean), line!.outlook.p10 <= line!.outlook.p90]).toEqual([key, true, true]);
  }
});

test('the stations of a game of points come to the whole', () => {
  const model = modelOf(shippedReference);
  expect(schemeOf(hoops.scoring).countsBalls).toBe(true);
  const mean = (spec: typeof hoops) => levelChart(spec, model, [18])[0]!.outlook.mean;
  const parts = hoops.stations.map(({ key }) => mean(atStation(hoops, key)!)).reduce((a, b) => a + b, 0);
  expect(Math.abs(parts - mean(hoops))).toBeLessThan(0.4);
});
