import type { Sit, Stance } from '../golf/words';

/** How a ball lies for a shot that can be reckoned: a buried one off sand sits down. */
export const lyingOf = ({ sit, stance }: { sit: Sit; stance: Stance }): { sit: Exclude<Sit, 'buried'>; stance: Stance } => ({
  sit: sit === 'buried' ? 'down' : sit,
  stance,
});
