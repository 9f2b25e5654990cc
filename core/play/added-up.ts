import { mean, rollups, sum } from 'd3-array';
import { isOutAndBack } from '../game/rules';
import { schemeOf } from '../game/scoring';
import { farM } from '../game/scoring/ball';
import type { Note } from '../game/scoring/scheme';
import { isByStation } from '../game/scoring/score-unit';
import { sayKey } from '../game/words/say-key';
import { scoreFigure } from '../game/words/say-score';
import { sayQuarter } from '../shot/direction';
import type { Shot } from '../shot/shot';
import { counted, formatLeft } from '../units/format';
import type { UnitSystem } from '../units/length';
import { eachBall } from './each-ball';
import type { Standing } from './play';

/**
 * What the balls of a session add up to beside the score, as far as they say it: the mean of what was left, the tally of the rings, what
 * came of each club, flight and shape, where they finished. Each says of how many balls.
 */
export function addedUp(standing: Standing, system: UnitSystem): Note[] {
  const { phase } = standing;
  const played = standing.played.filter((shot) => shot.phase === phase.index);
  const scheme = schemeOf(phase.scoring);
  const clubs = scheme.clubs === undefined;
  // What the game compares stands in a table of its own.
  const compared = (scheme.compares?.(phase.scoring) ?? null) !== null;
  return [
    ...meanLeft(played, system),
    ...rings(standing, played, system),
    ...(clubs ? by('clubs', played, ({ clubLabel }) => clubLabel, system) : []),
    ...(compared ? [] : by('flights', played, ({ trajectory }) => trajectory, system)),
    ...(compared ? [] : by('shapes', played, ({ shape }) => shape, system)),
    ...directions(played),
    ...passes(standing, system),
    ...finished(standing, played),
  ];
}

/** Strokes and up and downs of balls that were putted out beside the score, of those of which it is known. */
function finished({ phase }: Standing, played: readonly Shot[]): Note[] {
  if (phase.rules.puttOut === 'no' || schemeOf(phase.scoring).puttedOut) return [];
  const known = played.flatMap((shot) => {
    const strokes = shot.holed ? 1 : shot.strokes;
    return strokes === null ? [] : [{ strokes: strokes + shot.penalty, off: shot.surface !== 'green' }];
  });
  if (known.length === 0) return [];
  const off = known.filter((ball) => ball.off);
  return [
    { label: 'strokes to finish', value: `${sum(known, ({ strokes }) => strokes)}, ${counted(known.length, 'ball')}` },
    ...(off.length > 0 ? [{ label: 'up and down', value: `${off.filter(({ strokes }) => strokes <= 2).length} of ${off.length}` }] : []),
  ];
}

/** What was scored on the way out and on the way back; of more passes, in each. */
function passes(standing: Standing, system: UnitSystem): Note[] {
  const { phase, phases, stations } = standing;
  const unit = schemeOf(phase.scoring).unit(phase.scoring);
  if (!isOutAndBack(phase.order) || phase.index < phases.length - 1 || !isByStation(unit) || stations.length < 2) return [];
  const sums = new Map<number, number>();
  const visits = new Map<string, number>();
  for (const { stationKey, score } of eachBall(standing)) {
    const pass = visits.get(stationKey) ?? 0;
    visits.set(stationKey, pass + 1);
    sums.set(pass, (sums.get(pass) ?? 0) + score);
  }
  if (sums.size < 2 || stations.some(({ balls }) => balls !== sums.size)) return [];
  const figures = [...sums.values()].map((sum) => scoreFigure(sum, unit, system));
  return [
    sums.size === 2
      ? { label: 'out and back', value: `out ${figures[0]} · back ${figures[1]}` }
      : { label: 'each time through', value: figures.join(' · ') },
  ];
}

const exact = (shots: readonly Shot[]) => shots.flatMap((shot) => (shot.holed ? [0] : shot.leftM === null ? [] : [shot.leftM]));

function meanLeft(played: readonly Shot[], system: UnitSystem): Note[] {
  const left = exact(played);
  // Where some are only known by their ring, the mean of the others would be that of the near ones.
  if (left.length < 2 || left.length < played.length) return [];
  return [{ label: 'left on average', value: `${formatLeft(mean(left)!, system)}, ${counted(left.length, 'ball')}` }];
}

/** How many balls finished in each ring: a measured one stands in the ring in which it lies. */
function rings({ phase }: Standing, played: readonly Shot[], system: UnitSystem): Note[] {
  const station = phase.stations[0];
  if (!station || played.length === 0) return [];
  const keys = schemeOf(phase.scoring).asks(phase, station);
  const edges = keys.flatMap(({ kind, edgeM }) => (kind === 'ring' && edgeM !== null && edgeM > 0 ? [edgeM] : []));
  if (new Set(edges).size < 2) return [];
  const counts = new Map(keys.map(({ key }) => [key, 0]));
  for (const shot of played) {
    const key =
      keys.find(({ kind }) => kind === 'holed' && shot.holed) ??
      keys.filter(({ kind, edgeM }) => kind === 'ring' && farM(shot) <= edgeM!).sort((a, b) => a.edgeM! - b.edgeM!)[0] ??
      keys.find(({ kind }) => kind === 'outside');
    if (key) counts.set(key.key, counts.get(key.key)! + 1);
  }
  const said = keys.flatMap((key) => {
    const balls = counts.get(key.key)!;
    return balls === 0 ? [] : [`${sayKey(key, phase.sizes, system, station.target)}: ${balls}`];
  });
  return [{ label: 'where they stopped', value: said.join(' · ') }];
}

/** What differs from ball to ball, with what was left on average where every ball of it was measured. */
function by(label: string, played: readonly Shot[], of: (shot: Shot) => string | null, system: UnitSystem): Note[] {
  const groups = rollups(
    played.filter((shot) => of(shot) !== null),
    (shots) => shots,
    of,
  );
  if (groups.length < 2) return [];
  const say = ([name, shots]: (typeof groups)[number]) => {
    const left = exact(shots);
    const average = left.length === shots.length ? ` (${formatLeft(mean(left)!, system)})` : '';
    return `${name}: ${shots.length}${average}`;
  };
  return [
    {
      label,
      value: groups
        .sort((a, b) => b[1].length - a[1].length)
        .map(say)
        .join(' · '),
    },
  ];
}

function directions(played: readonly Shot[]): Note[] {
  const stopped = played.flatMap(({ holed, bearingDeg }) => (holed || bearingDeg === null ? [] : [sayQuarter(bearingDeg)]));
  const landed = played.flatMap(
    ({ landedSide, landingErrorM }) => landedSide ?? (landingErrorM ? (landingErrorM < 0 ? 'short' : 'long') : []),
  );
  return [...sides('finished', stopped), ...sides('landed', landed)];
}

function sides(label: string, known: readonly string[]): Note[] {
  if (known.length < 2) return [];
  const words = rollups(
    known,
    (all) => all.length,
    (word) => word,
  ).sort((a, b) => b[1] - a[1]);
  return [{ label, value: words.map(([word, balls]) => `${word}: ${balls}`).join(' · ') }];
}
