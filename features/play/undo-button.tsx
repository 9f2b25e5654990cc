'use client';

import { undoBall, type Sitting } from './record';
import { useOneAtATime } from './use-one-at-a-time';

/** Takes the last ball back. Always in sight. */
export function UndoButton({ sitting, disabled }: { sitting: Sitting; disabled: boolean }) {
  const [busy, once] = useOneAtATime();
  return (
    <button type="button" className="btn btn-outline-dark" disabled={disabled || busy} onClick={() => once(() => undoBall(sitting))}>
      Undo
    </button>
  );
}
