'use client';

import { FAMILIES, familyOf, saysSurface } from '@/core/golf/shot-types';
import { sayLevel } from '@/core/golf/level';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Alert, Button, Form } from 'react-bootstrap';
import { OFF_GREEN_BANDS, PUTT_BANDS, sayBand } from '@/core/golf/bands';
import { say } from '@/core/golf/words';
import type { Cell } from '@/core/skill/cells';
import { kindsOf } from '@/core/board/kinds';
import { GROUNDS, onGround, type CourseGround } from '@/core/board/ground';
import { sayShot } from '@/core/board/say-cell';
import { saveRoundMixAction } from './actions';
import styles from './skill.module.scss';

type Props = {
  slug: string;
  playerId: string;
  level: number;
  cells: Cell[];
  /** What is usual at the level, and at the levels that can be taken instead, by cell key. */
  usual: Record<string, number>;
  levels: { level: number; mix: Record<string, number> }[];
  own: Record<string, number> | null;
};

const asText = (mix: Record<string, number>) =>
  Object.fromEntries(Object.entries(mix).map(([key, uses]) => [key, String(Number(uses.toFixed(3)))]));

/** How often each kind of shot comes up in 18 holes, cell by cell, from a preset on. */
export function RoundMixForm({ slug, playerId, level, cells, usual, levels, own }: Props) {
  const router = useRouter();
  const [text, setText] = useState<Record<string, string>>(asText({ ...usual, ...own }));
  const [faults, setFaults] = useState<Record<string, string>>({});
  const [error, setError] = useState<string | null>(null);
  const [saved, setSaved] = useState(false);
  const back = `/a/${slug}/players/${playerId}?per=round`;
  const read = (value: string) => Number(value.trim().replace(',', '.'));
  const total = cells.reduce((sum, { key }) => sum + (Number.isFinite(read(text[key] ?? '')) ? read(text[key] ?? '') : 0), 0);
  const set = (mix: Record<string, number>) => {
    setText(asText(mix));
    setFaults({});
    setSaved(false);
  };
  const save = async (mix: Record<string, number> | null) => {
    setError(null);
    const result = await saveRoundMixAction(slug, playerId, mix).catch(() => null);
    if (!result) return setError('That was not saved: the network is away. What was typed is kept; try it again.');
    if (!result.ok) return setFaults(result.fields);
    setSaved(true);
    router.refresh();
  };
  const submit = () => {
    const wrong = Object.fromEntries(
      cells.flatMap(({ key }) => {
        const value = text[key] ?? '';
        return value.trim() === '' || !Number.isFinite(read(value)) ? [[key, 'Give a number, such as 0.5.']] : [];
      }),
    );
    setFaults(wrong);
    if (Object.keys(wrong).length === 0) void save(Object.fromEntries(cells.map(({ key }) => [key, read(text[key]!)])));
  };
  const kinds = kindsOf(cells);
  return (
    <Form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      <div className="d-flex flex-wrap gap-2 mb-3 align-items-center">
        <span>Begin from</span>
        <Form.Select
          aria-label="Begin from a level"
          style={{ width: '11rem' }}
          value=""
          onChange={(event) => {
            const one = levels.find((entry) => String(entry.level) === event.target.value);
            if (one) set(one.mix);
          }}
        >
          <option value="">a level…</option>
          {levels.map((entry) => (
            <option key={entry.level} value={entry.level}>
              level {sayLevel(entry.level)}
              {entry.level === level ? ', their own' : ''}
            </option>
          ))}
        </Form.Select>
        {(Object.keys(GROUNDS) as CourseGround[]).map((ground) => (
          <Button key={ground} variant="outline-dark" onClick={() => set(onGround(cells, usual, ground))}>
            {GROUNDS[ground].label}
          </Button>
        ))}
      </div>
      <div className={styles.scroll}>
        <table className={styles.mix}>
          {FAMILIES.map((family) => {
            const bands = family === 'putting' ? PUTT_BANDS : OFF_GREEN_BANDS;
            return (
              <tbody key={family}>
                <tr>
                  <th scope="rowgroup" className={styles.family}>
                    {family}
                  </th>
                  {bands.map((band) => (
                    <th key={band.min} scope="col">
                      {sayBand(band)}
                    </th>
                  ))}
                </tr>
                {kinds
                  .filter(({ shotType }) => familyOf(shotType) === family)
                  .map(({ key, shotType, surface, cells: at }) => (
                    <tr key={key}>
                      <th scope="row">
                        {sayShot(shotType)}
                        {saysSurface(shotType) ? '' : ` · ${say(surface)}`}
                      </th>
                      {bands.map((band) => {
                        const cell = at.map((i) => cells[i]!).find((one) => one.band.min === band.min);
                        return (
                          <td key={band.min}>
                            {cell && (
                              <>
                                <Form.Control
                                  inputMode="decimal"
                                  aria-label={`${sayShot(shotType)} from ${say(surface)}, ${sayBand(band)}, times a round`}
                                  value={text[cell.key] ?? ''}
                                  isInvalid={faults[cell.key] !== undefined}
                                  onChange={(event) => {
                                    setText({ ...text, [cell.key]: event.target.value });
                                    setSaved(false);
                                  }}
                                />
                                {faults[cell.key] && <div className="invalid-feedback d-block">{faults[cell.key]}</div>}
                              </>
                            )}
                          </td>
                        );
                      })}
                    </tr>
                  ))}
              </tbody>
            );
          })}
        </table>
      </div>
      <p className="small-print mt-2">In all {total.toFixed(1)} of these shots in 18 holes.</p>
      {error && <Alert variant="danger">{error}</Alert>}
      <div className="d-flex gap-2 align-items-center">
        <Button type="submit">Save the round mix</Button>
        {own && (
          <Button
            variant="outline-dark"
            onClick={() => {
              set(usual);
              void save(null);
            }}
          >
            As usual at level {sayLevel(level)}
          </Button>
        )}
        <Link href={back}>Back to the board</Link>
        <span role="status">{saved && 'Saved.'}</span>
      </div>
    </Form>
  );
}
