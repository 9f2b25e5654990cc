import { ballsPlanned, type Calls } from './calls';
import { canAlternate } from './order';
import { lotsOf, phasesOf } from './phases';
import { isOutAndBack, type PlayingOrder, type Rules } from './rules';
import { schemeOf, type Scoring } from './scoring';
import type { Refusal } from './scoring/scheme';
import type { Sizes } from './sizes';
import { allStations, type Station } from './station';

type Game = {
  open: boolean;
  stations: Station[];
  order: PlayingOrder;
  sizes: Sizes;
  scoring: Scoring;
  rules: Rules;
  leadIn: { title: string; balls: number; stations: Station[] | null; order: PlayingOrder; scoring: Scoring }[];
  calls: Calls;
  goal: number | null;
};

/**
 * The one place where combinations that make no sense are refused, each with its reason. Every part has been checked
 * by itself before.
 */
export function refuseNonsense(game: Game): Refusal[] {
  const { scoring } = game;
  const { counts, label } = schemeOf(scoring);
  const nothing = counts ? [] : [{ path: ['scoring'], message: `“${label}” can’t be the game itself: choose what counts.` }];
  return [
    ...nothing,
    ...schemeOf(scoring).refuses(game),
    ...stationsOf(game),
    ...ordersOf(game),
    ...rulesOf(game),
    ...openOf(game),
    ...goalOf(game),
  ];
}

function stationsOf({ stations, open, leadIn }: Game): Refusal[] {
  const found: Refusal[] = [];
  if (stations.length === 0 && !open) found.push({ path: ['stations'], message: 'A game needs at least one station.' });
  leadIn.forEach((phase, i) => {
    if (phase.stations?.length === 0)
      found.push({ path: ['leadIn', i, 'stations'], message: 'A phase with stations of its own needs one.' });
  });
  const keys = allStations({ stations, leadIn }).map((station) => station.key);
  if (new Set(keys).size < keys.length) found.push({ path: ['stations'], message: 'Two stations have the same key.' });
  return found;
}

function ordersOf({ stations, order, scoring, leadIn, rules }: Game): Refusal[] {
  const found: Refusal[] = [];
  const scheme = schemeOf(scoring);
  if (!scheme.orders.includes(order)) found.push({ path: ['order'], message: scheme.whyOrder });
  const phases = [
    ...leadIn.map((phase, i) => ({
      path: ['leadIn', i, 'order'] as const,
      order: phase.order,
      lots: schemeOf(phase.scoring).most
        ? []
        : lotsOf(phase.scoring, phase.stations ?? stations.map((station) => ({ ...station, balls: phase.balls }))),
    })),
    { path: ['order'] as const, order, lots: scheme.most ? [] : lotsOf(scoring, stations) },
  ];
  for (const phase of phases)
    if (phase.order === 'random' && !canAlternate(phase.lots))
      found.push({
        path: phase.path,
        message:
          'One station has more balls than all others together: it would come twice running. Even the balls out, or choose another order.',
      });
  leadIn.forEach((phase, i) => {
    const { label, leadsIn, refusesLeadIn } = schemeOf(phase.scoring);
    if (!leadsIn)
      found.push({
        path: ['leadIn', i, 'scoring'],
        message: `“${label}” is a game of its own: it can be what counts, not a phase before it.`,
      });
    found.push(...refusesLeadIn(phase, phase.stations ?? stations).map(({ path, message }) => ({ path: ['leadIn', i, ...path], message })));
  });
  if (rules.clubsApart && scheme.clubs && (isOutAndBack(order) || order === 'random'))
    found.push({
      path: ['order'],
      message: 'Keeping clubs apart sets the order of play: choose station after station, or let the player choose.',
    });
  return found;
}

