import { ROTATIONS, type Rotation } from '@/core/play/whose';
import { Chips } from '../session/chips';

const WORDS: Readonly<Record<Rotation, string>> = { ball: 'each ball', station: 'each station', own: 'own pace' };

type Props = { rotation: Rotation; onRotation: (rotation: Rotation) => void };

/** How several players take turns on this device. */
export function WhoIsNext({ rotation, onRotation }: Props) {
  return <Chips label="Taking turns" options={ROTATIONS} value={rotation} name={(one) => WORDS[one]} onChange={onRotation} />;
}
