'use client';

/** Takes the last thing back. Always in sight. */
export function UndoButton({ disabled, onUndo }: { disabled: boolean; onUndo: () => void }) {
  return (
    <button type="button" className="btn btn-outline-dark" disabled={disabled} onClick={onUndo}>
      Undo
    </button>
  );
}
