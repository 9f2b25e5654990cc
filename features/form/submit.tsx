'use client';

import type { ReactNode } from 'react';
import { Button, type ButtonProps } from 'react-bootstrap';
import { useReady } from './use-ready';

type Props = Pick<ButtonProps, 'size' | 'variant'> & { busy: boolean; children: ReactNode };

/** The button of a form. Until its script runs, a press would send the form as the browser does and lose what was typed: it waits. */
export function Submit({ busy, children, ...look }: Props) {
  const ready = useReady();
  return (
    <Button type="submit" disabled={busy || !ready} {...look}>
      {children}
    </Button>
  );
}
