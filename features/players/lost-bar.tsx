import type { Lost } from '@/core/board/brief';
import { sayBetween, sayStrokes, type StrokesAs } from '@/core/units/strokes';

/** Between what the bars of a list stand: strokes lost. */
export type LostScale = { from: number; to: number };
type Props = { lost: Lost; strokes: StrokesAs; scale: LostScale };

const WIDTH = 150;
const HEIGHT = 24;
const EDGE = 4;
const LEAST = 0.1;

/** The scale on which all bars of a list fit, with nothing lost on it. */
export function scaleOf(rows: readonly { lost: Lost | null }[]): LostScale {
  const ends = rows.flatMap(({ lost }) => lost?.interval80 ?? []);
  return { from: Math.min(-LEAST, ...ends), to: Math.max(LEAST, ...ends) };
}

/** Strokes in a round against the level as a bar: ochre loses, blue gains, pale where it is too close to call, the line eight times in ten. */
export function LostBar({ lost: { mean, interval80 }, strokes, scale: { from: least, to: most } }: Props) {
  const share = (value: number) => (value - least) / (most - least);
  const x = (value: number) => EDGE + (WIDTH - 2 * EDGE) * (strokes === 'lost' ? share(value) : 1 - share(value));
  const [low, high] = interval80;
  const unsure = low <= 0 && high >= 0;
  const [from, to] = [Math.min(x(0), x(mean)), Math.max(x(0), x(mean))];
  const label = `${sayStrokes(mean, strokes)} ${strokes} a round, ${sayBetween(interval80, strokes)} eight times in ten`;
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} width={WIDTH} height={HEIGHT} role="img" aria-label={label}>
      <title>{label}</title>
      <rect x={from} width={to - from} y={6} height={12} fill={mean > 0 ? 'var(--lose)' : 'var(--gain)'} fillOpacity={unsure ? 0.45 : 1} />
      <line x1={x(0)} x2={x(0)} y1={1} y2={HEIGHT - 1} stroke="var(--level)" strokeWidth={1.4} strokeDasharray="3 2" />
      <line x1={x(low)} x2={x(high)} y1={HEIGHT / 2} y2={HEIGHT / 2} stroke="var(--ink)" strokeWidth={1.8} />
    </svg>
  );
}
