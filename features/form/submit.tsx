'use client';

import { useSyncExternalStore, type ReactNode } from 'react';
import { Button, type ButtonProps } from 'react-bootstrap';

const never = () => () => undefined;

type Props = Pick<ButtonProps, 'size' | 'variant'> & { busy: boolean; children: ReactNode };

/** The button of a form. Until its script runs, a press would send the form as the browser does and lose what was typed: it waits. */
export function Submit({ busy, children, ...look }: Props) {
  const ready = useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
  return (
    <Button type="submit" disabled={busy || !ready} {...look}>
      {children}
    </Button>
  );
}
