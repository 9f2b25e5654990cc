import { Form } from 'react-bootstrap';
import { useFormContext } from 'react-hook-form';
import { cellsOf, MATRIX_AXES, valuesOf, type ShotMatrix } from '@/core/game/scoring/shot-matrix';
import { say } from '@/core/golf/words';
import { toMetres } from '@/core/units/length';
import { FarField } from './far-field';
import { idOf, SeveralField } from '../designer/parts';
import plan from '../plan.module.scss';
import { useValue } from '../designer/values';

const AXIS_WORDS = { route: 'Bold or careful', trajectory: 'Flight', shape: 'Shape', swingWidth: 'Swing width' } as const;

/** Where a ball is not measured any more, until somebody says otherwise. */
const FAR_M = toMetres(30, 'ft');

export function ShotMatrixFields({ path }: { path: string }) {
  const { setValue, clearErrors } = useFormContext();
  const scoring = useValue<ShotMatrix>(path);
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
        <SeveralField key={axis} path={`${path}.${axis}`} legend={AXIS_WORDS[axis]} values={valuesOf(axis)} />
      ))}
      <p className="small-print">{cellsOf(scoring).length} different shots at each station</p>
    </>
  );
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
