import type { CSSProperties } from 'react';

/** The width of the column with the target, on the pages of a game. */
export const SIDE = { '--side': '31rem' } as CSSProperties;
