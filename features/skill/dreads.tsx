'use client';

import { sayStrokes, type StrokesAs } from '@/core/units/strokes';
import { useState, useTransition } from 'react';
import { Alert, Button, Form } from 'react-bootstrap';
import { useForm } from 'react-hook-form';
import type { Finding } from '@/core/skill/diagnose';
import { kindsOf } from '@/core/board/kinds';
import { sayShots } from '@/core/board/say-cell';
import { counted } from '@/core/units/format';
import { saveDreadsAction } from './actions';
import styles from './skill.module.scss';

type Row = Pick<Finding, 'shotType' | 'surface' | 'balls' | 'uses' | 'perShot'>;
type Props = { slug: string; playerId: string; dreads: Record<string, number>; findings: readonly Row[]; strokes: StrokesAs };

const WORDS = ['', 'likes it', 'at ease', 'neither', 'uneasy', 'dreads it'] as const;
/** From here on a shot is dreaded. */
const DREADED = 4;

/** The player's own rating of shots, beside what the records say of them. */
export function Dreads({ slug, playerId, dreads, findings, strokes }: Props) {
  const [kept, setKept] = useState(dreads);
  const [error, setError] = useState<string | null>(null);
  const [pending, start] = useTransition();
  const kinds = kindsOf(
    findings.map((row) => ({ ...row, key: '', distanceM: 0, inRound: true, band: { min: 0, max: null, unit: 'ft' as const } })),
  );
  const { register, handleSubmit } = useForm({ defaultValues: { shots: kinds[0]?.key ?? '', rating: '5' } });
  const keep = (next: Record<string, number>) => {
    const before = kept;
    setKept(next);
    start(async () => {
      const result = await saveDreadsAction(slug, playerId, next).catch(() => null);
      if (!result?.ok) {
        setKept(before);
        setError('Not saved: no connection. Try again.');
      } else setError(null);
    });
  };
  const rated = kinds.filter(({ key }) => kept[key] !== undefined).sort((a, b) => kept[b.key]! - kept[a.key]!);
  return (
    <section>
      <h3>Dreaded shots, by the player’s own rating</h3>
      {rated.length === 0 && <p className="small-print">Ask which shots the player dreads, and compare with the records.</p>}
      {rated.map(({ key, shotType, surface, cells }) => (
        <div key={key} className={styles.dread}>
          <span>
            <b>{sayShots({ shotType, surface })}</b>: {WORDS[kept[key]!]}.{' '}
            {sayRecords(
              cells.map((i) => findings[i]!),
              kept[key]!,
              strokes,
            )}
          </span>
          <Button
            variant="link"
            size="sm"
            aria-label={`Take ${sayShots({ shotType, surface })} off`}
            onClick={() => keep(Object.fromEntries(Object.entries(kept).filter(([name]) => name !== key)))}
          >
            Take off
          </Button>
        </div>
      ))}
      <Form
        className="d-flex gap-2 mt-2 no-print"
        onSubmit={handleSubmit(({ shots, rating }) => keep({ ...kept, [shots]: Number(rating) }))}
      >
        <Form.Select {...register('shots')} aria-label="Shots" size="sm">
          {kinds.map(({ key, shotType, surface }) => (
            <option key={key} value={key}>
              {sayShots({ shotType, surface })}
            </option>
          ))}
        </Form.Select>
        <Form.Select {...register('rating')} aria-label="Rating" size="sm" style={{ width: '8rem' }}>
          {WORDS.slice(1).map((word, i) => (
            <option key={word} value={i + 1}>
              {word}
            </option>
          ))}
        </Form.Select>
        <Button type="submit" size="sm" variant="outline-dark" disabled={pending}>
          Rate
        </Button>
      </Form>
      {error && (
        <Alert variant="danger" className="mt-2 mb-0">
          {error}
        </Alert>
      )}
    </section>
  );
}

/** What the records say of it, and whether the two agree. */
function sayRecords(rows: readonly Row[], rating: number, strokes: StrokesAs): string {
  const balls = rows.reduce((sum, row) => sum + row.balls, 0);
  if (balls === 0) return 'No ball on record.';
  const uses = rows.reduce((sum, row) => sum + row.uses, 0) || 1;
  const lost = rows.reduce((sum, row) => sum + row.uses * row.perShot.mean, 0) / uses;
  const sure = rows.some(({ perShot }) => perShot.interval80[0] > 0);
  const figure = `${sayStrokes(lost, strokes)} ${strokes} a shot, ${counted(balls, 'ball')}`;
  if (rating >= DREADED) return sure ? `The records agree: ${figure}.` : `The records don’t: ${figure}.`;
  return sure && rating <= 2 ? `The records are less kind: ${figure}.` : `Records: ${figure}.`;
}
