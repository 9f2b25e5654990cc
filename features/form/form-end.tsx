import type { ReactNode } from 'react';
import { Button } from 'react-bootstrap';
import { FormAlert } from './form-alert';
import { Submit } from './submit';

type Props = { message: string | undefined; busy: boolean; onBack: () => void; children: ReactNode };

/** The end of a form that was opened and can be closed again: what is wrong with it as a whole, its button, and the way back. */
export function FormEnd({ message, busy, onBack, children }: Props) {
  return (
    <>
      <FormAlert message={message} />
      <div className="d-flex gap-2">
        <Submit busy={busy}>{children}</Submit>
        <Button variant="outline-dark" onClick={onBack}>
          Cancel
        </Button>
      </div>
    </>
  );
}
