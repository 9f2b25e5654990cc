import { bandAt } from '../golf/bands';
import { playerSchema } from '../people/player';
import { projectShots } from '../shot/project';
import { shotEventSchema } from '../shot/shot';
import { cellKey } from '../skill/cells';
import { believe, diagnose } from '../skill/diagnose';
import { gather, talliesOf } from '../skill/evidence';
import { HALF_LIFE_DAYS } from '../skill/half-life';
import { modelOf } from '../skill/model';
import { shippedReference as reference } from '../golf/reference';
import { weakestOf } from '../board/settle';
import { idOf } from '../testing/make';
import { METRES_PER } from '../units/length';
import { DEMO_PLAYERS } from './people';
import { DEMO_WEEKS, demoSeason } from './season';

const NOW = new Date('2026-05-20T12:00:00Z');
const ids = DEMO_PLAYERS.map((_, i) => idOf(i + 1));
const season = demoSeason(20, NOW, ids, reference);
const shotsOf = (player: number) =>
  projectShots(season.filter((session) => session.player === player).flatMap((session) => session.events));

test('eight players with about a thousand balls each, over nine weeks that end before now', () => {
  expect(DEMO_PLAYERS).toHaveLength(8);
  DEMO_PLAYERS.forEach((_, i) => {
    expect(shotsOf(i).length).toBeGreaterThan(950);
    expect(shotsOf(i).length).toBeLessThan(1050);
  });
  const starts = season.map((session) => session.startedAt.getTime());
  expect(Math.max(...starts)).toBeLessThan(NOW.getTime());
  expect(NOW.getTime() - Math.min(...starts)).toBeLessThan((DEMO_WEEKS + 0.5) * 7 * 86_400_000);
});

test('every event and every player is what the program would accept', () => {
  for (const { events } of season.slice(0, 40)) for (const event of events) expect(shotEventSchema.safeParse(event).success).toBe(true);
  DEMO_PLAYERS.forEach(({ form }, i) => {
    const clubs = form.clubs.map(([label, loftDeg], c) => ({ clubId: idOf(100 * i + c), label, loftDeg }));
    expect(playerSchema.safeParse({ ...form, clubs }).success).toBe(true);
  });
});

test.each(DEMO_PLAYERS.map((player, i) => [player.form.name, i] as const))(
  '%s has the planted weakness: at least .45 in log distance over at least 60 balls',
  (_, i) => {
    const { effects, form } = DEMO_PLAYERS[i]!;
    const [planted, effect] = Object.entries(effects)[0]!;
    expect(effect).toBeGreaterThanOrEqual(0.45);
    const balls = shotsOf(i).filter((shot) => cellKey(shot.shotType, shot.surface, shot.distanceM) === planted);
    expect(balls.length).toBeGreaterThanOrEqual(60);
    const beyond = balls.flatMap((shot) => {
      const level = reference.shot(form.level, shot.shotType, shot.surface, shot.distanceM)!;
      return shot.leftM === null ? [] : [Math.log(shot.leftM / (level.medianLeftFt * METRES_PER.ft))];
    });
    const median = beyond.toSorted((a, b) => a - b)[beyond.length >> 1]!;
    expect(median).toBeGreaterThan(0.45);
  },
);

test('the model finds each planted weakness first, or names it among those that cannot be told apart', () => {
  const model = modelOf(reference);
  DEMO_PLAYERS.forEach(({ effects, form }, i) => {
    const evidence = gather(talliesOf(shotsOf(i), NOW, HALF_LIFE_DAYS));
    const diagnosis = diagnose(model, believe(evidence, model, form.level), evidence, { level: form.level, mix: model.mix(form.level) });
    const { first, near } = weakestOf(diagnosis, 'shot')!;
    expect([first, ...near.slice(0, 3)].map((cell) => diagnosis.findings[cell]!.key)).toContain(Object.keys(effects)[0]);
  });
});

test('the same seed and moment give the same records', () => {
  expect(demoSeason(20, NOW, ids, reference)[5]).toEqual(season[5]);
  expect(demoSeason(21, NOW, ids, reference)[5]).not.toEqual(season[5]);
});

test('every station of the demo lies in a band and has a reference, or is a putt', () => {
  for (const shot of DEMO_PLAYERS.flatMap((_, i) => shotsOf(i).slice(0, 300))) {
    expect(bandAt(shot.shotType, shot.distanceM)).not.toBeNull();
    if (shot.shotType !== 'putt') expect(reference.shot(10, shot.shotType, shot.surface, shot.distanceM)).not.toBeNull();
  }
});
