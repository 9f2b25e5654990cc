import { sayBetween, sayStrokes, type StrokesAs } from '@/core/units/strokes';
import { FAMILIES, familyOf, isPutt, saysSurface } from '@/core/golf/shot-types';
import Link from 'next/link';
import { OFF_GREEN_BANDS, PUTT_BANDS, sayBand } from '@/core/golf/bands';
import { say } from '@/core/golf/words';
import type { Finding } from '@/core/skill/diagnose';
import { kindsOf } from '@/core/board/kinds';
import { sayCell, sayShot } from '@/core/board/say-cell';
import { rankOf, type Per } from '@/core/board/settle';
import { counted } from '@/core/units/format';
import { asQuery, type BoardAsked } from './asked';
import { shadeOf } from './shade';
import styles from './skill.module.scss';

type Props = {
  findings: readonly Finding[];
  per: Per;
  asked: BoardAsked;
  /** Cells that are named beside the board, and so are on it. */
  named: readonly number[];
  strokes: StrokesAs;
};

/** The board: shots and surfaces down, distances across; every cell its strokes, how sure they are, and of how many balls. */
export function Heat({ findings, per, asked, named, strokes }: Props) {
  const all = kindsOf(findings).filter(({ cells }) => cells.some((i) => findings[i]!.ranked));
  const shown = all.filter(({ cells }) =>
    cells.some((i) => findings[i]!.balls > 0 || named.includes(i) || findings[i]!.key === asked.cell),
  );
  const kinds = asked.all || shown.length === 0 ? all : shown;
  const most = Math.max(0.02, ...findings.filter(({ ranked }) => ranked).map((finding) => Math.abs(rankOf(finding, per).mean)));
  return (
    <>
      <div className={styles.scroll} role="region" aria-label={`Strokes ${strokes}, by shot and distance`} tabIndex={0}>
        <table className={styles.heat}>
          {FAMILIES.map((family) => {
            const rows = kinds.filter(({ shotType }) => familyOf(shotType) === family);
            const bands = family === 'putting' ? PUTT_BANDS : OFF_GREEN_BANDS;
            if (rows.length === 0) return null;
            // Off the green all families have the same bands: the first one says them.
            const says = family === 'putting' || rows[0] === kinds.find(({ shotType }) => !isPutt(shotType));
            return (
              <tbody key={family}>
                <tr>
                  <th scope="rowgroup" className={styles.family}>
                    {family}
                  </th>
                  {bands.map((band) => (
                    <th key={band.min} scope="col" className={styles.band}>
                      {says ? sayBand(band) : <span className="visually-hidden">{sayBand(band)}</span>}
                    </th>
                  ))}
                </tr>
                {rows.map(({ key, shotType, surface, cells }) => (
                  <tr key={key}>
                    <th scope="row">
                      {sayShot(shotType)}
                      {saysSurface(shotType) ? '' : <span> · {say(surface)}</span>}
                    </th>
                    {bands.map((band) => {
                      const at = cells.find((i) => findings[i]!.band.min === band.min);
                      return (
                        <td key={band.min}>
                          {at === undefined || !findings[at]!.ranked ? null : (
                            <Cell finding={findings[at]!} per={per} most={most} asked={asked} strokes={strokes} />
                          )}
                        </td>
                      );
                    })}
                  </tr>
                ))}
              </tbody>
            );
          })}
        </table>
      </div>
      {shown.length > 0 && shown.length < all.length && (
        <Link
          href={asQuery(asked, { all: asked.all ? undefined : '1' }) || '?'}
          scroll={false}
          replace
          className={`${styles.more} no-print`}
        >
          {asked.all ? 'Only shots with balls' : `Show ${counted(all.length - shown.length, 'more shot')} without a ball`}
        </Link>
      )}
    </>
  );
}

type CellProps = { finding: Finding; per: Per; most: number; asked: BoardAsked; strokes: StrokesAs };

function Cell({ finding, per, most, asked, strokes }: CellProps) {
  const { mean, interval80, weakest3 } = rankOf(finding, per);
  const [low, high] = interval80;
  const says =
    `${sayCell(finding)}: ${sayStrokes(mean, strokes)} ${strokes} a ${per}, ${sayBetween(interval80, strokes)} eight times in ten, ` +
    `${Math.round(100 * weakest3)}% among the three weakest, ${counted(finding.balls, 'ball')}`;
  return (
    <Link
      href={asQuery(asked, { cell: finding.key })}
      scroll={false}
      replace
      className={`${styles.cell} ${finding.balls === 0 ? styles.never : ''}`}
      style={finding.balls === 0 ? undefined : shadeOf(mean / most, low <= 0 && high >= 0)}
      aria-current={asked.cell === finding.key ? 'true' : undefined}
      aria-label={says}
      title={says}
    >
      <b className="fig">{sayStrokes(mean, strokes)}</b>
      {finding.balls > 0 && <small>{finding.balls}</small>}
    </Link>
  );
}

/** What the fills say. */
export function HeatKey({ strokes }: { strokes: StrokesAs }) {
  return (
    <p className={styles.key}>
      <span>{strokes === 'lost' ? '− gained' : '+ gained'}</span>
      {[-1, -0.5, -0.15, 0.15, 0.5, 1].map((share) => (
        <i key={share} style={shadeOf(share, false)} aria-hidden="true" />
      ))}
      <span>{strokes === 'lost' ? 'lost' : '− lost'}</span>
      <span className={styles.keyWords}>
        <i style={shadeOf(0.5, true)} aria-hidden="true" /> too close to call
      </span>
      <span className={styles.keyWords}>
        <i className={styles.never} aria-hidden="true" /> not played yet: estimated from similar shots
      </span>
      <span className={styles.keyWords}>small figure: balls</span>
    </p>
  );
}
