import { TRAJECTORIES } from '@/core/golf/words';
import { SeveralField, TextField } from '../designer/parts';

export function UnscoredFields({ path }: { path: string }) {
  return (
    <>
      <TextField path={`${path}.cue`} label="Swing thought" hint="brush the grass" maxLength={80} className="mb-2" />
      <SeveralField path={`${path}.flights`} legend="Flights, one after another at each station" values={TRAJECTORIES} />
    </>
  );
}
