/** What is told while an archive comes in: so many rows of so many, then sessions whose balls are counted anew; at last what became of it. */
export type ArchiveStep =
  | { rows: number; of: number }
  | { sessions: number; of: number }
  | { done: { table: string; added: number; known: number }[] }
  | { error: string };
