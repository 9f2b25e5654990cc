import { flies } from '../../golf/shot-types';
import type { GameSpec } from '../spec';
import { allStations } from '../station';

/** What is said of every place where balls fly, most important first. */
const [ONE_WAY, BESIDE, STOP] = [
  'One direction of play, or take turns.',
  'Nobody in front of or beside a swinging player.',
  'Call “stop” before collecting balls.',
] as const;
/** The same in a line, where nobody says yet what is hit. */
export const CARE_IN_SHORT = [ONE_WAY, BESIDE, STOP].join(' ');

/**
 * The short cautions to show before the first ball, most important first. They never call anything safe: the rules of
 * the course and the judgement of the coach stand above the program.
 */
export function careLines(game: Pick<GameSpec, 'stations' | 'leadIn'>): string[] {
  const anyFlies = allStations(game).some(({ shotType }) => flies(shotType));
  return [
    ...(anyFlies ? [ONE_WAY, BESIDE] : ['Take turns; mind whoever else is on the green.']),
    STOP,
    ...(anyFlies ? ['Repair pitch marks. Juniors supervised.'] : ['Juniors supervised.']),
    'No play in lightning. Stop if your back or the heat says so.',
    'On a course: ask first, few balls, let others play through.',
  ];
}
