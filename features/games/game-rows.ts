import type { LibraryGame } from '@/core/game/library';
import { schemeOf, type SchemeKind } from '@/core/game/scoring';
import type { GameSpec } from '@/core/game/spec';
import { traitsOf, type Traits } from '@/core/game/traits';
import { sayScore } from '@/core/game/words/say-score';
import { sayDay } from '@/core/units/say-moment';
import type { UnitSystem } from '@/core/units/length';
import type { Answer } from '@/server/data';
import { resultLine } from '../session/result-line';
import { sayGame } from './game-meta';

/** A game as a list shows it. */
export type GameRow = Traits & {
  key: string;
  href: string;
  kind: SchemeKind;
  title: string;
  /** What it is, in a line. */
  line: string;
  about: string;
  /** For whom a ready game is meant. */
  audience: string | null;
  version: number;
  sessions: number;
  /** What came of it last: "29 points", "Mia won". */
  last: { figure: string; words: string; day: string; atMs: number } | null;
  best: { figure: string; name: string } | null;
};

const shared = (spec: GameSpec, units: UnitSystem) => ({
  ...traitsOf(spec),
  kind: spec.scoring.scheme,
  title: spec.title,
  line: sayGame(spec, units, false),
  about: spec.about,
});

type Played = {
  sessions: Answer<'sessionsOfGames'>;
  last: Answer<'lastOfGames'>;
  bests: Answer<'bestOfGames'>;
  timeZone: string;
  now: Date;
};

/** The academy's own games, with what came of each. */
export function gameRows(
  slug: string,
  games: Answer<'listGames'>,
  { sessions, last, bests, timeZone, now }: Played,
  units: UnitSystem,
): GameRow[] {
  return games.map(({ gameId, spec, version }) => {
    const line = last.find(({ session }) => session.gameId === gameId);
    const best = bests.find((one) => one.gameId === gameId);
    const { better, unit } = schemeOf(spec.scoring);
    const top = best && best[better(spec.scoring) === 'higher' ? 'most' : 'least'];
    return {
      ...shared(spec, units),
      key: gameId,
      href: `/a/${slug}/games/${gameId}`,
      audience: null,
      version,
      sessions: sessions.get(gameId) ?? 0,
      last: line ? lastOf(line, timeZone, now) : null,
      best: top ? { figure: sayScore(top.score, unit(spec.scoring), units), name: top.name } : null,
    };
  });
}

function lastOf(line: Played['last'][number], timeZone: string, now: Date) {
  const { who, figure, words, change, atMs, players } = resultLine(line);
  return {
    figure,
    words: [players === 1 ? who : '', words, change].filter(Boolean).join(' · '),
    day: sayDay(new Date(atMs), timeZone, now),
    atMs,
  };
}

/** Ready games, none of them played here yet. */
export function readyRows(slug: string, games: readonly LibraryGame[], units: UnitSystem): GameRow[] {
  return games.map(({ key, audience, spec }) => ({
    ...shared(spec, units),
    key,
    href: `/a/${slug}/games/library/${key}`,
    audience,
    version: 1,
    sessions: 0,
    last: null,
    best: null,
  }));
}
