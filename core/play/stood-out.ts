import { missDirection } from '../shot/direction';
import { leftInterval } from '../shot/evidence';
import { settledMedian } from '../shot/median-left';
import { capital, counted, formatLeft } from '../units/format';
import type { UnitSystem } from '../units/length';
import { sayStation } from '../game/words/say-station';
import type { Standing } from './play';
import { sayScore } from '../game/words/say-score';
import { schemeOf } from '../game/scoring';
import { isByStation } from '../game/scoring/score-unit';

/** From so many balls on, and from this share of them on, the same mishit is worth saying first. */
const MISHITS = { least: 3, share: 0.25 };
/** A station speaks for itself from so many balls on. */
const STATION_BALLS = 2;

/**
 * What stood out in a game, in one line with the balls it rests on: the same mishit again and again, else the side on
 * which most finished, else the best and the poorest station, else how near half of them came.
 * @returns null where nothing did
 */
export function stoodOut(standing: Standing, system: UnitSystem): string | null {
  return mishits(standing) ?? direction(standing) ?? stations(standing, system) ?? half(standing, system);
}

function mishits({ played }: Standing): string | null {
  const counts = new Map<string, number>();
  for (const { mishit } of played) if (mishit) counts.set(mishit, (counts.get(mishit) ?? 0) + 1);
  const [word, balls] = [...counts].sort((a, b) => b[1] - a[1])[0] ?? ['', 0];
  if (balls < MISHITS.least || balls < MISHITS.share * played.length) return null;
  return `Hit ${word}: ${balls} of ${counted(played.length, 'ball')}.`;
}

function direction({ played }: Standing): string | null {
  const found = missDirection(played);
  if (!found) return null;
  const { word, balls, of } = found;
  return `${word === 'left' || word === 'right' ? 'Missed' : 'Finished'} ${word}, ${balls} of ${of} whose direction is known.`;
}

function stations({ stations: all, game }: Standing, system: UnitSystem): string | null {
  const scheme = schemeOf(game.scoring);
  const unit = scheme.unit(game.scoring);
  if (!isByStation(unit) || unit === 'cells') return null;
  const sign = scheme.better(game.scoring) === 'higher' ? 1 : -1;
  const ranked = all
    .filter(({ balls }) => balls >= STATION_BALLS)
    .map((one) => ({ ...one, each: (sign * one.score) / one.balls }))
    .sort((a, b) => b.each - a.each);
  const [best, poorest] = [ranked[0], ranked.at(-1)];
  if (!best || !poorest || best.each === poorest.each) return null;
  const say = ({ station, score, balls }: (typeof ranked)[number]) =>
    `${sayStation(station, system)} (${sayScore(score, unit, system)}, ${counted(balls, 'ball')})`;
  // Of several that came out the same none is named.
  const alone = (one: (typeof ranked)[number]) => ranked.filter(({ each }) => each === one.each).length === 1;
  const said = [alone(best) && `best from the ${say(best)}`, alone(poorest) && `poorest from the ${say(poorest)}`].filter(
    (one) => one !== false,
  );
  return said.length === 0 ? null : `${capital(said.join(', '))}.`;
}

function half({ played }: Standing, system: UnitSystem): string | null {
  const left = played.map(leftInterval).filter((interval) => interval !== null);
  const medianM = settledMedian(left);
  if (medianM === null || left.length < 4) return null;
  return `Half stopped within ${formatLeft(medianM, system)} of the hole (${counted(left.length, 'ball')}).`;
}
