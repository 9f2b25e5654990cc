'use client';

import { usePathname, useRouter } from 'next/navigation';
import { Form } from 'react-bootstrap';
import styles from './players.module.scss';

type Props = { level: number; ownLevel: number; levels: readonly number[]; inside: number; unit: 'ft' | 'm' };

const INSIDE = { ft: [2, 3, 4, 6, 8, 10, 15], m: [0.5, 1, 1.5, 2, 3, 5] } as const;

/** Against which level, and inside which distance: kept in the address, so that a view can be sent and printed. */
export function TableChoices({ level, ownLevel, levels, inside, unit }: Props) {
  const router = useRouter();
  const path = usePathname();
  const go = (change: { level?: string; inside?: string }) => {
    const next = { level: String(level), inside: String(inside), ...change };
    router.replace(`${path}?${new URLSearchParams(next)}`, { scroll: false });
  };
  const offered = [...new Set([ownLevel, level, ...levels])].sort((a, b) => a - b);
  return (
    <div className={`${styles.choices} no-print`}>
      <Form.Group controlId="level">
        <Form.Label>Against</Form.Label>
        <Form.Select value={level} onChange={(event) => go({ level: event.target.value })}>
          {offered.map((one) => (
            <option key={one} value={one}>
              level {one}
              {one === ownLevel ? ', their own' : ''}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      <Form.Group controlId="inside">
        <Form.Label>Share inside</Form.Label>
        <Form.Select value={inside} onChange={(event) => go({ inside: event.target.value })}>
          {[...new Set([...INSIDE[unit], inside])]
            .sort((a, b) => a - b)
            .map((one) => (
              <option key={one} value={one}>
                {one} {unit}
              </option>
            ))}
        </Form.Select>
      </Form.Group>
    </div>
  );
}
