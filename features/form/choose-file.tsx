'use client';

import { useRef, type ReactNode } from 'react';
import { Button } from 'react-bootstrap';

type Props = {
  /** What kind of file it is, for those who can't see the button. */
  label: string;
  accept: string;
  variant?: string;
  disabled?: boolean;
  onFile: (file: File) => void;
  children: ReactNode;
};

/** A button with which a file of this device is chosen; the same one can be chosen again. */
export function ChooseFile({ label, accept, variant = 'outline-dark', disabled = false, onFile, children }: Props) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        hidden
        aria-label={label}
        accept={accept}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) onFile(file);
        }}
      />
      <Button variant={variant} disabled={disabled} onClick={() => input.current?.click()}>
        {children}
      </Button>
    </>
  );
}
