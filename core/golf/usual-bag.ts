/** The clubs that most people carry for the short game, the longest first, with their usual lofts in degrees. */
export const USUAL_BAG: readonly { label: string; loftDeg: number }[] = [
  { label: '7 iron', loftDeg: 34 },
  { label: '8 iron', loftDeg: 38 },
  { label: '9 iron', loftDeg: 42 },
  { label: 'PW', loftDeg: 46 },
  { label: '50°', loftDeg: 50 },
  { label: '54°', loftDeg: 54 },
  { label: '58°', loftDeg: 58 },
  { label: 'putter', loftDeg: 3 },
];
