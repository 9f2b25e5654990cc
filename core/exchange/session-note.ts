import * as z from 'zod';
import { documentKind, type Step } from '../document';
import { sentConditionsSchema, stationDistanceSchema } from '../shot/conditions';
import { whole } from '../stored';
import { notesSchema, type Bundle } from './bundle';

const version = whole(1).optional();

/**
 * What can be said about a session beside its balls. Of each only the newest matters, so it can wait on a device and be
 * said again.
 */
const presentNote = z.discriminatedUnion('say', [
  /** It was ended before its last ball, or goes on after all. */
  z.strictObject({ version, say: z.literal('stopped'), stopped: z.boolean() }),
  z.strictObject({ version, say: z.literal('note'), playerId: z.uuid(), whose: z.enum(['own', 'coach']), text: notesSchema.shape.own }),
  /** How far a station really was: all its balls follow. */
  z.strictObject({ version, say: z.literal('station'), station: stationDistanceSchema }),
  z.strictObject({ version, say: z.literal('conditions'), conditions: sentConditionsSchema }),
]);
export type SessionNote = z.infer<typeof presentNote>;

/** How the shape of session notes changed, step by step. */
const STEPS: readonly Step[] = [];
/** Notes that wait on a device. */
export const storedNotes = documentKind<SessionNote>(STEPS);
/** A note as a device of any version sends it. What is not known of it could be kept nowhere: such a note is refused, and waits on its device. */
export const sentNoteSchema = z.preprocess(storedNotes.read, presentNote);

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
