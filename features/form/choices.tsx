import type { UseFormRegisterReturn } from 'react-hook-form';
import { Choice } from './field';

type Props = { id: string; label: string; register: UseFormRegisterReturn; error?: string | undefined };

/** In which units lengths are read. */
export function UnitsChoice(props: Props) {
  return (
    <Choice
      {...props}
      options={[
        ['imperial', 'yards and feet'],
        ['metric', 'metres'],
      ]}
    />
  );
}

/** With which hand somebody plays. */
export function HandChoice(props: Props) {
  return (
    <Choice
      {...props}
      options={[
        ['right', 'right-handed'],
        ['left', 'left-handed'],
      ]}
    />
  );
}
