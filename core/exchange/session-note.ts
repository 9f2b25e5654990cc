import { z } from 'zod';
import { conditionsSchema, stationDistanceSchema } from '../shot/conditions';
import { notesSchema, type Bundle } from './bundle';

/**
 * What can be said about a session beside its balls. Of each only the newest matters, so it can wait on a device and be
 * said again.
 */
export const sessionNoteSchema = z.discriminatedUnion('say', [
  /** It was ended before its last ball, or goes on after all. */
  z.strictObject({ say: z.literal('stopped'), stopped: z.boolean() }),
  z.strictObject({ say: z.literal('note'), playerId: z.uuid(), whose: z.enum(['own', 'coach']), text: notesSchema.shape.own }),
  /** How far a station really was: all its balls follow. */
  z.strictObject({ say: z.literal('station'), station: stationDistanceSchema }),
  z.strictObject({ say: z.literal('conditions'), conditions: conditionsSchema }),
]);
export type SessionNote = z.infer<typeof sessionNoteSchema>;

/** Names what a note is about: a newer one of the same name takes its place. */
export function aboutOf(note: SessionNote): string {
  if (note.say === 'note') return `note ${note.whose} ${note.playerId}`;
  return note.say === 'station' ? `station ${note.station.key}` : note.say;
}

/** A session with what was told about it. */
export function noted(bundle: Bundle, note: SessionNote): Bundle {
  switch (note.say) {
    case 'stopped':
      return { ...bundle, stopped: note.stopped };
    case 'conditions':
      return { ...bundle, conditions: note.conditions };
    case 'station': {
      const others = bundle.stations.filter((station) => station.key !== note.station.key);
      return { ...bundle, stations: [...others, note.station] };
    }
    case 'note': {
      const { playerId, whose, text } = note;
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
export function mayNote(note: SessionNote, only: string | null, players: readonly string[]): boolean {
  if (only === null) return true;
  if (note.say === 'note') return note.whose === 'own' && note.playerId === only;
  return players.length === 1;
}