function rulesOf({ stations, order, scoring, rules, sizes }: Game): Refusal[] {
  const found: Refusal[] = [];
  const refuse = (rule: keyof Rules, message: string) => found.push({ path: ['rules', rule], message });
  const { label, allows, puttedOut, most } = schemeOf(scoring);
  const can = allows(scoring);

  if (rules.goodSide !== null && !can.side) refuse('goodSide', `“${label}” has no zone round the hole here that could be one-sided.`);
  if (rules.wrongSideCost > 0 && rules.goodSide === null) refuse('wrongSideCost', 'First choose the side that counts.');
  if (rules.wrongSideCost > 0 && !can.cost) refuse('wrongSideCost', `“${label}” has no points to take away: the wrong side is a miss.`);
  if (rules.offGreenCost !== null && rules.offGreenCost > 0 && !can.cost) refuse('offGreenCost', `“${label}” has no points to take away.`);
  if (rules.attempts === 'until_works' && !can.again)
    refuse('attempts', `In “${label}” a ball is not hit again until it works: first attempts only.`);
  if (rules.endOnPerfectRound && !isOutAndBack(order))
    refuse('endOnPerfectRound', 'A round is one ball at every station. Choose the order out and back.');
  if (rules.endOnPerfectRound && !can.perfect) refuse('endOnPerfectRound', `“${label}” has no perfect round.`);
  if (rules.puttOut === 'each' && puttedOut) refuse('puttOut', `“${label}” already includes the putts.`);
  if (rules.puttOut !== 'no' && stations.some((station) => station.target === 'peg'))
    refuse('puttOut', 'You can’t putt out at a peg: there’s no hole.');
  const fixedClub = stations.some((station) => station.club !== null);
  if (fixedClub && rules.clubOnce) refuse('clubOnce', 'A station that fixes the club leaves no choice of clubs.');
  if (fixedClub && rules.clubsApart) refuse('clubsApart', 'A station that fixes the club leaves no choice of clubs.');
  if (rules.clubOnce && !most && lotsOf(scoring, stations).length > 14)
    refuse('clubOnce', 'A bag has at most 14 clubs, and this game has more balls.');
  if (rules.allowances && !can.allowances) refuse('allowances', `“${label}” is not played against others.`);
  if (sizes.scaled && !can.scaled)
    found.push({ path: ['sizes', 'scaled'], message: `“${label}” has no zone that could grow with the level.` });
  return found;
}

function openOf({ open, scoring, leadIn, order, rules, goal, calls }: Game): Refusal[] {
  if (!open) return [];
  const found: Refusal[] = [];
  const refuse = (path: Refusal['path'], message: string) => found.push({ path, message });
  if (!schemeOf(scoring).opens) refuse(['open'], `“${schemeOf(scoring).label}” needs its stations before it begins.`);
  if (leadIn.length > 0) refuse(['leadIn'], 'An open game has one phase.');
  if (order !== 'blocked') refuse(['order'], 'In an open game the order is as the stations are called.');
  if (rules.endOnPerfectRound) refuse(['rules', 'endOnPerfectRound'], 'An open game ends when you end it.');
  if (goal !== null && ballsPlanned(calls) === null) refuse(['goal'], 'To set a goal, plan the stations and the balls at each.');
  return found;
}

function goalOf(game: Game): Refusal[] {
  const { goal, scoring, stations, open } = game;
  if (goal === null || (open ? ballsPlanned(game.calls) === null : stations.length === 0)) return [];
  const phase = phasesOf(game).at(-1)!;
  const scheme = schemeOf(scoring);
  const best = scheme.best(phase);
  const unit = scheme.unit(scoring);
  if (scheme.better(scoring) === 'higher' && goal > best) return [{ path: ['goal'], message: `This game can give ${best} at most.` }];
  if (scheme.better(scoring) === 'lower' && goal < best) return [{ path: ['goal'], message: `This game takes at least ${best}.` }];
  if (unit !== 'length' && !Number.isInteger(goal * 2)) return [{ path: ['goal'], message: 'Enter a whole or a half number.' }];
  return [];
}
