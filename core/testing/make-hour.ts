import type { GameSpec } from '../game/spec';
import { hourSchema, type Hour } from '../hour/hour';
import { PRESETS } from '../hour/school';
import { game, idOf } from './make';

/** A planned half hour: technique, then a game. */
export function hourOf(more: Partial<Hour> = {}, played: { gameId: string; spec: GameSpec } = { gameId: idOf(700), spec: game() }): Hour {
  return hourSchema.parse({
    format: 'inch-hour',
    version: 1,
    title: 'Chips, then a game',
    minutes: 30,
    school: PRESETS[0]!.school,
    parts: [
      { key: 'p1', kind: 'technique', title: 'Low chips', minutes: 10, sets: 3, setOf: 6, cue: 'brush the grass' },
      { key: 'p2', kind: 'game', title: played.spec.title, minutes: 20, game: played, why: 'Weakest: chips.' },
    ],
    ...more,
  });
}
