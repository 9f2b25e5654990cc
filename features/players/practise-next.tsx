import Link from 'next/link';
import { sayStrokes, type StrokesAs } from '@/core/units/strokes';
import { counted } from '@/core/units/format';
import { LostBar, scaleOf } from './lost-bar';
import { boardAddress, type PlayerRow } from './player-rows';
import styles from './players.module.scss';

type Props = {
  slug: string;
  rows: readonly PlayerRow[];
  /** All whose bars stand on the page: they have one scale. */
  among: readonly PlayerRow[];
  strokes: StrokesAs;
};

/** What each player's next balls are best spent on, a line each. */
export function PractiseNext({ slug, rows, among, strokes }: Props) {
  const scale = scaleOf(among);
  return (
    <ul className={styles.next}>
      {rows.map((row) => (
        <li key={row.id}>
          <Link href={boardAddress(slug, row.id)}>{row.name}</Link>
          {row.lost ? (
            <>
              <span className={styles.bar}>
                <LostBar lost={row.lost} strokes={strokes} scale={scale} />
                <b className="fig">{sayStrokes(row.lost.mean, strokes)}</b>
              </span>
              <span className={styles.what}>
                {row.next ? <b>{row.next.what}</b> : <b>No weakness so far</b>}
                <small>
                  {row.next?.why}
                  {row.weakest && row.next?.what === row.weakest.shot && ` · ${row.weakest.figure} a round`}
                </small>
              </span>
            </>
          ) : (
            <span className={styles.unknown}>{row.balls === 0 ? 'no ball yet: play the first look' : 'being worked out …'}</span>
          )}
          <span className={styles.when}>
            {row.last?.day ?? 'never here'}
            <small>{counted(row.balls, 'ball')}</small>
          </span>
        </li>
      ))}
    </ul>
  );
}
