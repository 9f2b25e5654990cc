import type { Executed } from '@/core/forecast/executes';
import type { Part, ForecastQuestion } from '@/core/forecast/forecast';
import type { Entrant } from '@/core/game/entrant';

/** A row as it is asked: what is believed of a player is sent once, before; without that, the entrant's level stands for it. */
export type AskedRow = { key: string; entrant: Entrant };
export type AskedForecast = Omit<ForecastQuestion, 'rows'> & { rows: readonly AskedRow[] };

export type KnownOfPlayer = { level: number; draws: Float32Array; executed: Executed };

export type ToForecast =
  /** What is known of a player: draws of what is believed, packed, and shots that were to be hit as asked. */
  | ({ know: string } & KnownOfPlayer)
  /** A question; what was asked before is given up. */
  | { ask: number; question: AskedForecast };

export type FromForecast =
  | { ask: number; part: Part }
  | { ask: number; done: true }
  /** It could not be answered. */
  | { ask: number; failed: string };
