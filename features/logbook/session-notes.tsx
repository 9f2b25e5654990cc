'use client';

import type { Notes } from '@/core/game/bundle';
import { NoteFields } from '../play/notes';
import { saveNoteAction } from './actions';

type Props = { slug: string; sessionId: string; playerId: string; notes: Notes };

/** The notes of one player's session, at the desk. */
export function SessionNotes({ slug, sessionId, playerId, notes }: Props) {
  return (
    <NoteFields id={playerId} notes={notes} by="coach" onKeep={(whose, text) => saveNoteAction(slug, sessionId, playerId, whose, text)} />
  );
}
