'use client';

import type { ReactNode } from 'react';
import type { OwnMeasures } from '@/core/measures/read-length';
import { MeasuresContext } from '@/ui/length-input';

/** The coach's own paces and clubs, for whatever is typed in them at the desk. */
export function WithMeasures({ own, children }: { own: OwnMeasures; children: ReactNode }) {
  return <MeasuresContext value={own}>{children}</MeasuresContext>;
}
