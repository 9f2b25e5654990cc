import { sayStation } from '@/core/game/words/say-station';
import { say } from '@/core/golf/words';
import styles from '../designer/designer.module.scss';
import { useFormContext } from 'react-hook-form';
import { ChoiceField, NumberField } from '../designer/parts';
import plan from '../plan.module.scss';
import { drawable, type DrawingProps } from './zones-plan';

export function HoleOutFields({ path }: { path: string }) {
  const { setValue } = useFormContext();
  return (
    <div className={styles.pair}>
      <ChoiceField
        path={`${path}.counts`}
        label="What counts"
        options={[
          ['strokes', 'all strokes, fewest wins'],
          ['in_par', 'balls in par or better, most wins'],
        ]}
        onChange={() => setValue('goal', null)}
      />
      <NumberField path={`${path}.pickUpAfter`} label="Picked up after, strokes" />
      <NumberField path={`${path}.extraFromLevel`} label="One more stroke from level" placeholder="nobody" />
    </div>
  );
}

/** The par of each station, and of all balls. */
export function HoleOutDrawing({ spec, units }: DrawingProps) {
  const par = spec.stations.reduce((sum, station) => sum + (station.par ?? 2) * (Number.isFinite(station.balls) ? station.balls : 0), 0);
  return (
    <div className={plan.card}>
      <p className={plan.figure}>
        par <b className="fig">{par}</b>
      </p>
      <ol className={plan.list}>
        {spec.stations.map((station, i) => (
          <li key={station.key}>
            <span>
              {i + 1}. {drawable(station.distanceM) ? sayStation(station, units) : say(station.shotType)}
            </span>
            <b className="fig">{station.par ?? 2}</b>
          </li>
        ))}
      </ol>
    </div>
  );
}
