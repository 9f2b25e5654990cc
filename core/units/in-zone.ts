const kept = new Map<string, Intl.DateTimeFormat>();
/** As many are kept at hand. */
const MOST = 500;

/** How moments are written in a time zone: made once, since making one takes as long as writing a hundred. @param locale "en-GB" without it */
export function inZone(timeZone: string, options: Intl.DateTimeFormatOptions, locale = 'en-GB'): Intl.DateTimeFormat {
  const key = `${locale} ${timeZone} ${JSON.stringify(options)}`;
  let found = kept.get(key);
  if (!found) {
    if (kept.size >= MOST) kept.clear();
    kept.set(key, (found = new Intl.DateTimeFormat(locale, { timeZone, ...options })));
  }
  return found;
}
