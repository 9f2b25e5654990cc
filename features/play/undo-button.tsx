'use client';

import type { GameSpec } from '@/core/game/spec';
import type { Who } from '@/core/game/record';
import { undoBall } from './record';
import { useOneAtATime } from './use-one-at-a-time';

/** Takes the last ball back. Always in sight. */
export function UndoButton({ spec, who, disabled }: { spec: GameSpec; who: Who; disabled: boolean }) {
  const [busy, once] = useOneAtATime();
  return (
    <button type="button" className="btn btn-outline-dark" disabled={disabled || busy} onClick={() => once(() => undoBall(spec, who))}>
      Undo
    </button>
  );
}
