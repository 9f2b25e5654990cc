import { isPutt } from '@/core/golf/shot-types';
import { schemeOf } from '@/core/game/scoring';
import type { GameSpec } from '@/core/game/spec';

/** What the forecast takes for granted in this game. */
export function TakenForGranted({ game }: { game: GameSpec }) {
  const { rules, scoring, stations } = game;
  const scheme = schemeOf(scoring);
  const notes = [
    ...(scheme.players > 1 || scheme.race(scoring) ? ['each plays against somebody of the same level'] : []),
    ...(scheme.sees(scoring).includes('executed')
      ? [
          'how often a shot comes off as asked, by level: 70% at level 0 and a point less each level, a judgement; a player’s own shots count against it',
        ]
      : []),
    ...(game.open ? ['only the stations that are there already'] : []),
    ...(rules.timeLimitS !== null ? ['as if time were enough for all balls'] : []),
    ...(game.order === 'choice' ? ['stations in the order of the list'] : []),
    ...(rules.goodSide !== null && stations.some(({ shotType }) => !isPutt(shotType))
      ? ['44 of 100 balls from off the green stop past the hole, and half on either side']
      : []),
  ];
  if (notes.length === 0) return null;
  return <p className="small-print mt-1 mb-0">Assumed: {notes.join('; ')}.</p>;
}
