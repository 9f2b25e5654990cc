import { group } from 'd3-array';
import type { Brief, Lost } from '@/core/board/brief';
import { certaintyOf, percentOf, sayAmongWeakest } from '@/core/board/certainty';
import { roundly } from '@/core/board/next';
import { sayCell, sayShots } from '@/core/board/say-cell';
import { sayStrokes, type StrokesAs } from '@/core/units/strokes';
import type { Cell } from '@/core/skill/cells';
import type { ShotType, Surface } from '@/core/golf/words';
import { familyOf, type Family } from '@/core/golf/shot-types';
import { inWords, listed, listedInShort } from '@/core/units/format';
import { sayDay } from '@/core/units/say-moment';
import type { Answer, PlayerRow as Player } from '@/server/data';
import type { Briefs } from '@/server/known/briefs';

/** A player as a list shows them. */
export type PlayerRow = {
  id: string;
  name: string;
  level: number;
  leftHanded: boolean;
  balls: number;
  last: { day: string; atMs: number } | null;
  /** Strokes lost in a round, all shots together. */
  lost: Lost | null;
  weakest: { shot: string; family: Family; figure: string; how: string; clear: boolean } | null;
  /** Where the next balls are best spent, and why. */
  next: { what: string; why: string } | null;
  /** `better`: the chance of it. */
  trend: { words: string; better: number } | null;
  /** Shots that the player dreads, by their own rating. */
  dreads: string;
};

export type SaidWith = { cells: readonly Cell[]; strokes: StrokesAs; timeZone: string; now: Date };

/** A player's board, counted as the lists count: by what a round costs. */
export const boardAddress = (slug: string, playerId: string) => `/a/${slug}/players/${playerId}?per=round`;

type Players = Answer<'listPlayers'>;

/** What is kept of a player; of one without a ball nothing is said, whatever was kept. */
const briefOf = ({ player, balls }: Pick<Players[number], 'player' | 'balls'>, { of }: Briefs): Brief | undefined =>
  balls === 0 ? undefined : of.get(player.playerId);

/** The players of an academy, each in a line. */
export function playerRows(players: Players, briefs: Briefs, said: SaidWith): PlayerRow[] {
  const cells = new Map(said.cells.map((cell) => [cell.key, cell]));
  return players.map(({ player, balls, lastAt }) => {
    const brief = briefOf({ player, balls }, briefs);
    return {
      id: player.playerId,
      name: player.name,
      level: player.level,
      leftHanded: player.handed === 'left',
      balls,
      last: lastAt && { day: sayDay(lastAt, said.timeZone, said.now), atMs: lastAt.getTime() },
      lost: brief?.lost ?? null,
      weakest: brief ? weakestOf(brief, cells, said.strokes) : null,
      next: brief ? nextOf(brief, cells) : null,
      trend: brief?.trend ? { words: sayTrend(brief.trend.chanceBetter), better: brief.trend.chanceBetter } : null,
      dreads: dreadedOf(player),
    };
  });
}

type Cells = ReadonlyMap<string, Cell>;

function weakestOf({ weakest }: Brief, cells: Cells, strokes: StrokesAs): PlayerRow['weakest'] {
  const cell = weakest && cells.get(weakest.key);
  if (!cell) return null;
  const said = { shot: sayCell(cell), family: familyOf(cell.shotType), figure: `${sayStrokes(weakest.mean, strokes)} ${strokes}` };
  return { ...said, clear: weakest.clear, how: howSure(weakest) };
}

function howSure({ sure, near, clear }: NonNullable<Brief['weakest']>): string {
  if (!clear) return `${near + 1} shots too close to call`;
  const word = certaintyOf(sure);
  if (word !== 'too close to call') return `${word} among the three weakest (${percentOf(sure)}%)`;
  if (near === 0) return sayAmongWeakest(sure);
  return `too close to call with ${inWords(near)} ${near === 1 ? 'other' : 'others'}`;
}

function nextOf({ next }: Brief, cells: Cells): PlayerRow['next'] {
  const names = next.keys.flatMap((key) => cells.get(key) ?? []).map(sayCell);
  if (names.length === 0) return null;
  return { what: listed(names), why: whyOf(next) };
}

function whyOf({ why, balls }: Brief['next']): string {
  switch (why) {
    case 'new':
      return 'few balls yet: these tell most';
    case 'weakest':
      return 'the weakest';
    case 'close':
      return balls === null ? 'the weakest two, too close to call' : `about ${roundly(balls)} each would show which is weaker`;
    case 'unplayed':
      return 'not played yet, could be as weak';
    case 'least_known':
      return 'no weakness stands out: these tell most';
  }
}

/** "likely better (84%)", "too close to call": the last four weeks against all before. */
function sayTrend(chanceBetter: number): string {
  const chance = Math.max(chanceBetter, 1 - chanceBetter);
  const word = certaintyOf(chance);
  if (word === 'too close to call') return 'no clear change';
  const way = chanceBetter >= 0.5 ? 'better' : 'worse';
  return word === 'sure' ? `${way} (${percentOf(chance)}% sure)` : `likely ${way} (${percentOf(chance)}%)`;
}

/** From here on a shot is dreaded. */
const DREADED = 4;

function dreadedOf({ dreads }: Pick<Player, 'dreads'>): string {
  const keys = Object.entries(dreads ?? {})
    .filter(([, rating]) => rating >= DREADED)
    .sort((a, b) => b[1] - a[1])
    .map(([key]) => key.split('|') as [ShotType, Surface]);
  return listed(keys.map(([shotType, surface]) => sayShots({ shotType, surface })));
}

const namedBriefs = (players: Players, briefs: Briefs) =>
  players.flatMap((row) => {
    const brief = briefOf(row, briefs);
    return brief ? [{ name: row.player.name, ...brief }] : [];
  });

/** Players who have the same weakest shot, the most first: "Ottilie and Teodor share a weakness: 20–30 yd pitches from light rough." */
export function sharedWeaknesses(players: Players, briefs: Briefs, cells: readonly Cell[]): string[] {
  const clear = namedBriefs(players, briefs).filter(({ weakest }) => weakest?.clear);
  const sharing = group(clear, ({ weakest }) => weakest!.key);
  return cells
    .map((cell) => ({ cell, names: (sharing.get(cell.key) ?? []).map(({ name }) => name) }))
    .filter(({ names }) => names.length > 1)
    .sort((a, b) => b.names.length - a.names.length)
    .map(({ cell, names }) => `${listedInShort(names)} share a weakness: ${sayCell(cell)}.`);
}

/** "Ruaridh is probably better (91%) than four weeks ago.": whose last four weeks differ from before, the surest first. */
export function changesIn(players: Players, briefs: Briefs): string[] {
  return namedBriefs(players, briefs)
    .flatMap(({ name, trend }) =>
      trend ? [{ name, better: trend.chanceBetter, sure: Math.max(trend.chanceBetter, 1 - trend.chanceBetter) }] : [],
    )
    .filter(({ sure }) => certaintyOf(sure) !== 'too close to call')
    .sort((a, b) => b.sure - a.sure)
    .map(({ name, better }) => `${name} is ${sayTrend(better).replace('likely', 'probably')} than four weeks ago.`);
}
