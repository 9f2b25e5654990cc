import type { GameSpec } from '@/core/game/spec';
import type { UnitSystem } from '@/core/units/length';
import type { ForecastAnswer } from './use-forecast';

/** What all parts of the forecast look at. */
export type Shared = {
  game: GameSpec;
  units: UnitSystem;
  answer: ForecastAnswer;
  /** For whom something is suggested: "level 10", a name. */
  targetName: string;
};

export const percent = (share: number) => `${Math.round(100 * share)}%`;
