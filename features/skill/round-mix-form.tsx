'use client';

import { FAMILIES, familyOf, saysSurface } from '@/core/golf/shot-types';
import { sayLevel } from '@/core/golf/level';
import { zodResolver } from '@hookform/resolvers/zod';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { useForm, useWatch } from 'react-hook-form';
import { OFF_GREEN_BANDS, PUTT_BANDS, sayBand } from '@/core/golf/bands';
import { say } from '@/core/golf/words';
import { roundMixSchema } from '@/core/people/player';
import type { Cell } from '@/core/skill/cells';
import { kindsOf } from '@/core/board/kinds';
import { GROUNDS, onGround, type CourseGround } from '@/core/board/ground';
import { sayShot } from '@/core/board/say-cell';
import { FormAlert } from '../form/form-alert';
import { asNumber } from '../form/numbers';
import { useSave } from '../form/use-save';
import { saveRoundMixAction } from './actions';
import { Submit } from '../form/submit';
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

/** Times as they are shown and typed. */
const rounded = (mix: Record<string, number>) =>
  Object.fromEntries(Object.entries(mix).map(([key, uses]) => [key, Number(uses.toFixed(3))]));

/** How often each kind of shot comes up in 18 holes, cell by cell, from a preset on. */
export function RoundMixForm({ slug, playerId, level, cells, usual, levels, own }: Props) {
  const router = useRouter();
  const form = useForm<Record<string, number>>({
    resolver: zodResolver(roundMixSchema.unwrap()),
    defaultValues: rounded({ ...usual, ...own }),
  });
  const { register, control, formState } = form;
  const { errors } = formState;
  const [saved, setSaved] = useState(false);
  const back = `/a/${slug}/players/${playerId}?per=round`;
  const typed = useWatch({ control });
  const total = cells.reduce((sum, { key }) => sum + (asNumber(typed[key] ?? null) || 0), 0);
  const set = (mix: Record<string, number>) => {
    form.reset(rounded(mix));
    setSaved(false);
  };
  const done = () => {
    setSaved(true);
    router.refresh();
  };
  const submit = useSave(form, (mix) => saveRoundMixAction(slug, playerId, mix), done);
  const asUsual = useSave(form, () => saveRoundMixAction(slug, playerId, null), done);
  const kinds = kindsOf(cells);
  return (
    <Form noValidate onSubmit={submit} onChange={() => setSaved(false)}>
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
                                  id={cell.key}
                                  {...register(cell.key, { setValueAs: asNumber })}
                                  isInvalid={errors[cell.key] !== undefined}
                                  aria-describedby={errors[cell.key] && `${cell.key}-error`}
                                />
                                <Form.Control.Feedback type="invalid" id={`${cell.key}-error`}>
                                  {errors[cell.key]?.message}
                                </Form.Control.Feedback>
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
      <FormAlert message={errors.root?.message} />
      <div className="d-flex gap-2 align-items-center">
        <Submit busy={formState.isSubmitting}>Save the round mix</Submit>
        {own && (
          <Button
            variant="outline-dark"
            onClick={() => {
              set(usual);
              void asUsual();
            }}
          >
            Reset to level {sayLevel(level)}
          </Button>
        )}
        <Link href={back}>Back to the board</Link>
        <span role="status">{saved && 'Saved.'}</span>
      </div>
    </Form>
  );
}
