'use client';

import { Form } from 'react-bootstrap';
import { CHOICES, fieldNamed, fieldsOf, NEEDED } from '@/core/imports/fields';
import { LENGTH_UNITS, type Mapping, type TableUnit } from '@/core/imports/mapping';
import { capital } from '@/core/units/format';
import styles from './imports.module.scss';

type Props = {
  names: readonly string[];
  examples: readonly string[];
  mapping: Mapping;
  /** Lengths of which nobody knows the unit. */
  unitless: readonly string[];
  onChange: (mapping: Mapping) => void;
};

const SAY_UNIT: Readonly<Record<TableUnit, string>> = {
  ft: 'feet',
  yd: 'yards',
  m: 'metres',
  in: 'inches',
  cm: 'centimetres',
  paces: 'paces',
  clubs: 'club-lengths',
};

/** What each column of a file means, and in which unit its lengths are. */
export function ColumnTable({ names, examples, mapping, unitless, onChange }: Props) {
  const { kind, columns, units } = mapping;
  const fields = fieldsOf(kind);
  const meaning = (column: number) => Object.entries(columns).find(([, at]) => at === column)?.[0] ?? '';
  const mean = (column: number, name: string) => {
    const rest = Object.fromEntries(Object.entries(columns).filter(([other, at]) => at !== column && other !== name));
    const { [name]: _said, ...all } = mapping.all;
    onChange({ ...mapping, columns: name ? { ...rest, [name]: column } : rest, all });
  };
  return (
    <table className={styles.columns} aria-label="Columns of the file">
      <thead>
        <tr>
          <th scope="col">Column</th>
          <th scope="col">Means</th>
        </tr>
      </thead>
      <tbody>
        {names.map((column, i) => {
          const name = meaning(i);
          const isLength = fieldNamed(kind, name)?.reads === 'length';
          return (
            <tr key={i} className={name ? undefined : styles.unused}>
              <th scope="row">
                {column}
                <small>{examples[i] ? `“${examples[i].slice(0, 40)}”` : 'empty'}</small>
              </th>
              <td>
                <Form.Select size="sm" aria-label={`What “${column}” means`} value={name} onChange={({ target }) => mean(i, target.value)}>
                  <option value="">Leave it out</option>
                  <optgroup label="Every row needs">{fields.filter((field) => NEEDED[kind].includes(field.name)).map(option)}</optgroup>
                  <optgroup label="And if you have it">{fields.filter((field) => !NEEDED[kind].includes(field.name)).map(option)}</optgroup>
                </Form.Select>
                {isLength && (
                  <Form.Select
                    size="sm"
                    aria-label={`Unit of “${column}”`}
                    value={units[name] ?? ''}
                    isInvalid={unitless.includes(name)}
                    onChange={({ target }) => {
                      const { [name]: _before, ...rest } = units;
                      onChange({ ...mapping, units: target.value ? { ...rest, [name]: target.value as TableUnit } : rest });
                    }}
                  >
                    <option value="">{unitless.includes(name) ? 'Which unit?' : 'as each cell says'}</option>
                    {LENGTH_UNITS.map((unit) => (
                      <option key={unit} value={unit}>
                        {SAY_UNIT[unit]}
                      </option>
                    ))}
                  </Form.Select>
                )}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

const option = ({ name, label }: { name: string; label: string }) => (
  <option key={name} value={name}>
    {label}
  </option>
);

/** What no column says, and can be the same in all rows. */
export function ForAllRows({
  mapping,
  players,
  games,
  onChange,
}: Pick<Props, 'mapping' | 'onChange'> & { players: readonly string[]; games: readonly string[] }) {
  const { kind, columns, all } = mapping;
  const asked = [...NEEDED[kind], ...(kind === 'balls' ? ['surface'] : ['unit'])].filter((name) => columns[name] === undefined);
  if (asked.length === 0) return null;
  const set = (name: string, value: string) => {
    const { [name]: _before, ...rest } = all;
    onChange({ ...mapping, all: value ? { ...rest, [name]: value } : rest });
  };
  return (
    <fieldset className={styles.forAll}>
      <legend>The same in all rows</legend>
      {asked.map((name) => {
        const { label, reads } = fieldNamed(kind, name)!;
        const id = `all-${name}`;
        const choices = CHOICES[name];
        const list = name === 'player' ? players : name === 'game' ? games : null;
        return (
          <Form.Group key={name} controlId={id}>
            <Form.Label>{label}</Form.Label>
            {choices ? (
              <Form.Select size="sm" value={all[name] ?? ''} onChange={({ target }) => set(name, target.value)}>
                <option value="">{name === 'surface' ? 'as the shot says' : 'Choose'}</option>
                {choices.map(([word, text]) => (
                  <option key={word} value={word}>
                    {capital(text)}
                  </option>
                ))}
              </Form.Select>
            ) : (
              <>
                <Form.Control
                  size="sm"
                  type={reads === 'when' ? 'date' : 'text'}
                  value={all[name] ?? ''}
                  maxLength={60}
                  placeholder={reads === 'length' ? 'such as 10 ft' : undefined}
                  list={list ? `${id}-list` : undefined}
                  onChange={({ target }) => set(name, target.value)}
                />
                {list && (
                  <datalist id={`${id}-list`}>
                    {list.map((one) => (
                      <option key={one} value={one} />
                    ))}
                  </datalist>
                )}
              </>
            )}
          </Form.Group>
        );
      })}
    </fieldset>
  );
}
