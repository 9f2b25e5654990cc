import { deviation, mean } from 'd3-array';
import { studentCdf } from '../math/student';
import { missDirection } from '../shot/direction';
import { leftInterval } from '../shot/evidence';
import { settledMedian } from '../shot/median-left';
import { capital, counted, formatLeft } from '../units/format';
import type { UnitSystem } from '../units/length';
import { sayStation } from '../game/words/say-station';
import { eachBall } from './each-ball';
import type { Standing } from './play';
import { scoreFigure } from '../game/words/say-score';
import { schemeOf } from '../game/scoring';
import { isByStation } from '../game/scoring/score-unit';

/** From so many balls on, and from this share of them on, the same mishit is worth saying first. */
const MISHITS = { least: 3, share: 0.25 };
/** A station speaks for itself from so many balls on. */
const STATION_BALLS = 3;

/**
 * What stood out in a game, in one line with the balls it rests on: the same mishit again and again, else the side on
 * which most finished, else the best and the poorest station where they differ by more than chance, else how near half of them came.
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
  return `${word === 'left' || word === 'right' ? 'Missed' : 'Finished'} ${word}, ${balls} of ${of} with a known direction.`;
}

function stations(standing: Standing, system: UnitSystem): string | null {
  const { stations: all, game } = standing;
  const scheme = schemeOf(game.scoring);
  const unit = scheme.unit(game.scoring);
  if (!isByStation(unit) || unit === 'cells') return null;
  const sign = scheme.better(game.scoring) === 'higher' ? 1 : -1;
  const each = eachBall(standing);
  const ranked = all
    .flatMap(({ station, stationNo }) => {
      const balls = each.flatMap(({ stationKey, score }) => (stationKey === station.key ? [sign * score] : []));
      return balls.length >= STATION_BALLS ? [{ station, stationNo, balls, mean: mean(balls)! }] : [];
    })
    .sort((a, b) => b.mean - a.mean);
  const [best, poorest] = [ranked[0], ranked.at(-1)];
  if (!best || !poorest || !differ(best.balls, poorest.balls, ranked)) return null;
  const twice = (text: string) => all.filter(({ station }) => sayStation(station, system) === text).length > 1;
  const say = ({ station, stationNo, balls, mean: average }: (typeof ranked)[number]) => {
    const text = sayStation(station, system);
    const figure = unit === 'length' ? scoreFigure(sign * average, unit, system) : String(Number((sign * average).toFixed(1)));
    return `${twice(text) ? `station ${stationNo}, ${text}` : `the ${text}`} (${figure} a ball, ${counted(balls.length, 'ball')})`;
  };
  // Of several that came out the same none is named.
  const alone = (one: (typeof ranked)[number]) => ranked.filter((other) => other.mean === one.mean).length === 1;
  const said = [alone(best) && `best from ${say(best)}`, alone(poorest) && `poorest from ${say(poorest)}`].filter((one) => one !== false);
  return said.length === 0 ? null : `${capital(said.join(', '))}.`;
}

/** So rarely may two stations be told apart that are the same, over all pairs of them. */
const RARE = 0.05;

/**
 * Whether two stations differ by more than chance: a t-test with the spread of a ball pooled over all stations, held to
 * all pairs that could have been picked (Bonferroni).
 */
function differ(a: readonly number[], b: readonly number[], all: readonly { balls: readonly number[] }[]): boolean {
  const pairs = (all.length * (all.length - 1)) / 2;
  if (pairs === 0) return false;
  const df = all.reduce((sum, { balls }) => sum + balls.length - 1, 0);
  const within = all.reduce((sum, { balls }) => sum + (deviation(balls) ?? 0) ** 2 * (balls.length - 1), 0) / df;
  const apart = mean(a)! - mean(b)!;
  if (within < 1e-12) return apart > 1e-9;
  return studentCdf(apart / Math.sqrt(within * (1 / a.length + 1 / b.length)), df) > 1 - RARE / 2 / pairs;
}

function half({ played }: Standing, system: UnitSystem): string | null {
  const left = played.filter(({ nBalls }) => nBalls === 1).flatMap((shot) => leftInterval(shot) ?? []);
  const medianM = settledMedian(left);
  if (medianM === null || left.length < 4) return null;
  if (medianM === 0) return `Holed ${left.filter(({ to }) => to === 0).length} of ${counted(left.length, 'ball')}.`;
  return `Median left ${formatLeft(medianM, system)} (${counted(left.length, 'ball')}).`;
}
