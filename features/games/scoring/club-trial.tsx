import { Button } from 'react-bootstrap';
import { useFormContext } from 'react-hook-form';
import styles from '../designer/designer.module.scss';
import { TextField, useFault } from '../designer/parts';
import { FarField } from './far-field';
import { useValue, valueOf } from '../designer/values';

export function ClubTrialFields({ path }: { path: string }) {
  const { setValue, getValues, trigger } = useFormContext();
  const clubs = useValue<string[]>(`${path}.clubs`);
  const fault = useFault(`${path}.clubs`);
  const change = (next: string[]) => {
    setValue(`${path}.clubs`, next, { shouldDirty: true });
    if (fault) void trigger(path);
  };
  return (
    <>
      <p className="small-print mb-1">From the longest to the shortest: those that follow each other are neighbours.</p>
      <ol className={styles.clubs}>
        {clubs.map((_, i) => (
          <li key={i}>
            <TextField path={`${path}.clubs.${i}`} label={`Club ${i + 1}`} maxLength={20} />
            <Button
              size="sm"
              variant="outline-dark"
              onClick={() => change(valueOf<string[]>(getValues, `${path}.clubs`).filter((_club, at) => at !== i))}
            >
              Remove<span className="visually-hidden"> club {i + 1}</span>
            </Button>
          </li>
        ))}
      </ol>
      {fault && (
        <p role="alert" className="text-danger fw-semibold">
          {fault}
        </p>
      )}
      <Button size="sm" variant="outline-dark" className="mb-2" disabled={clubs.length >= 14} onClick={() => change([...clubs, ''])}>
        Add club
      </Button>
      <FarField path={path} />
    </>
  );
}
