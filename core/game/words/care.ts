import { flies } from '../../golf/shot-types';
import type { GameSpec } from '../spec';
import { allStations } from '../station';

/**
 * The short cautions to show before the first ball, most important first. They never call anything safe: the rules of
 * the course and the judgement of the coach stand above the program.
 */
export function careLines(game: Pick<GameSpec, 'stations' | 'leadIn'>): string[] {
  const anyFlies = allStations(game).some(({ shotType }) => flies(shotType));
  return [
    ...(anyFlies
      ? ['One direction of play, or take turns.', 'Nobody in front of or beside a swinging player.']
      : ['Take turns; mind whoever else is on the green.']),
    'Call “stop” before collecting balls.',
    ...(anyFlies ? ['Repair pitch marks. Juniors supervised.'] : ['Juniors supervised.']),
    'No play in lightning. Stop if your back or the heat says so.',
    'On a course: ask first, few balls, let others play through.',
  ];
}
