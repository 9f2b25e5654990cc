import { Button } from 'react-bootstrap';
import { useFormContext } from 'react-hook-form';
import { cellsOf, MATRIX_AXES, valuesOf, type ShotMatrix } from '@/core/game/scoring/shot-matrix';
import { say } from '@/core/golf/words';
import styles from '../designer/designer.module.scss';
import { useFault } from '../designer/parts';
import plan from '../plan.module.scss';
import { useValue } from '../designer/values';

const AXIS_WORDS = { trajectory: 'Flight', shape: 'Shape', swingWidth: 'Swing width' } as const;

export function ShotMatrixFields({ path }: { path: string }) {
  const { setValue, clearErrors } = useFormContext();
  const scoring = useValue<ShotMatrix>(path);
  const fault = useFault(`${path}.trajectory`);
  return (
    <>
      {MATRIX_AXES.map((axis) => (
        <fieldset key={axis} className="mb-2">
          <legend className={styles.legend}>{AXIS_WORDS[axis]}</legend>
          <div className={styles.chips}>
            {valuesOf(axis).map((value) => {
              const chosen = (scoring[axis] as readonly string[]).includes(value);
              const next = valuesOf(axis).filter((one) => (one === value) !== (scoring[axis] as readonly string[]).includes(one));
              return (
                <Button
                  key={value}
                  size="sm"
                  variant={chosen ? 'dark' : 'outline-dark'}
                  aria-pressed={chosen}
                  onClick={() => {
                    clearErrors(path);
                    setValue(`${path}.${axis}`, next, { shouldDirty: true });
                  }}
                >
                  {say(value)}
                </Button>
              );
            })}
          </div>
          <AxisFault path={`${path}.${axis}`} skip={axis === 'trajectory'} />
        </fieldset>
      ))}
      {fault && (
        <p role="alert" className="text-danger fw-semibold">
          {fault}
        </p>
      )}
      <p className="small-print">{cellsOf(scoring).length} different shots at each station</p>
    </>
  );
}

function AxisFault({ path, skip }: { path: string; skip: boolean }) {
  const fault = useFault(path);
  return fault && !skip ? <p className="text-danger fw-semibold mb-1">{fault}</p> : null;
}

/** Every shot of the matrix. */
export function ShotMatrixDrawing({ scoring }: { scoring: ShotMatrix }) {
  return (
    <div className={plan.card}>
      <ul className={plan.cells} aria-label="The shots of the matrix">
        {cellsOf(scoring).map((cell, i) => (
          <li key={i}>
            {Object.values(cell)
              .map((word) => say(word!))
              .join(' ')}
          </li>
        ))}
      </ul>
    </div>
  );
}
