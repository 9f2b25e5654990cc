import { Button } from 'react-bootstrap';
import { useFormContext } from 'react-hook-form';
import type { Unscored } from '@/core/game/scoring/unscored';
import { TRAJECTORIES } from '@/core/golf/words';
import styles from '../designer/designer.module.scss';
import { TextField, useFault } from '../designer/parts';
import { useValue } from '../designer/values';

export function UnscoredFields({ path }: { path: string }) {
  const { setValue } = useFormContext();
  const { flights } = useValue<Unscored>(path);
  const fault = useFault(`${path}.flights`);
  return (
    <>
      <TextField path={`${path}.cue`} label="One thing to think of" hint="brush the grass" maxLength={80} />
      <fieldset className="mt-2">
        <legend className={styles.legend}>Flights, one after another at each station</legend>
        <div className={styles.chips}>
          {TRAJECTORIES.map((flight) => {
            const chosen = flights.includes(flight);
            return (
              <Button
                key={flight}
                size="sm"
                variant={chosen ? 'dark' : 'outline-dark'}
                aria-pressed={chosen}
                onClick={() =>
                  setValue(
                    `${path}.flights`,
                    TRAJECTORIES.filter((one) => flights.includes(one) !== (one === flight)),
                    { shouldDirty: true },
                  )
                }
              >
                {flight}
              </Button>
            );
          })}
        </div>
        {fault && (
          <p role="alert" className="text-danger fw-semibold">
            {fault}
          </p>
        )}
      </fieldset>
    </>
  );
}
