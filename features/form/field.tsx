'use client';

import type { ReactNode } from 'react';
import { Form, type FormControlProps, type FormSelectProps } from 'react-bootstrap';
import { useFormContext, type UseFormRegisterReturn } from 'react-hook-form';

type Common = { id: string; label: ReactNode; error?: string | undefined; register: UseFormRegisterReturn; hint?: string };

/**
 * What a field starts with, as text, so that the page is right as it comes from the server and not only once its script
 * runs. Forms without a provider start empty.
 */
function useInitialText(name: string): string {
  const form = useFormContext() as ReturnType<typeof useFormContext> | null;
  const value: unknown = form?.getValues(name);
  return value === undefined || value === null || Number.isNaN(value) ? '' : String(value);
}

/** A text or number field with its label, and what is wrong with it right below. */
export function Field({
  id,
  label,
  error,
  register,
  hint,
  className,
  ...control
}: Common & Omit<FormControlProps, 'size'> & { maxLength?: number; autoComplete?: string; rows?: number }) {
  const initial = useInitialText(register.name);
  return (
    <Form.Group controlId={id} className={className}>
      <Form.Label>{label}</Form.Label>
      <Form.Control
        defaultValue={initial}
        {...control}
        {...register}
        isInvalid={error !== undefined}
        aria-describedby={error ? `${id}-error` : undefined}
      />
      {hint && !error && <div className="small-print mt-1">{hint}</div>}
      <Form.Control.Feedback type="invalid" id={`${id}-error`}>
        {error}
      </Form.Control.Feedback>
    </Form.Group>
  );
}

/** A choice of words. */
export function Choice({
  id,
  label,
  error,
  register,
  options,
  className,
  ...select
}: Omit<Common, 'hint'> & Omit<FormSelectProps, 'size'> & { options: readonly (readonly [value: string, text: string])[] }) {
  const initial = useInitialText(register.name);
  return (
    <Form.Group controlId={id} className={className}>
      <Form.Label>{label}</Form.Label>
      <Form.Select
        {...(select.value === undefined ? { defaultValue: initial } : {})}
        {...select}
        {...register}
        isInvalid={error !== undefined}
        aria-describedby={error ? `${id}-error` : undefined}
      >
        {options.map(([value, text]) => (
          <option key={value} value={value}>
            {text}
          </option>
        ))}
      </Form.Select>
      <Form.Control.Feedback type="invalid" id={`${id}-error`}>
        {error}
      </Form.Control.Feedback>
    </Form.Group>
  );
}
