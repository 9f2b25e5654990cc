import type { UseFormRegisterReturn } from 'react-hook-form';
import { PASSWORD_LEAST } from '@/core/people/account';
import { Field } from '../form/field';

type Props = { register: UseFormRegisterReturn; error: string | undefined; id?: string; label?: string; isNew?: boolean };

/** A password: the one that holds, or a new one with what it has to be. */
export function PasswordField({ register, error, id = register.name, label = 'Password', isNew = false }: Props) {
  return (
    <Field
      id={id}
      label={label}
      type="password"
      autoComplete={isNew ? 'new-password' : 'current-password'}
      register={register}
      error={error}
      {...(isNew ? { hint: `At least ${PASSWORD_LEAST} characters, and not a common password.` } : {})}
    />
  );
}
