import { timeOrderedId } from '@/core/shot/id';

/** The device's clock, in milliseconds since 1970; read here and nowhere else in play. */
export function now(): number {
  return Date.now();
}

/** A new id. Works on plain-http pages too, where `crypto.randomUUID` is missing. */
export function newId(): string {
  return timeOrderedId(now(), crypto.getRandomValues(new Uint8Array(10)));
}
