import { sayStrokes } from '@/core/units/strokes';
import { sayChange } from '@/core/board/over-time';
import { counted } from '@/core/units/format';
import { dayIn } from '@/core/units/day';
import type { PlayerRow } from '@/server/data';
import type { KnownAt } from '@/server/known/known';
import { sayDay } from '@/core/units/say-moment';
import styles from './skill.module.scss';
import { overTime } from '../../server/known/over-time';
import { inSign } from './in-sign';
import { TimeChart } from './time-chart';

type Props = { desk: KnownAt; player: PlayerRow; cell: string; timeZone: string; now: Date };

/** How one cell went, and whether the second half of its time was another than the first. */
export async function CellTrend({ desk, player, cell, timeZone, now }: Props) {
  const { data, model, academy } = desk;
  const strokes = academy.strokesAs;
  const span = await data.spanOfEvidence(player.playerId);
  const at = model.cells.findIndex(({ key }) => key === cell);
  if (!span || at < 0) return null;
  const since = new Date((span.first.getTime() + span.last.getTime()) / 2);
  const [trend] = await overTime(
    desk,
    player,
    { ...span, since },
    [[at]],
    model.cells.map(() => 1),
  );
  if (!trend || trend.points.length < 2) return null;
  const words = sayDay(since, timeZone, now);
  const { change } = trend;
  return (
    <section className={styles.panel}>
      <h3>Over time</h3>
      <TimeChart
        label={`This shot over time: strokes ${strokes}, ${counted(trend.points.length, 'period')}`}
        points={trend.points.map((point) => inSign(point, strokes))}
        since={dayIn(since, timeZone)}
        axis={`strokes ${strokes} a shot`}
        timeZone={timeZone}
        nothing
      />
      {change && (
        <p className="small-print mb-0">
          Since {words} {sayChange(change.chanceBetter)}: {sayStrokes(change.before, strokes)} before ({counted(change.of[0], 'ball')}),{' '}
          {sayStrokes(change.since, strokes)} {strokes} since ({counted(change.of[1], 'ball')}).
        </p>
      )}
    </section>
  );
}
