import { projectShots } from '../shot/project';
import { shotEventSchema } from '../shot/shot';
import { idOf } from '../testing/make';
import { carryOf } from '../tools/carried';
import { biasOf } from '../tools/play-as';
import { swingChart } from '../tools/swing-chart';
import { METRES_PER } from '../units/length';
import { DEMO_PLAYERS } from './people';
import { DEMO_MARKS, demoSwings, DEMO_SWING_GAME, DEMO_SWINGS_FOR } from './swings';

const NOW = new Date('2026-05-20T12:00:00Z');
const sessions = demoSwings(20, NOW, idOf(1));
const clubs = DEMO_PLAYERS.find(({ form }) => form.name === DEMO_SWINGS_FOR)!.form.clubs.map(([label, loftDeg]) => ({ label, loftDeg }));
const carried = projectShots(sessions.flatMap(({ events }) => events)).map((shot) => ({
  ...shot,
  carryM: carryOf(
    shot,
    DEMO_SWING_GAME.stations.find(({ key }) => key === shot.stationKey),
  )!,
}));

test('fifty balls that the program would accept, all before now', () => {
  expect(carried).toHaveLength(50);
  for (const { events } of sessions) for (const event of events) expect(shotEventSchema.safeParse(event).success).toBe(true);
  expect(Math.max(...carried.map(({ playedAt }) => Date.parse(playedAt)))).toBeLessThan(NOW.getTime());
});

test('they make a chart with the marks in order, and say that balls come out a little short', () => {
  const chart = swingChart(carried, DEMO_MARKS, clubs);
  expect(chart.marks).toEqual(DEMO_MARKS);
  const hip = chart.cells.find(({ club, mark }) => club === 'sand wedge' && mark === 'hip')!;
  expect(hip.balls).toBeGreaterThan(2);
  expect(Math.abs(hip.carryM / METRES_PER.yd - 31 * 0.97)).toBeLessThan(3);
  const bias = biasOf(carried)!;
  expect(bias.balls).toBe(50);
  expect(bias.share).toBeLessThan(1);
});
