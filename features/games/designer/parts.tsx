'use client';

import { Button, Form } from 'react-bootstrap';
import { Controller, get, useFormContext, type FieldError } from 'react-hook-form';
import { isBodyMeasure, saySizeUnit, unitM } from '@/core/game/sizes';
import { say } from '@/core/golf/words';
import type { LengthUnit } from '@/core/units/length';
import { LengthInput } from '@/ui/length-input';
import { Choice, Field } from '../../form/field';
import { asNumber } from '../../form/numbers';
import styles from './designer.module.scss';
import { usePart, useValue } from './values';

/*
 * The fields of the designer, each by the dotted path of what it changes: the same field serves the game and a phase of
 * it. What is wrong stands beside it.
 */

/** A path as an id of the page: "scoring.rings.0.points" is "scoring-rings-0-points". */
export const idOf = (path: string) => path.replaceAll('.', '-');

/** The sentence beside a field, if there is one. */
export function useFault(path: string): string | undefined {
  const { formState } = useFormContext();
  const error = get(formState.errors, path) as (FieldError & { root?: FieldError }) | undefined;
  return error?.message ?? error?.root?.message;
}

type Common = { path: string; label: React.ReactNode; hint?: string; className?: string | undefined };

/** A number as it is typed; empty is none. */
export function NumberField({ path, label, hint, className, placeholder }: Common & { placeholder?: string }) {
  const { register } = useFormContext();
  return (
    <Field
      id={idOf(path)}
      label={label}
      inputMode="decimal"
      autoComplete="off"
      className={className}
      {...(placeholder ? { placeholder } : {})}
      {...(hint ? { hint } : {})}
      register={register(path, { setValueAs: asNumber })}
      error={useFault(path)}
    />
  );
}

/** A text; where it may be left out, the empty one is none. */
export function TextField({
  path,
  label,
  hint,
  className,
  maxLength,
  optional = false,
  rows,
}: Common & { maxLength: number; optional?: boolean; rows?: number }) {
  const { register } = useFormContext();
  const read = (value: string | null) => (value === '' && optional ? null : value);
  return (
    <Field
      id={idOf(path)}
      label={label}
      autoComplete="off"
      maxLength={maxLength}
      className={className}
      {...(rows ? { as: 'textarea' as const, rows } : {})}
      {...(hint ? { hint } : {})}
      register={register(path, { setValueAs: read })}
      error={useFault(path)}
    />
  );
}

type Options = readonly (readonly [value: string, text: string])[];

/** A choice of words; the empty one is none. */
export function ChoiceField({ path, label, options, className, onChange }: Common & { options: Options; onChange?: () => void }) {
  const { register } = useFormContext();
  return (
    <Choice
      id={idOf(path)}
      label={label}
      options={options}
      className={className}
      register={register(path, { setValueAs: (value: string | null) => value || null, ...(onChange ? { onChange } : {}) })}
      error={useFault(path)}
    />
  );
}

/** Yes or no. */
export function Toggle({ path, label, hint }: Common) {
  const { control } = useFormContext();
  const fault = useFault(path);
  return (
    <Controller
      control={control}
      name={path}
      render={({ field }) => (
        <Form.Check id={idOf(path)} type="switch">
          <Form.Check.Input
            type="checkbox"
            checked={field.value === true}
            onChange={(event) => field.onChange(event.target.checked)}
            onBlur={field.onBlur}
            ref={field.ref}
            isInvalid={fault !== undefined}
            aria-describedby={fault ? `${idOf(path)}-error` : undefined}
          />
          <Form.Check.Label>{label}</Form.Check.Label>
          {hint && !fault && <div className="small-print">{hint}</div>}
          {fault && (
            <div className="invalid-feedback d-block" id={`${idOf(path)}-error`}>
              {fault}
            </div>
          )}
        </Form.Check>
      )}
    />
  );
}

/** Several of a few words, in their own order: a press puts one in or takes it out. */
export function SeveralField({ path, legend, values }: { path: string; legend: string; values: readonly string[] }) {
  const { setValue, clearErrors } = useFormContext();
  const chosen = useValue<readonly string[]>(path);
  const fault = useFault(path);
  return (
    <fieldset className="mb-2">
      <legend className={styles.legend}>{legend}</legend>
      <div className={styles.chips}>
        {values.map((value) => (
          <Button
            key={value}
            size="sm"
            variant={chosen.includes(value) ? 'dark' : 'outline-dark'}
            aria-pressed={chosen.includes(value)}
            onClick={() => {
              clearErrors(path);
              setValue(
                path,
                values.filter((one) => chosen.includes(one) !== (one === value)),
                { shouldDirty: true },
              );
            }}
          >
            {say(value)}
          </Button>
        ))}
      </div>
      {fault && (
        <p role="alert" className="text-danger fw-semibold mb-1">
          {fault}
        </p>
      )}
    </fieldset>
  );
}

/** A length in some unit, kept in metres. */
export function LengthField({ path, label, hint, className, unit }: Common & { unit: React.ComponentProps<typeof LengthInput>['unit'] }) {
  const { control } = useFormContext();
  const fault = useFault(path);
  return (
    <Controller
      control={control}
      name={path}
      render={({ field }) => (
        <LengthInput
          id={idOf(path)}
          label={typeof label === 'string' ? label : ''}
          unit={unit}
          value={field.value as number | null}
          onChange={field.onChange}
          onBlur={field.onBlur}
          inputRef={field.ref}
          error={fault}
          {...(className ? { className } : {})}
          {...(hint ? { hint } : {})}
        />
      )}
    />
  );
}

/** The unit in which the zones of this game are typed: feet, metres, or somebody's stick. */
export function useZoneUnit(): LengthUnit | { word: string; metres: number } {
  const sizes = usePart('sizes');
  return isBodyMeasure(sizes.unit) ? { word: saySizeUnit(sizes.unit), metres: unitM(sizes) } : (sizes.unit as 'ft' | 'm');
}

/** Feet, or metres where the game is in metres: for distances that nobody measures with a stick. */
export function usePlainUnit(): LengthUnit {
  const sizes = usePart('sizes');
  return sizes.unit === 'm' ? 'm' : 'ft';
}

/** The radius of a zone round the hole; 0 is the hole itself where that makes sense. */
export function ZoneField({ path, label, holeToo = true }: { path: string; label: string; holeToo?: boolean }) {
  const unit = useZoneUnit();
  const value = useValue<number | null>(path);
  const hint = !holeToo ? '' : value === 0 ? 'only in the hole counts' : '0 is the hole itself';
  return <LengthField path={path} label={label} unit={unit} hint={hint} />;
}
