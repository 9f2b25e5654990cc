'use client';

import Link from 'next/link';
import { usePathname, useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { inPaces } from '@/core/measures/hands';
import { ownLengths } from '@/core/measures/own-lengths';
import type { OwnMeasures } from '@/core/measures/read-length';
import { CLUB_M, FLAGSTICK_M, PACE_M, PUTTER_M, SHOE_M } from '@/core/measures/sticks';
import { formatLeft, formatLength } from '@/core/units/format';
import { METRES_PER, type UnitSystem } from '@/core/units/length';
import { LengthInput, MeasuresContext } from '@/ui/length-input';
import { savePaceAction } from '../../form/pace-action';
import { PrintButton } from '../../form/print-button';
import { PLAIN } from '../fields';
import { PlayerChoice } from '../player-choice';
import { ToolHead } from '../tool-head';
import { Converter } from './converter';
import styles from './measures.module.scss';

export type MeasuresProps = {
  slug: string;
  players: readonly { id: string; name: string }[];
  /** Whose measures: a player's, or the coach's. */
  whose: { playerId: string | null; name: string; own: OwnMeasures; changeAt: string };
  units: UnitSystem;
};

const STICKS = [
  ['paceM', 'Pace', PACE_M],
  ['clubM', 'Club', CLUB_M],
  ['putterM', 'Putter', PUTTER_M],
  ['flagstickM', 'Flagstick', FLAGSTICK_M],
  ['shoeM', 'Shoe', SHOE_M],
] as const;
const trim = (value: number, decimals: number) => String(Number(value.toFixed(decimals)));

/** Whatever somebody measures with, in any unit, and back. */
export function MeasuresPage({ slug, players, whose, units }: MeasuresProps) {
  const router = useRouter();
  const path = usePathname();
  const { own, playerId, name, changeAt } = whose;
  const small = (metres: number) => (units === 'metric' ? `${Math.round(metres * 100)} cm` : `${trim(metres / METRES_PER.in, 1)} in`);
  return (
    <MeasuresContext value={own}>
      <div className="p-3 p-md-4">
        <ToolHead title="Measures" beside={name}>
          <PlayerChoice
            players={players}
            chosen={playerId ?? undefined}
            nobody="the coach"
            label="Whose"
            onChoose={(chosen) => router.replace(chosen ? `${path}?for=${chosen}` : path, { scroll: false })}
          />
          <PrintButton variant="outline-dark" label="Print the card" />
        </ToolHead>
        <div className={styles.layout}>
          <section className="no-print" aria-label="Convert">
            <Converter own={own} units={units} />
          </section>
          <section aria-label="Own measures">
            <h2>{playerId ? 'Their own' : 'Your own'}</h2>
            <dl className={styles.own}>
              {STICKS.map(([key, word, usual]) => (
                <div key={key}>
                  <dt>{word}</dt>
                  <dd className="fig">
                    {small(own[key] ?? usual)} {own[key] === null && <span>usual</span>}
                  </dd>
                </div>
              ))}
            </dl>
            <p className="no-print">
              <Link href={changeAt}>Change them</Link>
            </p>
            <div className="no-print">
              <StrideCheck slug={slug} playerId={playerId} paceM={own.paceM} units={units} onSaved={() => router.refresh()} />
            </div>
          </section>
        </div>
        <section className={styles.card} aria-label="Card">
          <h2>Card for the pocket</h2>
          <Card own={own} units={units} />
        </section>
      </div>
    </MeasuresContext>
  );
}

type CheckProps = { slug: string; playerId: string | null; paceM: number | null; units: UnitSystem; onSaved: () => void };

/** A field of a known length checks a stride: walk it, count, and see what a pace is. */
function StrideCheck({ slug, playerId, paceM, units, onSaved }: CheckProps) {
  const unit = units === 'metric' ? 'm' : 'yd';
  const [lengthM, setLength] = useState<number | null>(20 * METRES_PER[unit]);
  const [count, setCount] = useState<number | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const found = lengthM && count && lengthM > 0 && count > 0 ? lengthM / count : null;
  const read = ownLengths.paceM.safeParse(found === null ? null : Math.round(found * 1e4) / 1e4);
  const short = (metres: number) => (units === 'metric' ? `${Math.round(metres * 100)} cm` : `${trim(metres / METRES_PER.in, 1)} in`);
  const off = found !== null && paceM !== null ? 100 * (found / paceM - 1) : null;
  const save = async () => {
    if (!read.success || read.data === null) return;
    const result = await savePaceAction(slug, playerId, read.data).catch(() => null);
    setSaid(result?.ok ? 'Saved.' : 'Not saved: no connection. Try again.');
    if (result?.ok) onSaved();
  };
  return (
    <div className={styles.check}>
      <h3>Check the stride</h3>
      <div>
        <LengthInput
          id="stride-length"
          label="Known length"
          unit={unit}
          value={lengthM}
          onChange={setLength}
          error={lengthM !== null && lengthM >= 3 ? undefined : 'At least 3 yd (3 m).'}
        />
        <LengthInput
          id="stride-count"
          label="Paces counted"
          unit={PLAIN}
          value={count}
          onChange={setCount}
          error={count === null || count > 0 ? undefined : 'Enter a number.'}
        />
        <Button variant="outline-dark" disabled={!read.success || read.data === null} onClick={() => void save()}>
          Save this pace
        </Button>
      </div>
      <p className="mb-0" role="status">
        {said ??
          (found === null
            ? 'Walk it as you always do, twice if you can.'
            : !read.success
              ? read.error.issues[0]!.message
              : `A pace is ${short(found)}.${off === null ? '' : Math.abs(off) < 2 ? ' As it was.' : ` ${Math.abs(Math.round(off))}% ${off > 0 ? 'longer' : 'shorter'} than before.`}`)}
      </p>
    </div>
  );
}

/** Paces in yards, sticks in feet: small enough for a pocket. */
function Card({ own, units }: { own: OwnMeasures; units: UnitSystem }) {
  const unit = units === 'metric' ? 'm' : 'yd';
  const paceM = own.paceM ?? PACE_M;
  const paces = [2, 3, 4, 5, 6, 7, 8, 9, 10, 12, 15, 20, 25, 30];
  const sticks = [
    ['club', own.clubM ?? CLUB_M, [1, 2, 3]],
    ['putter', own.putterM ?? PUTTER_M, [1, 2, 3, 4]],
    ['flagstick', own.flagstickM ?? FLAGSTICK_M, [1, 2]],
    ['shoe', own.shoeM ?? SHOE_M, [3, 6, 10]],
  ] as const;
  return (
    <div className={styles.tables}>
      <table>
        <thead>
          <tr>
            <th scope="col">Paces</th>
            <th scope="col">{unit === 'm' ? 'Metres' : 'Yards'}</th>
          </tr>
        </thead>
        <tbody>
          {paces.map((n) => (
            <tr key={n}>
              <th scope="row" className="fig">
                {n}
              </th>
              <td className="fig">{trim((n * paceM) / METRES_PER[unit], 1)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <table>
        <thead>
          <tr>
            <th scope="col">{unit === 'm' ? 'Metres' : 'Yards'}</th>
            <th scope="col">Paces</th>
          </tr>
        </thead>
        <tbody>
          {[5, 8, 10, 12, 15, 18, 20, 25, 30, 35, 40, 45, 50, 60].map((n) => (
            <tr key={n}>
              <th scope="row" className="fig">
                {n}
              </th>
              <td className="fig">{inPaces(n * METRES_PER[unit], paceM)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <table>
        <thead>
          <tr>
            <th scope="col">Laid out</th>
            <th scope="col">Long</th>
          </tr>
        </thead>
        <tbody>
          {sticks.flatMap(([word, metres, counts]) =>
            counts.map((n) => (
              <tr key={`${word}${n}`}>
                <th scope="row">
                  {n} {word}
                  {n === 1 ? '' : 's'}
                </th>
                <td className="fig">{units === 'metric' ? formatLength(n * metres, 'm', 2) : formatLeft(n * metres, 'imperial')}</td>
              </tr>
            )),
          )}
        </tbody>
      </table>
    </div>
  );
}
