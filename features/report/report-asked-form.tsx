'use client';

import { usePathname, useRouter } from 'next/navigation';
import { useTransition } from 'react';
import { Form } from 'react-bootstrap';
import { sayLevel } from '@/core/golf/level';
import type { ReportAsked } from '@/server/known/report';
import { useReady } from '../form/use-ready';
import { asReportQuery } from './asked';
import styles from './report.module.scss';

/** Of which days a report is, and against what; a squad's is against each one's own level. */
export function ReportAskedForm({ asked, levels = [], level }: { asked: ReportAsked; levels?: readonly number[]; level?: number }) {
  const ready = useReady();
  const router = useRouter();
  const path = usePathname();
  const [pending, start] = useTransition();
  const go = (change: Partial<ReportAsked>) =>
    start(() => router.replace(path + asReportQuery({ ...asked, ...change }), { scroll: false }));
  const all = [...new Set([...(level === undefined ? [] : [level]), ...levels])].sort((a, b) => a - b);
  return (
    <fieldset disabled={!ready} aria-busy={pending} className={styles.asked}>
      {(['from', 'to'] as const).map((name) => (
        <Form.Group key={name} controlId={`report-${name}`}>
          <Form.Label>{name === 'from' ? 'From' : 'To'}</Form.Label>
          <Form.Control
            type="date"
            defaultValue={asked[name]}
            key={asked[name]}
            onChange={({ target }) => {
              if (target.value) go({ [name]: target.value });
            }}
          />
        </Form.Group>
      ))}
      {level !== undefined && (
        <Form.Group controlId="report-against">
          <Form.Label>Against</Form.Label>
          <Form.Select
            value={asked.against === undefined ? '' : String(asked.against)}
            onChange={({ target: { value } }) => go({ against: value === '' ? undefined : value === 'squad' ? 'squad' : Number(value) })}
          >
            <option value="">their own level</option>
            <option value="squad">the squad’s average</option>
            {all.map((one) => (
              <option key={one} value={String(one)}>
                level {sayLevel(one)}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
      )}
    </fieldset>
  );
}
