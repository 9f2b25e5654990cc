/** Between the session and the station in the address of play: no id and no key of a station begins with it. */
const AT = '~';

/** Where a session is played; with a station, opened there. What stands behind "#" is neither sent nor logged. */
export function playAddress(sessionId: string, stationKey?: string | null): string {
  return `/play#${sessionId}${stationKey ? AT + encodeURIComponent(stationKey) : ''}`;
}

/** In place of a session: a phone that has just forgotten a link. */
export const FORGOTTEN = 'forgotten';

/** The start page of play, of one academy. */
export function startAddress(slug: string): string {
  return `/play#academy${AT}${encodeURIComponent(slug)}`;
}

/** The academy that such an address names; null where it names none. */
export function academyOf(hash: string): string | null {
  const { sessionId, stationKey } = readPlayHash(hash);
  return sessionId === 'academy' ? stationKey : null;
}

/** What such an address names behind its "#". */
export function readPlayHash(hash: string): { sessionId: string; stationKey: string | null } {
  const [sessionId = '', ...rest] = hash.split(AT);
  try {
    return { sessionId, stationKey: rest.length > 0 ? decodeURIComponent(rest.join(AT)) : null };
  } catch {
    return { sessionId, stationKey: null };
  }
}

const ID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

/** The session that such an address names; null where it names none. */
export function sessionOf(hash: string): string | null {
  const { sessionId } = readPlayHash(hash);
  return ID.test(sessionId) ? sessionId : null;
}

/** Where a planned hour is run, of one academy: behind "#", as everything that play opens. */
export function hourAddress(slug: string, hourId: string): string {
  return `/play#hour${AT}${encodeURIComponent(`${slug}/${hourId}`)}`;
}

/** The hour that such an address names, and its academy; null where it names none. */
export function hourOf(hash: string): { slug: string; hourId: string } | null {
  const { sessionId, stationKey } = readPlayHash(hash);
  if (sessionId !== 'hour' || stationKey === null) return null;
  const cut = stationKey.lastIndexOf('/');
  return { slug: stationKey.slice(0, Math.max(0, cut)), hourId: stationKey.slice(cut + 1) };
}
