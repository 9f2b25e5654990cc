import { Form } from 'react-bootstrap';
import { useFormContext } from 'react-hook-form';
import { sayAtStation, sayStation } from '@/core/game/words/say-station';
import { LANDING_SHAPES, type LandingZone } from '@/core/game/scoring/landing-zone';
import { sayRadius, sizeStepM } from '@/core/game/sizes';
import { METRES_PER } from '@/core/units/length';
import { LandingPlan } from '@/ui/landing-plan';
import styles from '../designer/designer.module.scss';
import { ChoiceField, idOf, ZoneField } from '../designer/parts';
import plan from '../plan.module.scss';
import { drawable, type DrawingProps } from './zones-plan';
import { useValue } from '../designer/values';

export function LandingZoneFields({ path }: { path: string }) {
  const { setValue } = useFormContext();
  const finishM = useValue<number | null>(`${path}.finishM`);
  const shape = useValue<(typeof LANDING_SHAPES)[number]>(`${path}.shape`);
  const size = { circle: 'Radius of the circle', strip: 'Each side of the line', peg: 'Radius round the peg' }[shape];
  return (
    <>
      <div className={styles.pair}>
        <ChoiceField path={`${path}.shape`} label="Landing zone" options={LANDING_SHAPES.map((word) => [word, word])} />
        <ZoneField path={`${path}.sizeM`} label={size} holeToo={false} />
      </div>
      <Form.Check
        type="switch"
        id={`${idOf(path)}-finish`}
        className="my-2"
        label="It must also finish near the hole"
        checked={finishM !== null}
        onChange={(event) => setValue(`${path}.finishM`, event.target.checked ? 1.8288 : null, { shouldDirty: true })}
      />
      {finishM !== null && <ZoneField path={`${path}.finishM`} label="Finish inside" holeToo={false} />}
    </>
  );
}

/** One station from above: where to land, and where to finish. */
export function LandingZoneDrawing({ spec, scoring, units, chosen, onChange }: DrawingProps & { scoring: LandingZone }) {
  const { sizes } = spec;
  const set = (path: string) => (metres: number) => onChange?.(path, metres);
  const drag = onChange !== undefined;
  const says = (metres: number) => sayRadius(metres, sizes, units);
  const stepM = sizeStepM(sizes);
  const station = chosen ?? spec.stations[0];
  const at = spec.stations.findIndex((one) => one.key === station?.key);
  if (!station || !drawable(station.distanceM) || !drawable(station.carryM) || !drawable(scoring.sizeM)) return null;
  const finishM = drawable(scoring.finishM) ? scoring.finishM : null;
  const carrySays = sayAtStation(station.carryM, station, units);
  const carryStep = station.distanceUnit === 'm' ? 0.5 : METRES_PER.ft * (station.distanceUnit === 'ft' ? 1 : 1.5);
  return (
    <div className={plan.landing}>
      <LandingPlan
        label={`Station ${at + 1}, ${sayStation(station, units)}, from above: lands at ${carrySays}`}
        distanceM={station.distanceM}
        carryM={station.carryM}
        shape={scoring.shape}
        sizeM={scoring.sizeM}
        finishM={finishM}
        {...(drag
          ? {
              carry: { name: `Lands at, station ${at + 1}`, says: carrySays, stepM: carryStep, onMove: set(`stations.${at}.carryM`) },
              size: { name: 'Edge of the landing zone', says: says(scoring.sizeM), stepM, onMove: set('scoring.sizeM') },
              ...(finishM === null
                ? {}
                : { finish: { name: 'Edge of the zone to finish in', says: says(finishM), stepM, onMove: set('scoring.finishM') } }),
            }
          : { figures: { carry: carrySays, size: says(scoring.sizeM), finish: finishM === null ? null : says(finishM) } })}
      />
      <p className="small-print mt-1">
        Station {at + 1}, {sayStation(station, units)}.{drag && ' Open another station to see its plan.'}
      </p>
    </div>
  );
}
