import { Button } from 'react-bootstrap';
import { useFieldArray, useFormContext } from 'react-hook-form';
import { MOST_RINGS, type RingPoints } from '@/core/game/scoring/ring-points';
import { freshKey } from '@/core/game/spec';
import { METRES_PER, snap } from '@/core/units/length';
import styles from '../designer/designer.module.scss';
import { LengthField, NumberField, useFault, useZoneUnit } from '../designer/parts';
import { valueOf } from '../designer/values';

/** The rings from the hole outwards, what each is worth, and what holing is worth. */
export function RingPointsFields({ path }: { path: string }) {
  const { control, getValues } = useFormContext();
  const { fields, append, remove } = useFieldArray({ control, name: `${path}.rings`, keyName: 'fieldId' });
  const unit = useZoneUnit();
  const problem = useFault(`${path}.rings`);
  const oneM = typeof unit === 'string' ? METRES_PER[unit] : unit.metres;

  const addRing = () => {
    const rings = valueOf<RingPoints['rings']>(getValues, `${path}.rings`);
    const last = rings.at(-1);
    const keys = rings.map((ring) => ring.key);
    const wider = oneM * (unit === 'ft' ? 3 : 1);
    append({ key: freshKey('r', keys), radiusM: snap((last?.radiusM || 0) + wider), points: Math.max(0, (last?.points || 1) - 1) });
  };

  return (
    <div>
      <div className={styles.ringHead} aria-hidden="true">
        <span />
        <span>From the hole, {typeof unit === 'string' ? (unit === 'm' ? 'metres' : 'feet') : unit.word}</span>
        <span>Points</span>
      </div>
      <div className={styles.ring}>
        <span className={styles.ringName}>Holed</span>
        <span className={styles.centre}>in the hole</span>
        <NumberField path={`${path}.holedPoints`} label="Points" />
      </div>
      {fields.map((field, i) => (
        <div key={field.fieldId} className={styles.ring}>
          <span className={styles.ringName}>Ring {i + 1}</span>
          <LengthField path={`${path}.rings.${i}.radiusM`} label="From the hole" unit={unit} />
          <NumberField path={`${path}.rings.${i}.points`} label="Points" />
          <Button variant="outline-dark" size="sm" className={styles.ringRemove} onClick={() => remove(i)}>
            Remove<span className="visually-hidden"> ring {i + 1}</span>
          </Button>
        </div>
      ))}
      {problem && (
        <p role="alert" className="text-danger fw-semibold">
          {problem}
        </p>
      )}
      <Button variant="outline-dark" size="sm" disabled={fields.length >= MOST_RINGS} onClick={addRing}>
        Add ring
      </Button>
    </div>
  );
}
