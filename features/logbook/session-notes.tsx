'use client';

import type { Notes } from '@/core/exchange/bundle';
import { NoteFields } from '../session/notes';
import { saveNoteAction } from '../session/actions';

type Props = { slug: string; sessionId: string; playerId: string; notes: Notes; timeZone: string };

/** The notes of one player's session, at the desk. */
export function SessionNotes({ slug, sessionId, playerId, notes, timeZone }: Props) {
  return (
    <NoteFields
      id={playerId}
      notes={notes}
      by="coach"
      timeZone={timeZone}
      onKeep={(whose, text) => saveNoteAction(slug, sessionId, playerId, whose, text)}
    />
  );
}
