import { Button } from 'react-bootstrap';
import { useFormContext, useWatch } from 'react-hook-form';
import styles from '../designer/designer.module.scss';
import { TextField, useFault } from '../designer/parts';
import { FarField } from './far-field';

export function ClubTrialFields({ path }: { path: string }) {
  const { setValue, getValues, trigger } = useFormContext();
  const clubs = useWatch({ name: `${path}.clubs` }) as string[];
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
              onClick={() => change((getValues(`${path}.clubs`) as string[]).filter((_club, at) => at !== i))}
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
