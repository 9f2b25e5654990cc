import { sayCell } from '../board/say-cell';
import { luckOf } from '../forecast/luck';
import { secondsFor, shortened } from '../game/budget';
import { enter } from '../game/enter';
import { schemeOf } from '../game/scoring';
import type { GameSpec } from '../game/spec';
import { isPutt } from '../golf/shot-types';
import type { SkillModel } from '../skill/model';
import { canPlay, type Entering } from './can-play';
import { chooseShots } from './choose';
import type { Part } from '../hour/hour';
import type { Candidate, Filled, FilledParts } from './filled';
import { kindOf, KINDS, type Kind } from './kinds';
import { whyOf, type Order } from './lay-out';
import { proposeKind } from './propose';
import type { School } from '../hour/school';
import { asIfDrawn, judgedTogether, type Judged } from './together';
import { worthOfCells, worthOfGame } from './worth';

/** For whom an hour is filled, and from what. */
export type FillOrder = Omit<Order, 'purpose' | 'minutes' | 'players'> & {
  players: readonly (Order['players'][number] & Entering)[];
  school: School;
  candidates: readonly Candidate[];
  /** Titles of games that other parts have: none comes twice. */
  taken: readonly string[];
  /** The shots that it is for, by their keys; none: whatever is worth most. */
  shots?: readonly string[];
  /** Whether the game is played as in a round: one ball from each place, holed out. */
  rehearses?: boolean;
};

const NOTHING_SET = { cue: '', sets: null, setOf: null, luck: null } as const;

/** A game that is known has a score to beat; the coach's own most of all. Judged: a new game must be worth that much more. */
const [OWN, READY] = [1.6, 1.3];
/** A game that leaves more of its part idle than this is worth less. */
const FILLS = 0.7;
/** So many choices come round when a part is thrown again. */
const CHOICES = 6;

/**
 * What a part of an hour is filled with, and why: of the games that these players can play and that fit, the one whose balls are worth most, or
 * one made for them; each seed the next best.
 * @returns null for what nobody fills: anything outside the short game
 */
export function fillPart(order: FillOrder, { kind, minutes }: Pick<Part, 'kind' | 'minutes'>, model: SkillModel): Filled | null {
  const judged = judgedTogether(order.players.map((player) => player.judged));
  if (kind === 'other') return null;
  const aimed = aimedAt(order, judged);
  if (kind === 'technique') return techniqueOf(asIfDrawn(judged, order.seed), minutes, aimed);
  const wanted = TAKES[kind];
  const byCell = order.school.begins === 'easy' && kind === 'lies' ? worthByUse(judged) : worthOfCells(judged);
  // What it is for comes before the game; the game is about everything.
  const worth = kind === 'game' || aimed.size === 0 ? byCell : byCell.map((value, i) => (aimed.has(i) ? 1 + value : BESIDE * value));
  const there = (kind === 'game' && order.rehearses ? [] : order.candidates)
    .filter(({ spec }) => wanted(spec) && canPlay(spec, order.players) && !order.taken.includes(spec.title))
    .flatMap(({ gameId, spec }) => {
      const fitted = fits(spec, minutes, order.players.length);
      // Its short version may be no game of this kind any more, or be there already.
      if (fitted && (!wanted(fitted) || order.taken.includes(fitted.title))) return [];
      // A shorter version of a game is another one.
      return fitted ? [weighed({ gameId: fitted === spec ? gameId : null, spec: fitted }, gameId === null ? READY : OWN)] : [];
    });
  const made = madeFor(order, kind, minutes, model, aimed).map((spec) => weighed({ gameId: null, spec }, 1));
  const best = [...there, ...made].toSorted((a, b) => b.worth - a.worth);
  const chosen = best[(order.seed - 1) % Math.max(1, Math.min(best.length, CHOICES))];
  if (!chosen) return { ...NOTHING_SET, title: NOTHING_FITS, why: '', game: null };
  return {
    ...NOTHING_SET,
    title: chosen.game.spec.title,
    why: whyOf(judged, chosen.cells, 'take_strokes_off'),
    game: chosen.game,
  };

  function weighed(game: Candidate, times: number) {
    const { worth: perBall, cells } = worthOfGame(game.spec, judged.findings, worth);
    const filled = Math.min(1, secondsFor(game.spec, order.players.length) / (60 * minutes * FILLS));
    return { game, cells, worth: perBall * filled * times };
  }
}

/** Beside the shots that an hour is for, others are worth this part of what they would be. */
const BESIDE = 0.3;

/** The shots that an hour is for, as indices of findings. */
const aimedAt = ({ shots = [] }: FillOrder, { findings }: Judged): ReadonlySet<number> =>
  new Set(findings.flatMap(({ key }, i) => (shots.includes(key) ? [i] : [])));

const NOTHING_FITS = 'Nothing fits here: choose a game';

const isLanding = ({ scoring }: GameSpec) =>
  schemeOf(scoring)
    .zones(scoring)
    .some(({ of }) => of === 'landing');
const putts = ({ stations }: GameSpec) => stations.filter(({ shotType }) => isPutt(shotType)).length;

