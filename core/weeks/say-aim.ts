import type { Aim } from './weeks';

/** What a day is for, in a word or two. */
export const SAY_AIM: Readonly<Record<Aim, string>> = {
  test: 'Test',
  again: 'Re-test',
  practise: 'Weak shots',
  neglected: 'Neglected shots',
  less: 'Shorter',
  rehearsal: 'Rehearsal',
};
