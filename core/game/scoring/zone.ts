/** A zone of a way of scoring: what is laid out, drawn, sized and forecast, from one description. */
export type Zone = {
  /** Where its radius stands in the scoring: "radiusM", "rings.0.radiusM". */
  path: string;
  /** From the hole (`landing`: from where the ball should land) to its edge, in metres; 0 is the hole itself. */
  radiusM: number;
  /** Where balls finish, where they land, or how far out they are measured. */
  of: 'finish' | 'landing' | 'measured';
  /** A strip across the line of play, not a circle. */
  strip?: boolean;
  /** What it does, beside its length on a set-up sheet: "a hit", "climbs", "4". */
  does: string;
  /** What stands in it on a drawing, where that is another word: "hit", "up". */
  label?: string;
  /** Its edge, to whoever drags it. */
  edge: string;
};

/** The zone in which balls finish inside of `radiusM`. */
export function finishZone(radiusM: number, does: string, label = does): Zone {
  return { path: 'radiusM', radiusM, of: 'finish', does, label, edge: 'Edge of the zone' };
}

/** How far out balls are measured. */
export function measuredZone(farM: number): Zone {
  return { path: 'farM', radiusM: farM, of: 'measured', does: 'measured', edge: 'Not measured outside' };
}
