/** Progress as a tape: yellow as far as one has come, a long mark wherever a part ends. */
export function ProgressTape({ done, of, parts }: { done: number; of: number; parts: readonly number[] }) {
  const width = 360;
  const ends = new Set<number>();
  parts.reduce((sum, part) => (ends.add(sum + part), sum + part), 0);
  const x = (n: number) => (width * n) / Math.max(1, of);
  return (
    <svg
      viewBox={`0 0 ${width} 16`}
      width="100%"
      height={16}
      preserveAspectRatio="none"
      role="progressbar"
      aria-label="Balls played"
      aria-valuemin={0}
      aria-valuemax={of}
      aria-valuenow={done}
      style={{ display: 'block' }}
    >
      <rect width={width} height={16} fill="var(--line)" />
      <rect width={x(done)} height={16} fill="var(--tape)" />
      {Array.from({ length: Math.max(0, of - 1) }, (_, i) => i + 1).map((n) => (
        <line
          key={n}
          x1={x(n)}
          x2={x(n)}
          y1={16}
          y2={ends.has(n) ? 3 : 11}
          stroke="var(--tape-ink)"
          strokeWidth={ends.has(n) ? 1.5 : 0.8}
        />
      ))}
    </svg>
  );
}
