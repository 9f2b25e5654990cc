import { capital, counted, inWords, listed } from '@/core/units/format';
import { BLOCK_DAYS } from '@/core/weeks/blocks';
import type { Aim } from '@/core/weeks/weeks';

/** Of more names than these the players are counted. */
const NAMED = 3;

/** What weeks are called before somebody says otherwise: "Four weeks for Otto and Eva". */
export const weeksFor = (names: readonly string[]): string =>
  `${capital(inWords(BLOCK_DAYS / 7))} weeks for ${names.length > NAMED ? counted(names.length, 'player') : listed(names)}`.slice(0, 80);

/** The days of the week, from Monday: on a key, and read aloud. */
export const WEEKDAYS = [
  ['Mon', 'Monday'],
  ['Tue', 'Tuesday'],
  ['Wed', 'Wednesday'],
  ['Thu', 'Thursday'],
  ['Fri', 'Friday'],
  ['Sat', 'Saturday'],
  ['Sun', 'Sunday'],
] as const;

/** What a day is for, in a sentence. */
export const ABOUT_AIM: Readonly<Record<Aim, string>> = {
  test: 'The test game last, to see where you stand.',
  again: 'The same test game, to see what changed.',
  practise: 'Practice of the weak shots you chose.',
  neglected: 'Shots you haven’t hit for four weeks.',
  less: 'Shorter, with nothing new: the event is close.',
  rehearsal: 'One ball from each place, holed out, as in a round.',
};
