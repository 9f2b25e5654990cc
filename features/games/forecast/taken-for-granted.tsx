import { playedAs } from '@/core/forecast/spots';
import { schemeOf } from '@/core/game/scoring';
import type { GameSpec } from '@/core/game/spec';
import { say } from '@/core/golf/words';
import { listed } from '@/core/units/format';

/** What the forecast takes for granted in this game. */
export function TakenForGranted({ game }: { game: GameSpec }) {
  const { rules, scoring, stations } = game;
  const scheme = schemeOf(scoring);
  const standIns = [
    ...new Set(stations.filter((one) => playedAs(one) !== one.shotType).map((one) => `${say(one.shotType)}s as ${say(playedAs(one))}s`)),
  ];
  const notes = [
    ...(scheme.players > 1 || scheme.race(scoring) ? ['each plays against somebody of the same level'] : []),
    ...(scheme.sees(scoring).includes('executed')
      ? [
          'how often a shot comes off as asked, by level: 70% at level 0 and a point less each level, a judgement; a player’s own shots count against it',
        ]
      : []),
    ...(standIns.length > 0 ? [`${listed(standIns)}, which the reference does not know`] : []),
    ...(game.open ? ['only the stations that are there already'] : []),
    ...(rules.timeLimitS !== null ? ['as if time were enough for all balls'] : []),
    ...(game.order === 'choice' ? ['stations in the order of the list'] : []),
    ...(rules.goodSide !== null && stations.some(({ shotType }) => shotType !== 'putt')
      ? ['44 of 100 balls from off the green stop past the hole, and half on either side']
      : []),
  ];
  if (notes.length === 0) return null;
  return <p className="small-print mt-1 mb-0">Taken for granted: {notes.join('; ')}.</p>;
}
