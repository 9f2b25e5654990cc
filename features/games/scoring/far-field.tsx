import { LengthField, usePlainUnit } from '../designer/parts';

/** How far out balls are measured. */
export function FarField({ path }: { path: string }) {
  return <LengthField path={`${path}.farM`} label="Not measured, and counted as, outside" unit={usePlainUnit()} />;
}
