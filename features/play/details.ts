import { UNKNOWN, type Details, type Result } from '@/core/game/scoring/ball';

/** Why a ball is no ordinary one, as it can be marked while it is recorded. */
export const MARKS = ['collided', 'rehit', 'conceded', 'lie_rejected', 'practice_ball', 'no_ball', 'demonstration'] as const;

/** Those that come up at every session, in a word that fits on a small key. */
export const QUICK_MARKS = ['collided', 'rehit', 'conceded', 'lie_rejected'] as const;
export const MARK_WORDS: Readonly<Record<(typeof QUICK_MARKS)[number], string>> = {
  collided: 'collided',
  rehit: 'hit again',
  conceded: 'conceded',
  lie_rejected: 'new lie',
};

/** Marks that say all by themselves: nothing has to be asked of such a ball. */
export const SAYS_ALL: readonly string[] = ['lie_rejected', 'no_ball', 'demonstration'];

/** What stays for the next ball of the same player at the same station: how it is played, not what came of it. */
export function kept({ clubId, clubLabel, trajectory, shape, swingMark, intendedM, wind }: Details): Details {
  const stay = { clubId, clubLabel, trajectory, shape, swingMark, intendedM, wind };
  return Object.fromEntries(Object.entries(stay).filter(([, value]) => value != null));
}

/** A result with what is marked beside it: what the game asked for is not overruled by a mark, and a holed ball has nothing left. */
export function withDetails(result: Result, { leftM, measured, bearingDeg, ...details }: Details): Result {
  const said = Object.entries(result).filter(([name, value]) => value !== (UNKNOWN as Record<string, unknown>)[name] && value != null);
  const known = result.holed || result.leftM !== null || result.leftMinM !== null;
  const leave = leftM != null && !known ? { leftM, measured: measured ?? 'eye' } : {};
  const side = bearingDeg != null && !result.holed && result.bearingDeg === null ? { bearingDeg } : {};
  // A club that was asked for comes with its own id, or with none.
  const club = result.clubLabel == null ? {} : { clubId: result.clubId ?? null };
  return { ...result, ...details, ...Object.fromEntries(said), ...leave, ...side, ...club };
}

/** What can be kept on the screen of every ball, one row each. */
export const ROWS = ['marks', 'club', 'swing', 'flight', 'side', 'landed'] as const;
export type Row = (typeof ROWS)[number];
export const ROW_WORDS: Readonly<Record<Row, string>> = {
  marks: 'marks',
  club: 'club',
  swing: 'swing mark',
  flight: 'flight',
  side: 'short or long',
  landed: 'landed short or long',
};

const ROWS_SHOWN = 'inch-rows-shown';
/** What an older program kept: whether the marks were shown. */
const MARKS_SHOWN = 'inch-marks-shown';

/** Which rows stand on the screen of every ball: a switch of this device that stays as it was set. */
export function rowsShown(): Row[] {
  const kept = window.localStorage.getItem(ROWS_SHOWN)?.split(',');
  if (kept) return ROWS.filter((row) => kept.includes(row));
  return window.localStorage.getItem(MARKS_SHOWN) === 'yes' ? ['marks'] : [];
}

export function rememberRows(shown: readonly Row[]): void {
  window.localStorage.setItem(ROWS_SHOWN, shown.join(','));
}

/** What is marked and stands on no row that is shown. */
export function unseen(details: Details, rows: readonly Row[]): Details {
  const seen: Readonly<Record<Row, readonly (keyof Details)[]>> = {
    marks: [],
    club: ['clubId', 'clubLabel'],
    swing: ['swingMark'],
    flight: ['trajectory'],
    side: ['bearingDeg'],
    landed: ['landedSide'],
  };
  const hidden = rows.flatMap((row) => seen[row]);
  return Object.fromEntries(Object.entries(details).filter(([name]) => !hidden.includes(name as keyof Details)));
}
