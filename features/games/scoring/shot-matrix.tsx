import { Button, Form } from 'react-bootstrap';
import { useFormContext } from 'react-hook-form';
import { cellsOf, MATRIX_AXES, valuesOf, type ShotMatrix } from '@/core/game/scoring/shot-matrix';
import { say } from '@/core/golf/words';
import { toMetres } from '@/core/units/length';
import { FarField } from './far-field';
import styles from '../designer/designer.module.scss';
import { idOf, useFault } from '../designer/parts';
import plan from '../plan.module.scss';
import { useValue } from '../designer/values';

const AXIS_WORDS = { route: 'Bold or careful', trajectory: 'Flight', shape: 'Shape', swingWidth: 'Swing width' } as const;

/** Where a ball is not measured any more, until somebody says otherwise. */
const FAR_M = toMetres(30, 'ft');

export function ShotMatrixFields({ path }: { path: string }) {
  const { setValue, clearErrors } = useFormContext();
  const scoring = useValue<ShotMatrix>(path);
  const fault = useFault(`${path}.trajectory`);
  const measured = scoring.farM !== null;
  const compare = (by: string) => {
    clearErrors(path);
    const { farM, route } = by === 'left' ? { farM: FAR_M, route: scoring.route } : { farM: null, route: [] };
    setValue(path, { ...scoring, farM, route }, { shouldDirty: true });
    setValue('goal', null);
  };
  return (
    <>
      <Form.Group controlId={`${idOf(path)}-compared`} className="mb-2">
        <Form.Label>What counts</Form.Label>
        <Form.Select value={measured ? 'left' : 'asked'} onChange={(event) => compare(event.target.value)}>
          <option value="asked">shots that did what was asked</option>
          <option value="left">what each left to the hole</option>
        </Form.Select>
      </Form.Group>
      {measured && <FarField path={path} />}
      {MATRIX_AXES.filter((axis) => measured || axis !== 'route').map((axis) => (
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
