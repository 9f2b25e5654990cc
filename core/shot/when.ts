/**
 * When a ball was played, as far as that can be: a phone's clock may be years off, but no ball is played before its session was
 * opened, nor after its record came in.
 * @param said by the phone, a moment; it is kept with the event
 * @returns what was said, or the nearest moment that is possible
 */
export function possibleMoment(said: string, { openedAt, receivedAt }: { openedAt: Date; receivedAt: Date }): Date {
  const [first, last] = [openedAt.getTime(), receivedAt.getTime()];
  return new Date(Math.min(last, Math.max(Math.min(first, last), Date.parse(said))));
}