/** What can stand for the whole: several places, and not putts alone. */
const isShortGame = (spec: GameSpec) => spec.stations.length > 1 && putts(spec) < spec.stations.length;

/** Which games a kind of part can be. */
const TAKES: Readonly<Record<'landing' | 'putting' | 'lies' | 'test' | 'game', (spec: GameSpec) => boolean>> = {
  landing: isLanding,
  putting: (spec) => putts(spec) === spec.stations.length,
  lies: (spec) => !isLanding(spec) && spec.stations.length > 1 && 3 * putts(spec) <= spec.stations.length,
  test: isShortGame,
  game: isShortGame,
};

/** Fits a game into minutes; null where even its short version takes longer. */
function fits(spec: GameSpec, minutes: number, players: number): GameSpec | null {
  if (secondsFor(spec, players) <= 60 * minutes) return spec;
  const short = shortened(spec, minutes, players);
  return short && secondsFor(short, players) <= 60 * minutes ? short : null;
}

/** What a part would be made of if it were made for these players; of the shots that the hour is for alone, where they make a game. */
function madeFor(order: FillOrder, kind: keyof typeof TAKES, minutes: number, model: SkillModel, aimed: ReadonlySet<number>): GameSpec[] {
  const { school } = order;
  const kinds =
    kind === 'landing'
      ? [kindOf('landing')]
      : kind === 'putting'
        ? [kindOf('points_putts'), kindOf('run')]
        : kind === 'lies'
          ? [kindOf(school.begins === 'easy' ? 'easy' : 'points_off_green')]
          : order.rehearses
            ? [kindOf('rehearsal')]
            : KINDS.take_strokes_off[0]!;
  const makes = (one: Kind) => proposeKind({ ...order, purpose: 'take_strokes_off', minutes }, one, model);
  return kinds.flatMap((one) => {
    const { takes = () => true } = one;
    const narrow = kind === 'game' || aimed.size === 0 ? null : makes({ ...one, takes: (place) => aimed.has(place.cell) && takes(place) });
    const made = narrow ?? makes(one);
    if (!made) return [];
    const { game } = made;
    const again = school.attempts === 'until_works' && schemeOf(game.scoring).allows(game.scoring).again;
    return [again ? { ...game, rules: { ...game.rules, attempts: 'until_works' as const } } : game];
  });
}

const worthByUse = ({ findings }: Judged) => findings.map(({ uses, ranked }) => (ranked ? uses : 0));

/** A set of the same shot, a look and a stroke each, and a breath between the sets. */
const [SET_OF, SECONDS_A_BALL, SECONDS_A_SET] = [6, 26, 40];

/** Technique: the shot that costs most, so many sets of it. */
function techniqueOf(judged: Judged, minutes: number, aimed: ReadonlySet<number>): Filled | null {
  const offGreen = judged.findings.flatMap(({ shotType }, i) => (isPutt(shotType) ? [] : [i]));
  const both = offGreen.filter((i) => aimed.has(i));
  const allowed = both.length > 0 ? both : offGreen;
  const [shot] = chooseShots(judged, { by: 'costliest', places: 1, balls: SET_OF, allowed });
  if (!shot) return null;
  const sets = Math.max(1, Math.floor((60 * minutes) / (SET_OF * SECONDS_A_BALL + SECONDS_A_SET)));
  const title = sayCell(judged.findings[shot.cell]!);
  return { ...NOTHING_SET, title, sets, setOf: SET_OF, game: null, why: whyOf(judged, [shot.cell], 'take_strokes_off') };
}

/** Fills parts of an hour: the game first, so that the test can be the same. Pinned ones stay, and what they play is not played twice. */
export function fillHour(order: Omit<FillOrder, 'taken'>, parts: readonly Part[], model: SkillModel): FilledParts {
  const filled: FilledParts = {};
  const open = parts.filter(({ kind, pinned }) => !pinned && kind !== 'other');
  const taken = parts.flatMap(({ pinned, game }) => (pinned && game ? [game.spec.title] : []));
  for (const part of open.toSorted((a, b) => Number(b.kind === 'game') - Number(a.kind === 'game'))) {
    const made = part.kind === 'test' ? testOf(order, parts, filled, model) : fillPart({ ...order, taken }, part, model);
    if (!made) continue;
    filled[part.key] = made;
    if (made.game) taken.push(made.game.spec.title);
  }
  return filled;
}

/** The test is the game that comes last, whoever chose it; with what luck makes of the first player's score. */
function testOf(
  { players, coach }: Omit<FillOrder, 'taken'>,
  parts: readonly Part[],
  filled: FilledParts,
  model: SkillModel,
): Filled | null {
  const last = parts.find(({ kind }) => kind === 'game');
  const game = last && (filled[last.key]?.game ?? last.game);
  const [player] = players;
  if (!game || !player) return null;
  const luck = luckOf(game.spec, { entrant: enter(player, game.spec.sizes, coach, 0), belief: player.belief }, model);
  const why = 'The same game again at the end shows whether it helped.';
  return { ...NOTHING_SET, title: game.spec.title, why, game, luck: luck > 0 ? luck : null };
}
