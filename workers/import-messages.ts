import type { Batch } from '@/core/imports/batch';
import type { TableKind } from '@/core/imports/fields';
import type { Look } from '@/core/imports/import-file';
import type { Mapping } from '@/core/imports/mapping';
import type { Given } from '@/core/imports/rewrite';
import type { UnitSystem } from '@/core/units/length';

/** What is to be seen of a file before anybody says what its columns mean. */
export type Opened = { names: string[]; numbered: string[]; examples: string[]; guess: Record<TableKind, Mapping>; kind: TableKind };

export type ToImport =
  | { open: ArrayBuffer; given: Given; system: UnitSystem }
  /** Cells of a row instead of those in the file. */
  | { correct: number; cells: readonly string[] }
  /** What it comes to, read like this; an older question is given up. */
  | { ask: number; look: Mapping }
  /** The next rows to send; the first time with how they are read and who is who. */
  | { next: true; as?: { mapping: Mapping; players: readonly (readonly [name: string, playerId: string])[] } }
  /** The rows that can't be kept, as a table with the reasons. */
  | { bad: Mapping };

export type FromImport =
  | { opened: Opened }
  | { failed: string }
  | { ask: number; done: number }
  | { ask: number; look: Look }
  | { batch: Batch | null }
  | { bad: string };
