'use client';

import { useEffect, useRef } from 'react';

/** Where there is no room at the side, what opens below comes into view. */
export function IntoView({ of, children }: { of: string; children: React.ReactNode }) {
  const place = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (window.matchMedia('(max-width: 1000px)').matches) place.current?.scrollIntoView({ block: 'start' });
  }, [of]);
  return <div ref={place}>{children}</div>;
}
