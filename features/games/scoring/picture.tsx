import type { ReactNode } from 'react';
import { schemeOf, type SchemeKind } from '@/core/game/scoring';
import styles from './picture.module.scss';

const hole = (x: number, y: number) => <circle cx={x} cy={y} r={2.6} className={styles.hole} />;
const ball = (x: number, y: number, full = false) => <circle cx={x} cy={y} r={3} className={full ? styles.fullBall : styles.ball} />;
const zone = (r: number) => <circle cx={22} cy={22} r={r} className={styles.zone} />;

/** Each way of scoring in a few strokes, on a square of 44. */
const PICTURES: Readonly<Record<SchemeKind, ReactNode>> = {
  ring_points: (
    <>
      {zone(19)}
      {zone(12.5)}
      {zone(6.5)}
      {hole(22, 22)}
    </>
  ),
  total_left: (
    <>
      <rect x={3} y={24} width={38} height={9} className={styles.tape} />
      {[10, 17, 24, 31, 38].map((x) => (
        <path key={x} d={`M${x} 24v4`} className={styles.line} />
      ))}
      {hole(4, 28.5)}
      {ball(14, 16)}
      {ball(23, 16)}
      {ball(36, 16)}
    </>
  ),
  hits: (
    <>
      {zone(16)}
      {hole(22, 22)}
      {ball(15, 17, true)}
      {ball(27, 28, true)}
      {ball(39, 8)}
    </>
  ),
  landing_zone: (
    <>
      <path d="M3 34Q12 2 25 27" className={styles.line} />
      <ellipse cx={25} cy={29} rx={9} ry={5.5} className={styles.dashed} />
      {hole(40, 29)}
    </>
  ),
  hole_out: (
    <>
      <path d="M3 33Q9 6 22 31" className={styles.line} />
      <path d="M22 31H38" className={styles.dotted} />
      {hole(40, 31)}
      <text x={29} y={22} className={styles.figure}>
        2
      </text>
    </>
  ),
  ladder: (
    <>
      {[0, 1, 2, 3].map((i) => (
        <rect key={i} x={4 + i * 9.5} y={31 - i * 7} width={7.5} height={9 + i * 7} className={i < 3 ? styles.full : styles.empty} />
      ))}
    </>
  ),
  nearest_wins: (
    <>
      {hole(22, 20)}
      <path d="M22 20L12 12" className={styles.line} />
      <path d="M22 20L37 36" className={styles.dotted} />
      {ball(11, 11, true)}
      {ball(38, 37)}
    </>
  ),
  shot_matrix: (
    <>
      {[0, 1, 2].flatMap((row) =>
        [0, 1, 2].map((column) => (
          <rect
            key={`${row}${column}`}
            x={5 + column * 12}
            y={5 + row * 12}
            width={10}
            height={10}
            className={(row + column) % 2 === 0 ? styles.full : styles.empty}
          />
        )),
      )}
    </>
  ),
  club_trial: (
    <>
      {[0, 1, 2].map((i) => (
        <path key={i} d={`M${10 + i * 11} 5V33q0 5 7 4`} className={i === 1 ? styles.thick : styles.line} />
      ))}
    </>
  ),
  streak: (
    <>
      {[0, 1, 2, 3].map((i) => (
        <circle key={i} cx={6 + i * 8.5} cy={22} r={3.6} className={styles.fullBall} />
      ))}
      <circle cx={40} cy={22} r={3.4} className={styles.ball} />
    </>
  ),
  unscored: (
    <>
      {ball(12, 30)}
      {ball(22, 24)}
      {ball(32, 30)}
      <path d="M6 37H38" className={styles.dotted} />
    </>
  ),
};

/** A way of scoring as a small drawing. */
export function SchemePicture({ kind, size = 44 }: { kind: SchemeKind; size?: number }) {
  return (
    <svg viewBox="0 0 44 44" width={size} height={size} aria-hidden="true" className={styles.picture}>
      {PICTURES[kind]}
    </svg>
  );
}

/** The same with its name and what it is, in a line. */
export function SchemeLine({ kind }: { kind: SchemeKind }) {
  const { label, inShort } = schemeOf({ scheme: kind });
  return (
    <>
      <SchemePicture kind={kind} />
      <span className={styles.words}>
        <b>{label}</b>
        <small>{inShort}</small>
      </span>
    </>
  );
}
