export function timeOfDay(text: string): number | null;
export function untilNext(minute: number, now: Date): number;
export function eachDay(minute: number, run: () => Promise<unknown>, failed: (error: Error) => void): () => void;
