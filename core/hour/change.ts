import type { Hour, Part, PartKind } from './hour';
import { partSchema } from './hour';
import { fittedInto } from './minutes';
import { partsOf } from './parts-of';
import type { School } from './school';
import { freshKey } from '../game/spec';

/** What stands in a part before somebody or something fills it. */
const UNFILLED: Readonly<Record<PartKind, string>> = {
  technique: 'One shot, again and again',
  test: 'The same game as the last one',
  landing: 'A landing spot',
  lies: 'Many places',
  putting: 'Putts',
  other: 'Something else',
  game: 'A game',
};

const partOf = (key: string, kind: PartKind, minutes: number): Part => partSchema.parse({ key, kind, minutes, title: UNFILLED[kind] });

/** An hour divided by a school, with nothing in its parts yet. */
export function newHour(title: string, school: School, minutes: number, more: Partial<Pick<Hour, 'day' | 'greenId'>> = {}): Hour {
  const parts = partsOf(school, minutes).map((part, i) => partOf(`p${i + 1}`, part.kind, part.minutes));
  return { format: 'inch-hour', version: 1, title, minutes, day: null, greenId: null, school, parts, ...more };
}

/** An hour that is one game. @param title at most 80 letters */
export function hourOfGame(title: string, school: School, minutes: number, game: NonNullable<Part['game']>): Hour {
  const part = { ...partOf('p1', 'game', minutes), title: game.spec.title, game, pinned: true };
  return { ...newHour(title, school, minutes), parts: [part] };
}

/** The same hour by another school: what is pinned and what is outside the short game stays; the rest is divided anew. */
export function bySchool(hour: Hour, school: School): Hour {
  const others = hour.parts.filter(({ kind }) => kind === 'other');
  const taken = others.reduce((sum, { minutes }) => sum + minutes, 0);
  const keys = hour.parts.map(({ key }) => key);
  const fresh = partsOf(school, Math.max(1, hour.minutes - taken)).map(({ kind, minutes }): Part => {
    const kept = hour.parts.find((part) => part.pinned && part.kind === kind);
    if (kept) return { ...kept, minutes };
    const key = freshKey('p', keys);
    keys.push(key);
    return partOf(key, kind, minutes);
  });
  const [last, ...before] = fresh.toReversed();
  return { ...hour, school, parts: fittedInto([...before.toReversed(), ...others, last!], hour.minutes) };
}

/** The same hour in more or fewer minutes; parts that no longer get a minute are left out, the first ones first. */
export function inMinutes(hour: Hour, minutes: number): Hour {
  const parts = hour.parts.slice(Math.max(0, hour.parts.length - minutes));
  return { ...hour, minutes, parts: fittedInto(parts, minutes) };
}

/** A part takes so long where it is added. */
const ADDED = 5;

/** One part more, before the game; the others give its minutes. */
export function withPart(hour: Hour, kind: PartKind): Hour {
  const key = freshKey(
    'p',
    hour.parts.map((part) => part.key),
  );
  const at = hour.parts.at(-1)?.kind === 'game' ? hour.parts.length - 1 : hour.parts.length;
  const room = hour.minutes - hour.parts.length;
  const minutes = Math.max(1, Math.min(ADDED, room));
  const others = fittedInto(hour.parts, hour.minutes - minutes);
  return { ...hour, parts: [...others.slice(0, at), partOf(key, kind, minutes), ...others.slice(at)] };
}

/** The test is the game that comes last. */
export function withTest(parts: readonly Part[]): Part[] {
  const last = parts.findLast(({ kind }) => kind === 'game');
  return parts.map((part) => {
    if (part.kind !== 'test' || !last || part.game?.gameId === last.game?.gameId) return part;
    return { ...part, title: last.title, game: last.game, luck: null };
  });
}
