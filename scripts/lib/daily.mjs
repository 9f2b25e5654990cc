const DAY_MS = 86_400_000;

/** A time of day such as "03:00", as minutes after midnight UTC; null: what is said is none. */
export function timeOfDay(text) {
  const [, hours, minutes] = /^([01]\d|2[0-3]):([0-5]\d)$/.exec(text) ?? [];
  return hours === undefined ? null : 60 * Number(hours) + Number(minutes);
}

/** How many milliseconds it is from a moment to the next time that it is so late; a whole day where it is just now. */
export function untilNext(minute, now) {
  const left = minute * 60_000 - (now.getTime() % DAY_MS);
  return left > 0 ? left : left + DAY_MS;
}

/**
 * Does something each day at a minute, also after a day on which it failed.
 * @param failed is told why
 * @returns how to stop
 */
export function eachDay(minute, run, failed) {
  let [timer, stopped] = [undefined, false];
  const next = () => {
    if (stopped) return;
    timer = setTimeout(() => void run().catch(failed).finally(next), untilNext(minute, new Date()));
  };
  next();
  return () => {
    stopped = true;
    clearTimeout(timer);
  };
}
