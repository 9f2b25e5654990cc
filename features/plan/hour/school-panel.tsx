'use client';

import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { PRESETS, schoolSchema, type School } from '@/core/hour/school';
import { newId } from '../../form/ids';
import { useReady } from '../../form/use-ready';
import { NOT_SENT } from '../../form/use-save';
import { saveSchoolAction } from './actions';
import styles from './hour.module.scss';

export type OwnSchool = { schoolId: string; school: School };
type Props = { slug: string; school: School; own: readonly OwnSchool[]; onChange: (school: School) => void };

const SAY = {
  repetition: { none: 'none', small: 'a fifth of the time', growing: 'more each week' },
  begins: { easy: 'easy shots', awkward: 'awkward shots' },
  attempts: { first: 'first tries only', until_works: 'again until it works' },
  aims: { landing: 'where it lands', finish: 'where it finishes' },
} as const;

/** How the hour is divided: a school, with its reason and what it costs; each point on which schools disagree can be changed and kept as one's own. */
export function SchoolPanel({ slug, school, own: kept, onChange }: Props) {
  const ready = useReady();
  const [own, setOwn] = useState(kept);
  const [said, setSaid] = useState<string | null>(null);
  const preset = PRESETS.find((one) => one.school.name === school.name);
  const mine = own.find((one) => one.school.name === school.name);
  const set = (change: Partial<School>) => {
    const next = { ...school, ...change };
    // What was changed is nobody's ready school any more.
    onChange(preset && next.name === preset.school.name ? { ...next, name: `${preset.school.name}, changed` } : next);
  };
  const choose = <Name extends keyof typeof SAY>(name: Name, label: string) => (
    <Form.Group controlId={`school-${name}`}>
      <Form.Label>{label}</Form.Label>
      <Form.Select size="sm" value={school[name]} onChange={(event) => set({ [name]: event.target.value })}>
        {Object.entries(SAY[name]).map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </Form.Select>
    </Form.Group>
  );
  const keep = async (away: boolean) => {
    const read = schoolSchema.safeParse(school);
    if (!read.success) return setSaid(read.error.issues[0]!.message);
    const schoolId = mine?.schoolId ?? newId();
    const answer = await saveSchoolAction(slug, schoolId, away ? null : read.data).catch(() => null);
    if (!answer?.ok) return setSaid(answer ? (Object.values(answer.fields)[0] ?? NOT_SENT) : NOT_SENT);
    const others = own.filter((one) => one.schoolId !== schoolId);
    setOwn(away ? others : [...others, { schoolId, school: read.data }]);
    setSaid(away ? 'Removed.' : 'Kept.');
  };
  return (
    <section className={`${styles.school} no-print`}>
      <Form.Group controlId="school" className={styles.schoolChoice}>
        <Form.Label>How the time is divided</Form.Label>
        <Form.Select
          disabled={!ready}
          value={preset || mine ? school.name : ''}
          onChange={({ target: { value } }) => {
            const found = [...PRESETS, ...own].find((one) => one.school.name === value);
            if (found) onChange(found.school);
          }}
        >
          {!preset && !mine && <option value="">{school.name}</option>}
          {PRESETS.map(({ key, school: { name } }) => (
            <option key={key}>{name}</option>
          ))}
          {own.length > 0 && (
            <optgroup label="Your own">
              {own.map(({ schoolId, school: { name } }) => (
                <option key={schoolId}>{name}</option>
              ))}
            </optgroup>
          )}
        </Form.Select>
        {preset && (
          <p className="mt-1 mb-0">
            {preset.reason} <span className="small-print">{preset.cost}</span>
          </p>
        )}
      </Form.Group>
      <details>
        <summary>Change it</summary>
        <div className={styles.schoolFields}>
          {choose('repetition', 'Blocked practice')}
          {school.repetition === 'growing' && (
            <Form.Group controlId="school-weeks">
              <Form.Label>Weeks so far</Form.Label>
              <Form.Control
                size="sm"
                type="number"
                min={0}
                max={12}
                value={school.weeks}
                onChange={(event) => set({ weeks: Math.min(12, Math.max(0, Math.round(Number(event.target.value)))) })}
              />
            </Form.Group>
          )}
          {choose('begins', 'Begin with')}
          {choose('attempts', 'Tries')}
          {choose('aims', 'Work first on')}
          <Form.Check
            type="checkbox"
            id="school-again"
            label="The same test before and after"
            checked={school.again}
            onChange={(event) => set({ again: event.target.checked })}
          />
          <Form.Group controlId="school-name">
            <Form.Label>Name</Form.Label>
            <Form.Control
              size="sm"
              maxLength={40}
              value={school.name}
              onChange={(event) => onChange({ ...school, name: event.target.value })}
            />
          </Form.Group>
          <div className="d-flex gap-2 align-items-end">
            <Button size="sm" variant="outline-dark" disabled={preset !== undefined} onClick={() => void keep(false)}>
              Keep as your own
            </Button>
            {mine && (
              <Button size="sm" variant="outline-dark" onClick={() => void keep(true)}>
                Remove
              </Button>
            )}
            <span role="status" className="small-print">
              {said}
            </span>
          </div>
        </div>
      </details>
    </section>
  );
}
