import { canAlternate, apart } from './order';
import { lotsOf, phasesOf } from './phases';
import type { Order, Rules } from './rules';
import { schemeOf, type Scoring } from './scoring';
import type { Sizes } from './sizes';
import type { Station } from './station';

/** What is wrong, and where. */
export type Refusal = { path: readonly (string | number)[]; message: string };

type Game = {
  open: boolean;
  stations: Station[];
  order: Order;
  sizes: Sizes;
  scoring: Scoring;
  rules: Rules;
  leadIn: { title: string; balls: number; order: Order; scoring: Scoring }[];
  goal: number | null;
};

/**
 * The one place where combinations that make no sense are refused, each with its reason. Every part has been checked
 * by itself before.
 */
export function refuseNonsense(game: Game): Refusal[] {
  return [...stationsOf(game), ...ordersOf(game), ...rulesOf(game), ...openOf(game), ...goalOf(game)];
}

const stationAt = (i: number, field: string) => ['stations', i, field] as const;

function stationsOf({ stations, scoring, open }: Game): Refusal[] {
  const found: Refusal[] = [];
  const scheme = schemeOf(scoring);
  if (stations.length === 0 && !open) found.push({ path: ['stations'], message: 'A game needs at least one station.' });
  const keys = stations.map((station) => station.key);
  if (new Set(keys).size < keys.length) found.push({ path: ['stations'], message: 'Two stations have the same key.' });
  stations.forEach((station, i) => {
    if (scoring.scheme === 'landing_zone') {
      if (station.shotType === 'putt' || station.shotType === 'fringe_putt')
        found.push({ path: stationAt(i, 'shotType'), message: 'A ball that is putted does not land: choose a shot that flies.' });
      else if (station.carryM === null)
        found.push({ path: stationAt(i, 'carryM'), message: 'Say how far the landing zone is from the ball.' });
    }
    if (scoring.scheme === 'hole_out' && station.target === 'peg')
      found.push({ path: stationAt(i, 'target'), message: 'A ball is holed out in a hole, not at a peg.' });
    if (!scheme.countsBalls && station.balls !== 1)
      found.push({
        path: stationAt(i, 'balls'),
        message: scoring.scheme === 'ladder' ? 'A rung is played one ball at a time.' : 'Every combination is played once.',
      });
    if (scoring.scheme === 'club_trial' && station.club !== null)
      found.push({ path: stationAt(i, 'club'), message: 'A club trial changes the club: leave it free here.' });
    if (scoring.scheme === 'shot_matrix') {
      for (const axis of ['trajectory', 'shape'] as const)
        if (station[axis] !== null && scoring[axis].length > 0)
          found.push({ path: stationAt(i, axis), message: 'The matrix changes this: leave it free here.' });
    }
  });
  if (scoring.scheme === 'ladder' && stations.length === 1)
    found.push({ path: ['stations'], message: 'A ladder needs at least two rungs.' });
  if (scoring.scheme === 'ladder' && scoring.byTurns && scoring.counts === 'balls')
    found.push({ path: ['scoring', 'counts'], message: 'By turns everybody uses as many balls: count the rungs.' });
  if (scoring.scheme === 'ladder' && stations.length > scoring.mostBalls)
    found.push({ path: ['scoring', 'mostBalls'], message: `With ${stations.length} rungs it takes at least as many balls.` });
  if (scoring.scheme === 'streak' && scoring.until !== null) {
    const balls = stations.reduce((sum, station) => sum + station.balls, 0);
    if (scoring.until > balls && !open) found.push({ path: ['scoring', 'until'], message: `The game has only ${balls} balls.` });
  }
  if (scoring.scheme === 'streak' && scoring.until === null && scoring.counts === 'balls')
    found.push({ path: ['scoring', 'counts'], message: 'To count the balls it took, say how many in a row.' });
  return found;
}

function ordersOf({ stations, order, scoring, leadIn, rules }: Game): Refusal[] {
  const found: Refusal[] = [];
  if (scoring.scheme === 'ladder' && order !== 'blocked')
    found.push({ path: ['order'], message: 'A ladder decides by itself which station is next.' });
  if (scoring.scheme === 'nearest_wins' && order === 'choice')
    found.push({ path: ['order'], message: 'All play the same shot in a round: a common order is needed.' });
  const phases = [
    ...leadIn.map((phase, i) => ({
      path: ['leadIn', i, 'order'] as const,
      order: phase.order,
      lots: schemeOf(phase.scoring).most
        ? []
        : lotsOf(
            phase.scoring,
            stations.map((station) => ({ ...station, balls: phase.balls })),
          ),
    })),
    { path: ['order'] as const, order, lots: schemeOf(scoring).most ? [] : lotsOf(scoring, stations) },
  ];
  for (const phase of phases)
    if (phase.order === 'random' && !canAlternate(phase.lots))
      found.push({
        path: phase.path,
        message:
          'One station has more balls than all others together: it would come twice running. Even the balls out, or choose another order.',
      });
  leadIn.forEach((phase, i) => {
    const path = ['leadIn', i, 'scoring'] as const;
    if (phase.scoring.scheme === 'nearest_wins' || phase.scoring.scheme === 'club_trial' || phase.scoring.scheme === 'shot_matrix')
      found.push({
        path,
        message: `“${schemeOf(phase.scoring).label}” is a game of its own: it can be what counts, not a phase before it.`,
      });
    if (phase.scoring.scheme === 'ladder' && (stations.length < 2 || phase.scoring.mostBalls < stations.length))
      found.push({ path, message: 'A ladder needs at least two rungs, and a ball for each.' });
    if (phase.scoring.scheme === 'ladder' && phase.balls !== 1)
      found.push({ path: ['leadIn', i, 'balls'], message: 'A rung is played one ball at a time.' });
    if (phase.scoring.scheme === 'landing_zone' && stations.some((station) => station.carryM === null))
      found.push({ path, message: 'Say at each station how far the landing zone is from the ball.' });
    if (phase.scoring.scheme === 'hole_out' && stations.some((station) => station.target === 'peg'))
      found.push({ path, message: 'A ball is holed out in a hole, not at a peg.' });
  });
  if (rules.clubsApart && scoring.scheme === 'club_trial') {
    if (order === 'serial' || order === 'random')
      found.push({
        path: ['order'],
        message: 'Clubs that are kept apart decide the order: choose station after station, or the player’s choice.',
      });
    if (apart(scoring.clubs.length) === null)
      found.push({ path: ['rules', 'clubsApart'], message: 'With fewer than four clubs two neighbours always follow each other.' });
  }
  return found;
}

