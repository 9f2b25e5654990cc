import type { Bundle } from '@/core/exchange/bundle';
import type { Table } from '@/core/play/play';
import type { Rotation } from '@/core/play/whose';
import type { Shot } from '@/core/shot/shot';

/** What every panel about the session is given. */
export type MenuProps = {
  bundle: Bundle;
  table: Table;
  shots: Shot[];
  seat: number;
  rotation: Rotation;
  onRotation: (rotation: Rotation) => void;
  onClose: () => void;
};
