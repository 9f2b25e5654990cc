import { sayShots } from '../board/say-cell';
import { ballsOf } from '../game/phases';
import type { GameSpec } from '../game/spec';
import { isPutt } from '../golf/shot-types';
import type { SkillModel } from '../skill/model';
import { cellKey } from '../skill/cells';
import { chooseShots } from './choose';
import { kindOf } from './kinds';
import type { Order } from './lay-out';
import { placesAnywhere, placesOn } from './places';
import { proposeKind } from './propose';
import type { ProposalTask } from './proposal-task';
import { knownOf } from './proposal-task';
import { changeShown, couldBe } from './shows';
import { judgedTogether } from './together';
import { testDaysIn } from '../weeks/lay-days';
import { MOST_SHOTS, type Block } from '../weeks/weeks';

/** What a block of weeks works on, and how that is tested; the game has no id yet. */
export type BlockTest = Pick<Block, 'shots' | 'tests' | 'testDays'> & {
  game: GameSpec | null;
  /** What each shot loses against the level, in strokes a shot, in their order; less than nothing where it gains. */
  loses: number[];
};

/** A block asked for as plain data: `order.minutes` are those of the test; `days` of practice in the block; `shots` to work on, none: the costliest. */
export type BlockTestTask = Omit<ProposalTask, 'kind' | 'which'> & { kind: 'block_test'; days: number; shots: readonly string[] };

/** On at most so many days in a row a test is played. */
const MOST_TEST_DAYS = 3;
/** Worth seeing is a change of this part of what a shot loses. */
const WORTH_SEEING = 0.5;

/**
 * What to work on: the shots that cost most in a round, as far as they can be laid out; the same game with many balls of each, sized for the
 * players, on as many days in a row as it takes to see half of what one of them loses won back, at most three; on one where even three show nothing.
 */
export function blockTestOf(order: Order, { days, shots: wanted }: Pick<BlockTestTask, 'days' | 'shots'>, model: SkillModel): BlockTest {
  const judged = judgedTogether(order.players.map((player) => player.judged));
  const places = order.green ? placesOn(order.green, model.cells, order.units) : placesAnywhere(model.cells, order.units);
  const allowed = [...new Set(places.map(({ cell }) => cell))];
  const named = wanted.flatMap((key) => {
    const at = model.cells.findIndex((cell) => cell.key === key);
    return allowed.includes(at) ? [at] : [];
  });
  const cells =
    named.length > 0 ? named : chooseShots(judged, { by: 'costliest', places: MOST_SHOTS, balls: 1, allowed }).map(({ cell }) => cell);
  const keys = new Set(cells);
  const made = proposeKind({ ...order, purpose: 'find_out' }, { ...kindOf('test'), takes: ({ cell }) => keys.has(cell) }, model);
  const game = made && { ...made.game, title: titleOf(made.game), about: '' };
  const worth = cells.map((i) => WORTH_SEEING * judged.findings[i]!.perShot.mean);
  const each = cells.map((i) => (game ? ballsFrom(game, model.cells[i]!.key) : 0));
  const differ = couldBe(model, order.players[0]!.level);
  const inAll = each.reduce((sum, balls) => sum + balls, 0);
  // A band of putts is told by all putts: what a test of one shows, nobody could measure (docs/plan.md).
  const shown = (at: number, testDays: number) =>
    isPutt(model.cells[cells[at]!]!.shotType)
      ? null
      : changeShown(
          { days: testDays, balls: Math.max(1, each[at]!), inAll: Math.max(1, inAll) },
          {
            perBall: judged.findings[cells[at]!]!.perBall,
            couldBe: differ[cells[at]!]!,
          },
        );
  const most = testDaysIn(days, MOST_TEST_DAYS);
  // The first of them of which a test can show anything decides.
  const first = cells.findIndex((_, at) => shown(at, most) !== null);
  const enough =
    first < 0
      ? 1
      : (Array.from({ length: most }, (_, i) => i + 1).find((testDays) => (shown(first, testDays) ?? Infinity) <= worth[first]!) ?? most);
  return {
    shots: cells.map((i) => model.cells[i]!.key),
    testDays: enough,
    tests: cells.flatMap((i, at) =>
      each[at]! > 0 ? [{ shot: model.cells[i]!.key, balls: each[at]! * enough, shows: round(shown(at, enough)) }] : [],
    ),
    game,
    loses: cells.map((i) => judged.findings[i]!.perShot.mean),
  };
}

const round = (strokes: number | null) => strokes && Math.round(1000 * strokes) / 1000;

const ballsFrom = ({ stations }: GameSpec, key: string) =>
  stations.reduce((sum, { shotType, surface, distanceM, balls }) => sum + (cellKey(shotType, surface, distanceM) === key ? balls : 0), 0);

/** "Test: 10–20 yd chips …" would be long: the shots, and how many balls. */
function titleOf(game: GameSpec): string {
  const kinds = [...new Set(game.stations.map(sayShots))];
  return `Test: ${kinds.join(' and ')}, ${ballsOf(game)} balls`.slice(0, 80);
}

/**
 * Does it.
 * @throws RangeError where it was asked of another model
 */
export function doBlockTest(model: SkillModel, { version, order, players, days, shots }: BlockTestTask): BlockTest {
  return blockTestOf({ ...order, players: knownOf(model, version, players) }, { days, shots }, model);
}
