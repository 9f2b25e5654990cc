import { z } from 'zod';
import { conditionsSchema, stationDistanceSchema } from '../shot/conditions';
import { notesSchema, type Bundle } from './bundle';

/**
 * What can be said about a session beside its balls. Of each only the newest matters, so it can wait on a device and be
 * said again.
 */
export const tellingSchema = z.discriminatedUnion('say', [
  /** It was ended before its last ball, or goes on after all. */
  z.strictObject({ say: z.literal('stopped'), stopped: z.boolean() }),
  z.strictObject({ say: z.literal('note'), playerId: z.uuid(), whose: z.enum(['own', 'coach']), text: notesSchema.shape.own }),
  /** How far a station really was: all its balls follow. */
  z.strictObject({ say: z.literal('station'), station: stationDistanceSchema }),
  z.strictObject({ say: z.literal('conditions'), conditions: conditionsSchema }),
]);
export type Telling = z.infer<typeof tellingSchema>;

/** Names what a telling is about: a newer one of the same name takes its place. */
export function aboutOf(telling: Telling): string {
  if (telling.say === 'note') return `note ${telling.whose} ${telling.playerId}`;
  return telling.say === 'station' ? `station ${telling.station.key}` : telling.say;
}

/** A session with what was told about it. */
export function told(bundle: Bundle, telling: Telling): Bundle {
  switch (telling.say) {
    case 'stopped':
      return { ...bundle, stopped: telling.stopped };
    case 'conditions':
      return { ...bundle, conditions: telling.conditions };
    case 'station': {
      const others = bundle.stations.filter((station) => station.key !== telling.station.key);
      return { ...bundle, stations: [...others, telling.station] };
    }
    case 'note': {
      const { playerId, whose, text } = telling;
      const noted = (player: Bundle['players'][number]) =>
        player.playerId === playerId ? { ...player, notes: { ...player.notes, [whose]: text } } : player;
      return { ...bundle, players: bundle.players.map(noted) };
    }
  }
}

/**
 * Whether a personal link may tell this: a note of its own player's always; what concerns the whole session only where
 * that player is alone in it.
 */
export function mayTell(telling: Telling, only: string | null, players: readonly string[]): boolean {
  if (only === null) return true;
  if (telling.say === 'note') return telling.whose === 'own' && telling.playerId === only;
  return players.length === 1;
}
