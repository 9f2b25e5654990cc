export function timeOfDay(text: string): number | null;
export function untilNext(minute: number, now: Date): number;
