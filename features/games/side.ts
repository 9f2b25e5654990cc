import type { CSSProperties } from 'react';

/** The width of the column with the target, on the pages of a game. */
export const SIDE = { '--side': '31rem' } as CSSProperties;

/** The same beside the list of games. */
export const NARROW_SIDE = { '--side': '21rem' } as CSSProperties;
