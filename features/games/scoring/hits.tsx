import { ZoneField } from '../designer/parts';

export function HitsFields({ path }: { path: string }) {
  return <ZoneField path={`${path}.radiusM`} label="A hit is inside" />;
}