function rulesOf({ stations, order, scoring, rules, sizes }: Game): Refusal[] {
  const found: Refusal[] = [];
  const refuse = (rule: keyof Rules, message: string) => found.push({ path: ['rules', rule], message });
  const { scheme } = scoring;
  const { label, allows } = schemeOf(scoring);
  const can = allows(scoring);

  if (rules.goodSide !== null && !can.side) refuse('goodSide', `“${label}” has no zone round the hole here that could be one-sided.`);
  if (rules.goodSide !== null && scheme === 'total_left' && rules.wrongSideCost === 0)
    refuse('wrongSideCost', 'In total left every ball counts: give the wrong side a cost.');
  if (rules.wrongSideCost > 0 && rules.goodSide === null) refuse('wrongSideCost', 'First choose the side that counts.');
  if (rules.wrongSideCost > 0 && !can.cost) refuse('wrongSideCost', `“${label}” has no points to take away: the wrong side is a miss.`);
  if (rules.offGreenCost !== null && rules.offGreenCost > 0 && !can.cost) refuse('offGreenCost', `“${label}” has no points to take away.`);
  if (rules.attempts === 'until_works' && !can.again)
    refuse('attempts', `In “${label}” a ball is not hit again until it works: first attempts only.`);
  if (rules.endOnPerfectRound && order !== 'serial')
    refuse('endOnPerfectRound', 'A round is one ball at every station: choose the order out and back.');
  if (rules.endOnPerfectRound && !can.perfect) refuse('endOnPerfectRound', `“${label}” knows no perfect round.`);
  if (rules.puttOut && scheme === 'hole_out') refuse('puttOut', 'Hole out is putted out by itself.');
  if (rules.puttOut && stations.some((station) => station.target === 'peg')) refuse('puttOut', 'There is no hole at a peg to putt out in.');
  const fixedClub = stations.some((station) => station.club !== null);
  if (fixedClub && rules.clubOnce) refuse('clubOnce', 'A station that fixes the club leaves no choice of clubs.');
  if (fixedClub && rules.clubsApart) refuse('clubsApart', 'A station that fixes the club leaves no choice of clubs.');
  if (rules.clubOnce && scheme === 'club_trial') refuse('clubOnce', 'A club trial already says how often each club is played.');
  if (rules.clubOnce && scheme !== 'ladder' && lotsOf(scoring, stations).length > 14)
    refuse('clubOnce', 'A bag has at most 14 clubs, and this game has more balls.');
  if (rules.shotOnce && scheme === 'shot_matrix') refuse('shotOnce', 'In a matrix every combination already comes once.');
  if (rules.allowances && !can.allowances) refuse('allowances', `“${label}” is not played against others.`);
  if (sizes.scaled && !can.scaled)
    found.push({ path: ['sizes', 'scaled'], message: `“${label}” has no zone that could grow with the level.` });
  return found;
}

function openOf({ open, scoring, leadIn, order, rules, goal }: Game): Refusal[] {
  if (!open) return [];
  const found: Refusal[] = [];
  const refuse = (path: Refusal['path'], message: string) => found.push({ path, message });
  if (['ladder', 'nearest_wins', 'shot_matrix', 'club_trial', 'landing_zone'].includes(scoring.scheme))
    refuse(['open'], `“${schemeOf(scoring).label}” needs its stations before it begins.`);
  if (leadIn.length > 0) refuse(['leadIn'], 'An open game has one phase.');
  if (order !== 'blocked') refuse(['order'], 'In an open game the order is as the stations are called.');
  if (rules.endOnPerfectRound) refuse(['rules', 'endOnPerfectRound'], 'An open game ends when you end it.');
  if (goal !== null) refuse(['goal'], 'An open game has no fixed number of balls, so no goal.');
  return found;
}

function goalOf(game: Game): Refusal[] {
  const { goal, scoring, stations, open } = game;
  if (goal === null || open || stations.length === 0) return [];
  const phase = phasesOf(game).at(-1)!;
  const scheme = schemeOf(scoring);
  const best = scheme.best(phase);
  const unit = scheme.unit(scoring);
  if (scheme.better(scoring) === 'higher' && goal > best) return [{ path: ['goal'], message: `This game can give ${best} at most.` }];
  if (scheme.better(scoring) === 'lower' && goal < best) return [{ path: ['goal'], message: `This game takes at least ${best}.` }];
  if (unit !== 'length' && !Number.isInteger(goal * 2)) return [{ path: ['goal'], message: 'Give a whole or a half number.' }];
  return [];
}
